import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { scaleLinear, scaleSqrt } from 'd3-scale';
import { type TradeOff, takeWeights } from '@esmero/core';
import { fixed, indexText, methodName, minutes, methodText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { StudyBarComponent } from '../../ui/study-bar.component';
import { AxisComponent, ticksOf } from '../../ui/axis.component';

interface Dot {
  readonly point: TradeOff;
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly water: string;
  readonly says: string;
  readonly here: boolean;
}

const WIDTH = 520;
const HEIGHT = 230;
const EDGE = { left: 46, right: 24, top: 16, bottom: 40 };

/** A little room around the outermost points, so that a single one is in the middle. */
function padded(values: readonly number[]): [number, number] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const pad = Math.max((high - low) * 0.15, 0.5);
  return [Math.max(0, low - pad), high + pad];
}

/** Plans that no other beats in marring, minutes and water at once, to pick from. */
@Component({
  selector: 'esm-front',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent, StudyBarComponent],
  template: `
    @if (study.answer()) {
      @if (dots().length > 0) {
        <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="group" [attr.aria-label]="wording.tradeLabel">
          <g [esmAxis]="xTicks()" side="below" from="${EDGE.top}" [to]="bottom" />
          <g [esmAxis]="yTicks()" side="left" from="${EDGE.left}" [to]="right" />
          <text [attr.x]="right" [attr.y]="bottom + 34" text-anchor="end">minutes</text>
          <text x="4" y="10">mean index</text>
          @for (dot of dots(); track dot.says) {
            <g
              class="dot"
              role="button"
              tabindex="0"
              [class.here]="dot.here"
              [attr.aria-label]="dot.says"
              (click)="take(dot)"
              (keydown.enter)="take(dot)"
              (keydown.space)="$event.preventDefault(); take(dot)"
            >
              <circle class="reach" [attr.cx]="dot.x" [attr.cy]="dot.y" r="22" />
              <circle [attr.cx]="dot.x" [attr.cy]="dot.y" [attr.r]="dot.r" />
              <text [attr.x]="dot.x" [attr.y]="dot.y - dot.r - 5" text-anchor="middle">{{ dot.water }}</text>
              <title>{{ dot.says }}</title>
            </g>
          }
        </svg>
        <p class="soft">
          {{ wording.tradeDots }}
        </p>
      } @else {
        <p>{{ wording.noTrade }}</p>
      }
    } @else {
      <esm-study-bar
        question="Show the trade-offs"
        [share]="study.share()"
        [failure]="study.failure()"
        (ask)="study.ask()"
        (stop)="study.stop()"
      />
    }
  `,
  styleUrl: '../../ui/chart.css',
  styles: `
    .dot {
      cursor: pointer;
      outline: none;
    }
    .dot circle {
      fill: var(--sea-wash);
      stroke: var(--sea);
      stroke-width: 2;
    }
    .dot .reach {
      fill: transparent;
      stroke: none;
    }
    .dot.here circle:not(.reach) {
      fill: var(--sea);
    }
    .dot:focus-visible .reach {
      stroke: var(--sea);
      stroke-dasharray: 4 3;
    }
  `,
})
export class FrontComponent {
  protected readonly wording = methodText;
  private readonly desk = inject(JobDesk);
  protected readonly study = studyOf('trade-offs', { atOnce: true });
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly bottom = HEIGHT - EDGE.bottom;
  protected readonly right = WIDTH - EDGE.right;

  private readonly points = computed(() => this.study.answer() ?? []);
  private readonly x = computed(() =>
    scaleLinear(padded(this.points().map((p) => p.minutes)), [EDGE.left, this.right]),
  );
  private readonly y = computed(() => scaleLinear(padded(this.points().map((p) => p.index)), [this.bottom, EDGE.top]));
  protected readonly xTicks = computed(() => ticksOf(this.x(), 6, fixed));
  protected readonly yTicks = computed(() => ticksOf(this.y(), 4, (value) => fixed(value, 1)));

  protected readonly dots = computed((): readonly Dot[] => {
    const u = this.desk.units();
    const size = scaleSqrt([0, Math.max(1, ...this.points().map(({ litres }) => litres))], [4, 15]);
    const now = this.desk.plan()?.totals;
    const dots = this.points().map((point): Dot => ({
      point,
      x: this.x()(point.minutes),
      y: this.y()(point.index),
      r: size(point.litres),
      water: u.water(point.litres),
      says: `${methodName[point.method]}, ${minutes(point.minutes)}, ${u.water(point.litres)}, mean index ${indexText(point.index)}`,
      here:
        now !== undefined &&
        Math.abs(now.minutes.value - point.minutes) < 1e-6 &&
        Math.abs(now.index.value - point.index) < 1e-6,
    }));
    // The plan as it is is drawn last, over its neighbours.
    return dots.sort((p, q) => Number(p.here) - Number(q.here));
  });

  protected take({ point, says }: Dot): void {
    this.desk.edit(`Trade-off applied: ${says.toLowerCase()}`, (job) => takeWeights(job, point.weights));
  }
}
