import type { Step } from './crew';

const EPSILON = 1e-6;

function last(steps: readonly Step[], of: (step: Step) => boolean): number {
  let at = steps.length - 1;
  while (at >= 0 && !of(steps[at]!)) at--;
  return at;
}

/** The spray that a wait lets dwell; none where it comes before that, until a panel has cooled or a sprayer is free. */
const sprayOf = (steps: readonly Step[], { zoneId, section, startS }: Step): number =>
  last(
    steps,
    (one) => one.kind === 'spray' && one.zoneId === zoneId && one.section === section && one.endS <= startS + EPSILON,
  );

/**
 * The steps without which nothing could be done sooner, as places in the list: from the last step
 * back to whatever it had to wait for, which is the spray where it waited for a dwell, and whoever
 * came last where all met. Steps in the list are in the order of their starts.
 */
export function criticalPath(steps: readonly Step[]): readonly number[] {
  const endsAt = (time: number, of: (step: Step) => boolean): number =>
    last(steps, (step) => of(step) && step.endS > step.startS && Math.abs(step.endS - time) < EPSILON);
  const path: number[] = [];
  let at = steps.reduce((latest, step, i) => (latest < 0 || step.endS >= steps[latest]!.endS ? i : latest), -1);
  while (at >= 0) {
    const step = steps[at]!;
    path.push(at);
    const dwelt = step.kind === 'wait' ? sprayOf(steps, step) : -1;
    const own = endsAt(step.startS, ({ worker }) => worker === step.worker);
    at = dwelt >= 0 ? dwelt : own >= 0 ? own : endsAt(step.startS, () => true);
  }
  return path.reverse();
}
