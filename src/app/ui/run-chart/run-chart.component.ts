import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { type Plan, type Step, type StepKind, criticalPath, windowsOf } from '@esmero/core';
import { clock, stepText, windowText, partsText } from '@esmero/messages';
import { AxisComponent, ticksOf } from '../axis.component';

/** Steps of one pass that follow each other in one pair of hands. */
interface Bar {
  readonly kind: StepKind;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** Of the pass, where it is wiped here and the bar is wide enough to hold it. */
  readonly number: number | null;
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
  readonly late: boolean;
  readonly says: string;
}

const WIDTH = 1100;
const LANE = 42;
const TOP = 26;
/** Height of a bar, and the least width that holds a number. */
const BAR = 34;
const NUMBERED = 18;
const GAP = 1.5;

/** Steps one after the other that belong to one pass; what belongs to none stands alone. */
function runsOf(steps: readonly Step[]): readonly (readonly Step[])[] {
  const runs: Step[][] = [];
  for (const step of [...steps].sort((p, q) => p.startS - q.startS)) {
    const run = runs.at(-1);
    const before = run?.at(-1);
    const follows =
      before !== undefined &&
      step.pass !== null &&
      before.pass === step.pass &&
      (before.kind === 'wait') === (step.kind === 'wait');
    if (follows) run!.push(step);
    else runs.push([step]);
  }
  return runs;
}

/** What it is for: where something is wiped, the wetting and drying belong to that. */
function mainKind(run: readonly Step[]): StepKind {
  const kinds: readonly StepKind[] = run.map(({ kind }) => kind);
  return kinds.find((kind) => kind === 'wipe') ?? kinds[0]!;
}
/** Height of a whole window, and of the room for it under a lane. */
const WINDOW = 26;
const ROOM = WINDOW + 12;

/** The clock from left to right, one lane a person; waiting is left open. */
@Component({
  selector: 'esm-run-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height()" role="img" [attr.aria-label]="says()">
      <g [esmAxis]="ticks()" side="above" [from]="20" [to]="height()" [width]="width" />
      @for (bar of bars(); track $index) {
        <rect
          [attr.x]="bar.x"
          [attr.y]="bar.y"
          [attr.width]="bar.width"
          [attr.height]="barHeight"
          [attr.rx]="bar.width > 12 ? 6 : 2"
          [attr.data-kind]="bar.kind"
        >
          <title>{{ bar.says }}</title>
        </rect>
        @if (bar.number !== null) {
          <text
            class="number"
            [attr.x]="bar.x + bar.width / 2"
            [attr.y]="bar.y + barHeight / 2 + 5"
            text-anchor="middle"
          >
            {{ bar.number }}
          </text>
        }
        @if (bar.critical) {
          <path class="critical" [attr.d]="'M' + bar.x + ' ' + (bar.y + barHeight + 2) + 'h' + bar.width" />
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
        <span><i class="window"></i>{{ wording.window }}</span>
      }
      @if (workers() > 1) {
        <span><i class="critical"></i>decides when all is done</span>
      }
    </p>
  `,
  styleUrl: './run-chart.component.css',
})
export class RunChartComponent {
  protected readonly wording = partsText;
  readonly plan = input.required<Plan>();

  protected readonly width = WIDTH;
  protected readonly barHeight = BAR;
  protected readonly key = [
    ['setup', 'set up, pack'],
    ['flush', 'rinse'],
    ['spray', 'wet, spots'],
    ['wipe', 'wash'],
    ['finish', 'finish, dry'],
    ['protect', 'protect, dress'],
    ['wait', 'waiting'],
  ] as const;

  protected readonly workers = computed(() =>
    Math.max(1, ...this.plan().timeline.steps.map(({ worker }) => worker + 1)),
  );
  private readonly windows = computed(() => windowsOf(this.plan()));
  private readonly lane = computed(() => LANE + (this.windows().length > 0 ? ROOM : 0));
  protected readonly height = computed(() => TOP + this.lane() * this.workers());
  private readonly minute = computed(() =>
    scaleLinear([0, Math.max(1, this.plan().timeline.elapsedS / 60)], [0, WIDTH]),
  );
  protected readonly ticks = computed(() => ticksOf(this.minute(), 7));
  protected readonly bars = computed(() => {
    const { steps } = this.plan().timeline;
    // Alone, everything is on the path.
    const critical = new Set(this.workers() > 1 ? criticalPath(steps).map((i) => steps[i]!) : []);
    return Array.from({ length: this.workers() }, (_, worker) => runsOf(steps.filter((step) => step.worker === worker)))
      .flat()
      .map((run) => this.barOf(run, critical));
  });
  private barOf(run: readonly Step[], critical: ReadonlySet<Step>): Bar {
    const [first, last] = [run[0]!, run.at(-1)!];
    const [from, until] = [first.startS, last.endS].map((seconds) => this.minute()(seconds / 60)) as [number, number];
    const width = Math.max(0.7, until - from - GAP);
    const kind = mainKind(run);
    return {
      kind,
      x: from,
      y: TOP + first.worker * this.lane(),
      width,
      number: first.pass !== null && kind === 'wipe' && width >= NUMBERED ? first.pass : null,
      critical: run.some((step) => critical.has(step)),
      says: `${clock(first.startS)} to ${clock(last.endS)} ${first.pass === null ? '' : `pass ${first.pass}, `}${[...new Set(run.map(stepText))].join('; ')}`,
    };
  }

  private readonly bottoms = computed(() =>
    Array.from({ length: this.workers() }, (_, worker) => TOP + (worker + 1) * this.lane() - 4),
  );
  /** Where windows end, one line a person. */
  protected readonly ends = computed(() => (this.windows().length > 0 ? this.bottoms().map((y) => y - WINDOW) : []));
  protected readonly limits = computed(() => {
    const time = (seconds: number): number => this.minute()(seconds / 60);
    return this.windows().map((window): Limit => {
      const { fromS, untilS, doneS, beganS, worker } = window;
      const height = WINDOW * Math.min(1.15, (doneS - fromS) / (untilS - fromS));
      return {
        x: time(beganS),
        y: this.bottoms()[worker]! - height,
        width: Math.max(1, time(doneS) - time(beganS)),
        height,
        late: doneS > untilS + 1,
        says: windowText(window),
      };
    });
  });
  protected readonly says = computed(() => {
    const { elapsedS, waitingS } = this.plan().timeline;
    return `The run by the clock: ${clock(elapsedS)} in all, of it ${clock(waitingS)} waiting`;
  });
}
