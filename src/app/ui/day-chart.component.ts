import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import type { HoursOfDay, PanelHour } from '@esmero/core';
import type { ZoneId } from '@esmero/model';
import { type Units, hourText, zoneName } from '@esmero/messages';
import { AxisComponent, type Tick } from './axis.component';

interface Curve {
  readonly name: string;
  readonly path: string;
  readonly dash: string;
  /** Where the panel cannot be worked. */
  readonly bad: readonly { readonly x: number; readonly y: number }[];
}

const WIDTH = 640;
const LEFT = 44;
const RIGHT = 150;
const TOP = 22;
const PART = 150;
const GAP = 40;
/** An hour on the panel is as good as for ever. */
const LONGEST_S = 3600;
const KEY_LINE = 18;

/** Each curve has its own stroke: colour is not what tells them apart. */
const dashes = ['', '9 4', '2 4', '12 4 2 4', '5 3'];

const nameOf = (id: ZoneId): string => zoneName(id).replace(/ front door, upper$/, ' side');

/** Temperature and open time of the panels over the day, one above the other. */
@Component({
  selector: 'esm-day-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AxisComponent],
  template: `
    <svg [attr.viewBox]="'0 0 ${WIDTH} ${2 * PART + GAP + TOP + 24}'" role="img" [attr.aria-label]="says()">
      @for (band of shade(); track band.x) {
        <rect class="shade" [attr.x]="band.x" y="${TOP}" [attr.width]="band.width" height="${2 * PART + GAP}" />
      }
      @for (part of parts(); track part.title) {
        <text x="4" [attr.y]="part.top - 7" class="title">{{ part.title }}</text>
        <g [esmAxis]="part.ticks" side="left" from="${LEFT}" to="${WIDTH - RIGHT}" />
        @for (curve of part.curves; track curve.name) {
          <path class="curve" [attr.d]="curve.path" [attr.stroke-dasharray]="curve.dash" />
          @for (dot of curve.bad; track dot.x) {
            <path class="bad" [attr.d]="'M' + (dot.x - 3) + ' ' + (dot.y - 3) + 'l6 6m0 -6l-6 6'" />
          }
        }
        @if (part.limit; as limit) {
          <path class="limit" [attr.d]="'M${LEFT} ' + limit.at + 'H${WIDTH - RIGHT}'" />
          <text class="limit-text" x="${LEFT + 4}" [attr.y]="limit.at - 5">{{ limit.text }}</text>
        }
      }
      @for (one of key(); track one.name) {
        <path class="curve" [attr.d]="'M${WIDTH - RIGHT + 10} ' + one.y + 'h30'" [attr.stroke-dasharray]="one.dash" />
        <text x="${WIDTH - RIGHT + 46}" [attr.y]="one.y" dominant-baseline="central">{{ one.name }}</text>
      }
      <g [esmAxis]="hours()" side="below" from="${TOP}" to="${TOP + 2 * PART + GAP}" />
      <path class="now" [attr.d]="'M' + now() + ' ${TOP}V${TOP + 2 * PART + GAP}'" />
      <text class="now-text" [attr.x]="now()" y="12" text-anchor="middle">{{ nowText() }}</text>
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      display: block;
    }
    text {
      fill: var(--ink);
      font-size: 12px;
    }
    .title {
      font-weight: 600;
    }
    .shade {
      fill: var(--sunk);
    }
    .curve {
      fill: none;
      stroke: var(--sea);
      stroke-width: 2;
    }
    .limit {
      stroke: var(--rust);
      stroke-dasharray: 6 4;
    }
    .limit-text {
      fill: var(--rust);
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 4px;
    }
    .bad {
      stroke: var(--rust);
      stroke-width: 2;
    }
    .now {
      stroke: var(--ochre);
      stroke-width: 2;
    }
    .now-text {
      fill: var(--ochre);
      font-weight: 600;
    }
  `,
})
export class DayChartComponent {
  readonly day = input.required<HoursOfDay>();
  readonly hour = input.required<number>();
  /** Hours in which the place is shaded. */
  readonly shadeHours = input.required<readonly number[]>();
  readonly units = input.required<Units>();

  private readonly span = computed(() => {
    const list = this.day().panels[0]?.hours ?? [];
    return [list[0]?.hour ?? 6, list.at(-1)?.hour ?? 21] as const;
  });
  private readonly x = computed(() => scaleLinear(this.span(), [LEFT, WIDTH - RIGHT]));
  protected readonly now = computed(() => this.x().clamp(true)(this.hour()));
  protected readonly nowText = computed(() => hourText(this.hour()));
  protected readonly hours = computed((): readonly Tick[] =>
    this.x()
      .ticks(8)
      .map((hour) => ({ at: this.x()(hour), text: hourText(hour) })),
  );
  protected readonly shade = computed(() => {
    const [from, to] = this.span();
    return this.shadeHours()
      .filter((hour) => hour >= from && hour < to)
      .map((hour) => ({ x: this.x()(hour), width: this.x()(hour + 1) - this.x()(hour) }));
  });

  protected readonly key = computed(() =>
    this.day().panels.map(({ zoneId }, i) => ({
      name: nameOf(zoneId),
      dash: dashes[i % dashes.length]!,
      y: TOP + 10 + i * KEY_LINE,
    })),
  );
  protected readonly parts = computed(() => [this.temperatures(), this.openTimes()]);

  private temperatures() {
    const { show, unit } = this.units().edit.temperature;
    const { panels, maxPanelC } = this.day();
    const all = panels.flatMap(({ hours }) => hours.map(({ panelC }) => show(panelC)));
    const limit = maxPanelC === null ? null : show(maxPanelC);
    const most = Math.max(...all, limit ?? -Infinity);
    const y = scaleLinear([Math.min(...all) - 2, most + 3], [TOP + PART, TOP]).nice();
    return {
      title: `Panel, ${unit}`,
      top: TOP,
      ticks: y.ticks(4).map((value): Tick => ({ at: y(value), text: String(value) })),
      limit: limit === null ? null : { at: y(limit), text: 'warmest for the waterless mix' },
      curves: this.curves((point) => y(show(point.panelC))),
    };
  }

  private openTimes() {
    const top = TOP + PART + GAP;
    const y = scaleLog([15, LONGEST_S], [top + PART, top]).clamp(true);
    return {
      title: 'Wet for, waterless film',
      top,
      ticks: [30, 60, 300, 900, 3600].map((s): Tick => ({ at: y(s), text: s < 60 ? `${s} s` : `${s / 60} min` })),
      limit: null,
      curves: this.curves((point) => y(point.openS ?? LONGEST_S)),
    };
  }

  private curves(yOf: (point: PanelHour) => number): readonly Curve[] {
    const x = this.x();
    const drawn = line<PanelHour>((point) => x(point.hour), yOf);
    const { panels } = this.day();
    return panels.map(({ zoneId, hours }, i) => ({
      name: nameOf(zoneId),
      path: drawn(hours) ?? '',
      dash: dashes[i % dashes.length]!,
      bad: hours.filter(({ workable }) => !workable).map((point) => ({ x: x(point.hour), y: yOf(point) })),
    }));
  }

  protected readonly says = computed(() => {
    const u = this.units();
    const at = this.day().panels.map(({ zoneId, hours }) => {
      const warmest = hours.reduce((p, q) => (q.panelC > p.panelC ? q : p));
      return `${zoneName(zoneId)} at most ${u.temperature(warmest.panelC)} at ${hourText(warmest.hour)}`;
    });
    return `Panels over the day: ${at.join('; ')}`;
  });
}
