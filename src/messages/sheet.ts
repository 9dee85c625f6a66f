import type { Fill, Job, Mix, Plan, Step, UsedTowel, ZonePlan } from '@esmero/core';
import { runStages } from '@esmero/core';
import { figureValue, stepName } from './figures';
import { cautionSentence, verdictSentence } from './reasons';
import { type Units, clock, fixed, indexText } from './units';
import { contentName, kitName, methodName, roleName, stageName, treatmentName, zoneName } from './words';

/** Names come from users: nothing in them may act as markup. */
const safe = (text: string): string =>
  text.replace(/[\\`*_{}[\]()#+!|]/g, '\\$&').replace(/</g, '&lt;').replace(/\s+/g, ' ');

/** How to mix one filling, in the order in which it is done: water first, then product. */
export function fillSentence({ waterMl, dose }: Fill, u: Units): string {
  if (!dose) return `${u.volume(waterMl)} of water.`;
  const { measured } = dose;
  return `${u.volume(waterMl)} of water, then ${u.volume(measured.deliveredMl)} of product (${measured.steps} × ${u.volume(measured.stepMl)}): 1 to ${fixed(dose.trueWaterParts, 1)}.`;
}

export const mixSentences = (mix: Mix, u: Units): readonly string[] => mix.fills.map((fill) => fillSentence(fill, u));

/** "Towel 2, wash towels, sides 1 to 4" */
export const towelName = (towel: UsedTowel): string =>
  `${towel.worker > 0 ? `Second person, t` : 'T'}owel ${towel.number}`;

/** Sections are counted only where a zone has several, which the second one tells. */
export const stepText = ({ kind, zoneId, section, kit }: Step): string => {
  const name = stepName[kind];
  const what = kit ? kitName[kit] : zoneId ? `${zoneName(zoneId)}${section > 1 ? `, section ${section}` : ''}` : '';
  return `${name[0]!.toUpperCase()}${name.slice(1)}${what ? `: ${what}` : ''}`;
};

function mixLines(plan: Plan, u: Units): string[] {
  return plan.mix.mixes.flatMap((mix) => [
    `- **${contentName[mix.content]}** in ${safe(mix.vessel.name)}${mix.productName ? `, from ${safe(mix.productName)}` : ''}`,
    ...mixSentences(mix, u).map((line) => `  - ${line}`),
  ]);
}

function towelLines(plan: Plan): string[] {
  return plan.towels.map((towel) => {
    const zones = new Set(towel.sides.flatMap(({ entries }) => entries.map(({ zoneId }) => zoneId)));
    const missing = towel.missing ? ' **not in the pile**' : '';
    return `- ${towelName(towel)} (${roleName[towel.role]}${missing}), ${towel.sides.length} of ${towel.fold} sides: ${[...zones].map(zoneName).join('; ')}`;
  });
}

function zoneTable(zones: readonly ZonePlan[], u: Units): string[] {
  const rows = runStages.flatMap((stage) =>
    zones
      .filter((zone) => zone.stage === stage)
      .map(
        ({ zone, option, treatment }) =>
          `| ${stageName[stage]} | ${zoneName(zone.id)} | ${u.area(zone.areaM2)} | ${treatmentName(treatment)} | ${indexText(option?.marring.index ?? 0)} |`,
      ),
  );
  return ['| stage | zone | area | treatment | index |', '| --- | --- | --- | --- | --- |', ...rows];
}

/** The plan as a readable page in Markdown. */
export function planSheet(job: Job, plan: Plan, u: Units): string {
  const { totals } = plan;
  const cost = totals.costMinor ? figureValue(totals.costMinor, u, job.currency) : 'a price is missing';
  const done = plan.method !== 'decline';
  const sections = [
    `# ${safe(job.name)}\n`,
    `${safe(job.vehicle.name)}, ${safe(job.site.name)}, ${job.date}\n`,
    `**${methodName[plan.method]}**${done ? `: ${figureValue(totals.minutes, u)}, ${figureValue(totals.litres, u)} of water, ${figureValue(totals.productMl, u)} of product (${cost}), ${figureValue(totals.towels, u)} towels, mean marring index ${figureValue(totals.index, u)} (relative, not a measurement)` : ''}\n`,
    ...plan.verdicts.map((verdict) => `- ${verdictSentence(verdict, u)}`),
  ];
  if (done)
    sections.push(
      '\n## Mixes\n',
      ...mixLines(plan, u),
      '\n## Towels\n',
      ...towelLines(plan),
      '\n## Zones\n',
      ...zoneTable(plan.zones, u),
      '\n## Steps\n',
      ...plan.timeline.steps.map((step) => `- ${clock(step.startS)} ${stepText(step)}`),
    );
  if (plan.cautions.length > 0)
    sections.push('\n## Care\n', ...plan.cautions.map((caution) => `- ${cautionSentence[caution]}`));
  return `${sections.join('\n')}\n`;
}
