import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, curveStepAfter, line } from 'd3-shape';
import { type DayBrief, type LegBrief, type StockKind, stockKinds, sunAt } from '@esmero/core';
import type { Day } from '@esmero/model';
import { type Units, dayPlanText, hourText, stockLeftText, stockLineName } from '@esmero/messages';
import { AxisComponent, ticksOf } from '../../ui/axis.component';

interface Bar {
  readonly x: number;
  readonly width: number;
  readonly number: string;
  readonly name: string;
  readonly heat: string;
  readonly late: boolean;
  readonly isBreak: boolean;
  readonly says: string;
}

interface StockLine {
  readonly kind: StockKind;
  readonly name: string;
  readonly y: number;
  readonly path: string;
  readonly fill: string;
  readonly base: string;
  readonly end: string;
  readonly short: { readonly x: number; readonly y: number } | null;
}

const WIDTH = 1080;
const LEFT = 104;
const RIGHT = 132;
const TOP = 24;
const SKY = 52;
const BARS = TOP + SKY;
const BAR = 46;
const LINES = BARS + BAR + 30;
const LINE = 31;
const LINE_ROOM = 22;
/** Narrower bars say only their number, px. */
const NAMED_PX = 76;
const LETTER_PX = 7;
/** The sun stands no higher than this in any place where cars are washed. */
const HIGHEST_DEG = 75;

const fitted = (text: string, px: number): string =>
  text.length * LETTER_PX <= px ? text : `${text.slice(0, Math.max(1, Math.floor(px / LETTER_PX) - 1)).trimEnd()}…`;

/** The day across: the sun, ways and stops over the hours, and what the van has left along it. */
@Component({
  selector: 'esm-day-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg [attr.viewBox]="'0 0 ${WIDTH} ' + height()" role="img" [attr.aria-label]="says()">
      <defs>
        <pattern id="day-rain" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(20)">
          <path class="drop" d="M0 0V4" />
        </pattern>
        <pattern id="day-break" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path class="hatch" d="M0 0V6" />
        </pattern>
      </defs>
      <path class="sun" [attr.d]="sun()" />
      <g [esmAxis]="hours()" side="above" from="${TOP}" [to]="height() - 6" width="${WIDTH}" />
      <text x="0" y="${TOP + 16}" class="soft">Sun</text>
      @if (rain(); as rain) {
        <rect
          class="rain"
          [attr.x]="rain.x"
          y="${TOP}"
          [attr.width]="rain.width"
          height="${SKY + BAR}"
          fill="url(#day-rain)"
        />
        <text [attr.x]="rain.x + 6" y="${TOP + 14}" class="soft">Rain</text>
      }
      <text x="0" y="${BARS + BAR / 2 + 4}">Stops</text>
      <path class="road" [attr.d]="road()" />
      @for (bar of bars(); track bar.x) {
        <g>
          <title>{{ bar.says }}</title>
          <rect
            class="bar"
            [class.break]="bar.isBreak"
            [class.late]="bar.late"
            [attr.x]="bar.x"
            y="${BARS}"
            [attr.width]="bar.width"
            height="${BAR}"
            rx="7"
          />
          @if (bar.isBreak) {
            <rect [attr.x]="bar.x" y="${BARS}" [attr.width]="bar.width" height="${BAR}" rx="7" fill="url(#day-break)" />
          }
          <text class="nr" [attr.x]="bar.x + 7" y="${BARS + 19}">{{ bar.number }}</text>
          <text class="in" [attr.x]="bar.x + 7" y="${BARS + 37}">{{ bar.name }}</text>
          <text class="heat" [attr.x]="bar.x + bar.width / 2" y="${BARS + BAR + 16}" text-anchor="middle">
            {{ bar.heat }}
          </text>
        </g>
      }
      @for (one of lines(); track one.kind) {
        <text x="0" [attr.y]="one.y + 17">{{ one.name }}</text>
        <path class="base" [attr.d]="one.base" />
        <path class="fill" [attr.d]="one.fill" />
        <path class="line" [attr.d]="one.path" />
        @if (one.short; as short) {
          <circle class="short" [attr.cx]="short.x" [attr.cy]="short.y" r="6" />
          <text class="short-text" [attr.x]="short.x + 10" [attr.y]="short.y - 6">short here</text>
        }
        <text x="${WIDTH - RIGHT + 10}" [attr.y]="one.y + 17">{{ one.end }}</text>
      }
      <path class="end" [attr.d]="upright(x()(day().endHour))" />
      @if (now(); as at) {
        <path class="now" [attr.d]="upright(at)" />
      }
    </svg>
  `,
  styleUrl: './day-picture.component.css',
})
export class DayPictureComponent {
  readonly day = input.required<Day>();
  readonly plan = input.required<DayBrief>();
  readonly nowMin = input.required<number | null>();
  readonly units = input.required<Units>();

  private readonly until = computed(() => Math.max(this.day().endHour, this.plan().endMin / 60) + 0.4);
  private readonly from = computed(() => Math.min(this.day().startHour, (this.nowMin() ?? Infinity) / 60) - 0.4);
  protected readonly x = computed(() => scaleLinear([this.from(), this.until()], [LEFT, WIDTH - RIGHT]));
  protected readonly hours = computed(() => ticksOf(this.x(), 10, hourText));
  protected readonly now = computed(() => {
    const min = this.nowMin();
    return min === null ? null : this.x()(min / 60);
  });
  protected readonly height = computed(() => LINES + Math.max(1, this.lines().length) * LINE);

  protected upright(x: number): string {
    return `M${x} ${TOP}V${this.height() - 6}`;
  }

  /** How high the sun stands over the place where the day starts. */
  protected readonly sun = computed(() => {
    const { date, start, stops } = this.day();
    const utcOffsetH = stops[0]?.job.site.utcOffsetH ?? 0;
    const hours = Array.from({ length: 60 }, (_, i) => this.from() + ((this.until() - this.from()) * i) / 59);
    const y = scaleLinear([0, HIGHEST_DEG], [BARS, TOP + 6]).clamp(true);
    return (
      area<number>(
        (hour) => this.x()(hour),
        BARS,
        (hour) => y(sunAt({ ...start, utcOffsetH }, date, hour).altitudeDeg),
      ).curve(curveMonotoneX)(hours) ?? ''
    );
  });
  protected readonly rain = computed(() => {
    const { rainFromHour } = this.day();
    if (rainFromHour === null) return null;
    const x = this.x()(Math.max(rainFromHour, this.from()));
    return { x, width: Math.max(0, WIDTH - RIGHT - x) };
  });
  /** From the first way to the last one home. */
  protected readonly road = computed(() => {
    const [first] = this.plan().legs;
    if (!first) return '';
    const start = Math.max(this.day().startHour * 60, this.nowMin() ?? 0);
    return `M${this.x()(Math.min(start, first.beginMin) / 60)} ${BARS + BAR / 2}H${this.x()(this.plan().endMin / 60)}`;
  });

  protected readonly bars = computed(() => {
    let number = 0;
    return this.plan().legs.map((leg): Bar => this.bar(leg, leg.stop === null ? '' : String(++number)));
  });

  private bar(leg: LegBrief, number: string): Bar {
    const [x, u] = [this.x(), this.units()];
    const { stop, taken, beginMin, endMin, lateMin, panelC } = leg;
    const [left, right] = [x(beginMin / 60), x(endMin / 60)];
    const name =
      stop !== null
        ? this.day().stops[stop]!.job.name
        : taken !== null
          ? this.day().taken[taken]!.name
          : dayPlanText.break;
    return {
      x: left,
      width: Math.max(4, right - left),
      number,
      name: right - left >= NAMED_PX ? fitted(name, right - left - 12) : '',
      heat: panelC === null ? '' : u.temperature(panelC),
      late: lateMin >= 1,
      isBreak: stop === null,
      says: dayPlanText.bar(name, beginMin, endMin, lateMin),
    };
  }

  /** Only what is taken at all: dirty water as what is in its tank. */
  protected readonly lines = computed(() =>
    stockKinds
      .flatMap((kind, i) => (this.plan().legs.some(({ takes }) => takes[i]! > 0) ? [{ kind, i }] : []))
      .map(({ kind, i }, row) => this.line(kind, i, LINES + row * LINE)),
  );

  private line(kind: StockKind, i: number, y: number): StockLine {
    const [x, legs, u] = [this.x(), this.plan().legs, this.units()];
    const first = legs[0]!;
    const begin = first.left[i]! + first.takes[i]!;
    const most = Math.max(begin, ...legs.map(({ left }) => left[i]!), 1e-9);
    const scale = scaleLinear([0, most], [y + LINE_ROOM, y + 3]);
    const points: [number, number][] = [
      [this.from(), begin],
      ...legs.map(({ endMin, left }): [number, number] => [endMin / 60, left[i]!]),
      [this.until(), legs.at(-1)!.left[i]!],
    ];
    const { shortage } = this.plan();
    const at = shortage?.kind === kind ? legs.find(({ stop }) => stop === shortage.stop) : undefined;
    const drawn = line<[number, number]>(
      ([hour]) => x(hour),
      ([, left]) => scale(left),
    ).curve(curveStepAfter);
    const filled = area<[number, number]>(
      ([hour]) => x(hour),
      y + LINE_ROOM,
      ([, left]) => scale(left),
    ).curve(curveStepAfter);
    return {
      kind,
      name: stockLineName[kind],
      y,
      path: drawn(points) ?? '',
      fill: filled(points) ?? '',
      base: `M${LEFT} ${y + LINE_ROOM}H${WIDTH - RIGHT}`,
      end: stockLeftText(kind, legs.at(-1)!.left[i]!, begin, u),
      short: at ? { x: x(at.beginMin / 60), y: scale(0) } : null,
    };
  }

  protected readonly says = computed(
    () =>
      `${dayPlanText.pictureOf}: ${this.bars()
        .map(({ says }) => says)
        .join('; ')}. ${this.lines()
        .map(({ name, end }) => `${name}: ${end}`)
        .join('; ')}`,
  );
}
