/**
 * Seconds between the acts on one part of a zone: as a clock has them or, while there is no clock yet, as labels and
 * habits would have them.
 */
export interface Waits {
  /** From the end of the pre-rinse to what comes onto the panel next. */
  readonly rinsedS: number;
  /** From the spray to the hand. */
  readonly soakS: number;
  /** From the hand until a towel has finished it, on the mean of the part. */
  readonly handS: number;
  /** From the rinse of the wash to the drying. */
  readonly offS: number;
}
