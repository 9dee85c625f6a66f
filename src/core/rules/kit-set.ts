import { type Assigned, type Content, assignVessels, chargeOf, isFromBucket, rinseBuckets } from '../mix';
import { type Job, partsOf } from '../model';
import { type Budget, type Gate, budgets } from '../reasons';
import { kitsAtHand } from './available-treatments';
import { type PlanningContext, oncePerSharedContext } from './context';
import { usageCost } from './cost';
import { flushRules } from './flushes';
import { type Kit, kitMix, packingMinutes, setupMinutes, usesBuckets } from './kit';
import type { Usage } from './option';
import { freshStart } from './start-state';

/** A set of stations with its vessels and what setting it up takes. */
export interface KitSet {
  readonly kits: readonly Kit[];
  readonly usage: Usage;
  /** Of the product that must stay in the vessels, minor units. */
  readonly minor: number;
  /** Of dirty water that has to be taken away, L. */
  readonly wasteL: number;
  readonly cost: number;
}

export type KitSetResult =
  | { readonly ok: true; readonly set: KitSet }
  | { readonly ok: false; readonly kits: readonly Kit[]; readonly gate: Gate };

export const noUsage: Usage = Object.fromEntries(budgets.map((b) => [b, 0])) as Record<Budget, number>;

/** Everything that stands in a vessel when these stations are set up. */
export function contentsOf(set: readonly Kit[], job: Job, glassFinish: boolean): readonly Content[] {
  const mixes = set.flatMap((kit): Content[] => {
    const mix = kitMix[kit];
    return mix ? [mix] : [];
  });
  const rinse = usesBuckets(set) ? rinseBuckets(job.choices.bucket) : 0;
  return [
    ...mixes,
    ...Array.from({ length: rinse }, (): Content => 'rinse'),
    ...(glassFinish ? (['glass'] as const) : []),
  ];
}

/** Is there a dedicated glass cleaner, and does the approach want it used? */
export const finishesGlass = ({ job, recipes }: PlanningContext): boolean =>
  job.choices.glass !== 'first' && recipes.glass !== undefined;

function setUp(set: readonly Kit[], assigned: readonly Assigned[], context: PlanningContext): KitSet {
  const { a, job, recipes, begun } = context;
  let [litres, minor, wasteL] = [0, 0, 0];
  const filled = assigned.filter(({ vessel }) => !begun.vessels.some(({ vesselId }) => vesselId === vessel.id));
  for (const one of filled) {
    const recipe = recipes[one.content];
    const charge = chargeOf(one, a);
    litres += (charge * (1 - (recipe?.share ?? 0))) / 1000;
    minor += charge * (recipe?.minorPerMl ?? 0);
    if (isFromBucket(one.content) || one.content === 'rinse') wasteL += charge / 1000;
  }
  const glassSetup = filled.some(({ content }) => content === 'glass') ? a.setupSpray : 0;
  const hands = set
    .filter((kit) => !begun.kits.includes(kit))
    .reduce((sum, kit) => sum + setupMinutes(kit, a), glassSetup);
  const minutes = hands / job.site.workers + packingMinutes(set, a);
  const usage = { ...noUsage, litres, minutes };
  return { kits: set, usage, minor, wasteL, cost: usageCost(usage, minor, a) + a.weightWaste * wasteL };
}

function kitSet(set: readonly Kit[], context: PlanningContext): KitSetResult {
  const wanted = contentsOf(set, context.job, finishesGlass(context)).map((content) => ({
    content,
    demandMl: 0,
  }));
  const assignment = assignVessels(wanted, context.job.vessels, context.begun.vessels);
  return assignment.ok
    ? { ok: true, set: setUp(set, assignment.vessels, context) }
    : { ok: false, kits: set, gate: { code: 'no-vessel', vessel: assignment.kind } };
}

/** One kind of rinse gear a car; a second only where it is asked for by hand. */
const rinsers: readonly Kit[] = ['flush', 'cordless', 'mains', 'bay'];

function setsOf(context: PlanningContext): readonly KitSetResult[] {
  const kits = kitsAtHand(context);
  const asked = new Set(
    Object.values(context.job.choices.fixed).flatMap((treatment) =>
      treatment === 'leave' || !treatment ? [] : flushRules[partsOf(treatment).flush].kits,
    ),
  );
  const asksForMore = rinsers.filter((kit) => asked.has(kit)).length > 1;
  return Array.from({ length: 2 ** kits.length }, (_, bits) => kits.filter((_kit, i) => bits & (1 << i)))
    .filter((set) => !set.includes('heater') || set.includes('flush'))
    .filter((set) => rinsers.filter((kit) => set.includes(kit)).length <= (asksForMore ? rinsers.length : 1))
    .map((set) => kitSet(set, context));
}

const fromNothing = oncePerSharedContext(setsOf);

/** Every set of stations that the van and the site allow, the empty one too. */
export const kitSets = (context: PlanningContext): readonly KitSetResult[] =>
  context.begun === freshStart ? fromNothing(context) : setsOf(context);
