import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import ICAL from 'ical.js';
import icalGenerator, { ICalEventBusyStatus } from 'ical-generator';
import { finish } from '@esmero/core';
import type { Blocked, Spot } from '@esmero/model';
import { type Day, dayAfter, dayAt } from '@esmero/units';
import { refusalOfLines } from './content-lines';
import { Beyond, type LeftOut, Looks, isSoundZone, timesFrom } from './recurrence';

/** A stop of a calendar: a visit at an hour. Times are milliseconds since 1970. */
export interface CalendarStop {
  readonly jobId: string;
  readonly name: string;
  readonly note: string;
  readonly place: Pick<Spot, 'name' | 'latitudeDeg' | 'longitudeDeg'>;
  readonly beginAt: number;
  readonly endAt: number;
  /** When it was changed last. */
  readonly changedAt: number;
}

/** Days within which a car should be washed. */
export interface CalendarDue {
  readonly key: string;
  readonly name: string;
  readonly from: Day;
  /** The last day of it. */
  readonly until: Day;
}

const DOMAIN = 'esmero';
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

const uidOf = (kind: 'job' | 'due', id: string): string => `${kind}.${id}@${DOMAIN}`;

const midnight = (day: Day): Date => new Date(`${day}T00:00:00Z`);

/** Stops and days on which cars are due as a calendar that other programs read (iCalendar, RFC 5545). */
export function writeCalendar(stops: readonly CalendarStop[], dues: readonly CalendarDue[], stamp: number): string {
  const calendar = icalGenerator({ name: 'Esmero', prodId: { company: 'Esmero', product: 'Esmero' } });
  for (const { jobId, name, note, place, beginAt, endAt, changedAt } of stops) {
    calendar.createEvent({
      id: uidOf('job', jobId),
      stamp: new Date(stamp),
      lastModified: new Date(changedAt),
      start: new Date(beginAt),
      end: new Date(endAt),
      summary: name,
      description: note || null,
      location: { title: place.name, geo: { lat: place.latitudeDeg, lon: place.longitudeDeg } },
    });
  }
  for (const { key, name, from, until } of dues)
    calendar.createEvent({
      id: uidOf('due', key),
      stamp: new Date(stamp),
      start: midnight(from),
      end: midnight(dayAfter(until, 1)),
      allDay: true,
      timezone: 'UTC',
      busystatus: ICalEventBusyStatus.FREE,
      summary: name,
    });
  return calendar.toString();
}

/** One of our own stops, as the calendar has it now. */
export interface MovedStop {
  readonly jobId: string;
  readonly beginAt: number;
}

export interface CalendarFound {
  readonly stops: readonly MovedStop[];
  /** What we do not know: time that is taken. */
  readonly blocked: readonly Blocked[];
  /** What is not in it: so many events, and the first of them by name. */
  readonly leftOut: {
    readonly count: number;
    readonly first: readonly { readonly name: string; readonly why: LeftOut }[];
  };
}

export type CalendarRead =
  { readonly ok: true; readonly found: CalendarFound } | { readonly ok: false; readonly detail: string };

/** More events no calendar of one person has. */
const MOST_EVENTS = 20_000;
/** So many hours that are taken are kept: a year of eight a day. */
const MOST_BLOCKED = 3000;
const MOST_NAMED = 20;
const LATEST_H = 24;

/** From when until when, and where one's own clock stands against universal time. */
export interface CalendarSpan {
  readonly from: Day;
  readonly until: Day;
  /** Local time less universal time at a moment, h. */
  readonly offsetAt: (at: number) => number;
}

/** An event without an hour, or at an hour without a zone, is meant by one's own clock. */
function instantOf(time: ICAL.Time, { offsetAt }: CalendarSpan): number {
  const isFloating = time.isDate || time.zone === ICAL.Timezone.localTimezone;
  if (!isFloating) return time.toJSDate().getTime();
  const utc = Date.UTC(time.year, time.month - 1, time.day, time.hour, time.minute, time.second);
  return utc - offsetAt(utc) * HOUR_MS;
}

/** Begin and end of what may touch the span, with a day to spare on either side for clocks elsewhere. */
const windowOf = ({ from, until }: CalendarSpan): readonly [number, number] => [
  midnight(from).getTime() - DAY_MS,
  midnight(until).getTime() + 2 * DAY_MS,
];

/**
 * Begin and end of each time that an event takes place within the span.
 * @param elsewhere times of it that are events of their own
 * @throws Beyond
 */
function* timesOf(
  event: ICAL.Event,
  span: CalendarSpan,
  elsewhere: ReadonlySet<number>,
  looks: Looks,
): Generator<readonly [number, number]> {
  const length = Math.max(0, event.duration.toSeconds()) * 1000;
  const [first, last] = windowOf(span);
  if (!event.isRecurring()) {
    const begin = instantOf(event.startDate, span);
    if (begin + length >= first && begin <= last) yield [begin, begin + length];
    return;
  }
  const at = (instant: number): ICAL.Time => ICAL.Time.fromJSDate(new Date(instant), true);
  for (const time of timesFrom(event, at(first - length), at(last), looks)) {
    const begin = instantOf(time, span);
    if (begin > last) return;
    if (begin + length >= first && !elsewhere.has(begin)) yield [begin, begin + length];
  }
}

/** The hours that are taken of each day of the span, by one's own clock. */
function blockedBy(
  uid: string,
  name: string,
  begin: number,
  end: number,
  { from, until, offsetAt }: CalendarSpan,
): readonly Blocked[] {
  const days: Blocked[] = [];
  const first = dayAt(begin, offsetAt(begin));
  for (let day = first < from ? from : first, i = 0; day <= until; day = dayAfter(day, 1), i++) {
    const start = midnight(day).getTime();
    const hourAt = (at: number): number =>
      Math.max(0, Math.min(LATEST_H, (at + offsetAt(at) * HOUR_MS - start) / HOUR_MS));
    const [fromHour, untilHour] = [hourAt(begin), hourAt(end)];
    if (i > 0 && untilHour === 0) break;
    if (untilHour > fromHour)
      days.push({
        id: `blocked-${bytesToHex(sha256(utf8ToBytes(`${uid} ${day} ${fromHour}`))).slice(0, 24)}`,
        name,
        date: day,
        fromHour,
        untilHour,
      });
    if (untilHour < LATEST_H) break;
  }
  return days;
}

/** Times of what comes again and again that were moved, or called off, one by one: by the event they are of. */
function changedTimes(events: readonly ICAL.Component[], span: CalendarSpan): ReadonlyMap<string, ReadonlySet<number>> {
  const changed = new Map<string, Set<number>>();
  for (const component of events) {
    const [uid, of] = [component.getFirstPropertyValue('uid'), component.getFirstPropertyValue('recurrence-id')];
    if (typeof uid !== 'string' || !(of instanceof ICAL.Time)) continue;
    changed.set(uid, (changed.get(uid) ?? new Set()).add(instantOf(of, span)));
  }
  return changed;
}

const MOST_NAME_LETTERS = 160;

/** What is found in a calendar, as it is gone through. */
class Finding {
  readonly stops: MovedStop[] = [];
  private readonly blocked = new Map<string, Blocked>();
  private readonly leftOut: { name: string; why: LeftOut }[] = [];
  private leftOutCount = 0;
  private readonly looks = new Looks();

  constructor(
    private readonly span: CalendarSpan,
    private readonly changed: ReadonlyMap<string, ReadonlySet<number>>,
  ) {}

  take(component: ICAL.Component): void {
    let name = '';
    try {
      this.looks.begin();
      const event = new ICAL.Event(component);
      name = (event.summary ?? '').trim().slice(0, MOST_NAME_LETTERS);
      this.event(event, name || 'Busy');
    } catch (error) {
      this.leaveOut(name, error instanceof Beyond ? error.why : 'unclear');
    }
  }

  leaveOut(name: string, why: LeftOut): void {
    this.leftOutCount++;
    if (this.leftOut.length < MOST_NAMED) this.leftOut.push({ name, why });
  }

  private event(event: ICAL.Event, name: string): void {
    const [, kind, id] = /^(job|due)\.(.+)@esmero$/.exec(event.uid ?? '') ?? [];
    if (kind === 'due') return;
    if (kind === 'job') return void this.stops.push({ jobId: id!, beginAt: instantOf(event.startDate, this.span) });
    const { component } = event;
    if (
      component.getFirstPropertyValue('transp') === 'TRANSPARENT' ||
      component.getFirstPropertyValue('status') === 'CANCELLED'
    )
      return;
    const elsewhere = (!event.isRecurrenceException() && this.changed.get(event.uid)) || new Set<number>();
    for (const [begin, end] of timesOf(event, this.span, elsewhere, this.looks))
      for (const one of blockedBy(event.uid ?? name, name, begin, end, this.span)) {
        if (this.blocked.size >= MOST_BLOCKED && !this.blocked.has(one.id)) throw new Beyond('too-many');
        this.blocked.set(one.id, one);
      }
  }

  found(): CalendarFound {
    return {
      stops: this.stops,
      blocked: [...this.blocked.values()],
      leftOut: { count: this.leftOutCount, first: this.leftOut },
    };
  }
}

/**
 * Reads a calendar of whatever program (iCalendar): where our own stops are now, and the time that all else takes within the span. Events
 * that are called off, or leave one free, take none. Goes event by event, so that whoever waits can look up in between: yields the share
 * that is done. Never throws.
 */
export function* readingCalendar(text: string, span: CalendarSpan): Generator<number, CalendarRead> {
  const refusal = refusalOfLines(text);
  if (refusal) return { ok: false, detail: refusal };
  let root: ICAL.Component;
  try {
    const parsed = ICAL.parse(text) as unknown[];
    root = new ICAL.Component(
      (Array.isArray(parsed[0]) ? parsed[0] : parsed) as ConstructorParameters<typeof ICAL.Component>[0],
    );
  } catch (error) {
    return { ok: false, detail: error instanceof Error ? error.message : String(error) };
  }
  if (root.name !== 'vcalendar') return { ok: false, detail: 'VCALENDAR' };
  // Zones of an earlier file are none of this one’s.
  ICAL.TimezoneService.reset();
  for (const zone of root.getAllSubcomponents('vtimezone')) {
    const id = zone.getFirstPropertyValue('tzid');
    // Left in, it would be found there.
    if (!isSoundZone(zone)) root.removeSubcomponent(zone);
    else if (typeof id === 'string' && !ICAL.TimezoneService.has(id)) ICAL.TimezoneService.register(zone);
  }
  const events = root.getAllSubcomponents('vevent');
  const finding = new Finding(span, changedTimes(events, span));
  for (const [i, component] of events.entries()) {
    yield i / events.length;
    if (i < MOST_EVENTS) finding.take(component);
    else finding.leaveOut('', 'too-many');
  }
  return { ok: true, found: finding.found() };
}

/** The same at one go. */
export const readCalendar = (text: string, span: CalendarSpan): CalendarRead => finish(readingCalendar(text, span));
