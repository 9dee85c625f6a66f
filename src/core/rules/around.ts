import { type MixPurpose, type ToMind, type ZoneId, coned, covered } from '../model';
import type { Gate } from '../reasons';
import type { ContactRule } from './contacts';
import type { PlanningContext, SoiledZone } from './context';
import type { Flushed } from './flushed';

/** Covers and cones stand before the work begins. */
export type Guarding = 'covers' | 'cones';

/** What is put out before the first drop. */
export function guardingsFor(around: readonly ToMind[]): readonly Guarding[] {
  return [
    ...(around.some((one) => covered.includes(one)) ? (['covers'] as const) : []),
    ...(around.some((one) => coned.includes(one)) ? (['cones'] as const) : []),
  ];
}

/** A towel that comes wet, or water that runs. */
const wets = (purposes: readonly MixPurpose[], { flush, standsUm }: Flushed): boolean =>
  purposes.some((purpose) => purpose === 'wash' || purpose === 'presoak' || purpose === 'shampoo') ||
  (flush.source !== null && flush.gear !== 'steamer' && standsUm > 0);

/** Openings beside which something lies that must stay dry. */
const openTo: Readonly<Partial<Record<ToMind, (id: ZoneId) => boolean>>> = {
  'boot-belongings': (id) => id === 'boot-sill',
  'child-seat': (id) => id.endsWith('rear-shut') || id === 'glass-inside',
  electronics: (id) => id.endsWith('-shut') || id === 'glass-inside',
};

/** What belongings, fabric and electronics forbid on a zone: steam, or a spray and a dry towel, may still do. */
export function aroundGates(
  { zone: { id } }: SoiledZone,
  flushed: Flushed,
  { purposes }: ContactRule,
  { job: { around } }: PlanningContext,
): Gate[] {
  if (around.includes('soft-top') && id === 'roof') return [{ code: 'fabric' }];
  const beside = around.find((one) => openTo[one]?.(id));
  return beside && wets(purposes, flushed) ? [{ code: 'keep-dry', what: beside }] : [];
}
