/** Grit by grain class, g. */
export type Grit = Float64Array;

export const gramsOf = (grit: Grit): number => {
  let total = 0;
  for (const grams of grit) total += grams;
  return total;
};

/** What a medium is: how much liquid hangs in it, and which grit. */
export interface Medium {
  litres: number;
  readonly grit: Grit;
}

/** How a bucket is worked in. */
export interface Dipping {
  /** Share of the medium's grit that comes off it. */
  readonly releases: number;
  /** Share of what has settled that a dip stirs up. */
  readonly stirs: number;
  /** Liquid that the medium leaves with, L. */
  readonly leavesL: number;
}

/** A bucket of water with grit in it, suspended and settled, by grain class. */
export class Bucket {
  readonly suspended: Grit;
  readonly settled: Grit;
  private seconds = 0;

  /** @param acrossM width inside */
  constructor(
    public litres: number,
    private readonly sinksMs: Float64Array,
    private readonly acrossM: number,
  ) {
    this.suspended = new Float64Array(sinksMs.length);
    this.settled = new Float64Array(sinksMs.length);
  }

  /** Depth of the water, m. */
  get depthM(): number {
    return this.litres / 1000 / ((Math.PI / 4) * this.acrossM * this.acrossM);
  }

  /** Grit sinks as if the water above were always mixed: what is suspended falls off exponentially. */
  settleUntil(seconds: number): void {
    const passed = Math.max(0, seconds - this.seconds);
    this.seconds = Math.max(this.seconds, seconds);
    for (let k = 0; k < this.sinksMs.length; k++) {
      const sinks = this.suspended[k]! * (1 - Math.exp((-this.sinksMs[k]! * passed) / this.depthM));
      this.suspended[k]! -= sinks;
      this.settled[k]! += sinks;
    }
  }

  /**
   * Dips the medium: stirs up, takes grit off it, and lets it go with as much of the water, and what
   * is suspended in that, as it is to hold. No grit and no water is lost.
   */
  dip(medium: Medium, { releases, stirs, leavesL }: Dipping): void {
    const whole = this.litres + medium.litres;
    const takes = Math.min(leavesL, whole);
    const share = whole > 0 ? takes / whole : 0;
    for (let k = 0; k < this.suspended.length; k++) {
      const up = this.settled[k]! * stirs;
      const off = medium.grit[k]! * releases;
      const afloat = this.suspended[k]! + up + off;
      this.settled[k]! -= up;
      this.suspended[k] = afloat * (1 - share);
      medium.grit[k] = medium.grit[k]! - off + afloat * share;
    }
    this.litres = whole - takes;
    medium.litres = takes;
  }
}
