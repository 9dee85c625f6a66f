/** What is known of a factor before any job: as good as so many jobs at 1. */
const PRIOR_JOBS = 2;
/** Usage is right to about a fifth, before any job. */
const USAGE_SPREAD = 1.2;
/** And how sure that is, in jobs. */
const SPREAD_JOBS = 3;
/** Nine tenths of a normal distribution lie below so many deviations: eight of ten within. */
const Z = 1.2815515655446004;

/** A factor with the range in which eight of ten next jobs should lie. */
export interface Estimate {
  readonly jobs: number;
  readonly factor: number;
  readonly low: number;
  readonly high: number;
}

/** Quantile of Student’s t at nine tenths (Abramowitz and Stegun 26.7.5); to two thousandths from three degrees on. */
function tenthFromTop(degrees: number): number {
  const z2 = Z * Z;
  return (
    Z +
    (Z * (z2 + 1)) / (4 * degrees) +
    (Z * ((5 * z2 + 16) * z2 + 3)) / (96 * degrees ** 2) +
    (Z * (((3 * z2 + 19) * z2 + 17) * z2 - 15)) / (384 * degrees ** 3)
  );
}

/**
 * Estimates a factor from the ratios of used to planned, one a job, by the conjugate of a lognormal
 * with unknown mean and spread; shrunk to 1 by a prior worth two jobs. The spread
 * is learned with it, so that the range holds for a steady hand and for an unsteady one.
 * @param spread factor within which one job is about right, before any job
 */
export function estimate(ratios: readonly number[], spread = USAGE_SPREAD): Estimate {
  const logs = ratios.map(Math.log);
  const jobs = logs.length;
  const mean = jobs > 0 ? logs.reduce((sum, one) => sum + one, 0) / jobs : 0;
  const about = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  const weight = PRIOR_JOBS + jobs;
  const centre = (jobs * mean) / weight;
  // So that the range before any job is that of this spread.
  const usual = (Z * Math.log(spread)) / tenthFromTop(SPREAD_JOBS);
  const squares = SPREAD_JOBS * usual ** 2 + about + (PRIOR_JOBS * jobs * mean ** 2) / weight;
  const degrees = SPREAD_JOBS + jobs;
  const reach = tenthFromTop(degrees) * Math.sqrt((squares / degrees) * (1 + 1 / weight));
  return { jobs, factor: Math.exp(centre), low: Math.exp(centre - reach), high: Math.exp(centre + reach) };
}
