import type { Run } from '../model';

/** Nobody stands beside a car for so long without noting anything: the clock was set, or the run forgotten (judged). */
const LONGEST_GAP_MS = 6 * 3_600_000;

/**
 * How long a run took until a time, in milliseconds: from one thing noted to the next. Where the clock
 * was set back, or far ahead, that step counts as nothing, so it is never negative nor years.
 * @param until the time now, or when the run ended; milliseconds since 1970
 */
export function elapsedMs({ startedAt, events }: Pick<Run, 'startedAt' | 'events'>, until: number): number {
  // What was wetted ahead is noted afterwards, with the time at which it should have been.
  const times = [startedAt, ...events.flatMap(({ kind, at }) => (kind === 'wet' ? [] : [at])), until];
  return times.slice(1).reduce((sum, at, i) => {
    const gap = at - times[i]!;
    return gap > 0 && gap <= LONGEST_GAP_MS ? sum + gap : sum;
  }, 0);
}
