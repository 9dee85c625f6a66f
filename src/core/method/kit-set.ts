import type { Job } from '../model';
import { type Assigned, type Content, assignVessels, isPlain, rinseBuckets } from '../mix/vessels';
import { type Budget, type Gate, budgets } from '../reasons';
import { fresh } from './begun';
import { type Kit, kitMix, setupMinutes } from './kit';
import { kitsAtHand } from './offered';
import type { Usage } from './option';
import { weighUsage } from './reweigh';
import { type Scene, onGround } from './scene';

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
export const finishesGlass = ({ job, recipes }: Scene): boolean =>
  job.choices.glass === 'last' && recipes.glass !== undefined;

/** What must stay in a vessel beyond what the panels take, mL. */
const chargeOf = ({ content, vessel }: Assigned, scene: Scene): number =>
  content === 'rinse' ? scene.a.rinseBucket : vessel.chargeMl;

function setUp(set: readonly Kit[], assigned: readonly Assigned[], scene: Scene): KitSet {
  const { a, job, recipes, begun } = scene;
  let [litres, minor] = [0, 0];
  const filled = assigned.filter(({ vessel }) => !begun.vessels.some(({ vesselId }) => vesselId === vessel.id));
  for (const one of filled) {
    const recipe = isPlain(one.content) ? undefined : recipes[one.content];
    const charge = chargeOf(one, scene);
    litres += (charge * (1 - (recipe?.share ?? 0))) / 1000;
    minor += charge * (recipe?.minorPerMl ?? 0);
  }
  const glassSetup = filled.some(({ content }) => content === 'glass') ? a.setupSpray : 0;
  const hands = set.filter((kit) => !begun.kits.includes(kit)).reduce((sum, kit) => sum + setupMinutes(kit, a), glassSetup);
  const minutes = hands / job.site.workers + a.packing;
  const usage = { ...noUsage, litres, minutes };
  return { kits: set, usage, minor, cost: weighUsage(usage, minor, a) };
}

function kitSet(set: readonly Kit[], scene: Scene): KitSetResult {
  const wanted = contentsOf(set, scene.job, finishesGlass(scene)).map((content) => ({
    content,
    demandMl: 0,
  }));
  const assignment = assignVessels(wanted, scene.job.vessels, scene.begun.vessels);
  return assignment.ok
    ? { ok: true, set: setUp(set, assignment.vessels, scene) }
    : { ok: false, kits: set, gate: { code: 'no-vessel', vessel: assignment.kind } };
}

function setsOf(scene: Scene): readonly KitSetResult[] {
  const kits = kitsAtHand(scene);
  return Array.from({ length: 2 ** kits.length }, (_, bits) => kits.filter((_kit, i) => bits & (1 << i)))
    .filter((set) => !set.includes('heater') || set.includes('flush'))
    .map((set) => kitSet(set, scene));
}

const fromNothing = onGround(setsOf);

/** Every set of stations that the van and the site allow, the empty one too. */
export const kitSets = (scene: Scene): readonly KitSetResult[] => (scene.begun === fresh ? fromNothing(scene) : setsOf(scene));
