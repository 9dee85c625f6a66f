import { type AssumptionKey, assumptionTable } from '../assumptions';
import { type Job, type MixPurpose, type Run, type TowelRole, usedIn } from '../model';
import { type Estimate, estimate } from './estimate';

/** What is learned of: liquid by mix, towels by role, and pace. */
export type Lesson = `ml.${MixPurpose}` | `towels.${TowelRole}` | 'minutes';

export interface Learned extends Estimate {
  readonly lesson: Lesson;
}

const MINUTE_MS = 60_000;

/** Used over planned, for all that a counted run tells of; one that was broken off tells nothing. */
export function ratiosOf(run: Run): readonly (readonly [Lesson, number])[] {
  const [used, { startedAt, endedAt }] = [usedIn(run), run];
  if (!used || endedAt === null || used.doneShare < 1) return [];
  const ratios: [Lesson, number][] = [
    ...used.mixes.map(({ purpose, plannedMl, usedMl }): [Lesson, number] => [`ml.${purpose}`, usedMl / plannedMl]),
    ...used.towels.map(({ role, planned, opened }): [Lesson, number] => [`towels.${role}`, opened / planned]),
    ['minutes', (endedAt - startedAt) / MINUTE_MS / used.plannedMin],
  ];
  // Nothing planned or nothing used is no measure of a habit.
  return ratios.filter(([, ratio]) => ratio > 0 && Number.isFinite(ratio));
}

/** What counted runs teach about this hand, in whatever order they come. */
export function learn(runs: readonly Run[]): readonly Learned[] {
  const samples = new Map<Lesson, number[]>();
  for (const run of runs)
    for (const [lesson, ratio] of ratiosOf(run)) {
      const sample = samples.get(lesson);
      if (sample) sample.push(ratio);
      else samples.set(lesson, [ratio]);
    }
  return [...samples].map(([lesson, ratios]) => ({ lesson, ...estimate(ratios) }));
}

/** Figures that a lesson is about: more liquid, more time; or less that a side takes. */
const about: Readonly<Partial<Record<Lesson, { readonly keys: readonly AssumptionKey[]; readonly power: 1 | -1 }>>> = {
  'ml.waterless': { keys: ['waterlessFilmBase', 'waterlessFilmPerLoad'], power: 1 },
  'ml.presoak': { keys: ['presoakFilm'], power: 1 },
  'ml.wash': { keys: ['wrungFilm'], power: 1 },
  'ml.glass': { keys: ['glassFilm'], power: 1 },
  'towels.wash': { keys: ['sideDirt', 'sideAreaLight', 'sideAreaMiddle', 'sideAreaHeavy'], power: -1 },
  'towels.finish': { keys: ['finishShare'], power: -1 },
  'towels.drying': { keys: ['dryingShare'], power: -1 },
  minutes: {
    keys: ['rateTriggerSpray', 'ratePumpSpray', 'rateFoam', 'rateFlush', 'rateWipeBase', 'rateWipePerLoad', 'rateFinish', 'rateWash', 'rateDry', 'rateGlassFinish', 'wheelLight', 'wheelHeavy', 'shutSeconds'],
    power: 1,
  },
};

/** Lessons that a plan can make use of. */
export const isUseful = ({ lesson }: Learned): boolean => about[lesson] !== undefined;

/** The job planned with what has been learned, as figures of its own; those can be set back one by one. */
export function withLearned(job: Job, learned: readonly Learned[]): Job {
  const assumptions = { ...job.choices.assumptions };
  for (const { lesson, factor } of learned)
    for (const key of about[lesson]?.keys ?? []) {
      const { value, min, max } = assumptionTable[key];
      assumptions[key] = Math.min(max, Math.max(min, value * factor ** about[lesson]!.power));
    }
  return { ...job, choices: { ...job.choices, assumptions } };
}

/** The job as if nothing had been learned. */
export function withoutLearned(job: Job): Job {
  const taught = new Set(Object.values(about).flatMap(({ keys }) => keys));
  const kept = Object.entries(job.choices.assumptions).filter(([key]) => !taught.has(key as AssumptionKey));
  return { ...job, choices: { ...job.choices, assumptions: Object.fromEntries(kept) } };
}
