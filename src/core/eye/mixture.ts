/** One of several normal distributions of a logarithm, with how much it counts. */
export interface Part {
  readonly share: number;
  readonly log: number;
  readonly sd: number;
}

/** Abramowitz and Stegun 7.1.26, right to 1.5e-7. */
function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return z < 0 ? tail / 2 : 1 - tail / 2;
}

/** Quantile of a mixture of normals, by halving. */
function quantileOfMix(parts: readonly Part[], share: number): number {
  const sum = parts.reduce((total, one) => total + one.share, 0);
  let low = Math.min(...parts.map(({ log, sd }) => log - 6 * sd));
  let high = Math.max(...parts.map(({ log, sd }) => log + 6 * sd));
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    const below = parts.reduce((total, one) => total + (one.share / sum) * normalBelow((middle - one.log) / one.sd), 0);
    if (below < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What eight in ten lie between, with the median, of a figure whose logarithm is so distributed. */
export const eightOfTen = (parts: readonly Part[]): readonly [low: number, middle: number, high: number] => [
  Math.exp(quantileOfMix(parts, 0.1)),
  Math.exp(quantileOfMix(parts, 0.5)),
  Math.exp(quantileOfMix(parts, 0.9)),
];
