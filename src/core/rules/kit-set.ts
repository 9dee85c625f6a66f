import { type Assigned, type Content, assignVessels, isPlain, rinseBuckets } from '../mix';
import type { Job } from '../model';
import { type Budget, type Gate, budgets } from '../reasons';
import { kitsAtHand } from './available-treatments';
import { type PlanningContext, oncePerSharedContext } from './context';
import { usageCost } from './cost';
import { type Kit, kitMix, setupMinutes } from './kit';
import type { Usage } from './option';
import { freshStart } from './start-state';

/** A set of stations with its vessels and what setting it up takes. */
export interface KitSet {
  readonly kits: readonly Kit[];
  readonly usage: Usage;
  /** Of the product that must stay in the vessels, minor units. */
  readonly minor: number;
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
  const rinse = set.includes('wash') ? rinseBuckets(job.choices.bucket) : 0;
  return [
    ...mixes,
    ...Array.from({ length: rinse }, (): Content => 'rinse'),
    ...(glassFinish ? (['glass'] as const) : []),
  ];
}

/** Is there a dedicated glass cleaner, and does the school want it used? */
export const finishesGlass = ({ job, recipes }: PlanningContext): boolean =>
  job.choices.glass === 'last' && recipes.glass !== undefined;

/** What must stay in a vessel beyond what the panels take, mL. */
const chargeOf = ({ content, vessel }: Assigned, context: PlanningContext): number =>
  content === 'rinse' ? context.a.rinseBucket : vessel.chargeMl;

function setUp(set: readonly Kit[], assigned: readonly Assigned[], context: PlanningContext): KitSet {
  const { a, job, recipes, begun } = context;
  let [litres, minor] = [0, 0];
  const filled = assigned.filter(({ vessel }) => !begun.vessels.some(({ vesselId }) => vesselId === vessel.id));
  for (const one of filled) {
    const recipe = isPlain(one.content) ? undefined : recipes[one.content];
    const charge = chargeOf(one, context);
    litres += (charge * (1 - (recipe?.share ?? 0))) / 1000;
    minor += charge * (recipe?.minorPerMl ?? 0);
  }
  const glassSetup = filled.some(({ content }) => content === 'glass') ? a.setupSpray : 0;
  const hands = set.filter((kit) => !begun.kits.includes(kit)).reduce((sum, kit) => sum + setupMinutes(kit, a), glassSetup);
  const minutes = hands / job.site.workers + a.packing;
  const usage = { ...noUsage, litres, minutes };
  return { kits: set, usage, minor, cost: usageCost(usage, minor, a) };
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

function setsOf(context: PlanningContext): readonly KitSetResult[] {
  const kits = kitsAtHand(context);
  return Array.from({ length: 2 ** kits.length }, (_, bits) => kits.filter((_kit, i) => bits & (1 << i)))
    .filter((set) => !set.includes('heater') || set.includes('flush'))
    .map((set) => kitSet(set, context));
}

const fromNothing = oncePerSharedContext(setsOf);

/** Every set of stations that the van and the site allow, the empty one too. */
export const kitSets = (context: PlanningContext): readonly KitSetResult[] => (context.begun === freshStart ? fromNothing(context) : setsOf(context));
