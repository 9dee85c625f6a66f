import { randomLcg, randomNormal } from 'd3-random';

/** Random figures that come out the same for the same seed. */
export interface Draws {
  /** A factor about 1: lognormal with the median 1 and this standard deviation of its logarithm. */
  factor(spread: number): number;
}

export function draws(seed: number): Draws {
  const normal = randomNormal.source(randomLcg(seed))(0, 1);
  return { factor: (spread) => Math.exp(spread * normal()) };
}
