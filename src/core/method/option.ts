import type { MixPurpose, Working } from '../model';
import { type Budget, type Gate, budgets } from '../reasons';
import type { WorkSeconds } from '../schedule/work';
import type { TowelNeed } from '../towel';
import type { Drying } from './drying-window';
import type { Kit } from './kit';
import type { Marring } from './marring';

/** What a treatment lays on a zone, mL by mix; `water` is plain flush water. */
export type Laid = Readonly<Record<MixPurpose | 'water', number>>;

/** What an option takes from each budget. */
export type Usage = Readonly<Record<Budget, number>>;

/** Usage in the order of the list of budgets. */
export const vectorOf = (usage: Usage): number[] => budgets.map((budget) => usage[budget]);

/** One treatment on one zone, worked out. */
export interface Option {
  readonly treatment: Working;
  readonly kits: readonly Kit[];
  /** Empty when the treatment may be used. */
  readonly gates: readonly Gate[];
  readonly marring: Marring;
  readonly loadAfterFlushGm2: number;
  readonly filmUm: number;
  readonly dwellS: number;
  readonly drying: Drying;
  readonly laidMl: Laid;
  readonly runoffMl: number;
  readonly work: WorkSeconds;
  readonly needs: readonly TowelNeed[];
  readonly usage: Usage;
  /** The same in the order of the list of budgets, for the search. */
  readonly use: readonly number[];
  /** Share of the plan's cost J; lower is better. */
  readonly cost: number;
}
