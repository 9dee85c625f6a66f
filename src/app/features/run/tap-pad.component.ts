import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Button, ButtonDirective } from 'primeng/button';
import type { Hand } from '@esmero/core';
import { taskHeading } from '@esmero/messages';

/** A wet hand bounces: a second tap so soon is none, ms. */
const BOUNCE_MS = 700;

/** The whole screen is one button: a knuckle or an elbow anywhere on it says done. */
@Component({
  selector: 'esm-tap-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ButtonDirective],
  template: `
    <button pButton type="button" class="pad" (click)="tap()">
      <span class="title">{{ title() }}</span>
      <span class="next">{{ next() }}</span>
    </button>
    <p-button class="leave" label="Leave" icon="pi pi-times" severity="secondary" (onClick)="closed.emit()" />
  `,
  styles: `
    :host {
      position: fixed;
      inset: 0;
      z-index: 1200;
      display: block;
      background: var(--paper);
    }
    .pad {
      width: 100%;
      height: 100%;
      display: flex;
      flex-direction: column;
      gap: 1.5rem;
      justify-content: center;
      border-radius: 0;
      text-align: center;
      white-space: normal;
    }
    .title {
      font-size: clamp(2.2rem, 9vw, 4.5rem);
      line-height: 1.1;
    }
    .next {
      font-size: 1.5rem;
    }
    .leave {
      position: absolute;
      top: 0.8rem;
      right: 0.8rem;
    }
  `,
})
export class TapPadComponent {
  readonly hand = input.required<Hand>();
  readonly done = output();
  readonly closed = output();

  private last = -Infinity;
  protected readonly title = computed(() => {
    const { now } = this.hand();
    return now ? taskHeading(now) : '';
  });
  protected readonly next = computed(() => {
    const { next } = this.hand();
    return next ? `Next: ${taskHeading(next)}` : 'Then the second look';
  });

  protected tap(): void {
    const at = performance.now();
    if (at - this.last < BOUNCE_MS) return;
    this.last = at;
    this.done.emit();
  }
}
