/** Value below which this share of the sample lies; between two of the sample in proportion. */
export function quantile(sample: readonly number[], share: number): number {
  const sorted = [...sample].sort((p, q) => p - q);
  const at = (sorted.length - 1) * share;
  const [low, high] = [Math.floor(at), Math.ceil(at)];
  return sorted[low]! + (sorted[high]! - sorted[low]!) * (at - low);
}

/** Middle and edges of a sample: eight of ten lie between low and high. */
export interface Spread {
  readonly low: number;
  readonly median: number;
  readonly high: number;
}

export const spreadOf = (sample: readonly number[]): Spread => ({
  low: quantile(sample, 0.1),
  median: quantile(sample, 0.5),
  high: quantile(sample, 0.9),
});
