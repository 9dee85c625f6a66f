import {
  type Load,
  type SoilState,
  type RunStatus,
  type ZonePlan,
  defaultAssumptions,
  forecastOn,
  levelOfLoad,
} from '@esmero/core';
import { type Job, type SoilLevel, type Zone, type ZoneId, type ZoneSoil, bugCovers } from '@esmero/model';
import {
  type Units,
  bugsName,
  capital,
  levelName,
  soilMark,
  soilName,
  spotName,
  plannedName,
  treatmentBrief,
} from '@esmero/messages';
import type { LegendItem } from './net-legend.component';
import { type Looks, type ZoneLook, isCooled, isFlushed, plainLook, treatmentFill, treatmentMark } from './zone-look';

const worstOf = (soil: ZoneSoil): SoilLevel =>
  soil.deposits.reduce<SoilLevel>((worst, { level }) => (level > worst ? level : worst), 0);

const spotTotal = (soil: ZoneSoil): number => Object.values(soil.spots).reduce((sum, count) => sum + count, 0);

/** "road film 3, dust 1; a few bugs" */
export function soilWords(soil: ZoneSoil | undefined): string {
  if (!soil) return 'not looked at';
  const deposits = soil.deposits.map(({ kind, level }) =>
    level === 0 ? 'clean' : `${soilName[kind]} ${level}, ${levelName[level]}`,
  );
  const spots = Object.entries(soil.spots).map(
    ([kind, count]) => `${count} ${spotName[kind as keyof typeof spotName]}`,
  );
  return [
    ...(deposits.length ? deposits : ['clean']),
    ...(soil.measured ? ['measured'] : []),
    ...(soil.bugs ? [bugsName[soil.bugs]] : []),
    ...spots,
  ].join('; ');
}

function soilLook(soil: ZoneSoil): ZoneLook {
  const says = soilWords(soil);
  const level = worstOf(soil);
  const kinds = soil.deposits.filter((deposit) => deposit.level > 0).map(({ kind }) => soilMark[kind]);
  const spots = `${soil.bugs ? ` ${'*'.repeat(bugCovers.indexOf(soil.bugs) + 1)}` : ''}${spotTotal(soil) > 0 ? ` +${spotTotal(soil)}` : ''}`;
  return {
    ...plainLook,
    fill: `soil-${level}`,
    mark: `${level}${kinds.length ? ` ${kinds.join('·')}` : ''}${spots}`,
    // Tone and texture tell the level: its number is there where one points.
    brief: `${soil.measured ? Number(soil.measured.loadGm2.toPrecision(2)) : ''}${spots}`.trim(),
    says,
  };
}

const heaviest = (loads: readonly Load[]): Load => loads.reduce((p, q) => (q.loadGm2 > p.loadGm2 ? q : p));

/** "salt 2.1 g/m² and dust 0.4 g/m², give or take a factor of 2" */
export function forecastWords({ loads, spread }: SoilState, u: Units): string {
  const told = loads
    .filter(({ loadGm2 }) => loadGm2 >= LEAST_TOLD)
    .map(({ kind, loadGm2 }) => `${soilName[kind]} ${u.load(loadGm2)}`);
  return `${told.join(', ') || 'clean'}, give or take a factor of ${spread}`;
}

/** Less of a kind is not worth a word, g/m². */
const LEAST_TOLD = 0.15;

/** The forecast in the steps of the scale for the eye. */
interface Forecast {
  readonly level: SoilLevel;
  readonly kind: Load['kind'];
}

/** What a zone that nobody has looked at may be expected to carry; null when nothing is known. */
function forecastFor(zone: Zone, job: Job): Forecast | null {
  if (job.since.length === 0) return null;
  const a = { ...defaultAssumptions, ...job.choices.assumptions };
  const loads = forecastOn(zone, job.vehicle.body, job.since, a);
  const total = loads.reduce((sum, { loadGm2 }) => sum + loadGm2, 0);
  return { level: levelOfLoad(total, a), kind: heaviest(loads).kind };
}

function forecastLook(zone: Zone, job: Job): ZoneLook {
  const found = forecastFor(zone, job);
  if (!found) return { ...plainLook, fill: 'unseen', says: soilWords(undefined) };
  const { level, kind } = found;
  return {
    ...plainLook,
    fill: `soil-${level}`,
    forecast: true,
    mark: `~${level}${level > 0 ? ` ${soilMark[kind]}` : ''}`,
    brief: '',
    says: `not looked at; forecast ${level === 0 ? 'clean' : `${soilName[kind]} ${level}, ${levelName[level]}`}, right within a factor of two`,
  };
}

/** Soil as it was seen, the forecast under it where nobody has looked, and marks that were there. */
export function soilLooks(zones: readonly Zone[], job: Job | null): Looks {
  if (!job) return new Map();
  return new Map(
    zones.map((zone) => {
      const seen = job.soil[zone.id];
      const look = seen ? soilLook(seen) : forecastLook(zone, job);
      const pins = job.marks.filter((mark) => mark.zone === zone.id).length;
      const says = pins > 0 ? `${look.says}; ${pins === 1 ? 'one mark' : `${pins} marks`} from before` : look.says;
      return [zone.id, { ...look, pins, says }];
    }),
  );
}

/** The letter of a treatment, with a stroke before it for a pre-rinse, and a ring for a mist. */
export const markOf = (treatment: ZonePlan['treatment']): string =>
  `${isFlushed(treatment) ? '↓' : isCooled(treatment) ? '◦' : ''}${treatmentMark[treatmentFill(treatment)]}`;

function treatmentLook({ treatment, option, inScope }: ZonePlan, fixed: boolean): ZoneLook {
  return {
    ...plainLook,
    fill: treatmentFill(treatment),
    flushed: isFlushed(treatment),
    cooled: isCooled(treatment),
    mark: `${markOf(treatment)}${fixed ? ' ·' : ''}`,
    // The tone tells it, with the legend: letters only where one points.
    brief: fixed ? '·' : '',
    says: `${plannedName({ treatment, inScope })}${fixed ? ', fixed by hand' : ''}${option ? `, index ${option.marring.index.toFixed(1)}` : ''}`,
  };
}

/** What is done where. */
export const treatmentLooks = (plans: Iterable<ZonePlan>, fixed: Job['choices']['fixed']): Looks =>
  new Map([...plans].map((plan) => [plan.zone.id, treatmentLook(plan, plan.zone.id in fixed)]));

/** Each tone on the car once, with how many panels have it and how large they are together. */
export function treatmentLegend(plans: Iterable<ZonePlan>, u: Units): readonly LegendItem[] {
  const items = new Map<string, LegendItem & { panels: number; areaM2: number }>();
  for (const { treatment, zone, inScope } of plans) {
    const [fill, flushed, cooled] = [treatmentFill(treatment), isFlushed(treatment), isCooled(treatment)];
    const name = inScope ? capital(treatmentBrief(treatment)) : plannedName({ treatment, inScope });
    const item = items.get(name) ?? { fill, flushed, cooled, name, how: '', panels: 0, areaM2: 0 };
    items.set(name, { ...item, panels: item.panels + 1, areaM2: item.areaM2 + zone.areaM2 });
  }
  return [...items.values()].map(({ panels, areaM2, ...item }) => ({
    ...item,
    how: `${panels === 1 ? 'one panel' : `${panels} panels`}, ${u.area(areaM2)}`,
  }));
}

/** Treatments with the order of work written on the zones. */
export function orderLooks(plans: Iterable<ZonePlan>, order: readonly (readonly [ZoneId, number])[]): Looks {
  const passes = new Map<ZoneId, number[]>();
  for (const [id, pass] of order) passes.set(id, [...new Set([...(passes.get(id) ?? []), pass])]);
  return new Map(
    [...plans].map((plan) => {
      const look = treatmentLook(plan, false);
      const numbers = passes.get(plan.zone.id)?.join('·');
      return [
        plan.zone.id,
        {
          ...look,
          mark: numbers ?? look.mark,
          brief: null,
          says: numbers ? `pass ${numbers.replaceAll('·', ' and ')}, ${look.says}` : look.says,
        },
      ];
    }),
  );
}

/** Treatments with a tick where nothing is left to do. */
export const runLooks = (plans: Iterable<ZonePlan>, standing: RunStatus | null): Looks =>
  new Map(
    [...plans].map((plan) => {
      const look = treatmentLook(plan, false);
      const done = standing?.zonesDone.has(plan.zone.id);
      return [
        plan.zone.id,
        done
          ? {
              ...look,
              fill: 'plain',
              flushed: false,
              cooled: false,
              mark: '✓',
              brief: null,
              says: `done, ${look.says}`,
            }
          : look,
      ];
    }),
  );
