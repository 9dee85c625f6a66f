import {
  DestroyRef,
  Directive,
  ElementRef,
  afterNextRender,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';

/** As close as one comes: a door fills the screen of a phone. */
const CLOSEST = 6;

/**
 * Brings a drawing closer: wheel, two fingers, or a key. One finger is left to whoever draws or scrolls with it, until
 * the drawing is larger than its frame and nothing is painted: then it moves it.
 */
@Directive({ selector: 'svg[esmZoom]', exportAs: 'esmZoom' })
export class ZoomDirective {
  /** The frame, as a view box: "x y width height". */
  readonly frame = input.required<string>({ alias: 'esmZoom' });
  /** One finger paints. */
  readonly paints = input(false);
  /** A second finger came: what the first one began was not meant. */
  readonly pinched = output();

  /** Of all that is drawn. */
  readonly transform = signal<string | null>(null);
  readonly isClose = signal(false);

  private readonly svg = inject<ElementRef<SVGSVGElement>>(ElementRef).nativeElement;
  private readonly behaviour: ZoomBehavior<SVGSVGElement, unknown> = zoom<SVGSVGElement, unknown>()
    .scaleExtent([1, CLOSEST])
    .filter((event: Event) => this.isMeant(event))
    .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => {
      this.isClose.set(transform.k > 1);
      this.transform.set(transform.k > 1 ? transform.toString() : null);
    });

  constructor() {
    const drawing = select(this.svg);
    afterNextRender(() => drawing.call(this.behaviour).on('dblclick.zoom', null));
    inject(DestroyRef).onDestroy(() => drawing.on('.zoom', null));
    effect(() => {
      const [x = 0, y = 0, width = 1, height = 1] = this.frame().split(' ').map(Number);
      const box: [[number, number], [number, number]] = [
        [x, y],
        [x + width, y + height],
      ];
      this.behaviour.extent(box).translateExtent(box);
      // Another side, or another car: all of it.
      drawing.property('__zoom', zoomIdentity);
      this.transform.set(null);
      this.isClose.set(false);
    });
  }

  /** Closer by a factor, or further away. */
  by(factor: number): void {
    select(this.svg).call(this.behaviour.scaleBy, factor);
  }

  private isMeant(event: Event): boolean {
    if (event.type === 'wheel') return true;
    if ('touches' in event) {
      const fingers = (event as TouchEvent).touches.length;
      if (fingers > 1) this.pinched.emit();
      return fingers > 1 || (this.isClose() && !this.paints());
    }
    return (
      event instanceof MouseEvent && (event.button === 1 || (event.button === 0 && this.isClose() && !this.paints()))
    );
  }
}
