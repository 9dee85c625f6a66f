import { Injectable, type Signal, computed, signal } from '@angular/core';
import type { ZoneId } from '@esmero/model';
import type { LegendItem } from './net-legend.component';
import { type Looks } from './zone-look';

/**
 * What leads on a stage. `car`: the car in the middle, tools below it, words beside it. `instrument`: the instrument on
 * the whole width, the car small beside it. `page`: the stage alone, with no car but its own.
 */
type StageShape = 'car' | 'instrument' | 'page';

/** What the one net shows and does while a stage is open. */
export interface NetMode {
  readonly shape: StageShape;
  readonly caption: string;
  readonly looks: Signal<Looks>;
  /** What the tones stand for. */
  readonly legend?: Signal<readonly LegendItem[]>;
  /** Held in a wet hand beside the car: what is not needed for that steps aside. */
  readonly beside?: Signal<boolean>;
  /** Dragging over zones presses each of them. */
  readonly paints: boolean;
  press(id: ZoneId, stroke: string): void;
  /** A key on a zone; true when it meant something here. */
  key?(key: string, id: ZoneId): boolean;
}

/** Stages take turns at the net: each brings its own mode and leaves nothing behind. */
@Injectable({ providedIn: 'root' })
export class NetBoard {
  private readonly _mode = signal<NetMode | null>(null);
  readonly mode = this._mode.asReadonly();
  readonly looks = computed((): Looks => this._mode()?.looks() ?? new Map());

  use(mode: NetMode): void {
    this._mode.set(mode);
  }
}
