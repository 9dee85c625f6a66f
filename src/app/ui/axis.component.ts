import { ChangeDetectionStrategy, Component, computed, input, numberAttribute } from '@angular/core';

/** A line of the grid with what is written at it. */
export interface Tick {
  readonly at: number;
  readonly text: string;
}

interface Ticking {
  (value: number): number;
  ticks(count: number): readonly number[];
}

/** About so many round values of a scale, where they lie. */
export const ticksOf = (scale: Ticking, count: number, text: (value: number) => string = String): readonly Tick[] =>
  scale.ticks(count).map((value) => ({ at: scale(value), text: text(value) }));

/** Between writing and the grid, px. */
const AWAY = 7;
/** Nearer to an end than this, writing in the middle would be cut off. */
const HALF_A_WORD = 16;

/** The grid of a chart with its writing: at the left, below or above. The same in every chart. */
@Component({
  selector: '[esmAxis]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (tick of drawn(); track tick.at) {
      <svg:path class="grid" [attr.d]="tick.line" />
      <svg:text
        [attr.x]="tick.x"
        [attr.y]="tick.y"
        [attr.text-anchor]="tick.anchor"
        [attr.dominant-baseline]="tick.baseline"
      >
        {{ tick.text }}
      </svg:text>
    }
  `,
  styles: `
    .grid {
      stroke: var(--line);
      fill: none;
    }
    text {
      fill: var(--ink);
      font-size: 12px;
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class AxisComponent {
  readonly ticks = input.required<readonly Tick[]>({ alias: 'esmAxis' });
  readonly side = input.required<'left' | 'below' | 'above'>();
  /** How far its lines go: from left to right, or from top to bottom. */
  readonly from = input.required<number, unknown>({ transform: numberAttribute });
  readonly to = input.required<number, unknown>({ transform: numberAttribute });
  /** Right end of the drawing, where writing has to end. */
  readonly width = input<number, unknown>(Infinity, { transform: numberAttribute });

  protected readonly drawn = computed(() => {
    const [side, from, to] = [this.side(), this.from(), this.to()];
    return this.ticks().map(({ at, text }) => {
      if (side === 'left')
        return { at, text, line: `M${from} ${at}H${to}`, x: from - AWAY, y: at, anchor: 'end', baseline: 'central' };
      const anchor = at < HALF_A_WORD ? 'start' : at > this.width() - HALF_A_WORD ? 'end' : 'middle';
      return {
        at,
        text,
        line: `M${at} ${from}V${to}`,
        x: at,
        y: side === 'above' ? from - AWAY : to + 2 * AWAY,
        anchor,
        baseline: null,
      };
    });
  });
}
