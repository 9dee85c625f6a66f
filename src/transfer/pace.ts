/** Longest that work goes on before it lets other messages in, ms. */
const SLICE_MS = 30;

/** Told now and then which share is done, 0 to 1. */
export type Progress = (share: number) => void;

/** Somebody called it off. */
export class Stopped extends Error {}

/** Long work in slices: tells how far it is, and ends with {@link Stopped} once it is called off. */
export class Pace {
  private since = performance.now();
  private stopped = false;

  constructor(private readonly progress: Progress) {}

  stop(): void {
    this.stopped = true;
  }

  async at(share: number): Promise<void> {
    if (this.stopped) throw new Stopped();
    if (performance.now() - this.since < SLICE_MS) return;
    this.progress(Math.min(1, share));
    await new Promise((resolve) => setTimeout(resolve, 0));
    this.since = performance.now();
    if (this.stopped) throw new Stopped();
  }
}
