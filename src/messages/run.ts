import type { Clocks, Hand, Plan, RunAct, Task, ZoneId } from '@esmero/core';
import { ranges } from './sheet';
import { clock } from './units';
import { contentName, zoneName } from './words';

const actVerb: Readonly<Record<RunAct, string>> = {
  flush: 'Flush, do not touch',
  wet: 'Wet',
  wipe: 'Wash and finish',
  dry: 'Dry',
  glass: 'Finish the glass',
};

/** "Wet: Roof, section 2". */
export const taskText = ({ act, zoneId, section, of }: Task): string =>
  `${actVerb[act]}: ${zoneName(zoneId)}${of > 1 ? `, section ${section} of ${of}` : ''}`;

const uses: Readonly<Partial<Record<RunAct, readonly string[]>>> = { wipe: ['wash', 'finish', 'drying'], dry: ['drying'], glass: ['finish'] };

/** Sides of this worker’s towels that serve a task. */
export function towelsFor({ towels }: Plan, { act, zoneId, worker }: Task): string {
  const sides = towels
    .filter((towel) => towel.worker === worker)
    .flatMap((towel) => {
      const own = towel.sides.filter(({ use, entries }) => uses[act]?.includes(use) && entries.some((entry) => entry.zoneId === zoneId));
      return own.length > 0 ? [`towel ${towel.number}, side ${ranges(own.map(({ number }) => number))}`] : [];
    });
  return sides.join('; ');
}

/** With what it is wetted. */
export function liquidFor({ zones }: Plan, zoneId: ZoneId): string {
  const laid = zones.find(({ zone }) => zone.id === zoneId)?.option?.laidMl;
  const sprayed = (['presoak', 'foam', 'waterless'] as const).find((content) => (laid?.[content] ?? 0) > 0);
  return sprayed ? contentName[sprayed].toLowerCase() : '';
}

const until = (at: number, now: number): string => clock(Math.max(0, (at - now) / 1000));

/** "dwells 0:40 more", then "ready", and how long until it is dry. */
export function clocksText({ readyAt, dryAt }: Clocks, now: number): string {
  const dwell = readyAt > now ? `dwells ${until(readyAt, now)} more` : 'ready to be washed';
  if (dryAt === null) return dwell;
  return dryAt > now ? `${dwell}, dries in ${until(dryAt, now)}` : `${dwell}; it may have dried: wet it again`;
}

export const handName = ({ worker }: Hand, people: number): string => (people === 1 ? '' : worker === 0 ? 'First person' : 'Second person');
