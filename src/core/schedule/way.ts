import type { Assumptions } from '../assumptions';
import type { ZoneId } from '../model';
import type { Crew } from './crew';
import { type Wet, atItsTurn, dwells, interleaved, lateBy, softensS, wetting } from './interleave';
import type { Piece } from './piece';

/** A section that dried before it was done. */
export interface Late {
  readonly zoneId: ZoneId;
  readonly section: number;
  readonly lateS: number;
}

/** One worker's way through a row of sections, put on the clock. */
export class Way {
  private readonly wet: Wet[] = [];
  readonly late: Late[] = [];

  constructor(
    private readonly pieces: readonly Piece[],
    private readonly worker: number,
    private readonly crew: Crew,
    private readonly a: Assumptions,
  ) {}

  walk(): void {
    const toWet = this.pieces.filter(dwells);
    const toDo = [...this.pieces];
    for (const turn of interleaved(this.pieces, this.a)) {
      if (turn.kind === 'wet') this.moisten(toWet.shift()!, turn.pauseS, toDo[0]!);
      else this.serve(toDo.shift()!);
    }
  }

  /** @param next what is waited for meanwhile */
  private moisten(piece: Piece, pauseS: number, next: Piece): void {
    this.crew.waitUntil(this.worker, this.crew.now(this.worker) + pauseS, this.at(next));
    if (atItsTurn(piece)) this.do(piece, 'flush');
    const beganS = this.do(piece, 'pretreat');
    this.do(piece, 'spray');
    this.wet.push(wetting(piece, beganS));
  }

  private serve(piece: Piece): void {
    const own = dwells(piece) ? this.wet.shift()! : undefined;
    if (!own && atItsTurn(piece)) this.do(piece, 'flush');
    const readyS = own?.readyS ?? this.do(piece, 'pretreat') + softensS(piece);
    this.crew.waitUntil(this.worker, readyS, this.at(piece));
    const startS = this.crew.now(this.worker);
    const wipedS = this.do(piece, 'wipe');
    const doneS = piece.option.driedLater ? wipedS : this.do(piece, 'finish');
    const lateS = own ? lateBy(piece, own, startS, doneS) : 0;
    if (lateS > 0) this.late.push({ ...this.at(piece), lateS });
  }

  private at({ zone, section }: Piece): { readonly zoneId: ZoneId; readonly section: number } {
    return { zoneId: zone.id, section };
  }

  private do(piece: Piece, kind: 'flush' | 'pretreat' | 'spray' | 'wipe' | 'finish'): number {
    const { zone, section, work } = piece;
    return this.crew.do(this.worker, { zoneId: zone.id, section, kind, kit: null, seconds: work[kind] });
  }
}
