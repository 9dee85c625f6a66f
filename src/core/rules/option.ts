import type { BrushKind, MixPurpose, Working, ZoneId } from '../model';
import { type Budget, type Gate, budgets } from '../reasons';
import type { Moisture, TowelNeed, TowelUse } from '../towel';
import type { Drying, Finishing } from './drying-window';
import type { FlushSource, RinseAmount } from './flushes';
import type { Kit } from './kit';
import type { Marring } from './marring';
import type { BugPlan } from './bugs';
import type { CarePlan } from './care';
import type { CleanerPlan } from './cleaner';
import type { SpotPlan } from './spots';
import type { BegunZone } from './start-state';
import type { Waits } from './waits';
import type { WorkSeconds } from './work-seconds';

/** What a treatment lays on a zone, mL by mix; plain water by where the flush has it from. */
export type Laid = Readonly<Record<MixPurpose | FlushSource, number>>;

/** Nothing laid yet, to be added to. */
export const emptyLaid = (): Record<keyof Laid, number> => ({
  waterless: 0,
  foam: 0,
  presoak: 0,
  wash: 0,
  shampoo: 0,
  glass: 0,
  bugs: 0,
  solvent: 0,
  'wheel-cleaner': 0,
  degreaser: 0,
  topper: 0,
  'drying-aid': 0,
  sealant: 0,
  'trim-dressing': 0,
  'tyre-dressing': 0,
  water: 0,
  supply: 0,
  line: 0,
  bay: 0,
});

/** What an option takes from each budget. */
export type Usage = Readonly<Record<Budget, number>>;

/** Usage in the order of the list of budgets. */
export const vectorOf = (usage: Usage): number[] => budgets.map((budget) => usage[budget]);

/** From when to when something was sprayed, s. */
export interface Sprayed {
  readonly startS: number;
  readonly endS: number;
}

/** What is left of a zone that is begun. */
interface Rest {
  /** The zone as its new plan goes on from it. */
  readonly begun: BegunZone;
  /** How many sections all of it had. */
  readonly of: number;
  /** When each section was sprayed that is wet, by the clock of the new plan: before its beginning. Those come first. */
  readonly wet: readonly Sprayed[];
  /** Of the finish that is left, the share on what is lifted already. */
  readonly unfinished: number;
}

/** One treatment on one zone, worked out. */
export interface Option {
  readonly treatment: Working;
  /** How much is rinsed with before, and that in L/m²; 0 without a pre-rinse. */
  readonly rinse: RinseAmount;
  readonly rinseLM2: number;
  /** On body or glass: wheels and door shuts do not make a method. */
  readonly ofBody: boolean;
  readonly kits: readonly Kit[];
  /** Empty when the treatment may be used. */
  readonly gates: readonly Gate[];
  readonly marring: Marring;
  /** What lies there now, and what a rinse leaves of it. */
  readonly loadBeforeGm2: number;
  readonly loadAfterFlushGm2: number;
  readonly filmUm: number;
  readonly dwellS: number;
  readonly finishing: Finishing;
  readonly drying: Drying;
  /** How long each of its parts waits, by the clock; none while there is no clock. */
  readonly waits: readonly Waits[];
  /** Nothing comes onto it sooner after its rinse: until then it is too warm. */
  readonly settleS: number;
  /** The hand comes no later than this after the spray, or the film is too thin for the dirt; Infinity where that never is. */
  readonly wipeWithinS: number;
  /** Rinsed when its turn comes: it would freeze, dry or be warm again until then. */
  readonly atTurn: boolean;
  /** That is so because a rinse of the whole car would come too soon for it. */
  readonly inPass: boolean;
  /** In which the zone is done one after the other; 0 where nothing but drying or glass is left to do. */
  readonly sections: number;
  /** Of a zone that is begun: null where nothing was done. */
  readonly rest: Rest | null;
  readonly spots: readonly SpotPlan[];
  readonly bugs: BugPlan | null;
  readonly cleaner: CleanerPlan | null;
  /** Worked with, here, where a brush is wanted and there. */
  readonly brush: BrushKind | null;
  readonly care: CarePlan | null;
  /** Of the water laid on it what is rinsed with in its pass, mL. */
  readonly rinsedMl: number;
  /** Of that what takes foam off before the hand comes. */
  readonly rinsedBeforeMl: number;
  /** What takes the dirt up; wheels and arches have towels of their own. */
  readonly medium: TowelUse['medium'];
  readonly laidMl: Laid;
  /** Rinse water that still stands there when hands come, mL. */
  readonly standsMl: number;
  /** After the rinse what stands on the panel is blown off. */
  readonly blown: boolean;
  /** Of the mixes, and of what stands there of the rinse. */
  readonly moisture: Moisture;
  /** With what a flush lets run. */
  readonly runoffMl: number;
  readonly work: WorkSeconds;
  readonly needs: readonly TowelNeed[];
  /** Towel sides that the wash fills, as a fraction; 0 where a mitt washes. */
  readonly washSides: number;
  readonly usage: Usage;
  /** The same in the order of the list of budgets, for the search. */
  readonly use: readonly number[];
  /** Share of the plan's cost J; lower is better. */
  readonly cost: number;
}

/** Towels of all roles together. */
export const towelsOf = ({ wash, finish, drying, glass, wheels }: Usage): number =>
  wash + finish + drying + glass + wheels;

/** A treatment that may not be used on a zone, with the first things that forbid it. */
export type Shut = Pick<Option, 'treatment' | 'gates'>;

/** A zone with what may be chosen on it. */
export interface ZoneOptions {
  readonly zoneId: ZoneId;
  /** Nothing forbids these. */
  readonly options: readonly Option[];
  readonly shut: readonly Shut[];
  /** Every treatment with everything that forbids it, for when a reason is asked for. */
  readonly explain: () => readonly Shut[];
}
