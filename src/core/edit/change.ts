import type { Gear, GearKind, Habits, Job, Approach, SoilLevel, TowelRole, ZoneId } from '../model';
import { byEye } from '../soil';
import type { Celsius } from '../units';
import { newItem } from './create';
import { atHour } from './hour';

/** One thing that might be otherwise. */
export type Change =
  | { readonly code: 'approach'; readonly approach: Approach }
  | { readonly code: 'shade' }
  | { readonly code: 'hour'; readonly hour: number }
  | { readonly code: 'cool-panels'; readonly panelC: Celsius }
  | { readonly code: 'warm-liquid'; readonly liquidC: Celsius }
  | { readonly code: 'power' }
  | { readonly code: 'gear'; readonly gear: GearKind }
  | { readonly code: 'second-person' }
  | { readonly code: 'steps' }
  /** All eight sides of a wetted towel, with solution poured on from a cup. */
  | { readonly code: 'cup' }
  /** The medium rinsed above a guard in place of many towels. */
  | { readonly code: 'guarded-bucket' }
  | { readonly code: 'capture'; readonly litres: number }
  | { readonly code: 'water'; readonly litres: number }
  | { readonly code: 'minutes'; readonly minutes: number }
  | { readonly code: 'towels'; readonly role: TowelRole; readonly clean: number }
  | { readonly code: 'level'; readonly zone: ZoneId; readonly level: SoilLevel }
  | { readonly code: 'leave'; readonly zones: readonly ZoneId[] };

const withSite = (job: Job, site: Partial<Job['site']>): Job => ({ ...job, site: { ...job.site, ...site } });

/** A habit of the day, whatever was wished. */
const withHabits = (job: Job, habits: Partial<Habits>): Job => ({
  ...job,
  wishes: (Object.keys(habits) as (keyof Habits)[]).reduce((wishes, key) => without(wishes, key), job.wishes),
  choices: { ...job.choices, ...habits },
});

function withTowels(job: Job, role: TowelRole, clean: number): Job {
  const first = job.towels.findIndex((batch) => batch.role === role);
  return { ...job, towels: job.towels.map((batch, i) => (i === first ? { ...batch, clean } : batch)) };
}

function withGear(job: Job, kind: GearKind): Job {
  return { ...job, gear: [...job.gear, { ...newItem.gear(`added-${kind}`), ...ordinary[kind], kind }] };
}

const byHand = (name: string) => ({ name, flowLMin: 0, batteryMin: null, noiseDb: 0 });

/** A piece of each kind as it is commonly found, for a van that has none. */
const ordinary = {
  heater: { name: 'Immersion heater', flowLMin: 0, batteryMin: null, noiseDb: 50 },
  'cordless-wand': { name: 'Cordless washer', flowLMin: 3, batteryMin: 20, noiseDb: 72 },
  'mains-wand': { name: 'Pressure washer', flowLMin: 7, batteryMin: null, noiseDb: 86 },
  steamer: { name: 'Steamer', flowLMin: 0.06, batteryMin: null, noiseDb: 66 },
  blower: { name: 'Blower', flowLMin: 0, batteryMin: 12, noiseDb: 78 },
  'air-gun': { name: 'Compressor and air gun', flowLMin: 0, batteryMin: null, noiseDb: 80 },
  'wheel-brush': byHand('Soft wheel brush'),
  'barrel-brush': byHand('Barrel brush'),
  'tyre-brush': byHand('Tyre brush'),
  'detail-brush': byHand('Soft detail brush'),
} as const satisfies Readonly<Record<GearKind, Pick<Gear, 'name' | 'flowLMin' | 'batteryMin' | 'noiseDb'>>>;

/** The worst deposit of a zone at another level; the others stay. */
function withLevel(job: Job, zone: ZoneId, level: SoilLevel): Job {
  const soil = job.soil[zone];
  if (!soil || soil.deposits.length === 0) return job;
  const worst = soil.deposits.reduce((p, q) => (q.level > p.level ? q : p));
  const deposits = soil.deposits.map((one) => (one === worst ? { ...one, level } : one));
  return { ...job, soil: { ...job.soil, [zone]: { ...byEye(soil), deposits } } };
}

/** The job with zones left out. */
export const leaving = (job: Job, zones: readonly ZoneId[]): Job => ({
  ...job,
  choices: {
    ...job.choices,
    fixed: { ...job.choices.fixed, ...Object.fromEntries(zones.map((id) => [id, 'leave'] as const)) },
  },
});

/** The job with the one thing changed. */
export function withChange(job: Job, change: Change): Job {
  switch (change.code) {
    case 'approach':
      return withHabits(job, { approach: change.approach });
    case 'shade':
      return { ...withSite(job, { shade: true, sunWm2: 0, panelC: null }), readings: {} };
    case 'hour':
      return atHour(job, change.hour);
    case 'cool-panels':
      return { ...withSite(job, { panelC: change.panelC }), readings: {} };
    case 'warm-liquid':
      return withSite(job, { liquidC: change.liquidC });
    case 'power':
      return withSite(job, { power: true });
    case 'gear':
      return withGear(job, change.gear);
    case 'steps':
      return withSite(job, { steps: true });
    case 'cup':
      return withHabits(job, { soakedSides: 8 });
    case 'guarded-bucket':
      return withHabits(job, { bucket: 'one-guarded' });
    case 'second-person':
      return withSite(job, { workers: 2 });
    case 'capture':
      return withSite(job, { runoff: 'captured', captureL: change.litres });
    case 'water':
      return withSite(job, { waterL: change.litres });
    case 'minutes':
      return withSite(job, { minutes: change.minutes });
    case 'towels':
      return withTowels(job, change.role, change.clean);
    case 'level':
      return withLevel(job, change.zone, change.level);
    case 'leave':
      return leaving(job, change.zones);
  }
}

const without = <T extends object>(record: T, key: keyof T): T => {
  const { [key]: _gone, ...rest } = record;
  return rest as T;
};
