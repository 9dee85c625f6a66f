import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { type Plan, type Step, type ZoneId, criticalPath, windowsOf } from '@esmero/core';
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

/** A wetted section's window as a line, drawn thick until it is done. */
interface Limit {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly done: number;
  readonly zoneId: ZoneId;
  readonly late: boolean;
  readonly says: string;
}

const WIDTH = 600;
const LANE = 26;
/** Lines under each lane, so that windows that overlap stand apart. */
const LINES = 5;
const LINE = 4;
const TOP = 18;

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
      @for (limit of limits(); track $index) {
        <g class="window" [class.late]="limit.late" (pointerenter)="pointed.emit(limit.zoneId)" (pointerleave)="pointed.emit(null)">
          <path class="whole" [attr.d]="'M' + limit.x + ' ' + limit.y + 'h' + limit.width + 'm0 -2v4'" />
          <path class="until" [attr.d]="'M' + limit.x + ' ' + limit.y + 'h' + limit.done" />
          <title>{{ limit.says }}</title>
        </g>
      }
    </svg>
    <p class="key soft">
      @for (one of key; track one[0]) {
        <span><i [attr.data-kind]="one[0]"></i>{{ one[1] }}</span>
      }
      @if (limits().length > 0) {
        <span><i class="window"></i>window of a wetted section, thick until it is done</span>
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
    ['flush', 'flush'],
    ['spray', 'wet'],
    ['wipe', 'wash'],
    ['finish', 'finish, dry'],
    ['wait', 'waiting'],
  ] as const;

  protected readonly workers = computed(() => Math.max(1, ...this.plan().timeline.steps.map(({ worker }) => worker + 1)));
  private readonly windows = computed(() => windowsOf(this.plan()));
  private readonly lane = computed(() => LANE + (this.windows().length > 0 ? LINES * LINE + 6 : 0));
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
  protected readonly limits = computed(() => {
    const time = (seconds: number): number => this.minute()(Math.min(seconds, this.plan().timeline.elapsedS) / 60);
    return this.windows().map((window, i): Limit => {
      const { fromS, untilS, doneS, worker, zoneId } = window;
      return {
        x: time(fromS),
        y: TOP + worker * this.lane() + LANE + 2 + (i % LINES) * LINE,
        width: time(untilS) - time(fromS),
        done: time(doneS) - time(fromS),
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
