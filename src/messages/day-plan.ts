import type { DayChances, DayChange, StockKind } from '@esmero/core';
import { worded } from './english';
import { type Units, clockText, fixed, hourText, percent } from './units';

/** "4 h 10 min". */
export const spanText = (minutes: number): string =>
  minutes < 60 ? `${fixed(minutes)} min` : `${Math.floor(Math.round(minutes) / 60)} h ${Math.round(minutes) % 60} min`;

/** Beside the line of a stock. */
export const stockLineName: Readonly<Record<StockKind, string>> = {
  water: 'Tank',
  drain: 'Dirty tank',
  battery: 'Battery',
  wash: 'Wash towels',
  finish: 'Buffing towels',
  drying: 'Drying towels',
  glass: 'Glass towels',
  wheels: 'Wheel towels',
};

/** "12 of 60 L", "3 of 20". */
export function stockLeftText(kind: StockKind, left: number, begin: number, u: Units): string {
  const { show, unit } = u.edit.water;
  if (kind === 'water' || kind === 'drain') return `${fixed(show(left))} of ${fixed(show(begin))} ${unit}`;
  return `${fixed(left)} of ${fixed(begin)}${kind === 'battery' ? ' min' : ''}`;
}

/** A day of stops. */
export const dayPlanText = worded({
  break: 'Break',
  pictureOf: 'The day',
  bar: (name: string, beginMin: number, endMin: number, lateMin: number): string =>
    `${name}, ${clockText(beginMin)} to ${clockText(endMin)}${lateMin >= 1 ? `, ${fixed(lateMin)} min late` : ''}`,
  map: (marks: readonly string[], km: number, u: Units): string =>
    `Places to scale, at most ${u.distance(km)} from the start. ${marks.join('; ')}`,
  none: 'Nothing is planned for this day.',
  noneToDo: 'Give a job this date and it appears here with its time.',
  noMend: 'No fix found.',
  noPlan: (why: string): string => `The day could not be planned: ${why}`,
  past: (min: number): string => `${spanText(min)} past the end`,
  cannot: (name: string): string => `${name}: cannot be done at any time that day`,
  cannotWhy: 'Open it to see why, or give it another day.',
  ownOrder: (more: number): string =>
    more < 0.5
      ? 'Your order costs no more than the best one.'
      : `Your order costs ${fixed(more)} min more than the best one, including lateness.`,
  mayBeLess: (share: number): string =>
    `With this many stops the order is approximate: another one may cost up to ${percent(share)} less.`,
  leaveBy: (min: number): string => `Leave by ${clockText(min)}`,
  begin: (min: number): string => `Begin at ${clockText(min)}`,
  takes: (minutes: number): string => `takes ${spanText(minutes)}`,
  by: (place: string, gives: string): string => `By ${place}: ${gives}`,
  waits: (minutes: number): string => `${fixed(minutes)} min to spare before it`,
  slack: (minutes: number): string => (minutes < 1 ? 'No slack' : `May take ${fixed(minutes)} min longer`),
  between: (from: string, until: string): string => `To be begun from ${from} to ${until}`,
  late: (minutes: number): string => `${fixed(minutes)} min late`,
  doneAt: (min: number): string => `Done at ${clockText(min)}`,
  carried: (what: string): string => `${what} left from the last car is enough here`,
  inTime: ({ inTime }: DayChances, endHour: number): string =>
    `Done by ${hourText(endHour)} on ${percent(inTime)} of such days.`,
  endCarry: ({ confidence, endMin }: DayChances): string =>
    `${percent(confidence)} likely by ${clockText(endMin.carry)}; typically ${clockText(endMin.median)}.`,
  tightest: (name: string, minutes: number): string =>
    minutes < 1 ? `No slack at ${name}.` : `Least slack at ${name}: ${fixed(minutes)} min.`,
  carry: (confidence: number): string =>
    `Enough on ${percent(confidence)} of such days. The plan itself needs the amounts in brackets.`,
  change: (change: DayChange, name: string): string =>
    change.code === 'leave'
      ? `${name} to the next day`
      : change.code === 'restock'
        ? 'Filled up on the way'
        : 'More is carried',
  jobs: (count: number): string => (count === 1 ? 'One job' : `${count} jobs`),
  over: (count: number): string =>
    `The hours of this day are over, with ${count === 1 ? 'one job' : `${count} jobs`} left.`,
  moved: (name: string, day: string): string => `${name} moved to ${day}`,
  window: (name: string): string => `Hours of ${name}`,
  order: 'The order',
  done: (name: string): string => `${name} done`,
  rain: 'Rain',
  hours: 'Hours of the day',
  taken: 'Taken',
  free: (name: string): string => `${name} taken out`,
  way: 'Minutes of a way',
  pack: 'What is packed',
  refill: (tank: string): string => `The tank holds ${tank}: fill up on the way.`,
  clean: (count: number): string => `Only ${fixed(count)} are clean.`,
  brought: (ways: number, faults: number): string =>
    ways === 0 && faults === 0
      ? 'No ways were found in it: it needs the columns from, to and minutes.'
      : `${ways === 1 ? 'One way' : `${ways} ways`} taken over.${faults > 0 ? ' Left out:' : ''}`,
  roads: 'Straight lines by the van’s own figures. Enter a better time if you know one; it applies both ways.',
  noForecast: 'The weather could not be fetched. Type the hour.',
  staysDry: 'It stays dry.',
  rainFrom: (hour: number): string => `Rain from ${hourText(hour)}.`,
  rainHint: 'Cars in the open are then done before it, or not on this day.',
});
