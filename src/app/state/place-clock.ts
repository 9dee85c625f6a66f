import { tzOffset } from '@date-fns/tz';
import { onDate } from '@esmero/core';
import type { Job, Site } from '@esmero/model';

type Place = Pick<Site, 'latitudeDeg' | 'longitudeDeg'>;

/**
 * How far the clock at a place is ahead of universal time at noon of a day, h.
 * The map of time zones is fetched when a place or a day changes: few jobs need it.
 */
export async function clockAt({ latitudeDeg, longitudeDeg }: Place, day: string): Promise<number> {
  const { default: zoneAt } = await import('@photostructure/tz-lookup');
  return tzOffset(zoneAt(latitudeDeg, longitudeDeg), new Date(`${day}T12:00:00Z`)) / 60;
}

const isSamePlace = (p: Place, q: Place): boolean =>
  p.latitudeDeg === q.latitudeDeg && p.longitudeDeg === q.longitudeDeg;

/** A site whose clock follows its place, unless the clock was what somebody has set. */
export async function withPlaceClock(site: Site, before: Site, day: string): Promise<Site> {
  if (isSamePlace(site, before) || site.utcOffsetH !== before.utcOffsetH) return site;
  return { ...site, utcOffsetH: await clockAt(site, day) };
}

/** On another day summer time may have begun or ended; a clock that was set by hand stays. */
export async function offsetOn(site: Site, before: string, day: string): Promise<number> {
  const [old, now] = await Promise.all([clockAt(site, before), clockAt(site, day)]);
  return site.utcOffsetH === old ? now : site.utcOffsetH;
}

/** The job on another day, with the clock of its place and the sun of then. Without the map of time zones the clock stays as it is. */
export async function toDay(job: Job, day: string): Promise<Job> {
  const offsetH = await offsetOn(job.site, job.date, day).catch(() => job.site.utcOffsetH);
  return onDate(job, day, offsetH);
}
