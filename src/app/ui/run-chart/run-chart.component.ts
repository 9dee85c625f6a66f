import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { type Plan, type Step, criticalPath, windowsOf } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import { clock, stepText, windowText } from '@esmero/messages';

interface Bar {
  readonly step: Step;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly says: string;
  /** Were it shorter, all would be done sooner. */
  readonly critical: boolean;
}

/** How much of its window a wetted section takes, drawn where it is wiped. */
interface Limit {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly zoneId: ZoneId;
  readonly late: boolean;
  readonly says: string;
}

const WIDTH = 600;
const LANE = 26;
const TOP = 18;
/** Height of a whole window, and of the room for it under a lane. */
const WINDOW = 22;
const ROOM = WINDOW + 12;

/** The clock from left to right, one lane a person; waiting is left open. */
@Component({
  selector: 'esm-run-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height()" role="img" [attr.aria-label]="says()">
      @for (tick of ticks(); track tick.x) {
        <path class="tick" [attr.d]="'M' + tick.x + ' 14V' + height()" />
        <text [attr.x]="tick.x" y="10" [attr.text-anchor]="tick.x > 580 ? 'end' : 'middle'">{{ tick.text }}</text>
      }
      @for (bar of bars(); track $index) {
        <rect
          [attr.x]="bar.x"
          [attr.y]="bar.y"
          [attr.width]="bar.width"
          height="20"
          [attr.data-kind]="bar.step.kind"
          (pointerenter)="pointed.emit(bar.step.zoneId)"
          (pointerleave)="pointed.emit(null)"
        >
          <title>{{ bar.says }}</title>
        </rect>
        @if (bar.critical) {
          <path class="critical" [attr.d]="'M' + bar.x + ' ' + (bar.y + 22) + 'h' + bar.width" />
        }
      }
      @for (y of ends(); track y) {
        <path class="end" [attr.d]="'M0 ' + y + 'H' + width" />
      }
      @for (limit of limits(); track $index) {
        <rect
          class="window"
          [class.late]="limit.late"
          [attr.x]="limit.x"
          [attr.y]="limit.y"
          [attr.width]="limit.width"
          [attr.height]="limit.height"
          (pointerenter)="pointed.emit(limit.zoneId)"
          (pointerleave)="pointed.emit(null)"
        >
          <title>{{ limit.says }}</title>
        </rect>
      }
    </svg>
    <p class="key soft">
      @for (one of key; track one[0]) {
        <span><i [attr.data-kind]="one[0]"></i>{{ one[1] }}</span>
      }
      @if (limits().length > 0) {
        <span><i class="window"></i>share of its window that a wetted section takes; dry at the line</span>
      }
      @if (workers() > 1) {
        <span><i class="critical"></i>decides when all is done</span>
      }
    </p>
  `,
  styleUrl: './run-chart.component.css',
})
export class RunChartComponent {
  readonly plan = input.required<Plan>();
  readonly pointed = output<ZoneId | null>();

  protected readonly width = WIDTH;
  protected readonly key = [
    ['setup', 'set up, pack'],
    ['flush', 'pre-rinse'],
    ['spray', 'wet'],
    ['wipe', 'wash'],
    ['finish', 'finish, dry'],
    ['wait', 'waiting'],
  ] as const;

  protected readonly workers = computed(() => Math.max(1, ...this.plan().timeline.steps.map(({ worker }) => worker + 1)));
  private readonly windows = computed(() => windowsOf(this.plan()));
  private readonly lane = computed(() => LANE + (this.windows().length > 0 ? ROOM : 0));
  protected readonly height = computed(() => TOP + this.lane() * this.workers());
  private readonly minute = computed(() =>
    scaleLinear([0, Math.max(1, this.plan().timeline.elapsedS / 60)], [0, WIDTH]),
  );
  protected readonly ticks = computed(() =>
    this.minute()
      .ticks(7)
      .map((minute) => ({ x: this.minute()(minute), text: String(minute) })),
  );
  protected readonly bars = computed(() => {
    const time = (seconds: number): number => this.minute()(seconds / 60);
    const { steps } = this.plan().timeline;
    // Alone, everything is on the path.
    const critical = new Set(this.workers() > 1 ? criticalPath(steps) : []);
    return steps.map((step, i): Bar => ({
      step,
      x: time(step.startS),
      y: TOP + step.worker * this.lane(),
      width: Math.max(0.7, time(step.endS) - time(step.startS)),
      critical: critical.has(i),
      says: `${clock(step.startS)} to ${clock(step.endS)} ${stepText(step)}`,
    }));
  });
  private readonly bottoms = computed(() => Array.from({ length: this.workers() }, (_, worker) => TOP + (worker + 1) * this.lane() - 4));
  /** Where windows end, one line a person. */
  protected readonly ends = computed(() => (this.windows().length > 0 ? this.bottoms().map((y) => y - WINDOW) : []));
  protected readonly limits = computed(() => {
    const time = (seconds: number): number => this.minute()(seconds / 60);
    return this.windows().map((window): Limit => {
      const { fromS, untilS, doneS, beganS, worker, zoneId } = window;
      const height = (WINDOW * Math.min(1.15, (doneS - fromS) / (untilS - fromS)));
      return {
        x: time(beganS),
        y: this.bottoms()[worker]! - height,
        width: Math.max(1, time(doneS) - time(beganS)),
        height,
        late: doneS > untilS + 1,
        zoneId,
        says: windowText(window),
      };
    });
  });
  protected readonly says = computed(() => {
    const { elapsedS, waitingS } = this.plan().timeline;
    return `The run by the clock: ${clock(elapsedS)} in all, of it ${clock(waitingS)} waiting for dwell`;
  });
}
