import { type AssumptionKey, assumptionTable, resolveAssumptions } from '../assumptions';
import { elapsedMs } from '../execution';
import {
  type Job,
  type JobBrief,
  type MixPurpose,
  type Run,
  type RunUse,
  type PacedAct,
  type TowelRole,
  usedIn,
} from '../model';
import { type Estimate, estimate } from './estimate';
import { type Whose, isSameClient, nobodys } from './whose';

/** What is learned of: liquid by mix, towels by role, the clock, seconds by act; and how fast one client’s cars get dirty. */
export type Lesson = `ml.${MixPurpose}` | `towels.${TowelRole}` | 'minutes' | `pace.${PacedAct}` | 'soil';

export interface Learned extends Estimate {
  readonly lesson: Lesson;
}

type Sample = readonly [Lesson, number];

const MINUTE_MS = 60_000;

/** By how much hands took longer than planned; set-up, packing, walks and waits take as long for everybody. */
const handRatio = ({ plannedMin, handMin = plannedMin }: RunUse, tookMin: number): number =>
  1 + (tookMin - plannedMin) / handMin;

/** Used over planned, for all that a counted run tells of; one that was broken off tells only of the pace. */
export function ratiosOf(run: Run): readonly Sample[] {
  const [used, { endedAt }] = [usedIn(run), run];
  if (!used || endedAt === null) return [];
  const paces = used.paces.map(({ act, plannedS, tookS }): Sample => [`pace.${act}`, tookS / plannedS]);
  const whole = (): readonly Sample[] => [
    ...used.mixes.map(({ purpose, plannedMl, usedMl }): Sample => [`ml.${purpose}`, usedMl / plannedMl]),
    ...used.towels.map(({ role, planned, opened }): Sample => [`towels.${role}`, opened / planned]),
    ['minutes', handRatio(used, elapsedMs(run, endedAt) / MINUTE_MS)],
  ];
  // Nothing planned or nothing used is no measure of a habit.
  return [...paces, ...(used.doneShare < 1 ? [] : whole())].filter(([, ratio]) => ratio > 0 && Number.isFinite(ratio));
}

/** A plan that went by what was learned before was off by less than our own figures are. */
const againstOurs = ({ choices: { assumptions } }: JobBrief, [lesson, ratio]: Sample): Sample => {
  const { keys, power } = about[lesson] ?? { keys: [], power: 1 };
  let log = 0;
  for (const key of keys) {
    const own = assumptions[key];
    if (own !== undefined) log += Math.log(own / assumptionTable[key].value) / keys.length;
  }
  return [lesson, ratio * Math.exp(power * log)];
};

/** Runs that are over do not change: what each of thousands tells is worked out once. */
const told = new WeakMap<JobBrief, readonly Sample[]>();

function samplesOf(job: JobBrief, run: Run): readonly Sample[] {
  const known = told.get(job) ?? ratiosOf(run).map((sample) => againstOurs(job, sample));
  told.set(job, known);
  return known;
}

/**
 * What counted runs teach about this hand, in whatever order they come, always against our own
 * figures; and about the soil of one client’s cars.
 */
export function learn(jobs: readonly JobBrief[], whose: Whose = nobodys): readonly Learned[] {
  const samples = new Map<Lesson, number[]>();
  const put = (lesson: Lesson, ratio: number): void => {
    const sample = samples.get(lesson);
    if (sample) sample.push(ratio);
    else samples.set(lesson, [ratio]);
  };
  for (const job of jobs) {
    if (!job.run) continue;
    for (const sample of samplesOf(job, job.run)) put(...sample);
    const soil = isSameClient(whose, job) ? usedIn(job.run)?.soil : null;
    if (soil && soil.seenG > 0 && soil.forecastG > 0) put('soil', soil.seenG / soil.forecastG);
  }
  const { spreadForecast } = resolveAssumptions({});
  return [...samples].map(([lesson, ratios]) => ({
    lesson,
    ...estimate(ratios, lesson === 'soil' ? spreadForecast : undefined),
  }));
}

/** Figures that a lesson is about, all that it is proportional to: more liquid, more time; or less that a side takes. What comes later is the more exact. */
const about: Readonly<Partial<Record<Lesson, { readonly keys: readonly AssumptionKey[]; readonly power: 1 | -1 }>>> = {
  'ml.waterless': { keys: ['waterlessFilmBase', 'waterlessFilmPerLoad'], power: 1 },
  'ml.presoak': { keys: ['presoakFilm'], power: 1 },
  // Towels are wetted out of the same bucket.
  'ml.wash': { keys: ['wrungFilm', 'towelPresoakMl', 'towelRewetMl'], power: 1 },
  'ml.glass': { keys: ['glassFilm'], power: 1 },
  'towels.wash': { keys: ['sideDirt', 'sideAreaLight', 'sideAreaMiddle', 'sideAreaHeavy'], power: -1 },
  'towels.finish': { keys: ['finishShare'], power: -1 },
  'towels.drying': { keys: ['dryingShare'], power: -1 },
  soil: { keys: ['soilPace'], power: 1 },
  minutes: {
    keys: [
      'rateTriggerSpray',
      'ratePumpSpray',
      'rateFoam',
      'rinsePace',
      'rateWipeBase',
      'rateWipePerLoad',
      'rateFinish',
      'rateWash',
      'rateDry',
      'rateGlassFinish',
      'wheelLight',
      'wheelHeavy',
      'shutSeconds',
    ],
    power: 1,
  },
  'pace.flush': { keys: ['rinsePace'], power: 1 },
  'pace.wet': { keys: ['rateTriggerSpray', 'ratePumpSpray', 'rateFoam'], power: 1 },
  // A panel is dried with its wipe, unless the whole body is dried later.
  'pace.wipe': {
    keys: [
      'rateWipeBase',
      'rateWipePerLoad',
      'rateFinish',
      'rateWash',
      'rateDry',
      'wheelLight',
      'wheelHeavy',
      'shutSeconds',
    ],
    power: 1,
  },
  'pace.dry': { keys: ['rateDry'], power: 1 },
  'pace.glass': { keys: ['rateGlassFinish'], power: 1 },
  'pace.before': { keys: ['arriving', 'lookSeconds'], power: 1 },
  'pace.after': { keys: ['packing', 'emptying', 'secondLook'], power: 1 },
};

/** Lessons that a plan can make use of. */
export const isUseful = ({ lesson }: Learned): boolean => about[lesson] !== undefined;

/** The job planned with what has been learned, as figures of its own; those can be set back one by one. */
export function withLearned(job: Job, learned: readonly Learned[]): Job {
  const assumptions = { ...job.choices.assumptions };
  for (const [of, { keys, power }] of Object.entries(about)) {
    const factor = learned.find(({ lesson }) => lesson === of)?.factor;
    if (factor === undefined) continue;
    for (const key of keys) {
      const { value, min, max } = assumptionTable[key];
      assumptions[key] = Math.min(max, Math.max(min, value * factor ** power));
    }
  }
  return { ...job, choices: { ...job.choices, assumptions } };
}

/** The job as if nothing had been learned. */
export function withoutLearned(job: Job): Job {
  const taught = new Set(Object.values(about).flatMap(({ keys }) => keys));
  const kept = Object.entries(job.choices.assumptions).filter(([key]) => !taught.has(key as AssumptionKey));
  return { ...job, choices: { ...job.choices, assumptions: Object.fromEntries(kept) } };
}
