import type { ForeignSpan } from '@esmero/transfer';
import { type Day, dayAfter } from '@esmero/units';

const YEAR_DAYS = 365;
const DAY_MS = 86_400_000;
const HOUR_MIN = 60;

/** A year from a day, with where this browser’s clock stands against universal time on each of its days. */
export function spanFrom(from: Day): ForeignSpan {
  const start = Date.parse(`${from}T00:00:00Z`);
  const offsets = Array.from({ length: YEAR_DAYS + 4 }, (_, i) => {
    const at = start + (i - 2) * DAY_MS;
    return { from: at, hours: -new Date(at).getTimezoneOffset() / HOUR_MIN };
  });
  const changes = offsets.filter(({ hours }, i) => i === 0 || hours !== offsets[i - 1]?.hours);
  return { from, until: dayAfter(from, YEAR_DAYS), offsets: changes };
}
