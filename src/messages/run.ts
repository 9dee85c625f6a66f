import type { Clocks, Hand, Plan, RunAct, Task, TowelRole, ReplanEvent, WeatherChange, ZoneId } from '@esmero/core';
import { fixed, type Units } from './units';
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

/** One of the towels of a role, as it is said beside the car. */
export const oneTowel: Readonly<Record<TowelRole, string>> = {
  wash: 'wash towel',
  finish: 'finishing towel',
  drying: 'drying towel',
  glass: 'glass towel',
  wheels: 'wheel towel',
};

const uses: Readonly<Partial<Record<RunAct, readonly string[]>>> = { wipe: ['wash', 'finish', 'drying'], dry: ['drying'], glass: ['finish'] };

/** Sides of this worker’s towels that serve a task. */
export function towelsFor({ towels }: Plan, { act, zoneId, worker }: Task): string {
  const sides = towels
    .filter((towel) => towel.worker === worker)
    .flatMap((towel) => {
      const own = towel.sides.filter(({ use, entries }) => uses[act]?.includes(use) && entries.some((entry) => entry.zoneId === zoneId));
      return own.length > 0 ? [`${oneTowel[towel.role]} ${towel.number}, ${own.length > 1 ? 'sides' : 'side'} ${ranges(own.map(({ number }) => number))}`] : [];
    });
  return sides.join('; ');
}

/** With what it is wetted. */
export function liquidFor({ zones }: Plan, zoneId: ZoneId): string {
  const laid = zones.find(({ zone }) => zone.id === zoneId)?.option?.laidMl;
  const sprayed = (['presoak', 'foam', 'waterless'] as const).find((content) => (laid?.[content] ?? 0) > 0);
  return sprayed ? contentName[sprayed].toLowerCase() : '';
}

/** How a section is done, and what to look out for. */
export const actHint: Readonly<Record<RunAct, string>> = {
  flush: 'From the top, let it run off by itself. Look for grit that stays.',
  wet: 'An even film, over the edges of the section.',
  wipe: 'Straight strokes without weight, lifted off at the end; turn the side as it fills. Stop if anything drags.',
  dry: 'Lay it on and draw it along. Dirt on the towel: once more.',
  glass: 'Strokes that overlap; look along it against the light.',
};

const until = (at: number, now: number): string => clock(Math.max(0, (at - now) / 1000));

/** "dwells 0:40 more", then "ready", and how long until it is dry. */
export function clocksText({ readyAt, dryAt }: Clocks, now: number): string {
  const dwell = readyAt > now ? `dwells ${until(readyAt, now)} more` : 'ready to be washed';
  if (dryAt === null) return dwell;
  return dryAt > now ? `${dwell}, dries in ${until(dryAt, now)}` : `${dwell}; it may have dried: wet it again`;
}

export const handName = ({ worker }: Hand, people: number): string => (people === 1 ? '' : worker === 0 ? 'First person' : 'Second person');

/** Roles of the towels that this person uses on a task. */
export const rolesFor = ({ towels }: Plan, { act, zoneId, worker }: Task): readonly TowelRole[] => [
  ...new Set(
    towels
      .filter((towel) => towel.worker === worker && towel.sides.some(({ use, entries }) => uses[act]?.includes(use) && entries.some((entry) => entry.zoneId === zoneId)))
      .map(({ role }) => role),
  ),
];

export const weatherName: Readonly<Record<WeatherChange, string>> = {
  sun: 'The sun came out',
  cloud: 'Clouds came over',
  wind: 'Wind came up',
  calm: 'It fell calm',
  rain: 'It began to rain',
};

const listed = (zones: readonly ZoneId[]): string => (zones.length > 3 ? `${zones.length} zones` : zones.map(zoneName).join(', '));

/** What turned out otherwise, in a few words. */
export function turnText(turn: ReplanEvent, u: Units): string {
  switch (turn.kind) {
    case 'again':
      return `Once more: ${zoneName(turn.zone)}`;
    case 'towel-out':
      return `A ${oneTowel[turn.role]} is out`;
    case 'side-full':
      return `A side of the ${oneTowel[turn.role]} is full`;
    case 'workers':
      return turn.workers === 2 ? 'A second person came' : 'The second person left';
    case 'panels':
      return `Panels at ${u.temperature(turn.panelC)}`;
    case 'soil':
      return `${zoneName(turn.zone)} is ${turn.steps > 0 ? 'dirtier' : 'lighter'} than marked`;
    case 'weather':
      return weatherName[turn.weather];
    case 'mix-left':
      return `${contentName[turn.purpose]}: ${u.volume(turn.ml)} left`;
    case 'product-out':
      return `No more ${contentName[turn.purpose].toLowerCase()}`;
    case 'water-left':
      return `${u.water(turn.litres)} of water left`;
    case 'leave':
      return `For another time: ${listed(turn.zones)}`;
  }
}

/** "15:37 of work left (+1:20), 2 towels to open, 0.4 L to pour". */
export function replannedText({ totals }: Plan, leftS: number, beforeS: number | null, u: Units): string {
  const more = beforeS === null ? 0 : leftS - beforeS;
  const by = Math.abs(more) < 1 ? '' : ` (${more > 0 ? '+' : '−'}${clock(Math.abs(more))})`;
  return [
    `${clock(leftS)} of work left${by}`,
    `${fixed(totals.towels.value)} ${totals.towels.value === 1 ? 'towel' : 'towels'} to open`,
    ...(totals.litres.value > 0 ? [`${u.water(totals.litres.value)} to pour`] : []),
  ].join(', ');
}
