import type { Load } from '../soil';
import { gPerM2 } from '../units';
import type { Contacted } from './contacts';
import type { PlanningContext, SoiledZone } from './context';
import { finishingOf } from './drying-window';
import { type Flushed, blows } from './flushed';
import type { FlushRule } from './flushes';

/** The rinses within a pass: of what was sprayed, and of the wash. */
export interface PassRinse {
  /** Water laid on, µm. */
  readonly beforeUm: number;
  readonly offUm: number;
  readonly beforeS: number;
  readonly offS: number;
  /** Of it what stands when hands come to dry. */
  readonly standsUm: number;
  readonly blown: boolean;
}

const none: PassRinse = { beforeUm: 0, offUm: 0, beforeS: 0, offS: 0, standsUm: 0, blown: false };

/**
 * The rinses within the pass of a zone, with the water and gear of its pre-rinse.
 * @param cleaned with a cleaner that has to come off
 * @param offS from the last rinse to the drying, where a clock tells it
 */
export function passRinseOf(
  soiled: SoiledZone,
  { flush, filmUm }: Pick<Flushed, 'flush' | 'filmUm'>,
  contact: Contacted,
  cleaned: boolean,
  offS: number | undefined,
  context: PlanningContext,
): PassRinse {
  const rinses = contact.rinses ?? (cleaned ? 'off' : undefined);
  if (!rinses) return none;
  const { a } = context;
  const { areaM2 } = soiled.zone;
  const { panel } = soiled;
  const beforeUm = rinses === 'between' ? filmUm * a.rinseFoamShare : 0;
  const offUm = filmUm * a.rinseOffShare;
  const secondsFor = (um: number): number => (um > 0 ? flush.secondsPerM2(um, context) * areaM2 + a.takeUpS : 0);
  const blown = contact.rinses !== undefined && blows(context);
  const waitS = offS ?? (contact.rinses && finishingOf(contact, context) === 'body' ? a.bodyWait : a.rinseTurnWaitS);
  return {
    beforeUm,
    offUm,
    beforeS: secondsFor(beforeUm),
    offS: secondsFor(offUm) + (blown ? a.rateBlow * areaM2 : 0),
    standsUm: panel.rinsed(offUm, flush.liquidC(context), waitS).filmUm * (blown ? 1 - a.blownOff : 1),
    blown,
  };
}

/** What a mitt meets where foam was rinsed off before: foam has loosened what the first rinse left. */
export function loadsAfterFoam(
  loads: readonly Load[],
  flush: FlushRule,
  beforeUm: number,
  { a }: PlanningContext,
): readonly Load[] {
  if (beforeUm <= 0) return loads;
  return loads.map(({ kind, loadGm2 }) => {
    const most = flush.most(kind, a);
    const gone = most > 0 ? (a.foamLoosens * flush.removes(kind, beforeUm, a)) / most : 0;
    return { kind, loadGm2: gPerM2(loadGm2 * (1 - gone)) };
  });
}
