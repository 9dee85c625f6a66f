import type { Assumptions } from '../assumptions';
import type { Option } from '../rules';
import { kitsFor } from '../rules';

/** A zone that is rinsed, or a part of it. */
interface Rinsed {
  readonly option: Option;
  readonly share: number;
}

/** What a pump sprayer holds as it is rinsed with: every time it is empty it is filled again, which takes its time. */
export class Tank {
  private leftMl: number;

  /**
   * @param holdsMl a filling; Infinity where water does not come out of a tank
   * @param laidMl rinsed with before
   */
  constructor(
    private readonly holdsMl: number,
    private readonly a: Assumptions,
    laidMl = 0,
  ) {
    this.leftMl = holdsMl === Infinity ? holdsMl : holdsMl - ((laidMl * a.wasteFactor) % holdsMl);
  }

  /** Seconds of filling before so much is rinsed. */
  refillS(rinsed: readonly Rinsed[]): number {
    let seconds = 0;
    for (const { option, share } of rinsed) {
      if (option.laidMl.water <= 0) continue;
      this.leftMl -= option.laidMl.water * share * this.a.wasteFactor;
      while (this.leftMl < -1e-6) {
        this.leftMl += this.holdsMl;
        seconds += kitsFor(option.treatment).includes('heater') ? this.a.refillHotS : this.a.refillS;
      }
    }
    return seconds;
  }
}
