import type { TreatmentId, Working, ZoneId } from '../model';
import { type Budget, type Gate, budgets } from '../reasons';
import { pickOnePerGroup } from '../optimise/knapsack';
import { once } from './once';
import { type Kit, kits } from './kit';
import type { KitSet, KitSetResult } from './kit-set';
import { type Option, type Usage, vectorOf } from './option';

/** A treatment that may not be used on a zone, with the first things that forbid it. */
export type Shut = Pick<Option, 'treatment' | 'gates'>;

/** A zone with what may be chosen on it. */
export interface ZoneOptions {
  readonly zoneId: ZoneId;
  /** Nothing forbids these. */
  readonly options: readonly Option[];
  readonly shut: readonly Shut[];
  /** Every treatment with everything that forbids it, for when a reason is asked for. */
  readonly argue: () => readonly Shut[];
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
    .map(({ zoneId, options, shut, argue }) => {
      const wish = fixed[zoneId];
      const may = ({ treatment }: Shut): boolean => (isFixed(wish) ? treatment === wish : allows(treatment));
      return { zoneId, options: options.filter(may), shut: shut.filter(may), argue: () => argue().filter(may) };
    });
}

/** Kits as bits, so that "all of these are set up" is one comparison. */
const bitsOf = (list: readonly Kit[]): number => list.reduce((bits, kit) => bits | (1 << kits.indexOf(kit)), 0);

/** Slack for sums of floating point numbers against a budget. */
const EPS = 1e-9;

/** An option with its kits as bits. */
interface Marked {
  readonly option: Option;
  readonly bits: number;
}

export interface Candidate {
  readonly set: KitSet;
  readonly bits: number;
  /** Least that the zones can cost with these stations. */
  readonly bound: number;
  /** Least that zones and stations take of each budget; worked out when it is first asked for. */
  readonly takes: () => readonly number[];
}

const serves = ({ bits: needs }: Marked, bits: number): boolean => (needs & ~bits) === 0;

/** The bounds of a set of stations; undefined where one zone has no treatment. */
function candidateOf(set: KitSet, marked: readonly (readonly Marked[])[]): Candidate | undefined {
  const bits = bitsOf(set.kits);
  let bound = set.cost;
  for (const options of marked) {
    let cost = Infinity;
    for (const one of options) if (serves(one, bits)) cost = Math.min(cost, one.option.cost);
    if (cost === Infinity) return undefined;
    bound += cost;
  }
  return { set, bits, bound, takes: once(() => leastTaken(set, bits, marked)) };
}

function leastTaken(set: KitSet, bits: number, marked: readonly (readonly Marked[])[]): readonly number[] {
  const takes = vectorOf(set.usage);
  const least = new Float64Array(takes.length);
  for (const options of marked) {
    least.fill(Infinity);
    for (const one of options)
      if (serves(one, bits)) for (let b = 0; b < least.length; b++) if (one.option.use[b]! < least[b]!) least[b] = one.option.use[b]!;
    for (let b = 0; b < least.length; b++) takes[b]! += least[b]!;
  }
  return takes;
}

const candidatesOf = (marked: readonly (readonly Marked[])[], { kitSets }: Problem): Candidate[] =>
  kitSets
    .flatMap((result) => (result.ok ? [candidateOf(result.set, marked)] : []))
    .filter((candidate) => candidate !== undefined)
    .sort((p, q) => p.bound - q.bound);

function solve(
  { set, bits, takes }: Candidate,
  { zones, marked }: Prepared,
  capacity: Capacity,
  below: number,
): Choice | undefined {
  const caps = vectorOf(capacity);
  if (takes().some((least, b) => least > caps[b]! + EPS)) return undefined;
  const setUse = vectorOf(set.usage);
  const room = caps.map((cap, b) => cap - setUse[b]!);
  const groups = marked.map((options) => {
    const served: Option[] = [];
    for (const one of options) if (serves(one, bits)) served.push(one.option);
    return served;
  });
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
  /** Options of each zone, in the same order. */
  readonly marked: readonly (readonly Marked[])[];
  readonly candidates: readonly Candidate[];
  readonly missing: readonly Gate[];
}

export function prepare(problem: Problem): Prepared {
  const zones = considered(problem);
  const marked = zones.map(({ options }) => options.map((option) => ({ option, bits: bitsOf(option.kits) })));
  return {
    zones,
    marked,
    candidates: candidatesOf(marked, problem),
    missing: problem.kitSets.flatMap((result) => (result.ok ? [] : [result.gate])),
  };
}

/** The cheapest choice over all sets of stations; sets that can't beat it are not solved. */
function bestOf(prepared: Prepared, capacity: Capacity): Choice | undefined {
  let best: Choice | undefined;
  for (const candidate of prepared.candidates) {
    if (best && candidate.bound >= best.cost) break;
    const choice = solve(candidate, prepared, capacity, best?.cost ?? Infinity);
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
    .filter(({ options }) => options.length === 0)
    .map(({ zoneId, shut }) => ({
      zoneId,
      gates: shut.map(({ treatment, gates }) => ({ treatment, gates })),
    }));
