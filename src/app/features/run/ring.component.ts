import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Clocks } from '@esmero/core';
import { clock } from '@esmero/messages';

const RADIUS = 44;
const ROUND = 2 * Math.PI * RADIUS;

/** The dwell as it runs out, then the time until it dries: a ring that empties, the figure in it. */
@Component({
  selector: 'esm-ring',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 100 100" aria-hidden="true">
      <circle class="track" cx="50" cy="50" r="${RADIUS}" />
      <circle
        class="left"
        [class.dry]="dry()"
        cx="50"
        cy="50"
        r="${RADIUS}"
        transform="rotate(-90 50 50)"
        [attr.stroke-dasharray]="dash()"
      />
      <text class="num" x="50" y="52" text-anchor="middle">{{ text() }}</text>
      <text class="what" x="50" y="68" text-anchor="middle">{{ what() }}</text>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      width: clamp(6.5rem, 26vw, 8.5rem);
      flex: none;
    }
    circle {
      fill: none;
      stroke-width: 8;
      stroke-linecap: round;
    }
    .track {
      stroke: var(--line);
    }
    .left {
      stroke: var(--sea);
    }
    .left.dry {
      stroke: #ff9d8e;
    }
    text {
      fill: var(--ink);
      font-size: 20px;
      font-weight: 700;
    }
    .what {
      fill: var(--ink-soft);
      font-size: 9.5px;
      font-weight: 400;
    }
  `,
})
export class RingComponent {
  readonly clocks = input.required<Clocks>();
  readonly now = input.required<number>();

  private readonly dwelling = computed(() => this.clocks().readyAt > this.now());
  private readonly until = computed(() => (this.dwelling() ? this.clocks().readyAt : this.clocks().dryAt));
  protected readonly dry = computed(() => !this.dwelling() && (this.clocks().dryAt ?? Infinity) <= this.now());
  protected readonly text = computed(() => {
    const until = this.until();
    return until === null ? 'ready' : this.dry() ? 'dry' : clock(Math.max(0, until - this.now()) / 1000);
  });
  protected readonly what = computed(() => {
    if (this.dwelling()) return 'still to dwell';
    if (this.clocks().dryAt === null) return 'stays wet';
    return this.dry() ? 'wet it again' : 'before it dries';
  });
  protected readonly dash = computed(() => {
    const until = this.until();
    const { wetAt } = this.clocks();
    const share =
      until === null || until <= wetAt ? 1 : Math.min(1, Math.max(0, (until - this.now()) / (until - wetAt)));
    return `${share * ROUND} ${ROUND}`;
  });
}
