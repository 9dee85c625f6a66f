import type { JobBrief } from '../model';
import { type Month, monthOf } from '../units';
import { logOf } from './log';

/** A month of washing: water as it was counted. */
export interface WaterMonth {
  readonly month: Month;
  readonly washes: number;
  /** Washes of which the water was counted. */
  readonly counted: number;
  readonly waterL: number;
  /** Off the cars onto the ground, where that is allowed. */
  readonly runoffL: number;
  /** Caught on a mat and taken away. */
  readonly caughtL: number;
}

const MONTHS = 12;

/** Water and waste of a year, month by month; months without a wash are there, too. */
export function waterOfYear(jobs: readonly JobBrief[], year: number): readonly WaterMonth[] {
  const log = logOf(jobs).filter(({ run }) => run !== null);
  return Array.from({ length: MONTHS }, (_, i): WaterMonth => {
    const month = `${year}-${String(i + 1).padStart(2, '0')}`;
    const washes = log.filter(({ day }) => monthOf(day) === month);
    const counted = washes.flatMap(({ job, used }) =>
      used?.waterL == null
        ? []
        : [{ waterL: used.waterL, offL: used.runoffL ?? 0, isCaught: job.site.runoff === 'captured' }],
    );
    const sum = (of: (one: (typeof counted)[number]) => number): number =>
      counted.reduce((all, one) => all + of(one), 0);
    return {
      month,
      washes: washes.length,
      counted: counted.length,
      waterL: sum(({ waterL }) => waterL),
      runoffL: sum(({ offL, isCaught }) => (isCaught ? 0 : offL)),
      caughtL: sum(({ offL, isCaught }) => (isCaught ? offL : 0)),
    };
  });
}
