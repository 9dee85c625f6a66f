import type { Assumptions } from '../assumptions';
import { runoffOf } from '../surface';
import { type Moisture, ONE_TOWEL_FROM, moistureOf } from '../towel';
import { type Micrometres, um } from '../units';
import { type Contacted, lastLayer } from './contacts';
import { type PlanningContext, type SoiledZone } from './context';
import { type Drying, firstFilm } from './drying-window';
import { type Flushed } from './flushed';
import { type PassRinse } from './rinse-off';
import type { Waits } from './waits';

/** A part of a zone when hands come: what its rinse has left, and how long each thing waits by the clock. */
export interface Part {
  readonly flushed: Flushed;
  readonly waits?: Waits;
}

/** What happens to the liquid on one part. */
export interface PartWet {
  readonly contact: Contacted;
  readonly drying: Drying;
  readonly rinse: PassRinse;
  readonly moisture: Moisture;
  readonly wipedUm: Micrometres;
}

/** All films of a contact, µm. */
export const filmOf = ({ layers }: Contacted): Micrometres => um(layers.reduce((sum, { film }) => sum + film, 0));

/** What the air takes from the spray to the finish: of what was sprayed until the hand comes, and of what that lays. */
export function airTakesUm(
  { panel }: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  soakS: number,
  handS: number,
  { carriedC }: PlanningContext,
): number {
  const { firstUm, firstC } = firstFilm(flushed, contact, carriedC);
  const takes = (seconds: number): number => panel.later(firstUm, firstC, seconds, flushed.panelC).airUm;
  if (contact.layers.length === 1) return takes(soakS + handS);
  return takes(soakS) + panel.later(lastLayer(contact).film, carriedC, handS).airUm;
}

/** Where the liquid on a part goes, with the rinse water that stands there still; spots and a glass finish have their own. */
export function moistureOn(
  { zone, panel }: SoiledZone,
  { standsUm }: Flushed,
  contact: Contacted,
  rinse: PassRinse,
  airUm: number,
  a: Assumptions,
): Moisture {
  const { areaM2, cleanliness } = zone;
  const rinsedUm = rinse.beforeUm + rinse.offUm;
  const allUm = standsUm + filmOf(contact) + rinsedUm;
  // What is rinsed off takes the mix along: only water stands there.
  if (rinsedUm > 0)
    return moistureOf({
      laidMl: allUm * areaM2,
      runoffMl: Math.max(0, allUm - rinse.standsUm) * areaM2,
      washTakes: 0,
      airTakesMl: 0,
    });
  return moistureOf({
    laidMl: allUm * areaM2,
    runoffMl: runoffOf(allUm, panel.holdUpUm, areaM2, a),
    washTakes: cleanliness >= ONE_TOWEL_FROM ? 0 : contact.mediumTakes,
    airTakesMl: airUm * areaM2,
  });
}

/** What is between hand and panel when the wipe begins: what is left of the spray on what a rinse has left, and what the hand brings. */
export function filmAtWipe(
  { panel }: SoiledZone,
  flushed: Flushed,
  contact: Contacted,
  soakS: number,
  { carriedC }: PlanningContext,
): Micrometres {
  const { rinses, layers } = contact;
  // Foam is off by then: the mitt brings its own on the water that stands there.
  if (rinses === 'between') return um(panel.waterHeld(0) + lastLayer(contact).film);
  const { firstUm, firstC } = firstFilm(flushed, contact, carriedC);
  const brought = layers.slice(1).reduce((sum, { film }) => sum + film, 0);
  const left = panel.later(firstUm, firstC, soakS, flushed.panelC).filmUm;
  return um(Math.min(left + brought, Math.max(panel.holdUpUm, filmOf(contact))));
}

const moistureKeys = ['laidMl', 'runoffMl', 'washMl', 'evaporatedMl', 'finishMl'] as const;

/** Of a zone whose parts are of one size. */
export const meanIn = <T>(parts: readonly T[], of: (part: T) => number): number =>
  parts.reduce((sum, part) => sum + of(part), 0) / parts.length;

export const meanOf = (parts: readonly Moisture[]): Moisture =>
  parts.length === 1
    ? parts[0]!
    : (Object.fromEntries(moistureKeys.map((key) => [key, meanIn(parts, (one) => one[key])])) as Record<
        (typeof moistureKeys)[number],
        number
      >);

/** With what a cleaner has taken off. */
