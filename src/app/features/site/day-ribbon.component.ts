import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import type { HoursOfDay, PanelHour } from '@esmero/core';
import type { DayWeather } from '@esmero/model';
import { type Units, hourText, zoneName } from '@esmero/messages';
import { AxisComponent, ticksOf } from '../../ui/axis.component';

interface Cell {
  readonly x: number;
  readonly width: number;
  readonly state: 'good' | 'quick' | 'no';
  readonly says: string;
}

interface Row {
  readonly name: string;
  readonly y: number;
  readonly cells: readonly Cell[];
  readonly temperatures: readonly { readonly x: number; readonly text: string }[];
}

const WIDTH = 1080;
const LEFT = 130;
/** Below the hours, with and without a row for the air. */
const TOP = { air: 56, none: 30 };
const ROW = 30;
/** A film that dries sooner than this needs quick hands, s. */
const QUICK_S = 300;

const nameOf = (id: Parameters<typeof zoneName>[0]): string => zoneName(id).replace(/ front door, upper$/, ' side');

function stateOf({ workable, openS }: PanelHour): Cell['state'] {
  if (!workable) return 'no';
  return openS !== null && openS < QUICK_S ? 'quick' : 'good';
}

const stateText: Readonly<Record<Cell['state'], string>> = {
  good: 'good to work',
  quick: 'dries in under five minutes',
  no: 'too hot, or dries too soon',
};

/** The day as a ribbon: air and sun on top, and for each panel the hours in which it can be worked. A press begins there. */
@Component({
  selector: 'esm-day-ribbon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg [attr.viewBox]="'0 0 ${WIDTH} ' + height()" role="img" [attr.aria-label]="says()">
      <defs>
        <pattern id="no-work" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path class="hatch" d="M0 0V8" />
        </pattern>
      </defs>
      @for (band of shade(); track band.x) {
        <rect class="shade" [attr.x]="band.x" y="20" [attr.width]="band.width" [attr.height]="height() - 20" />
      }
      <g [esmAxis]="hours()" side="above" [from]="20" [to]="height()" width="${WIDTH}" />
      @if (air().length > 0) {
        <text x="0" y="42">Air</text>
      }
      @for (one of air(); track one.x) {
        <text class="soft" [attr.x]="one.x" y="42" text-anchor="middle">{{ one.text }}</text>
      }
      @for (row of rows(); track row.name) {
        <text x="0" [attr.y]="row.y + 17">{{ row.name }}</text>
        @for (cell of row.cells; track cell.x) {
          <rect [class]="cell.state" [attr.x]="cell.x" [attr.y]="row.y" [attr.width]="cell.width" height="24">
            <title>{{ cell.says }}</title>
          </rect>
          @if (cell.state === 'no') {
            <rect
              class="over"
              [attr.x]="cell.x"
              [attr.y]="row.y"
              [attr.width]="cell.width"
              height="24"
              fill="url(#no-work)"
            />
          }
        }
        @for (one of row.temperatures; track one.x) {
          <text class="on" [attr.x]="one.x" [attr.y]="row.y + 17" text-anchor="middle">{{ one.text }}</text>
        }
      }
      <path class="now" [attr.d]="'M' + now() + ' 20V' + height()" />
    </svg>
    <p class="key soft">
      <span><i class="good"></i>{{ stateText.good }}</span>
      <span><i class="quick"></i>{{ stateText.quick }}</span>
      <span><i class="no"></i>{{ stateText.no }}</span>
      @if (shade().length > 0) {
        <span><i class="shade"></i>the place is in the shade</span>
      }
    </p>
  `,
  styleUrl: './day-ribbon.component.css',
  // By keyboard the slider above it does the same; it is wider than a phone, and the arrow keys move it.
  host: { '(click)': 'press($event)', tabindex: '0', role: 'group', 'aria-label': 'The day, hour by hour' },
})
export class DayRibbonComponent {
  readonly day = input.required<HoursOfDay>();
  readonly hour = input.required<number>();
  readonly weather = input.required<DayWeather | null>();
  readonly shadeHours = input.required<readonly number[]>();
  readonly units = input.required<Units>();
  /** An hour was pressed, to the half. */
  readonly begun = output<number>();

  protected readonly stateText = stateText;
  private readonly span = computed(() => {
    const list = this.day().panels[0]?.hours ?? [];
    return [list[0]?.hour ?? 6, list.at(-1)?.hour ?? 21] as const;
  });
  private readonly x = computed(() => scaleLinear(this.span(), [LEFT, WIDTH - 16]));
  private readonly top = computed(() => (this.air().length > 0 ? TOP.air : TOP.none));
  protected readonly height = computed(() => this.top() + this.day().panels.length * ROW);
  protected readonly now = computed(() => this.x().clamp(true)(this.hour()));
  protected readonly hours = computed(() => ticksOf(this.x(), 8, hourText));
  protected readonly shade = computed(() => {
    const [from, to] = this.span();
    return this.shadeHours()
      .filter((hour) => hour >= from && hour < to)
      .map((hour) => ({ x: this.x()(hour), width: this.x()(hour + 1) - this.x()(hour) }));
  });
  protected readonly air = computed(() => {
    const [from, to] = this.span();
    const { show, unit } = this.units().edit.temperature;
    return (this.weather()?.hours ?? [])
      .filter(({ hour }) => hour > from && hour < to && (hour - from) % 2 === 0)
      .map(({ hour, airC }) => ({ x: this.x()(hour), text: `${Math.round(show(airC))} ${unit}` }));
  });
  protected readonly rows = computed(() =>
    this.day().panels.map(({ zoneId, hours }, i): Row => this.row(nameOf(zoneId), hours, this.top() + i * ROW)),
  );

  private row(name: string, hours: readonly PanelHour[], y: number): Row {
    const x = this.x();
    const { show, unit } = this.units().edit.temperature;
    const cells = hours.slice(0, -1).map((one, i): Cell => {
      const state = stateOf(one);
      return {
        x: x(one.hour),
        width: x(hours[i + 1]!.hour) - x(one.hour),
        state,
        says: `${name}, ${hourText(one.hour)}: ${Math.round(show(one.panelC))} ${unit}, ${stateText[state]}`,
      };
    });
    const temperatures = hours
      .filter(({ hour }) => hour % 3 === 0 && hour > hours[0]!.hour && hour < hours.at(-1)!.hour)
      .map(({ hour, panelC }) => ({ x: x(hour), text: `${Math.round(show(panelC))}°` }));
    return { name, y, cells, temperatures };
  }

  protected press(event: MouseEvent): void {
    const svg = (event.target as Element).closest('svg');
    if (!svg) return;
    const { left, width } = svg.getBoundingClientRect();
    const hour = this.x().invert(((event.clientX - left) / width) * WIDTH);
    const [from, to] = this.span();
    if (hour >= from && hour <= to) this.begun.emit(Math.round(hour * 2) / 2);
  }

  protected readonly says = computed(() => {
    const told = this.day().panels.map(({ zoneId, hours }) => {
      const good = hours.filter(({ workable }) => workable);
      if (good.length === 0) return `${zoneName(zoneId)} at no hour`;
      return `${zoneName(zoneId)} ${hourText(good[0]!.hour)} to ${hourText(good.at(-1)!.hour)}`;
    });
    return `Hours in which panels can be worked: ${told.join('; ')}`;
  });
}
