import type { Assumptions } from '../assumptions';
import { type Content, type MixPlan, type Wanted, type Wetted, mixPlan, towelsDrink } from '../mix';
import type { CleanlinessClass, TowelRole, ZoneId } from '../model';
import type { Budget } from '../reasons';
import { type Laid, type Option, type PlanningContext, type StartState, contentsOf, finishesGlass, openTowels } from '../rules';
import { type Chosen, type Pass, lapOf, wheelsGoFirst } from '../passes';
import { type Setup, type Sharing, type Timeline, sharings, timelineOf } from '../schedule';
import { type UsedMitt, type UsedTowel, type Wiping, fewestMitts, part, towelLedger } from '../towel';
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
  readonly solventMl: number;
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
  const laid = (content: Content): number =>
    content === 'rinse' ? 0 : sumLaid(options, content);
  const soaked = towelsDrink(wettedOf(towels), a);
  return contents.map((content) => ({
    content,
    demandMl: laid(content) + (content === 'wash' ? soaked : 0),
  }));
}

const sumLaid = (options: readonly Option[], of: keyof Laid): number =>
  options.reduce((sum, { laidMl }) => sum + laidMl[of], 0);

/** Towels that come wet from the bucket. */
export const wettedOf = (towels: readonly UsedTowel[]): Wetted => ({
  towels: towels.filter(({ wetted, begun }) => wetted && !begun).length,
  again: towels.filter(({ rewetAfter }) => rewetAfter !== null).length,
});

/** Towels of a role that the plan opens. */
export const towelsOpened = (towels: readonly UsedTowel[], role: TowelRole): number =>
  towels.filter((towel) => towel.role === role && !towel.begun).length;

/** Stations, and the glass cleaner, as far as they do not stand ready. */
function toSetUp({ kitSet }: Choice, chosen: readonly Chosen[], begun: StartState): readonly Setup[] {
  const kits = kitSet.kits.filter((kit) => !begun.kits.includes(kit));
  const glass = chosen.some(({ option }) => option.work.glass > 0) && !begun.vessels.some(({ content }) => content === 'glass');
  return glass ? [...kits, 'glass'] : kits;
}

/** What the passes of one worker put on towels, part by part in the order of work. */
export const wipingsOf = (passes: readonly Pass[], needsOf: (of: Chosen) => Wiping['needs'] = ({ option }) => option.needs): readonly Wiping[] =>
  passes.flatMap(({ pieces }) => {
    // Within a pass towels are not changed for a step of cleanliness: it counts as its dirtiest piece.
    const cleanliness = Math.max(...pieces.map(({ zone }) => zone.cleanliness)) as CleanlinessClass;
    return pieces.map((piece): Wiping => ({
      zoneId: piece.zone.id,
      share: 1 / piece.of,
      needs: needsOf(piece).map((need) => ({ ...part(need, 1 / piece.of), cleanliness })),
    }));
  });

const missing = ({ towels }: Realised): number => towels.filter((towel) => towel.missing).length;

/**
 * Orders the work, sets it on the clock, deals out towels and fills the vessels. Two people take a side each; where
 * there are too few towels for that, one takes the wheels and the other all else.
 */
export function realise(choice: Choice, context: PlanningContext): Realised {
  const [sides, ...others] = context.job.site.workers === 2 ? sharings : ['sides' as const];
  return others.reduce((best, sharing) => {
    const other = missing(best) > 0 ? sharedBy(sharing, choice, context) : best;
    return missing(other) < missing(best) ? other : best;
  }, sharedBy(sides!, choice, context));
}

function sharedBy(sharing: Sharing, choice: Choice, context: PlanningContext): Realised {
  const { a, job, begun } = context;
  const zones = context.zones.map(({ zone }) => zone);
  const wheelsFirst = wheelsGoFirst(choice.picks, zones, job.choices);
  const chosen = zones.flatMap((zone): Chosen[] => {
    const option = choice.picks.get(zone.id);
    return option ? [{ zone, option, lap: lapOf(zone, wheelsFirst) }] : [];
  });
  const timeline = timelineOf(chosen, toSetUp(choice, chosen, begun), job, a, begun, sharing);
  const wipings = timeline.byWorker.map((passes) => wipingsOf(passes));
  const towels = towelLedger(wipings, job.towels, job.choices, a, begun.towels);
  const mitts = timeline.byWorker.flatMap((list, worker) =>
    fewestMitts(list.flatMap(({ pieces }) => pieces.flatMap(({ zone, option }) => (option.medium === 'mitt' ? [{ zoneId: zone.id, cleanliness: zone.cleanliness }] : []))), worker),
  );
  const contents = contentsOf(choice.kitSet.kits, job, finishesGlass(context));
  const wanted = wantedFrom(choice.picks, contents, towels, a);
  const mix = mixPlan(wanted, context.recipes, job, a, begun.vessels) ?? noMixes;
  const options = [...choice.picks.values()];
  const runoffL = options.reduce((sum, o) => sum + o.runoffMl, 0) / 1000;
  const lineL = sumLaid(options, 'line') / 1000;
  // What is open already is there to be used: it counts on both sides.
  const taken = (role: TowelRole): number => towelsOpened(towels, role) + openTowels(begun, role);
  return {
    choice,
    chosen,
    timeline,
    towels,
    mitts,
    mix,
    runoffL,
    lineL,
    bayL: sumLaid(options, 'bay') / 1000,
    solventMl: sumLaid(options, 'solvent'),
    takes: {
      litres: mix.litres + lineL,
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
