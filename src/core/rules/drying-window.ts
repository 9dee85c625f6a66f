import type { Assumptions } from '../assumptions';
import type { Zone } from '../model';
import type { Gate } from '../reasons';
import { type Contacted, lastLayer } from './contacts';
import type { PlanningContext, SoiledZone } from './context';
import type { Flushed } from './flushed';
import type { Cuts } from './reach';

/** How long the liquid of a treatment lasts on a zone, and what that allows. */
export interface Drying {
  /** Until the first film dries by itself; null: it stays wet for an hour. */
  readonly openS: number | null;
  /** The share of it that is planned with; Infinity where it stays wet. */
  readonly windowS: number;
  /** So long the last layer lasts, of which the same share is planned with; Infinity where it stays wet. */
  readonly lastS: number;
  /** A later layer is laid by the wipe: the window is over when that begins, not when the finish is done. */
  readonly layered: boolean;
  /** Largest section that fits the window, m², never more than the zone or what one person works. */
  readonly sectionM2: number;
  /** Until it freezes; null where it does not. */
  readonly freezeS: number | null;
  /** What the smallest section needs, dwell and work. */
  readonly needS: number;
  /** On the mean of such a section, from the spray to the hand, and from the hand to the finish or, where the whole body is dried, the end. */
  readonly sectionSoakS: number;
  readonly sectionHandS: number;
}

const share = (openS: number | null, a: Assumptions): number => (openS === null ? Infinity : openS * a.windowShare);

const sooner = (p: number | null, q: number | null): number | null =>
  p === null || q === null ? (p ?? q) : Math.min(p, q);

/** When a zone is finished or dried: in its pass, by the other person right behind it, or with the whole body at the end. */
export type Finishing = 'in-pass' | 'behind' | 'body';

/** The whole body is dried at the end only where a drying towel does it. */
export function finishingOf({ finishWith }: Contacted, { job: { choices, site } }: PlanningContext): Finishing {
  if (choices.drying === 'body' && finishWith === 'drying') return 'body';
  return choices.pair === 'lift-finish' && site.workers === 2 ? 'behind' : 'in-pass';
}

/** The mix lands on the water that stands there still, which is as warm as the panel. */
export function firstFilm(
  { standsUm, panelC }: Pick<Flushed, 'standsUm' | 'panelC'>,
  { layers: [first] }: Contacted,
  mixC: number,
): { readonly firstUm: number; readonly firstC: number } {
  const firstUm = standsUm + first.film;
  return { firstUm, firstC: (standsUm * panelC + first.film * mixC) / firstUm };
}

/** Seconds of work a square metre. */
type Rates = Pick<Contacted, 'sprayRate' | 'wipeRate' | 'finishRate'>;

/**
 * The windows of a treatment. The first layer must last through the dwell, on top of what a pre-rinse
 * has left standing; the last one through wipe and finish. A single layer must last through all of it.
 * @param perM2 of the work on this zone, where it does not go by the square metre
 */
export function dryingOf(
  { zone, panel }: SoiledZone,
  flushed: Pick<Flushed, 'standsUm' | 'panelC'>,
  contact: Contacted,
  context: PlanningContext,
  perM2: Rates = contact,
): Drying {
  const { a, carriedC } = context;
  const slow = 1 + a.walking;
  const later = finishingOf(contact, context) === 'body';
  const handS = (perM2.wipeRate + (later ? 0 : perM2.finishRate)) * slow;
  const sprayS = perM2.sprayRate * slow;
  const { panelC } = flushed;
  const last = lastLayer(contact);
  const { firstUm, firstC } = firstFilm(flushed, contact, carriedC);
  const openS = panel.openS(firstUm, firstC, panelC);
  const one = contact.layers.length === 1;
  // What is rinsed off and dried at the end is wet with the water of that rinse.
  const lastUm = later && contact.rinses ? panel.waterHeld(0) : last.film;
  // The hand finds the panel as the first layer has left it.
  const lastFromC = one ? panelC : panel.later(firstUm, firstC, contact.dwellS, panelC).panelC;
  const freezeS = sooner(panel.freezeS(firstUm, firstC, panelC), panel.freezeS(lastUm, carriedC, lastFromC));
  // Frost ends a window as drying does.
  const frostS = freezeS === null || freezeS === 0 ? Infinity : freezeS * a.windowShare;
  const windowS = Math.min(share(openS, a), frostS);
  const lastS =
    one && !(later && contact.rinses) ? windowS : Math.min(share(panel.openS(lastUm, carriedC, lastFromC), a), frostS);
  // The whole body dries at the end: nothing may have dried by itself until then.
  const waits = later && lastS < a.bodyWait;
  const fits = waits
    ? 0
    : one
      ? (windowS - contact.dwellS) / (handS + sprayS)
      : Math.min((windowS - contact.dwellS) / Math.max(1e-9, sprayS), lastS / handS);
  const sectionM2 = Math.max(0, Math.min(zone.areaM2, a.largestSection, fits));
  return {
    openS,
    windowS,
    lastS,
    layered: !one,
    sectionM2,
    sectionSoakS:
      perM2.sprayRate > 0 ? contact.dwellS + ((perM2.sprayRate + perM2.wipeRate) / 2) * sectionM2 * slow : 0,
    sectionHandS: later ? a.bodyWait : ((perM2.wipeRate + perM2.finishRate) / 2) * sectionM2 * slow,
    freezeS,
    needS: waits ? a.bodyWait : contact.dwellS + (handS + sprayS) * Math.min(zone.areaM2, a.leastSection),
  };
}

/** Equal parts in which a zone is done, none larger than fits the window or is within reach; a half for each where two stand at one panel. */
export function sectionsOf(
  { areaM2 }: Zone,
  { sectionM2 }: Drying,
  { across, along }: Cuts,
  { a, job: { choices, site } }: PlanningContext,
): number {
  const byWindow = sectionM2 > 0 ? Math.ceil(areaM2 / across / sectionM2 - 1e-9) : 1;
  const sections = across * Math.max(1, along, byWindow);
  const shared = choices.pair === 'one-panel' && site.workers === 2 && areaM2 >= 2 * a.leastSection;
  return shared && sections % 2 === 1 ? sections + 1 : sections;
}

/** The liquid dries, or freezes, before even the smallest section is done. */
export function windowGates(zone: Zone, drying: Drying, a: Assumptions): readonly Gate[] {
  const { openS, freezeS, sectionM2, needS } = drying;
  const gates: Gate[] = [];
  if (openS !== null && sectionM2 < Math.min(zone.areaM2, a.leastSection) - 1e-9)
    gates.push({ code: 'dries-first', openS, needS });
  if (freezeS !== null && freezeS > 0 && freezeS * a.windowShare < needS)
    gates.push({ code: 'freezes-first', freezeS, needS });
  return gates;
}
