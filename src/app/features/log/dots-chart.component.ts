import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { dayText } from '@esmero/messages';
import { dayHere } from '../../state/today';
import { scaleLinear, scaleLog } from 'd3-scale';
import { AxisComponent } from '../../ui/axis.component';

/** Something measured at a time. */
export interface Dot {
  readonly at: number;
  readonly value: number;
  readonly says: string;
}

/** What is expected: between two values, most likely in the middle. */
export interface Expected {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

const WIDTH = 640;
const HEIGHT = 190;
const LEFT = 62;
const RIGHT = 12;
const TOP = 12;
const BOTTOM = 24;
/** A scale of ratios shows at least from this to its inverse. */
const LEAST_RATIO = 1.25;

/** One dot for each time, the earliest on the left, with the range that the next one is expected in. */
@Component({
  selector: 'esm-dots-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" [attr.aria-label]="caption()">
      @if (band(); as band) {
        <rect
          class="band"
          x="${LEFT}"
          width="${WIDTH - LEFT - RIGHT}"
          [attr.y]="band.top"
          [attr.height]="band.height"
        />
        <path class="middle" [attr.d]="'M${LEFT} ' + band.middle + 'H${WIDTH - RIGHT}'" />
      }
      <g [esmAxis]="ticks()" side="left" from="${LEFT}" to="${WIDTH - RIGHT}" />
      @for (dot of drawn(); track $index) {
        <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="5">
          <title>{{ dot.says }}</title>
        </circle>
      }
      <text x="${LEFT}" y="${HEIGHT - 4}">{{ ends()[0] }}</text>
      <text x="${WIDTH - RIGHT}" y="${HEIGHT - 4}" text-anchor="end">{{ ends()[1] }}</text>
    </svg>
  `,
  styleUrls: ['../../ui/chart.css'],
  styles: `
    circle {
      fill: var(--sea);
      stroke: var(--paper);
    }
    .band {
      fill: var(--sea-wash);
    }
    .middle {
      stroke: var(--sea);
      stroke-width: 2;
      stroke-dasharray: 6 4;
      fill: none;
    }
  `,
})
export class DotsChartComponent {
  readonly dots = input.required<readonly Dot[]>();
  readonly caption = input.required<string>();
  /** Values are ratios: twice as far from half as from one. */
  readonly ratio = input(false);
  readonly expected = input<Expected | null>(null);
  readonly text = input<(value: number) => string>((value) => String(value));

  private readonly y = computed(() => {
    const values = this.dots().map(({ value }) => value);
    const { low, high } = this.expected() ?? { low: Infinity, high: -Infinity };
    const range = [HEIGHT - BOTTOM, TOP] as const;
    if (!this.ratio()) return scaleLinear([0, Math.max(0, high, ...values) || 1], range).nice(4);
    const most = Math.max(
      LEAST_RATIO,
      ...[...values, low, high].filter(Number.isFinite).map((one) => Math.max(one, 1 / one)),
    );
    return scaleLog([1 / most, most], range);
  });
  private readonly x = computed(() => {
    const last = Math.max(1, this.dots().length - 1);
    return scaleLinear([0, last], [LEFT + 12, WIDTH - RIGHT - 12]);
  });
  protected readonly drawn = computed(() =>
    this.dots().map(({ value, says }, i) => ({ x: this.x()(i), y: this.y()(value), says })),
  );
  protected readonly band = computed(() => {
    const expected = this.expected();
    if (!expected) return null;
    const [top, bottom] = [this.y()(expected.high), this.y()(expected.low)];
    return { top, height: bottom - top, middle: this.y()(expected.middle) };
  });
  protected readonly ticks = computed(() => {
    const [low, high] = this.y().domain() as [number, number];
    const at = this.ratio()
      ? [low, Math.sqrt(low), 1, Math.sqrt(high), high]
      : scaleLinear([low, high], [0, 1]).ticks(4);
    return at.map((value) => ({ at: this.y()(value), text: this.text()(value) }));
  });
  protected readonly ends = computed((): readonly [string, string] => {
    const dots = this.dots();
    return dots.length > 1
      ? [dayText(dayHere(dots[0]!.at)), dayText(dayHere(dots.at(-1)!.at))]
      : [dots[0] ? dayText(dayHere(dots[0].at)) : '', ''];
  });
}
