import { assumptionTable } from '../assumptions';
import type { Job, Try } from '../model';

/** What somebody's eye makes of soil: a load that it gives, times `factor` to the power of `power`, is what is there. */
export interface EyeCurve {
  readonly tries: number;
  readonly factor: number;
  readonly power: number;
  /** Right within this factor once bias is taken out. */
  readonly spread: number;
  /** Before: what it is right within as it is. */
  readonly plainSpread: number;
}

/** Figures of a plan that an eye has a say in. */
const keys = ['eyeFactor', 'eyePower', 'spreadSeen'] as const;

/** What is known before any try, in tries. */
const PRIOR_TRIES = 12;

const within = (key: (typeof keys)[number], value: number): number =>
  Math.min(assumptionTable[key].max, Math.max(assumptionTable[key].min, value));

/** From the tries of one person, shrunk to an even eye. */
export function eyeCurve(tries: readonly Try[]): EyeCurve {
  const pairs = tries
    .filter(({ truth, answer }) => truth > 0 && answer > 0)
    .map(({ truth, answer }): readonly [number, number] => [Math.log(answer), Math.log(truth)]);
  const n = pairs.length;
  const prior = Math.log(assumptionTable.spreadSeen.value);
  const mean = (which: 0 | 1): number => (n > 0 ? pairs.reduce((sum, pair) => sum + pair[which], 0) / n : 0);
  const [x, y] = [mean(0), mean(1)];
  const [sxx, sxy] = pairs.reduce(([xx, xy], [p, q]) => [xx + (p - x) ** 2, xy + (p - x) * (q - y)], [0, 0]);
  // A slope of 1 is as good as so many tries spread over the scale.
  const power = (sxy + PRIOR_TRIES) / (sxx + PRIOR_TRIES);
  const shift = ((y - power * x) * n) / (n + PRIOR_TRIES);
  const squares = pairs.reduce((sum, [p, q]) => sum + (q - shift - power * p) ** 2, 0);
  const plain = pairs.reduce((sum, [p, q]) => sum + (q - p) ** 2, 0);
  const spread = (sum: number): number => Math.exp(Math.sqrt((PRIOR_TRIES * prior ** 2 + sum) / (PRIOR_TRIES + n)));
  return {
    tries: n,
    factor: within('eyeFactor', Math.exp(shift)),
    power: within('eyePower', power),
    spread: within('spreadSeen', spread(squares)),
    plainSpread: spread(plain),
  };
}

/** The job planned by somebody's own eye, as figures of its own. */
export const withEye = (job: Job, { factor, power, spread }: EyeCurve): Job => ({
  ...job,
  choices: {
    ...job.choices,
    assumptions: { ...job.choices.assumptions, eyeFactor: factor, eyePower: power, spreadSeen: spread },
  },
});

export function withoutEye(job: Job): Job {
  const kept = Object.entries(job.choices.assumptions).filter(([key]) => !(keys as readonly string[]).includes(key));
  return { ...job, choices: { ...job.choices, assumptions: Object.fromEntries(kept) } };
}

export const usesEye = ({ choices: { assumptions } }: Job): boolean =>
  keys.some((key) => assumptions[key] !== undefined);
