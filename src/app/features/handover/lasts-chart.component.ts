import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import type { Lasts, LowWater } from '@esmero/core';
import { lastsText, methodName, handoverText } from '@esmero/messages';
import { AxisComponent } from '../../ui/axis.component';

/** A part of the car, or all of it, with how long each method will do for it. */
export interface LastsRow {
  readonly name: string;
  readonly lasts: Lasts;
}

const WIDTH = 640;
const LEFT = 130;
const TOP = 18;
const ROW = 34;
const BAR = 12;
/** Days that are shown at the least. */
const LEAST_DAYS = 14;

const methods: readonly LowWater[] = ['waterless', 'rinseless'];

/** Days from the wash to the right; a bar is full as long as a method is sure to do, and pale while it perhaps does. */
@Component({
  selector: 'esm-lasts-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg [attr.viewBox]="'0 0 ${WIDTH} ' + height()" role="img" [attr.aria-label]="says()">
      <g [esmAxis]="ticks()" side="above" from="${TOP}" [to]="height()" width="${WIDTH}" />
      @for (row of drawn(); track row.name) {
        <text x="${LEFT - 8}" [attr.y]="row.y + 13" text-anchor="end" dominant-baseline="central">{{ row.name }}</text>
        @for (bar of row.bars; track bar.method) {
          <g [attr.data-method]="bar.method">
            <rect class="perhaps" x="${LEFT}" [attr.y]="bar.y" [attr.width]="bar.late" height="${BAR}" />
            <rect class="sure" x="${LEFT}" [attr.y]="bar.y" [attr.width]="bar.early" height="${BAR}" />
            <path class="likely" [attr.d]="'M' + bar.likely + ' ' + bar.y + 'v${BAR}'" />
            <title>{{ row.name }}. {{ bar.text }}</title>
          </g>
        }
      }
    </svg>
    <p class="key soft">
      @for (method of methods; track method) {
        <span><i [attr.data-method]="method"></i>{{ methodName[method].toLowerCase() }} will do</span>
      }
      <span>{{ wording.key }}</span>
    </p>
  `,
  styleUrls: ['../../ui/chart.css', './lasts-chart.component.css'],
})
export class LastsChartComponent {
  protected readonly wording = handoverText;
  readonly rows = input.required<readonly LastsRow[]>();
  readonly furthest = input.required<number>();

  protected readonly methods = methods;
  protected readonly methodName = methodName;
  protected readonly height = computed(() => TOP + ROW * this.rows().length + 4);
  private readonly days = computed(() => {
    const longest = Math.max(
      LEAST_DAYS,
      ...this.rows().flatMap(({ lasts }) => methods.map((method) => lasts[method].likely)),
    );
    return scaleLinear([0, Math.min(this.furthest(), longest * 1.3)], [0, WIDTH - LEFT - 12]).clamp(true);
  });
  protected readonly ticks = computed(() =>
    this.days()
      .ticks(8)
      .map((day) => ({ at: LEFT + this.days()(day), text: String(day) })),
  );
  protected readonly drawn = computed(() => {
    const x = this.days();
    return this.rows().map(({ name, lasts }, i) => ({
      name,
      y: TOP + i * ROW,
      bars: methods.map((method, k) => {
        const { early, likely, late } = lasts[method];
        const y = TOP + i * ROW + 2 + k * (BAR + 1);
        return {
          method,
          y,
          early: x(early),
          likely: LEFT + x(likely),
          late: x(late),
          text: lastsText(method, lasts[method], this.furthest()),
        };
      }),
    }));
  });
  protected readonly says = computed(() =>
    this.rows()
      .map(
        ({ name, lasts }) =>
          `${name}. ${methods.map((method) => lastsText(method, lasts[method], this.furthest())).join('. ')}`,
      )
      .join('. '),
  );
}
