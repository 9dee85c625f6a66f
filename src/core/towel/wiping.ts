import type { ZoneId } from '../model';
import type { TowelNeed } from './need';

/** What a worker does next with a towel, in the order of the hand: a part of a zone in a pass. */
export interface Wiping {
  readonly zoneId: ZoneId;
  /** Number of the pass. */
  readonly pass: number;
  /** Of the zone, 0 to 1. */
  readonly share: number;
  /** Of this part; as dirty as the dirtiest of its pass, within which towels are not changed. */
  readonly need: TowelNeed;
}
