import { ChangeDetectionStrategy, Component, ElementRef, computed, inject, input, output, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { detailsOf } from '@esmero/core';
import type { Vehicle, View, Zone, ZoneId } from '@esmero/model';
import { zoneName } from '@esmero/messages';
import { type Direction, type Lie, type PlacedZone, netOf, neighbour, sideOf } from './net-layout';
import { ZoomDirective } from './zoom.directive';
import { type Looks, type ZoneLook, plainLook } from './zone-look';

const arrows: Readonly<Record<string, Direction>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

/** Keys that bring the car closer, and away again. */
const closerBy: Readonly<Record<string, number>> = { '+': 1.5, '=': 1.5, '-': 1 / 1.5 };

interface Drawn extends PlacedZone {
  readonly look: ZoneLook;
  readonly label: string;
  readonly texture: string | null;
  /** Height of the writing, metres; 0 where none would be readable. */
  readonly letters: number;
  readonly written: string;
  /** A small diamond below the writing, for marks from before. */
  readonly pin: string;
}

/** Writing on a zone, metres: as high as it is read with ease, and no lower than it can be read. */
const LETTERS = 0.135;
const LEAST_LETTERS = 0.095;
/** Width of a letter against its height, on average. */
const LETTER_WIDTH = 0.68;

/** The largest letters that fit between the edges. */
function lettersFor(mark: string, room: number): number {
  if (mark === '') return 0;
  const fits = Math.min(LETTERS, (2 * room) / (mark.length * LETTER_WIDTH), 1.6 * room);
  return fits >= LEAST_LETTERS ? fits : 0;
}

/** Half the height of a pin, metres. */
const PIN = 0.055;

function pinAt({ centre: [x, y], room }: PlacedZone): string {
  const below = y + Math.min(room * 0.72, 0.16);
  return `M${x} ${below - PIN}L${x + PIN} ${below}L${x} ${below + PIN}L${x - PIN} ${below}Z`;
}

const textures: Readonly<Partial<Record<ZoneLook['fill'], string>>> = {
  unseen: 'url(#unseen)',
  'soil-1': 'url(#soil-1)',
  'soil-2': 'url(#soil-2)',
  'soil-3': 'url(#soil-3)',
  'soil-4': 'url(#soil-4)',
  'soil-5': 'url(#soil-5)',
  leave: 'url(#leave)',
};

/**
 * The car unfolded on one surface, drawn from the polygons that the core computes with. One zone at
 * a time has the keyboard focus; arrows move it across the net.
 */
@Component({
  selector: 'esm-car-net',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ZoomDirective],
  templateUrl: './car-net.component.html',
  styleUrls: ['./details.css', './car-net.component.css'],
})
export class CarNetComponent {
  readonly zones = input.required<readonly Zone[]>();
  readonly vehicle = input.required<Vehicle>();
  readonly looks = input.required<Looks>();
  readonly lie = input<Lie>('across');
  /** Brought close, alone; null: all of the car. */
  readonly side = input<View | null>(null);
  readonly current = input<ZoneId | null>(null);
  readonly lit = input<ReadonlySet<ZoneId>>(new Set());
  /** Dragging paints: the page must not scroll under the finger. */
  readonly paints = input(false);
  readonly caption = input('The car, unfolded');

  /** A zone was pressed, or dragged over within the same stroke. */
  readonly pressed = output<{ id: ZoneId; stroke: string }>();
  readonly pointed = output<ZoneId | null>();
  readonly focused = output<ZoneId>();
  /** What this stroke has painted was not meant. */
  readonly calledOff = output<string>();
  /** A key on a zone that the net itself has no use for. */
  readonly keyed = output<{ id: ZoneId; event: KeyboardEvent }>();

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly stroke = signal<{ name: string; last: ZoneId } | null>(null);
  private strokes = 0;

  protected readonly net = computed(() => {
    const [side, details] = [this.side(), detailsOf(this.vehicle())];
    return side
      ? sideOf(side, this.zones(), details)
      : netOf(this.zones(), details, this.vehicle().dimensions, this.lie());
  });
  protected readonly drawn = computed(() =>
    this.net().zones.map((placed): Drawn => {
      const look = this.looks().get(placed.zone.id) ?? plainLook;
      const written = placed.zone.id === this.current() ? look.mark : (look.brief ?? look.mark);
      return {
        ...placed,
        look,
        label: look.says ? `${zoneName(placed.zone.id)}: ${look.says}` : zoneName(placed.zone.id),
        texture: textures[look.fill] ?? null,
        letters: lettersFor(written, placed.room),
        written,
        pin: pinAt(placed),
      };
    }),
  );
  /** The zone that Tab reaches. */
  protected readonly entry = computed(() => {
    const drawn = this.drawn();
    return (drawn.find(({ zone }) => zone.id === this.current()) ?? drawn[0])?.zone.id ?? null;
  });

  protected press(event: PointerEvent, id: ZoneId): void {
    // A second finger moves the car.
    if (event.button !== 0 || event.isPrimary === false) return;
    // Without capture, a drag over other zones reports those zones.
    (event.target as Element).releasePointerCapture?.(event.pointerId);
    this.stroke.set({ name: this.nextStroke(), last: id });
    this.pressed.emit({ id, stroke: this.stroke()!.name });
  }

  protected move(event: PointerEvent): void {
    const stroke = this.stroke();
    if (!stroke || !this.paints() || event.buttons === 0) return;
    const id = this.zoneAt(event);
    if (!id || id === stroke.last) return;
    this.stroke.set({ ...stroke, last: id });
    this.pressed.emit({ id, stroke: stroke.name });
  }

  protected release(): void {
    this.stroke.set(null);
  }

  /** A second finger: it was to move the car, not to paint it. */
  protected callOff(): void {
    const stroke = this.stroke();
    this.stroke.set(null);
    if (stroke && this.paints()) this.calledOff.emit(stroke.name);
  }

  protected key(event: KeyboardEvent, id: ZoneId, zoom: ZoomDirective): void {
    const direction = arrows[event.key];
    const closer = closerBy[event.key];
    if (direction) {
      event.preventDefault();
      const next = neighbour(this.net(), id, direction);
      if (next) this.focus(next);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      this.pressed.emit({ id, stroke: this.nextStroke() });
    } else if (closer) zoom.by(closer);
    else this.keyed.emit({ id, event });
  }

  focus(id: ZoneId): void {
    this.host.nativeElement.querySelector<SVGElement>(`[data-zone="${id}"]`)?.focus();
  }

  private nextStroke(): string {
    return `stroke-${Date.now()}-${++this.strokes}`;
  }

  /** Touch keeps reporting the zone where it began: look at what lies under the finger. */
  private zoneAt(event: PointerEvent): ZoneId | null {
    const at = document.elementFromPoint(event.clientX, event.clientY);
    return (at?.closest('[data-zone]')?.getAttribute('data-zone') as ZoneId | null) ?? null;
  }
}
