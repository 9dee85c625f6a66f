import { Directive, output } from '@angular/core';

/** A finger has to go so far across, and not much up or down. */
const FAR_PX = 90;
const STEEP = 0.6;

/** A finger drawn across, either way. Mouse and pen have buttons and keys. */
@Directive({
  selector: '[esmSwipe]',
  host: { '(touchstart)': 'begin($event)', '(touchend)': 'end($event)' },
})
export class SwipeDirective {
  readonly swiped = output({ alias: 'esmSwipe' });
  private from: { readonly x: number; readonly y: number } | null = null;

  protected begin({ touches }: TouchEvent): void {
    const [only, second] = [touches[0], touches[1]];
    this.from = only && !second ? { x: only.clientX, y: only.clientY } : null;
  }

  protected end({ changedTouches }: TouchEvent): void {
    const [to, from] = [changedTouches[0], this.from];
    this.from = null;
    if (!to || !from) return;
    const [across, along] = [Math.abs(to.clientX - from.x), Math.abs(to.clientY - from.y)];
    if (across > FAR_PX && along < across * STEEP) this.swiped.emit();
  }
}
