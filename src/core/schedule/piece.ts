import type { Assumptions } from '../assumptions';
import type { WorkSeconds } from '../rules';
import type { Ordered } from './run-order';

/** A section of a zone, wetted and wiped in one go. */
export interface Piece extends Ordered {
  /** From 1. */
  readonly section: number;
  readonly areaM2: number;
  /** Seconds with walking and folding in them. */
  readonly work: WorkSeconds;
}

/** Zones cut into their sections; spots are softened before the first of them. */
export const piecesOf = (ordered: readonly Ordered[], a: Assumptions): readonly Piece[] =>
  ordered.flatMap((one) => {
    const { work, sections } = one.option;
    const share = (1 + a.walking) / sections;
    return Array.from({ length: sections }, (_, i): Piece => ({
      ...one,
      section: i + 1,
      areaM2: one.zone.areaM2 / sections,
      work: {
        flush: work.flush * share,
        pretreat: i === 0 ? work.pretreat * (1 + a.walking) : 0,
        spray: work.spray * share,
        wipe: work.wipe * share,
        finish: work.finish * share,
        glass: work.glass * share,
      },
    }));
  });
