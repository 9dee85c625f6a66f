import type { TreatmentId, Working, ZoneId } from '../model';
import { type Budget, type Gate, budgets } from '../reasons';
import { pickOnePerGroup } from './knapsack';
import type { KitSet, KitSetResult } from './kit-set';
import { type Option, type Usage, vectorOf } from './option';

/** A zone with all its treatments worked out. */
export interface ZoneOptions {
  readonly zoneId: ZoneId;
  readonly options: readonly Option[];
}

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
  /** What forbids each treatment that the method would allow. */
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

function sumUsage(options: readonly Option[], first: Usage): Usage {
  const total = { ...first };
  for (const { usage } of options) for (const budget of budgets) total[budget] += usage[budget];
  return total;
}

const isFixed = (fixed: TreatmentId | undefined): fixed is TreatmentId => fixed !== undefined;

/** Treatments that may be considered for each zone; zones left out by hand are gone. */
function considered({ zones, fixed, allows }: Problem): readonly ZoneOptions[] {
  return zones
    .filter(({ zoneId }) => fixed[zoneId] !== 'leave')
    .map(({ zoneId, options }) => ({
      zoneId,
      options: options.filter(({ treatment }) => {
        const wish = fixed[zoneId];
        return isFixed(wish) ? treatment === wish : allows(treatment);
      }),
    }));
}

const lowerBound = (set: KitSet, groups: readonly (readonly Option[])[]): number =>
  groups.reduce(
    (sum, options) => sum + options.reduce((least, o) => Math.min(least, o.cost), Infinity),
    set.cost,
  );

export interface Candidate {
  readonly set: KitSet;
  readonly groups: readonly (readonly Option[])[];
  readonly bound: number;
}

function candidatesOf(zones: readonly ZoneOptions[], problem: Problem): Candidate[] {
  const usable = zones.map(({ options }) => options.filter(({ gates }) => gates.length === 0));
  return problem.kitSets
    .flatMap((result) => (result.ok ? [result.set] : []))
    .map((set): Candidate => {
      const groups = usable.map((options) =>
        options.filter((option) => option.kits.every((kit) => set.kits.includes(kit))),
      );
      return { set, groups, bound: lowerBound(set, groups) };
    })
    .filter(({ bound }) => Number.isFinite(bound))
    .sort((p, q) => p.bound - q.bound);
}

function solve(
  { set, groups }: Candidate,
  zones: readonly ZoneOptions[],
  capacity: Capacity,
  below: number,
): Choice | undefined {
  const setUse = vectorOf(set.usage);
  const room = vectorOf(capacity).map((cap, b) => cap - setUse[b]!);
  if (room.some((left) => left < 0)) return undefined;
  const picked = pickOnePerGroup(groups, room, below - set.cost);
  if (!picked) return undefined;
  const options = picked.picks.map((pick, g) => groups[g]![pick]!);
  return {
    picks: new Map(options.map((option, g) => [zones[g]!.zoneId, option])),
    kitSet: set,
    usage: sumUsage(options, set.usage),
    cost: picked.cost + set.cost,
    atLeast: picked.atLeast + set.cost,
  };
}

/** The problem with its sets of stations sorted by what they cost at least. */
export interface Prepared {
  readonly zones: readonly ZoneOptions[];
  readonly candidates: readonly Candidate[];
  readonly missing: readonly Gate[];
}

export function prepare(problem: Problem): Prepared {
  const zones = considered(problem);
  return {
    zones,
    candidates: candidatesOf(zones, problem),
    missing: problem.kitSets.flatMap((result) => (result.ok ? [] : [result.gate])),
  };
}

/** The cheapest choice over all sets of stations; sets that can't beat it are not solved. */
function bestOf({ zones, candidates }: Prepared, capacity: Capacity): Choice | undefined {
  let best: Choice | undefined;
  for (const candidate of candidates) {
    if (best && candidate.bound >= best.cost) break;
    const choice = solve(candidate, zones, capacity, best?.cost ?? Infinity);
    if (choice) best = { ...choice, atLeast: Math.min(choice.atLeast, best?.atLeast ?? Infinity) };
  }
  return best;
}

const unlimited: Capacity = Object.fromEntries(
  budgets.map((b) => [b, Number.MAX_VALUE]),
) as Record<Budget, number>;

/**
 * Budgets without which there would be a plan, each with what that plan takes. Only those that the
 * plan without limits would break can stand in the way; where none does so alone, all are named.
 */
function shortagesOf(prepared: Prepared, capacity: Capacity, free: Choice): readonly Shortage[] {
  const broken = budgets.filter((budget) => free.usage[budget] > capacity[budget]);
  const alone = broken.flatMap((budget): Shortage[] => {
    const choice = bestOf(prepared, { ...capacity, [budget]: Number.MAX_VALUE });
    return choice ? [{ budget, need: choice.usage[budget], have: capacity[budget] }] : [];
  });
  const all = broken.map((budget) => ({ budget, need: free.usage[budget], have: capacity[budget] }));
  return alone.length > 0 ? alone : all;
}

const refusal = (
  blocked: readonly BlockedZone[],
  missing: readonly Gate[],
  shortages: readonly Shortage[],
): ChoiceResult => ({ ok: false, blocked, missing, shortages });

/**
 * Picks a treatment for every zone at least total cost J, every gate and budget kept, over all
 * sets of stations. Exact. Without a plan it says what stands in the way: zones that nothing
 * serves, then vessels that are missing, then the budgets that bite.
 */
export function choose(prepared: Prepared, capacity: Capacity): ChoiceResult {
  const best = bestOf(prepared, capacity);
  if (best) return { ok: true, choice: best };
  const blocked = blockedZones(prepared.zones);
  if (blocked.length > 0) return refusal(blocked, [], []);
  const free = bestOf(prepared, unlimited);
  return free
    ? refusal([], [], shortagesOf(prepared, capacity, free))
    : refusal([], prepared.missing.slice(0, 1), []);
}

const blockedZones = (zones: readonly ZoneOptions[]): readonly BlockedZone[] =>
  zones
    .filter(({ options }) => options.every(({ gates }) => gates.length > 0))
    .map(({ zoneId, options }) => ({
      zoneId,
      gates: options.map(({ treatment, gates }) => ({ treatment, gates })),
    }));
