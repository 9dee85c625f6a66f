import type { TreatmentId, Working, ZoneId } from '../model';
import { type FacilitySet, type Option as Pickable, type Selecting, type Selection, cheapestSelection, selecting, shortBudgets } from '../optimise';
import { type Budget, type Gate, budgets } from '../reasons';
import { type Kit, type KitSet, type KitSetResult, type Option, type Shut, type Usage, type ZoneOptions, kits, vectorOf } from '../rules';

export type Capacity = Usage;

/** What may be chosen from. */
export interface Problem {
  readonly zones: readonly ZoneOptions[];
  readonly kitSets: readonly KitSetResult[];
  readonly fixed: Readonly<Partial<Record<ZoneId, TreatmentId>>>;
  /** The treatments a pure method allows. */
  readonly allows: (treatment: Working) => boolean;
}

/** The best treatments for all zones, and the stations they need. */
export interface Choice {
  readonly picks: ReadonlyMap<ZoneId, Option>;
  readonly kitSet: KitSet;
  readonly usage: Usage;
  readonly cost: number;
  /** No choice costs less; below the cost only where the search could not prove it the best. */
  readonly atLeast: number;
}

/** A budget that stands alone between the job and a plan. */
export interface Shortage {
  readonly budget: Budget;
  readonly need: number;
  readonly have: number;
}

export interface BlockedZone {
  readonly zoneId: ZoneId;
  /** The first things that forbid each treatment that the method would allow. */
  readonly gates: readonly { readonly treatment: Working; readonly gates: readonly Gate[] }[];
}

export type ChoiceResult =
  | { readonly ok: true; readonly choice: Choice }
  | {
      readonly ok: false;
      readonly blocked: readonly BlockedZone[];
      readonly missing: readonly Gate[];
      readonly shortages: readonly Shortage[];
    };

const isFixed = (fixed: TreatmentId | undefined): fixed is TreatmentId => fixed !== undefined;

/** Treatments that may be considered for each zone; zones left out by hand are gone. */
function considered({ zones, fixed, allows }: Problem): readonly ZoneOptions[] {
  return zones
    .filter(({ zoneId }) => fixed[zoneId] !== 'leave')
    .map(({ zoneId, options, shut, explain }) => {
      const wish = fixed[zoneId];
      const may = ({ treatment }: Shut): boolean => (isFixed(wish) ? treatment === wish : allows(treatment));
      return { zoneId, options: options.filter(may), shut: shut.filter(may), explain: () => explain().filter(may) };
    });
}

/** Kits as bits, so that "all of these are set up" is one comparison. */
const bitsOf = (list: readonly Kit[]): number => list.reduce((bits, kit) => bits | (1 << kits.indexOf(kit)), 0);

const pickable = (option: Option): Pickable<Option> => ({ value: option, cost: option.cost, use: option.use, needs: bitsOf(option.kits) });

const facilities = (set: KitSet): FacilitySet<KitSet> => ({ value: set, provides: bitsOf(set.kits), cost: set.cost, use: vectorOf(set.usage) });

/** The problem as it is solved, for any capacity. */
export interface Prepared {
  readonly zones: readonly ZoneOptions[];
  readonly selecting: Selecting<Option, KitSet>;
  readonly missing: readonly Gate[];
}

export function prepare(problem: Problem): Prepared {
  const zones = considered(problem);
  return {
    zones,
    selecting: selecting(
      zones.map(({ options }) => options.map(pickable)),
      problem.kitSets.flatMap((result) => (result.ok ? [facilities(result.set)] : [])),
    ),
    missing: problem.kitSets.flatMap((result) => (result.ok ? [] : [result.gate])),
  };
}

const choiceOf = ({ picks, facilities: kitSet, use, cost, atLeast }: Selection<Option, KitSet>, { zones }: Prepared): Choice => ({
  picks: new Map(picks.map((option, z) => [zones[z]!.zoneId, option])),
  kitSet,
  usage: Object.fromEntries(budgets.map((budget, b) => [budget, use[b]!])) as Record<Budget, number>,
  cost,
  atLeast,
});

const unlimited = budgets.map(() => Number.MAX_VALUE);

const refusal = (
  blocked: readonly BlockedZone[],
  missing: readonly Gate[],
  shortages: readonly Shortage[],
): ChoiceResult => ({ ok: false, blocked, missing, shortages });

/**
 * Picks a treatment for every zone at least total cost J, every gate and budget kept, over all
 * sets of stations. Without a plan it says what stands in the way: zones that nothing serves, then
 * vessels that are missing, then the budgets that bite.
 */
export function choose(prepared: Prepared, capacity: Capacity): ChoiceResult {
  const have = vectorOf(capacity);
  const best = cheapestSelection(prepared.selecting, have);
  if (best) return { ok: true, choice: choiceOf(best, prepared) };
  const blocked = blockedZones(prepared.zones);
  if (blocked.length > 0) return refusal(blocked, [], []);
  const free = cheapestSelection(prepared.selecting, unlimited);
  return free
    ? refusal([], [], shortBudgets(prepared.selecting, have, free).map((short) => ({ ...short, budget: budgets[short.budget]! })))
    : refusal([], prepared.missing.slice(0, 1), []);
}

const blockedZones = (zones: readonly ZoneOptions[]): readonly BlockedZone[] =>
  zones
    .filter(({ options }) => options.length === 0)
    .map(({ zoneId, shut }) => ({
      zoneId,
      gates: shut.map(({ treatment, gates }) => ({ treatment, gates })),
    }));
