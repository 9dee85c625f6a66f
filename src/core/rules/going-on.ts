import { partsOf } from '../model';
import type { Gate } from '../reasons';
import { contactRules } from './contacts';
import { type PlanningContext, type SoiledZone } from './context';
import { type Flushed, flushedFor } from './flushed';
import { standingGates } from './gates';
import type { Option, ZoneOptions } from './option';
import { restOf } from './remaining-work';
import { type BegunZone, secondsSince } from './start-state';
import type { Waits } from './waits';
import { contactOf } from './treatment';
import { partsBy } from './handled';
import { workedOut } from './worked-out';

/**
 * A treatment as the clock has its parts, with what forbids it by then; in as many sections as it was planned in.
 * Of a zone that is begun it is what is left of that.
 */
export function clocked(soiled: SoiledZone, option: Option, waits: readonly Waits[], context: PlanningContext): Option {
  if (waits.length === 0) return option;
  const { treatment, sections, atTurn, rest } = option;
  const rule = contactRules[partsOf(treatment).contact];
  const parts = partsBy(soiled, option, waits, context);
  const [flushed] = parts.map((part) => part.flushed).sort((p, q) => q.panelC - p.panelC) as [Flushed];
  const standing = standingGates(soiled, flushed, rule, context);
  const all = { ...workedOut(soiled, { treatment, flushed, rule, standing }, context, parts), atTurn };
  if (!rest) return { ...all, sections };
  const left = restOf({ ...all, sections: rest.of }, rest.begun, context);
  return { ...left, sections, gates: all.gates.filter((gate) => !isPast(gate, all, rest.begun)) };
}

/** Nothing is to be laid on it any more. */
const isLaid = ({ wet, places }: BegunZone): boolean => wet.length === places.length;

/** What forbids to lay something forbids nothing where that lies already; what forbids to wipe it, nothing where that is done. */
function isPast(gate: Gate, { treatment }: Pick<Option, 'treatment'>, begun: BegunZone): boolean {
  if (begun.places.length === 0) return true;
  if (!isLaid(begun)) return false;
  switch (gate.code) {
    case 'index-over-limit':
    case 'wiped-dry':
    case 'dirt-limit':
    case 'rinse-first':
    case 'blow-first':
    case 'foam-first':
      return false;
    // What the hand brings is not there yet.
    case 'no-product':
      return gate.purpose === contactOf(treatment).sprays;
    default:
      return true;
  }
}

/** The treatment that a zone was begun with, as it was begun. */
function asBegun(soiled: SoiledZone, begun: BegunZone, context: PlanningContext): Option {
  const { treatment, rinse, inPass, rinsedAt, done } = begun;
  const rule = contactRules[partsOf(treatment).contact];
  const sinceS = rinsedAt === null || done.flush === 0 ? null : secondsSince(rinsedAt, context.begun);
  const roundS = context.rinsedS.get(soiled.zone.id)?.roundS ?? 0;
  const coming =
    sinceS !== null
      ? { waitS: Math.max(sinceS, roundS), atTurn: inPass }
      : inPass
        ? { waitS: null, atTurn: true }
        : undefined;
  const flushed = flushedFor(soiled, context)(treatment, rinse, coming);
  const standing = standingGates(soiled, flushed, rule, context);
  return workedOut(soiled, { treatment, flushed, rule, standing }, context);
}

/** The zone for another treatment: it is rinsed as that one asks, and what is wet stays wet where that sprays the same and does not rinse. */
function forAnother(begun: BegunZone, { treatment }: Option): BegunZone {
  const isSame =
    partsOf(treatment).flush === 'none' && contactOf(treatment).sprays === contactOf(begun.treatment).sprays;
  return { ...begun, done: { ...begun.done, flush: 0 }, wet: isSame ? begun.wet : [] };
}

/**
 * A zone that is begun goes on as it was begun. Where that is forbidden by now, what is not wiped yet is done another
 * way; what is laid is wiped, and what is wiped is finished, whatever the gates say of laying it.
 */
export function goingOn(
  soiled: SoiledZone,
  { options, shut }: Pick<ZoneOptions, 'options' | 'shut'>,
  begun: BegunZone,
  context: PlanningContext,
): Option[] {
  const same = asBegun(soiled, begun, context);
  const others = options.some(({ treatment }) => treatment === begun.treatment)
    ? []
    : (shut.find(({ treatment }) => treatment === begun.treatment)?.gates ?? []);
  const gates = [...same.gates, ...others].filter((gate) => !isPast(gate, same, begun));
  if (gates.length === 0) return [{ ...restOf(same, begun, context), gates }];
  return options.map((option) => restOf(option, forAnother(begun, option), context));
}
