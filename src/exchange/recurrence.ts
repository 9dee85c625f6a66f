import ICAL from 'ical.js';

/** Why an event, or some of it, is left out of what a calendar takes. */
export type LeftOut =
  /** It could not be understood. */
  | 'unclear'
  /** It comes by the hour or more often: that is no time that somebody is away. */
  | 'too-often'
  /** It comes so often, or so far apart, that nobody can look at all of it. */
  | 'too-many';

/** Something of a calendar that goes beyond what is looked at. */
export class Beyond extends Error {
  constructor(readonly why: LeftOut) {
    super(why);
  }
}

/** So many times of one event, and of all events of a file, are looked at; a look takes about 50 µs. */
const MOST_LOOKS_OF_EVENT = 6000;
const MOST_LOOKS = 60_000;
/** After so long what is left of a file is left out, whatever it is that takes so long, ms. */
const MOST_MS = 2500;
/** Times that are added to a rule, or taken from it, one by one. */
const MOST_SINGLE = 2000;
/** More apart than that, in days, weeks, months or years, only the first time matters. */
const MOST_INTERVAL = 1000;
const MOST_ZONE_RULES = 20;
const OFTEN = ['HOURLY', 'MINUTELY', 'SECONDLY'];

/** Times that may still be looked at. */
export class Looks {
  private left = MOST_LOOKS;
  private readonly until = performance.now() + MOST_MS;

  /** @throws Beyond when the file has had its time */
  begin(): void {
    if (performance.now() > this.until) throw new Beyond('too-many');
  }

  /** @throws Beyond when the file, or this event, has had its share */
  takeFor(ofEvent: { count: number }): void {
    if (this.left-- <= 0 || ofEvent.count++ >= MOST_LOOKS_OF_EVENT) throw new Beyond('too-many');
  }
}

function rulesOf(component: ICAL.Component): readonly ICAL.Recur[] {
  return component.getAllProperties('rrule').map((property) => property.getFirstValue() as ICAL.Recur);
}

/** @throws Beyond for a rule that is not looked at */
function checked(rule: ICAL.Recur): void {
  if (OFTEN.includes(rule.freq)) throw new Beyond('too-often');
  if (rule.interval > MOST_INTERVAL) throw new Beyond('too-many');
}

/** The library looks for the first time of a yearly rule for thousands of years, unless the rule ends. */
function endedBy(rule: ICAL.Recur, last: ICAL.Time): void {
  if (!rule.until && rule.count === null) rule.until = last;
}

/** No zone is told further ahead. */
const LAST_ZONE_CHANGE = ICAL.Time.fromJSDate(new Date(Date.UTC(2200, 0, 1)), true);

/** Zones change by rules of years; those of others are not looked at. */
export function isSoundZone(zone: ICAL.Component): boolean {
  const rules = zone.getAllSubcomponents().flatMap(rulesOf);
  rules.forEach((rule) => endedBy(rule, LAST_ZONE_CHANGE));
  return (
    rules.length <= MOST_ZONE_RULES &&
    rules.every(({ freq, interval }) => freq === 'YEARLY' && interval <= MOST_INTERVAL)
  );
}

const PERIOD_DAYS: Readonly<Record<string, number>> = { DAILY: 1, WEEKLY: 7 };
const DAY_S = 86_400;

/** The same wall clock so many whole periods later, shortly before the span: what began long ago is not gone through day by day. */
function nearStart(start: ICAL.Time, rules: readonly ICAL.Recur[], first: ICAL.Time): ICAL.Time {
  const [rule] = rules;
  const period = rule && PERIOD_DAYS[rule.freq];
  const isPlain = rules.length === 1 && rule!.count === null && !rule!.parts['BYSETPOS'] && !rule!.parts['BYWEEKNO'];
  if (!period || !isPlain) return start;
  const step = period * rule.interval;
  const periods = Math.floor((first.toUnixTime() - start.toUnixTime()) / DAY_S / step) - 1;
  if (periods <= 0) return start;
  const later = start.clone();
  later.adjust(periods * step, 0, 0, 0, 0);
  return later;
}

/** The iterators of a rule, as far as this needs to know them. */
interface RuleIterator {
  check_contracting_rules(): boolean;
}

/**
 * The times at which an event comes, from about `first` on and until `last`. A rule that never comes true would be gone through for ever by the library:
 * each time that it looks at is counted.
 * @throws Beyond
 */
export function* timesFrom(event: ICAL.Event, first: ICAL.Time, last: ICAL.Time, looks: Looks): Generator<ICAL.Time> {
  const rules = rulesOf(event.component);
  if (
    event.component.getAllProperties('exdate').length + event.component.getAllProperties('rdate').length >
    MOST_SINGLE
  )
    throw new Beyond('too-many');
  rules.forEach(checked);
  rules.forEach((rule) => endedBy(rule, last));
  const ofEvent = { count: 0 };
  const times = new ICAL.RecurExpansion({
    component: event.component,
    dtstart: nearStart(event.startDate, rules, first),
  });
  for (const iterator of (times as unknown as { readonly ruleIterators: readonly RuleIterator[] }).ruleIterators) {
    const isLet = iterator.check_contracting_rules.bind(iterator);
    iterator.check_contracting_rules = () => {
      looks.takeFor(ofEvent);
      return isLet();
    };
  }
  for (;;) {
    const next = times.next();
    if (!next) return;
    looks.takeFor(ofEvent);
    yield next;
  }
}
