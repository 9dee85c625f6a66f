import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import ICAL from 'ical.js';
import icalGenerator, { ICalEventBusyStatus } from 'ical-generator';
import type { Blocked, Spot } from '@esmero/model';
import { type Day, dayAfter, dayAt } from '@esmero/units';

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
    calendar.createEvent({ id: uidOf('due', key), stamp: new Date(stamp), start: midnight(from), end: midnight(dayAfter(until, 1)), allDay: true, timezone: 'UTC', busystatus: ICalEventBusyStatus.FREE, summary: name });
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
  /** Events that could not be understood. */
  readonly broken: number;
}

export type CalendarRead = { readonly ok: true; readonly found: CalendarFound } | { readonly ok: false; readonly detail: string };

/** Of what comes again and again, so many times at most; longer than that nobody is away. */
const MOST_TIMES = 400;
const MOST_DAYS = 60;
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

/**
 * Begin and end of each time that an event takes place within the span.
 * @param elsewhere times of it that are events of their own
 */
function timesOf(event: ICAL.Event, span: CalendarSpan, elsewhere: ReadonlySet<number>): readonly (readonly [number, number])[] {
  const length = Math.max(0, event.duration.toSeconds()) * 1000;
  const [first, last] = [midnight(span.from).getTime() - DAY_MS, midnight(span.until).getTime() + 2 * DAY_MS];
  if (!event.isRecurring()) {
    const begin = instantOf(event.startDate, span);
    return begin + length >= first && begin <= last ? [[begin, begin + length]] : [];
  }
  const times: [number, number][] = [];
  const iterator = event.iterator();
  for (let i = 0; i < MOST_TIMES * 20 && times.length < MOST_TIMES; i++) {
    const next = iterator.next();
    if (!next) break;
    const begin = instantOf(next, span);
    if (begin > last) break;
    if (begin + length >= first && !elsewhere.has(begin)) times.push([begin, begin + length]);
  }
  return times;
}

/** The hours that are taken of each day, by one's own clock. */
function blockedBy(uid: string, name: string, begin: number, end: number, { from, until, offsetAt }: CalendarSpan): readonly Blocked[] {
  const days: Blocked[] = [];
  for (let day = dayAt(begin, offsetAt(begin)), i = 0; i < MOST_DAYS; day = dayAfter(day, 1), i++) {
    const start = midnight(day).getTime();
    const hourAt = (at: number): number => Math.max(0, Math.min(LATEST_H, (at + offsetAt(at) * HOUR_MS - start) / HOUR_MS));
    const [fromHour, untilHour] = [hourAt(begin), hourAt(end)];
    if (i > 0 && untilHour === 0) break;
    if (day >= from && day <= until && untilHour > fromHour) days.push({ id: `blocked-${bytesToHex(sha256(utf8ToBytes(`${uid} ${day} ${fromHour}`))).slice(0, 24)}`, name, date: day, fromHour, untilHour });
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

const MOST_LETTERS = 160;

/**
 * Reads a calendar of whatever program (iCalendar): where our own stops are now, and the time that all else takes within the span. Events
 * that are called off, or leave one free, take none. Never throws.
 */
export function readCalendar(text: string, span: CalendarSpan): CalendarRead {
  let root: ICAL.Component;
  try {
    const parsed = ICAL.parse(text) as unknown[];
    root = new ICAL.Component((Array.isArray(parsed[0]) ? parsed[0] : parsed) as ConstructorParameters<typeof ICAL.Component>[0]);
  } catch (error) {
    return { ok: false, detail: error instanceof Error ? error.message : String(error) };
  }
  if (root.name !== 'vcalendar') return { ok: false, detail: 'VCALENDAR' };
  for (const zone of root.getAllSubcomponents('vtimezone')) {
    const id = zone.getFirstPropertyValue('tzid');
    if (typeof id === 'string' && !ICAL.TimezoneService.has(id)) ICAL.TimezoneService.register(zone);
  }
  const events = root.getAllSubcomponents('vevent');
  const changed = changedTimes(events, span);
  const stops: MovedStop[] = [];
  const blocked: Blocked[] = [];
  let broken = 0;
  for (const component of events) {
    try {
      const event = new ICAL.Event(component);
      const [, kind, id] = /^(job|due)\.(.+)@esmero$/.exec(event.uid ?? '') ?? [];
      if (kind === 'due') continue;
      if (kind === 'job') {
        stops.push({ jobId: id!, beginAt: instantOf(event.startDate, span) });
        continue;
      }
      const isFree = component.getFirstPropertyValue('transp') === 'TRANSPARENT' || component.getFirstPropertyValue('status') === 'CANCELLED';
      if (isFree) continue;
      const name = (event.summary ?? '').trim().slice(0, MOST_LETTERS) || 'Busy';
      for (const [begin, end] of timesOf(event, span, (!event.isRecurrenceException() && changed.get(event.uid)) || new Set())) blocked.push(...blockedBy(event.uid ?? name, name, begin, end, span));
    } catch {
      broken++;
    }
  }
  const once = new Map(blocked.map((one) => [one.id, one]));
  return { ok: true, found: { stops, blocked: [...once.values()], broken } };
}
