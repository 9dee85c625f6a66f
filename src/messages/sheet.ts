import type { Fill, Mix, Plan, RunOrdering, RunRow, Step, UsedMitt, UsedTowel, Window, ZonePlan } from '@esmero/core';
import type { Job, ZoneId } from '@esmero/model';
import { laps, runRows, waterByStage } from '@esmero/core';
import { askedFor } from './care';
import { capital } from './capital';
import { figureValue, stepName } from './figures';
import { habitAnswer } from './habits';
import { isBehind, lapName, passZones } from './passes';
import { cautionSentence, verdictSentence } from './reasons';
import { soldText } from './scope';
import { bottleSentence } from './soil';
import { type Units, clock, fixed, indexText } from './units';
import { rinseWaterLines } from './water';
import {
  className,
  contentName,
  kitName,
  methodName,
  mixTitle,
  roleName,
  treatmentBrief,
  treatmentName,
  zoneName,
} from './words';

/** Names come from users: nothing in them may act as markup. */
const safe = (text: string): string =>
  text
    .replace(/[\\`*_{}[\]()#+!|]/g, '\\$&')
    .replace(/</g, '&lt;')
    .replace(/\s+/g, ' ');

/** How to mix one filling, in the order in which it is done: water first, then product. */
export function fillSentence({ waterMl, dose }: Fill, u: Units): string {
  if (!dose) return `${u.volume(waterMl)} of water.`;
  const { measured } = dose;
  return `${u.volume(waterMl)} of water, then ${u.volume(measured.deliveredMl)} of product (${measured.steps} × ${u.volume(measured.stepMl)}): 1 to ${fixed(dose.trueWaterParts, 1)}.`;
}

/** How a vessel is filled; what stands in it from before comes first. */
export const mixSentences = ({ fills, haveMl }: Mix, u: Units): readonly string[] => [
  ...(haveMl > 0 ? [`${u.volume(haveMl)} already mixed${fills.length === 0 ? ': enough' : ''}.`] : []),
  ...fills.map((fill) => fillSentence(fill, u)),
];

/** "Towel 2, wash towels, sides 1 to 4" */
export const towelName = (towel: UsedTowel): string =>
  `${towel.worker > 0 ? `Second person, t` : 'T'}owel ${towel.number}`;

/** "1 to 3 and 6" from numbers in order. */
export function ranges(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const one of [...new Set(numbers)].sort((p, q) => p - q)) {
    const last = runs.at(-1);
    if (last && one === last[1] + 1) last[1] = one;
    else runs.push([one, one]);
  }
  return runs.map(([first, last]) => (first === last ? `${first}` : `${first} to ${last}`)).join(' and ');
}

/** Which sides of which towels work on a zone, in the order of the towels. */
export function sidesSentence(towels: readonly UsedTowel[], zone: ZoneId): string {
  const parts = towels.flatMap((towel): string[] => {
    const sides = towel.sides
      .filter(({ entries }) => entries.some(({ zoneId }) => zoneId === zone))
      .map(({ number }) => number);
    return sides.length > 0 ? [`${towelName(towel)} (${roleName[towel.role]}), side ${ranges(sides)}`] : [];
  });
  return `${zoneName(zone)}: ${parts.join('; ') || 'no towel'}.`;
}

/** "Left front door, lower, section 2: wet from 12:30, dry at 15:40, done at 14:10". */
export const windowText = ({ zoneId, section, fromS, untilS, doneS }: Window): string =>
  `${zoneName(zoneId)}${section > 1 ? `, section ${section}` : ''}: wet from ${clock(fromS)}, its window ends at ${clock(untilS)}, done at ${clock(doneS)}`;

/** "Dirtiest first, wheels last, glass first". */
export const orderingText = ({ order, wheels, glass, pair }: RunOrdering, workers: number): string =>
  `${workers === 2 ? `${habitAnswer('pair', pair)}. ` : ''}${order === 'top-down' ? 'From the top down' : 'Dirtiest first'}, wheels ${wheels === 'auto' ? 'first where they are rinsed' : wheels}, glass ${glass}`;

/** A mitt with what it may wash. */
export const mittSentence = ({ number, worker, zones, from, to }: UsedMitt): string =>
  `${worker > 0 ? 'Second person, m' : 'M'}itt ${number}: ${from === to ? className[from] : `${className[from]} down to ${className[to]}`}, ${zones.length} ${zones.length === 1 ? 'panel' : 'panels'}`;

/** Sections are counted only where a zone has several, which the second one tells. */
export const stepText = ({ kind, zoneId, section, kit }: Step): string => {
  const what = kit ? kitName[kit] : zoneId ? `${zoneName(zoneId)}${section > 1 ? `, section ${section}` : ''}` : '';
  return `${capital(stepName[kind])}${what ? `: ${what}` : ''}`;
};

function mixLines(plan: Plan, u: Units): string[] {
  return plan.mix.mixes.flatMap((mix) => [
    `- **${mixTitle(mix)}** in ${safe(mix.vessel.name)}${mix.productName ? `, from ${safe(mix.productName)}` : ''}`,
    ...mixSentences(mix, u).map((line) => `  - ${line}`),
  ]);
}

function towelLines(plan: Plan): string[] {
  return plan.towels.map((towel) => {
    const zones = new Set(towel.sides.flatMap(({ entries }) => entries.map(({ zoneId }) => zoneId)));
    const missing = towel.missing ? ' **short**' : '';
    return `- ${towelName(towel)} (${roleName[towel.role]}${missing}), ${towel.sides.length} of ${towel.fold} sides: ${[...zones].map(zoneName).join('; ')}`;
  });
}

function zoneTable(zones: readonly ZonePlan[], u: Units): string[] {
  const rows = laps.flatMap((lap) =>
    zones
      .filter((zone) => zone.lap === lap)
      .map(
        ({ zone, option, treatment }) =>
          `| ${lapName[lap]} | ${zoneName(zone.id)} | ${u.area(zone.areaM2)} | ${treatmentName(treatment)} | ${indexText(option?.marring.index ?? 0)} |`,
      ),
  );
  return ['| lap | panel | area | treatment | index |', '| --- | --- | --- | --- | --- |', ...rows];
}

/** "Set up: wash bucket": what is done for the whole job. */
export const jobTitle = ({ seconds, kit }: RunRow): string => {
  const [kind] = Object.keys(seconds) as [keyof typeof stepName];
  return `${capital(stepName[kind])}${kit ? `: ${kitName[kit]}` : ''}`;
};

/** A dwell shorter than this needs no time of its own for the wetting. */
const WORTH_A_TIME_S = 60;

/** What is done in a pass; nothing for set-up and packing. */
export function wayText(row: RunRow): string {
  if (row.number === null || row.act === null) return '';
  if (isBehind({ act: row.act, place: row.place })) return 'Finish behind';
  if (row.lap === 'blow-out') return 'Blow out, dry';
  const whole = row.treatments.length > 0 ? capital(row.treatments.map(treatmentBrief).join(', ')) : jobTitle(row);
  return row.seconds.pretreat ? `${whole}, spots first` : whole;
}

/** When a pass is wetted, where that is well before its turn. */
export const wetText = ({ number, treatments, wipeS, startS }: RunRow): string =>
  number !== null && treatments.length > 0 && wipeS - startS > WORTH_A_TIME_S ? clock(startS) : '';

/** Both in one line. */
export const howText = (row: RunRow): string =>
  [wayText(row), wetText(row) && `wet at ${wetText(row)}`].filter(Boolean).join(', ');

/** "- 12:30 **3** Roof, left half: mist and wipe, 0:40". */
function rowLine(row: RunRow): string {
  const [kind] = Object.keys(row.seconds) as [keyof typeof stepName];
  const at = `- ${clock(row.wipeS)}`;
  if (row.number === null) return `${at} ${stepName[kind]}${row.kit ? `: ${kitName[row.kit]}` : ''}`;
  const how = row.act === 'wipe' ? row.treatments.map(treatmentName).join(', ') : stepName[kind];
  return `${at} **${row.number}**${row.worker > 0 ? ' (second person)' : ''} ${passZones({ parts: row.parts, place: row.place })}: ${how}, ${clock(row.handS)}`;
}

/** Litres by stage, where something is rinsed. */
function waterLines(job: Job, plan: Plan, u: Units): readonly string[] {
  const water = waterByStage(job, plan);
  return water ? ['\n## Water by stage\n', ...rinseWaterLines(water, u).map((line) => `- ${safe(line)}`)] : [];
}

export function planSheet(job: Job, plan: Plan, u: Units): string {
  const { totals } = plan;
  const cost = totals.costMinor ? figureValue(totals.costMinor, u, job.currency) : 'a price is missing';
  const done = plan.method !== 'decline';
  const sections = [
    `# ${safe(job.name)}\n`,
    `${safe(job.vehicle.name)}, ${safe(job.site.name)}, ${job.date}\n`,
    `${safe(soldText(job))}\n`,
    `**${methodName[plan.method]}**${done ? `: ${figureValue(totals.minutes, u)}, ${figureValue(totals.litres, u)} of water, ${figureValue(totals.productMl, u)} of product (${cost}), ${figureValue(totals.towels, u)} towels, mean marring index ${figureValue(totals.index, u)} (relative, not a measurement)` : ''}\n`,
    ...plan.verdicts.map((verdict) => `- ${verdictSentence(verdict, u)}`),
    ...(done ? askedFor(job, plan, u).map((line) => `- ${safe(line)}`) : []),
  ];
  if (done)
    sections.push(
      '\n## Mixes\n',
      ...mixLines(plan, u),
      ...plan.bottles.map(
        (bottle) => `- **${contentName[bottle.purpose]}**, ${safe(bottle.productName)}: ${bottleSentence(bottle, u)}`,
      ),
      ...waterLines(job, plan, u),
      '\n## Towels\n',
      ...towelLines(plan),
      '\n## Zones\n',
      ...zoneTable(plan.zones, u),
      '\n## Passes\n',
      ...runRows(plan).map(rowLine),
    );
  if (plan.cautions.length > 0)
    sections.push('\n## Care\n', ...plan.cautions.map((caution) => `- ${cautionSentence[caution]}`));
  return `${sections.join('\n')}\n`;
}
