import type { TreatmentId, Working, ZoneId } from '../model';
import {
  type FacilitySet,
  type Option as Pickable,
  type Selecting,
  type Selection,
  cheapestSelection,
  isFound,
  selecting,
  shortBudgets,
} from '../optimise';
import { type Budget, type Gate, type ShortBudget, budgets } from '../reasons';
import {
  type Kit,
  type KitSet,
  type KitSetResult,
  type Option,
  type Shut,
  type Usage,
  type ZoneOptions,
  kits,
  vectorOf,
} from '../rules';

export type Capacity = Usage;

/** What may be chosen from. */
export interface Problem {
  readonly zones: readonly ZoneOptions[];
  readonly kitSets: readonly KitSetResult[];
  readonly fixed: Readonly<Partial<Record<ZoneId, TreatmentId>>>;
  /** The treatments a pure method allows. */
  readonly allows: (treatment: Working, zone: ZoneId) => boolean;
  /** Body and glass: what is chosen on them does not hang on wheels and door shuts. */
  readonly body: ReadonlySet<ZoneId>;
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

export type Shortage = ShortBudget;

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
      const may = ({ treatment }: Shut): boolean => (isFixed(wish) ? treatment === wish : allows(treatment, zoneId));
      return { zoneId, options: options.filter(may), shut: shut.filter(may), explain: () => explain().filter(may) };
    });
}

/** Kits as bits, so that "all of these are set up" is one comparison. */
const bitsOf = (list: readonly Kit[]): number => list.reduce((bits, kit) => bits | (1 << kits.indexOf(kit)), 0);

const pickable = (option: Option): Pickable<Option> => ({
  value: option,
  cost: option.cost,
  use: option.use,
  needs: bitsOf(option.kits),
});

const facilities = (set: KitSet): FacilitySet<KitSet> => ({
  value: set,
  provides: bitsOf(set.kits),
  cost: set.cost,
  use: vectorOf(set.usage),
});

/** The problem as it is solved, for any capacity. */
export interface Prepared {
  readonly zones: readonly ZoneOptions[];
  readonly sets: readonly FacilitySet<KitSet>[];
  readonly selecting: Selecting<Option, KitSet>;
  readonly missing: readonly Gate[];
  readonly body: ReadonlySet<ZoneId>;
}

const preparedFrom = (zones: readonly ZoneOptions[], rest: Pick<Prepared, 'sets' | 'missing' | 'body'>): Prepared => ({
  ...rest,
  zones,
  selecting: selecting(
    zones.map(({ options }) => options.map(pickable)),
    rest.sets,
  ),
});

export const prepare = (problem: Problem): Prepared =>
  preparedFrom(considered(problem), {
    sets: problem.kitSets.flatMap((result) => (result.ok ? [facilities(result.set)] : [])),
    missing: problem.kitSets.flatMap((result) => (result.ok ? [] : [result.gate])),
    body: problem.body,
  });

/** What is set up and nothing uses, in order to have a smaller vessel for something else, is not set up. */
function withoutIdle(kitSet: KitSet, picks: readonly Option[], sets: Prepared['sets']): KitSet {
  const used = new Set(picks.flatMap((option) => option.kits));
  if (kitSet.kits.every((kit) => used.has(kit))) return kitSet;
  const exact = sets.find(({ value }) => value.kits.length === used.size && value.kits.every((kit) => used.has(kit)));
  return exact?.value ?? kitSet;
}

function choiceOf(
  { picks, facilities, use, cost, atLeast }: Selection<Option, KitSet>,
  { zones, sets }: Prepared,
): Choice {
  const kitSet = withoutIdle(facilities, picks, sets);
  const usage = Object.fromEntries(
    budgets.map((budget, b) => [budget, use[b]! - facilities.usage[budget] + kitSet.usage[budget]]),
  ) as Record<Budget, number>;
  return {
    picks: new Map(picks.map((option, z) => [zones[z]!.zoneId, option])),
    kitSet,
    usage,
    cost: cost - facilities.cost + kitSet.cost,
    atLeast,
  };
}

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
  if (isFound(best)) return { ok: true, choice: choiceOf(best, prepared) };
  const blocked = blockedZones(prepared.zones);
  if (blocked.length > 0) return refusal(blocked, [], []);
  const free = cheapestSelection(prepared.selecting, unlimited);
  return isFound(free)
    ? refusal(
        [],
        [],
        shortBudgets(prepared.selecting, have, free).map((short) => ({
          ...short,
          budget: budgets[short.budget]!,
          proved: best === 'none',
        })),
      )
    : refusal([], prepared.missing.slice(0, 1), []);
}

const blockedZones = (zones: readonly ZoneOptions[]): readonly BlockedZone[] =>
  zones
    .filter(({ options }) => options.length === 0)
    .map(({ zoneId, shut }) => ({
      zoneId,
      gates: shut.map(({ treatment, gates }) => ({ treatment, gates })),
    }));

/** The same problem with only some of its zones. */
const only = (prepared: Prepared, isIn: (zone: ZoneOptions) => boolean): Prepared =>
  preparedFrom(prepared.zones.filter(isIn), prepared);

/**
 * The choice on the body first, and wheels and door shuts by what it leaves them: they never decide how paint and glass
 * are washed. Only where both do not fit together, all is chosen at once.
 */
function bodyFirst(prepared: Prepared, capacity: Capacity): ChoiceResult {
  const isBody = ({ zoneId }: ZoneOptions): boolean => prepared.body.has(zoneId);
  if (prepared.zones.every(isBody) || !prepared.zones.some(isBody)) return choose(prepared, capacity);
  const body = choose(only(prepared, isBody), capacity);
  if (!body.ok) return choose(prepared, capacity);
  const settled = prepared.zones.map((zone) => {
    const pick = body.choice.picks.get(zone.zoneId);
    return pick ? { ...zone, options: [pick] } : zone;
  });
  const all = choose(preparedFrom(settled, prepared), capacity);
  return all.ok ? all : choose(prepared, capacity);
}

/** The choice as it is carried out: by the paint, and small parts along with the larger ones beside them. */
export function chooseByPaint(prepared: Prepared, capacity: Capacity): ChoiceResult {
  const found = bodyFirst(prepared, capacity);
  if (!found.ok) return found;
  const along = choose(preparedFrom(takenAlong(prepared.zones, found.choice.picks), prepared), capacity);
  return along.ok ? along : found;
}

/** The larger part beside a small one: they are washed in one go. */
function largerBeside(id: ZoneId): ZoneId | undefined {
  if (id === 'grille') return 'front-bumper-upper';
  if (id === 'badges') return 'rear-face';
  const [, place, part] = /^(.+)-(tyre|arch|mirror)$/.exec(id) ?? [];
  if (!place) return undefined;
  return (part === 'mirror' ? `${place}-front-door-upper` : `${place}-wheel`) as ZoneId;
}

/** Small parts go with the larger one beside them, the same way where that may be; everything else stays as it was chosen. */
function takenAlong(zones: readonly ZoneOptions[], picks: ReadonlyMap<ZoneId, Option>): readonly ZoneOptions[] {
  return zones.map((zone) => {
    const own = picks.get(zone.zoneId)!;
    const beside = picks.get(largerBeside(zone.zoneId) ?? zone.zoneId);
    const same = zone.options.filter(({ treatment }) => treatment === beside?.treatment);
    return { ...zone, options: beside && beside !== own && same.length > 0 ? same : [own] };
  });
}

/**
 * The choice that costs least when what it takes of some budgets counts besides, in shares of what there is; undefined
 * where none keeps the others.
 * @param dear what all of a budget counts; Infinity: nothing else counts
 */
export function leastOf(
  prepared: Prepared,
  capacity: Capacity,
  short: readonly Budget[],
  dear = Infinity,
): Choice | undefined {
  const places = short.map((budget) => budgets.indexOf(budget));
  const have = vectorOf(capacity);
  const counted = (cost: number, use: readonly number[]): number => {
    const share = places.reduce((sum, b) => sum + use[b]! / Math.max(1e-9, have[b]!), 0);
    return dear === Infinity ? share : cost + dear * share;
  };
  const best = cheapestSelection(
    selecting(
      prepared.zones.map(({ options }) =>
        options.map((option) => ({ ...pickable(option), cost: counted(option.cost, option.use) })),
      ),
      prepared.sets.map((set) => ({ ...set, cost: counted(set.cost, set.use) })),
    ),
    have,
  );
  if (!isFound(best)) return undefined;
  const choice = choiceOf(best, prepared);
  const cost = [...choice.picks.values()].reduce((sum, option) => sum + option.cost, choice.kitSet.cost);
  return { ...choice, cost, atLeast: 0 };
}
