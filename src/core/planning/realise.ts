import type { Assumptions } from '../assumptions';
import { type Content, type MixPlan, type Wanted, type Wetted, isFromBucket, mixPlan, towelsDrink } from '../mix';
import {
  type Bottled,
  type CleanlinessClass,
  type ToMind,
  type TowelRole,
  type ZoneId,
  bottled,
  cleanlinessOf,
  roadSides,
} from '../model';
import type { Budget } from '../reasons';
import {
  type Laid,
  type Option,
  type PlanningContext,
  type StartState,
  clocked,
  contentsOf,
  finishesGlass,
  guardingsFor,
  openTowels,
  packingMinutes,
} from '../rules';
import { type Chosen, type Pass, lapOf, wheelsGoFirst } from '../passes';
import {
  type PassAct,
  type PlannedPass,
  type Setup,
  type Sharing,
  type Step,
  type Timeline,
  clockWaits,
  lateIn,
  sharings,
  stepsBefore,
  timelineOf,
} from '../schedule';
import {
  type Mitted,
  type NeedMoment,
  type TowelNeed,
  type UsedMitt,
  type UsedTowel,
  type Wiping,
  mittsFor,
  part,
  towelLedger,
} from '../towel';
import type { Choice } from './choose';

/** A choice carried out on paper: real batches, real towels, real clock times. */
export interface Realised {
  readonly choice: Choice;
  readonly chosen: readonly Chosen[];
  readonly timeline: Timeline;
  readonly towels: readonly UsedTowel[];
  readonly mitts: readonly UsedMitt[];
  readonly mix: MixPlan;
  readonly runoffL: number;
  /** Water that never stands in a vessel: from tap and boiler, and from a wash bay. */
  readonly lineL: number;
  readonly bayL: number;
  /** Out of bottles that stay as they are sold. */
  readonly bottledMl: Readonly<Record<Bottled, number>>;
  /** Water that some of them are thinned with. */
  readonly bottledL: number;
  /** What it really takes from each budget. */
  readonly takes: Readonly<Record<Budget, number>>;
}

const noMixes: MixPlan = { mixes: [], litres: 0, productMl: 0, costMinor: null };

/** What the panels take of each content, and the bucket's wetted towels with it. */
function wantedFrom(
  picks: ReadonlyMap<ZoneId, Option>,
  contents: readonly Content[],
  towels: readonly UsedTowel[],
  a: Assumptions,
): readonly Wanted[] {
  const options = [...picks.values()];
  const laid = (content: Content): number => (content === 'rinse' ? 0 : sumLaid(options, content));
  const bucket = contents.find(isFromBucket);
  const soaked = towelsDrink(wettedOf(towels), a);
  return contents.map((content) => ({
    content,
    demandMl: laid(content) + (content === bucket ? soaked : 0),
  }));
}

const sumLaid = (options: readonly Option[], of: keyof Laid): number =>
  options.reduce((sum, { laidMl }) => sum + laidMl[of], 0);

/** Towels that come wet from the bucket. */
const wettedOf = (towels: readonly UsedTowel[]): Wetted => ({
  towels: towels.filter(({ wetted, begun }) => wetted && !begun).length,
  again: towels.filter(({ rewetAfter }) => rewetAfter !== null).length,
});

/** Towels of a role that the plan opens. */
export const towelsOpened = (towels: readonly UsedTowel[], role: TowelRole): number =>
  towels.filter((towel) => towel.role === role && !towel.begun).length;

/** Stations, and the glass cleaner, as far as they do not stand ready. */
function toSetUp(
  { kitSet }: Choice,
  chosen: readonly Chosen[],
  begun: StartState,
  around: readonly ToMind[],
): readonly Setup[] {
  const kits = kitSet.kits.filter((kit) => !begun.kits.includes(kit));
  const glass =
    chosen.some(({ option }) => option.laidMl.glass > 0) && !begun.vessels.some(({ content }) => content === 'glass');
  // Once the run is under way they are out.
  const guardings = begun.at === null && chosen.length > 0 ? guardingsFor(around) : [];
  return [...guardings, ...kits, ...(glass ? (['glass'] as const) : [])];
}

/** When the needs of a pass come up; in rinsing none do. */
const momentOf = {
  flush: null,
  wipe: 'pass',
  dry: 'dry',
  glass: 'glass',
  protect: 'protect',
} as const satisfies Record<PassAct, NeedMoment | null>;

/** What one pass puts on towels: all of it is wiped, and then finished. Towels are not changed within it for a step of cleanliness: it counts as its dirtiest piece. */
function wipingsIn(
  { act, number: pass, parts }: PlannedPass,
  needsOf: (zoneId: ZoneId) => readonly TowelNeed[],
): readonly Wiping[] {
  const wipings = parts.flatMap(({ zoneId, share }) =>
    needsOf(zoneId)
      .filter(({ moment }) => moment === momentOf[act])
      .map((need): Wiping => ({ zoneId, pass, share, need: part(need, share) })),
  );
  // Glass and paint have a hand each, and so have washing and finishing.
  return handsInOrder.flatMap((isIn) => {
    const own = wipings.filter(({ need }) => isIn(need));
    const cleanliness = Math.max(...own.map(({ need }) => need.cleanliness)) as CleanlinessClass;
    return own.map((one) => ({ ...one, need: { ...one.need, cleanliness } }));
  });
}

const handsInOrder: readonly ((need: TowelNeed) => boolean)[] = [
  ({ use, cleanliness }) => use === 'wash' && cleanliness === cleanlinessOf.glass,
  ({ use, cleanliness }) => use === 'wash' && cleanliness !== cleanlinessOf.glass,
  ({ use, cleanliness }) => use !== 'wash' && cleanliness === cleanlinessOf.glass,
  ({ use, cleanliness }) => use !== 'wash' && cleanliness !== cleanlinessOf.glass,
];

/** What each worker does with towels, in the order in which hands come to it. */
export function wipingsOf(
  { passes }: Pick<Timeline, 'passes'>,
  workers: number,
  needsOf: (zoneId: ZoneId) => readonly TowelNeed[],
): readonly (readonly Wiping[])[] {
  return Array.from({ length: workers }, (_, worker) =>
    passes.filter((pass) => pass.worker === worker).flatMap((pass) => wipingsIn(pass, needsOf)),
  );
}

/** Zones of a pass that are washed with a rinsed medium; within it the medium is not changed. */
function mittedIn({ pieces }: Pass, pass: number): readonly Mitted[] {
  const own = pieces.filter(({ option }) => option.medium === 'mitt').map(({ zone }) => zone);
  const cleanliness = Math.max(...own.map((zone) => zone.cleanliness)) as CleanlinessClass;
  // Glass has a mitt of its own, in a pass with paint as well.
  return own.map((zone) => ({
    zoneId: zone.id,
    cleanliness: zone.cleanliness === cleanlinessOf.glass ? cleanlinessOf.glass : cleanliness,
    pass,
  }));
}

/** Water in what is thinned in its own bottle, L. */
const thinnedL = (bottledMl: Readonly<Record<Bottled, number>>, { recipes }: PlanningContext): number =>
  bottled.reduce((sum, purpose) => sum + (bottledMl[purpose] * (1 - (recipes[purpose]?.share ?? 1))) / 1000, 0);

const missing = ({ towels }: Realised): number => towels.filter((towel) => towel.missing).length;

/**
 * Orders the work, sets it on the clock, deals out towels and fills the vessels. Two people take a side each; where
 * there are too few towels for that, one takes the wheels and the other all else.
 */
export function realise(choice: Choice, context: PlanningContext): Realised {
  const { site, choices } = context.job;
  const [sides, ...others] = site.workers === 2 && choices.pair === 'sides' ? sharings : ['sides' as const];
  return others.reduce(
    (best, sharing) => {
      const other = missing(best) > 0 ? sharedBy(sharing, choice, context) : best;
      return missing(other) < missing(best) ? other : best;
    },
    sharedBy(sides!, choice, context),
  );
}

/** The same treatments with the waits of the clock: what stands, dries, cools and is taken up follows from those. */
function byClock(
  picks: ReadonlyMap<ZoneId, Option>,
  steps: readonly Step[],
  context: PlanningContext,
): ReadonlyMap<ZoneId, Option> {
  const waits = clockWaits(steps);
  return new Map(
    context.zones.flatMap((soiled): [ZoneId, Option][] => {
      const { id } = soiled.zone;
      const option = picks.get(id);
      return option ? [[id, clocked(soiled, option, waits.get(id) ?? [], context)]] : [];
    }),
  );
}

function sharedBy(sharing: Sharing, choice: Choice, context: PlanningContext): Realised {
  const { a, job, begun } = context;
  const zones = context.zones.map(({ zone }) => zone);
  const sides = roadSides(job.around);
  const wheelsFirst = wheelsGoFirst(choice.picks, zones, job.choices);
  const chosen = zones.flatMap((zone): Chosen[] => {
    const option = choice.picks.get(zone.id);
    return option ? [{ zone, option, lap: lapOf(zone, wheelsFirst, sides) }] : [];
  });
  const timeline = timelineOf(chosen, toSetUp(choice, chosen, begun, job.around), {
    job,
    begun,
    a,
    tankMl: context.tankMl > 0 ? context.tankMl : Infinity,
    packMin: packingMinutes(choice.kitSet.kits, a),
    sharing,
  });
  const history = [...stepsBefore(chosen, begun), ...timeline.steps];
  const picks = byClock(choice.picks, history, context);
  const wipings = wipingsOf(timeline, job.site.workers, (zoneId) => picks.get(zoneId)?.needs ?? []);
  const towels = towelLedger(wipings, job.towels, job.choices, a, begun.towels);
  const mitts = timeline.byWorker.flatMap((passes, worker) =>
    mittsFor(passes.flatMap(mittedIn), worker, job.choices.medium),
  );
  const contents = contentsOf(choice.kitSet.kits, job, finishesGlass(context));
  const wanted = wantedFrom(picks, contents, towels, a);
  const mix = mixPlan(wanted, context.recipes, job, a, begun.vessels) ?? noMixes;
  const options = [...picks.values()];
  const runoffL = options.reduce((sum, o) => sum + o.runoffMl, 0) / 1000;
  const bottledMl = Object.fromEntries(bottled.map((purpose) => [purpose, sumLaid(options, purpose)])) as Record<
    Bottled,
    number
  >;
  const bottledL = thinnedL(bottledMl, context);
  const lineL = sumLaid(options, 'line') / 1000;
  // What is open already is there to be used: it counts on both sides.
  const taken = (role: TowelRole): number => towelsOpened(towels, role) + openTowels(begun, role);
  const asClocked = chosen.map((one) => ({ ...one, option: picks.get(one.zone.id)! }));
  return {
    choice: { ...choice, picks },
    chosen: asClocked,
    timeline: { ...timeline, late: lateIn(asClocked, history) },
    towels,
    mitts,
    mix,
    runoffL,
    lineL,
    bayL: sumLaid(options, 'bay') / 1000,
    bottledMl,
    bottledL,
    takes: {
      litres: mix.litres + lineL + bottledL,
      runoffL,
      minutes: timeline.elapsedS / 60,
      batteryMin: options.reduce((sum, { usage }) => sum + usage.batteryMin, 0),
      wash: taken('wash'),
      finish: taken('finish'),
      drying: taken('drying'),
      glass: taken('glass'),
      wheels: taken('wheels'),
    },
  };
}
