import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Dip, SystemRun } from '@esmero/core';
import { fixed, grams, wayName } from '@esmero/messages';
import { AxisComponent, ticksOf } from '../axis.component';

const WIDTH = 560;
const HEIGHT = 240;
const EDGE = { left: 44, right: 130, top: 12, bottom: 34 };
const NOTHING = { washedM2: 0, broughtG: 0 };
/** Least distance between two names beside the lines, px. */
const APART = 13;

interface Curve {
  readonly name: string;
  readonly path: string;
  readonly own: boolean;
  readonly end: number;
  readonly label: number;
}

/** What has come back to the paint by then, over the panel washed so far, one line a way of working. */
@Component({
  selector: 'esm-bucket-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg [attr.viewBox]="'0 0 ${WIDTH} ${HEIGHT}'" role="img" [attr.aria-label]="says()">
      <g [esmAxis]="xTicks()" side="below" from="${EDGE.top}" to="${HEIGHT - EDGE.bottom}" />
      <g [esmAxis]="yTicks()" side="left" from="${EDGE.left}" to="${WIDTH - EDGE.right}" />
      <text x="${WIDTH - EDGE.right}" y="${HEIGHT - 6}" text-anchor="end">m² washed</text>
      <text x="2" y="${EDGE.top - 2}">g</text>
      @for (curve of curves(); track curve.name) {
        <path class="curve" [class.own]="curve.own" [attr.d]="curve.path" />
        <path
          class="lead"
          [attr.d]="'M${WIDTH - EDGE.right} ' + curve.end + 'L${WIDTH - EDGE.right + 10} ' + curve.label"
        />
        <text x="${WIDTH - EDGE.right + 13}" [attr.y]="curve.label" dominant-baseline="central" [class.own]="curve.own">
          {{ curve.name }}
        </text>
      }
    </svg>
  `,
  styleUrl: '../chart.css',
  styles: `
    text.own {
      font-weight: 700;
    }
    .lead {
      stroke: var(--line);
    }
    .curve {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 1.5;
    }
    .curve.own {
      stroke: var(--sea);
      stroke-width: 3.5;
    }
  `,
})
export class BucketChartComponent {
  readonly runs = input.required<readonly SystemRun[]>();
  readonly own = input.required<SystemRun>();

  private readonly x = computed(() =>
    scaleLinear([0, Math.max(0.1, this.runs()[0]?.run.dips.at(-1)?.washedM2 ?? 0)], [EDGE.left, WIDTH - EDGE.right]),
  );
  private readonly y = computed(() =>
    scaleLinear([0, Math.max(0.01, ...this.runs().map(({ run }) => run.carriedG))], [HEIGHT - EDGE.bottom, EDGE.top]),
  );
  protected readonly xTicks = computed(() => ticksOf(this.x(), 6, fixed));
  protected readonly yTicks = computed(() => {
    const digits = (this.y().ticks(4)[1] ?? 1) < 1 ? 1 : 0;
    return ticksOf(this.y(), 4, (value) => fixed(value, digits));
  });
  protected readonly curves = computed(() => {
    const drawn = line<Pick<Dip, 'washedM2' | 'broughtG'>>(
      (dip) => this.x()(dip.washedM2),
      (dip) => this.y()(dip.broughtG),
    );
    const { system, guards } = this.own();
    const curves = this.runs()
      .map((way): Curve => {
        const end = this.y()(way.run.carriedG);
        const own = way.system === system && way.guards === guards;
        return { name: wayName(way), path: drawn([NOTHING, ...way.run.dips]) ?? '', own, end, label: end };
      })
      .sort((p, q) => p.end - q.end);
    // Names that would lie on each other move down, and the lowest back up from the edge.
    const labels = curves.map(({ end }) => end);
    for (let i = 1; i < labels.length; i++) labels[i] = Math.max(labels[i]!, labels[i - 1]! + APART);
    const over = Math.max(0, (labels.at(-1) ?? 0) - (HEIGHT - EDGE.bottom));
    return curves.map((curve, i) => ({ ...curve, label: labels[i]! - over }));
  });
  protected readonly says = computed(
    () =>
      `Grit brought back to the paint: ${this.runs()
        .map((way) => `${wayName(way)} ${grams(way.run.carriedG)}`)
        .join(', ')}`,
  );
}
