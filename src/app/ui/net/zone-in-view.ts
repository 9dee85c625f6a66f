import { Injectable, signal } from '@angular/core';
import type { ZoneId } from '@esmero/model';

/** Which zone the eye is on; shared by the net, the card beneath it and the stage beside it. */
@Injectable({ providedIn: 'root' })
export class ZoneInView {
  private readonly _current = signal<ZoneId | null>(null);
  private readonly _hovered = signal<ZoneId | null>(null);
  private readonly _lit = signal<ReadonlySet<ZoneId>>(new Set());
  readonly current = this._current.asReadonly();
  readonly hovered = this._hovered.asReadonly();
  /** Zones that something beside the net points at: a towel side, a list of blocked zones. */
  readonly lit = this._lit.asReadonly();

  choose(id: ZoneId | null): void {
    this._current.set(id);
  }

  hover(id: ZoneId | null): void {
    this._hovered.set(id);
  }

  light(ids: Iterable<ZoneId>): void {
    this._lit.set(new Set(ids));
  }
}
