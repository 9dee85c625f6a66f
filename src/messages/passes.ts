import type { Lap, NotChanged, PassPart, PlannedPass } from '@esmero/core';
import type { PassChange, ZoneId } from '@esmero/model';
import { capital } from './capital';
import { en, worded } from './english';
import { zoneName } from './words';

export const lapName: Readonly<Record<Lap, string>> = worded({
  'blow-out': 'Blow the seams out',
  'wheels-first': 'Wheels first',
  top: 'Top and glass',
  'road-glass': 'Road side, glass',
  'road-uppers': 'Road side, uppers',
  'road-lowers': 'Road side, lowers and sill',
  uppers: 'Uppers',
  ends: 'Front and tail',
  lowers: 'Lowers and sills',
  shuts: 'Door shuts',
  'wheels-last': 'Wheels last',
});

type Where = Pick<PlannedPass, 'parts' | 'place'>;

/** Finished pass by pass by the other person, not the whole body at once. */
export const isBehind = ({ act, place }: Pick<PlannedPass, 'act' | 'place'>): boolean =>
  act === 'dry' && place !== null;

/** Zones of a pass in the order of the hand, each once, with its parts. */
function byZone(parts: readonly PassPart[]): ReadonlyMap<ZoneId, readonly PassPart[]> {
  const zones = new Map<ZoneId, PassPart[]>();
  for (const part of parts) zones.set(part.zoneId, [...(zones.get(part.zoneId) ?? []), part]);
  return zones;
}

/** "left half" of a roof, "part 2 of 3" of a door, nothing for all of it. */
function partName(parts: readonly PassPart[], place: Where['place']): string {
  const [{ zoneId, of, section }] = parts as readonly [PassPart, ...PassPart[]];
  if (parts.length >= of) return '';
  const sided = zoneId.startsWith('left-') || zoneId.startsWith('right-');
  if (!sided && parts.length * 2 === of && (place === 'left' || place === 'right')) return `${place} half`;
  return parts.length === 1 ? `part ${section} of ${of}` : `${parts.length} of ${of} parts`;
}

/** "Roof, left half": a zone as far as a pass takes it. */
const zoneIn = (parts: readonly PassPart[], place: Where['place']): string =>
  [zoneName(parts[0]!.zoneId), partName(parts, place)].filter(Boolean).join(', ');

/** The zones of a pass: "Left front wing, upper; Left front door, upper", the side said once. */
export function passZones({ parts, place }: Where): string {
  const names = [...byZone(parts).values()].map((own) => zoneIn(own, place));
  const side = ['Left ', 'Right '].find((one) => names.length > 1 && names.every((name) => name.startsWith(one)));
  return names.map((name, i) => (side && i > 0 ? name.slice(side.length) : name)).join('; ');
}

/** More are told by what they have in common. */
const MOST_BY_NAME = 2;

/** What a group of panels is called in the trade. */
function groupName(id: ZoneId): string {
  if (/^(grille|front-bumper)/.test(id)) return 'front';
  if (/^(rear-face|badges|rear-bumper|boot-sill)/.test(id)) return 'rear';
  if (/-(wheel|tyre|arch)$/.test(id)) return 'wheels';
  if (id.endsWith('-barrel')) return 'barrels';
  if (id.endsWith('-handle')) return 'handle cups';
  if (id.endsWith('-shut')) return en('door shuts');
  if (id.endsWith('-glass')) return 'side glass';
  if (/^(left|right)-.*-upper$/.test(id)) return 'uppers';
  if (/^(left|right)-.*-lower$/.test(id)) return 'lowers';
  if (/^(left|right)-/.test(id)) return en(id.replace(/^(left|right)-/, ''));
  return zoneName(id).toLowerCase();
}

const listed = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');

/** "Left lowers and sill": a pass in a few words; a panel, or two of roof, nose or tail, by their names. */
export function passHeading(pass: Where): string {
  const zones = [...byZone(pass.parts).keys()];
  const isOnFlank = zones.every((id) => /^(left|right)-/.test(id));
  if (zones.length <= (isOnFlank ? 1 : MOST_BY_NAME)) return passZones(pass);
  const sides = new Map<string, Set<string>>();
  for (const id of zones) {
    const side = /^(left|right)-/.exec(id)?.[1] ?? '';
    sides.set(side, (sides.get(side) ?? new Set()).add(groupName(id)));
  }
  return [...sides].map(([side, groups]) => capital(`${side} ${listed([...groups])}`.trim())).join('; ');
}

const MOST_NAMED = 4;

/** The same, short enough to be read from a step away. */
export function passTitle(pass: Where): string {
  const zones = byZone(pass.parts);
  return zones.size > MOST_NAMED ? `${zones.size} panels, ${pass.place ?? 'all round'}` : passZones(pass);
}

const partText = ({ zone, section, of }: PassChange['part']): string =>
  `${zoneName(zone)}${of > 1 ? `, part ${section} of ${of}` : ''}`;

/** A change of passes by hand. */
export function passChangeText(change: PassChange): string {
  switch (change.kind) {
    case 'split':
      return `${partText(change.part)}: a pass of its own`;
    case 'join':
      return `${partText(change.part)} together with ${partText(change.with)}`;
    case 'move':
      return `${partText(change.part)} before ${partText(change.before)}`;
  }
}

/** Why such a change does not hold. */
export const notChangedText: Readonly<Record<NotChanged, string>> = {
  gone: 'No such pass is planned any more.',
  place: 'They are worked from different places, or in different ways.',
  class: 'It would bring dirt to a cleaner panel.',
  window: 'It would dry before it is done.',
};
