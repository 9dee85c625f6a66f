import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { type DayBrief, kmBetween } from '@esmero/core';
import type { Day, Spot } from '@esmero/model';
import { type Units, dayPlanText } from '@esmero/messages';

const WIDTH = 340;
const HEIGHT = 230;
const EDGE = 30;
const KM_PER_DEGREE = 111.2;
/** Round lengths for the bar, in the unit of the reader. */
const ROUND = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100];
/** Nearer than this two marks are one, px. */
const NEAR = 16;

interface Mark {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly name: string;
}

/** The places of a day to scale, as the van goes from one to the next. No map is fetched: there is nothing but the places. */
@Component({
  selector: 'esm-day-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 ${WIDTH} ${HEIGHT}" role="img" [attr.aria-label]="says()">
      <path class="way" [attr.d]="way()" />
      @for (mark of depots(); track mark.name) {
        <path
          class="depot"
          [attr.d]="'M' + mark.x + ' ' + (mark.y - 9) + 'c5 7 7 10 7 13a7 7 0 0 1-14 0c0-3 2-6 7-13z'"
        >
          <title>{{ mark.name }}</title>
        </path>
      }
      <path class="home" [attr.d]="'M' + (home().x - 9) + ' ' + home().y + 'l9-9 9 9v9h-18z'">
        <title>{{ home().name }}</title>
      </path>
      @for (mark of marks(); track mark.text) {
        <g>
          <title>{{ mark.name }}</title>
          <circle class="stop" [attr.cx]="mark.x" [attr.cy]="mark.y" r="12" />
          <text [attr.x]="mark.x" [attr.y]="mark.y" text-anchor="middle" dominant-baseline="central">
            {{ mark.text }}
          </text>
        </g>
      }
      <path class="scale" [attr.d]="bar().path" />
      <text class="soft" [attr.x]="bar().textX" y="${HEIGHT - 6}">{{ bar().text }}</text>
      <path class="scale" d="M${WIDTH - 16} 26V8l-4 6m4-6l4 6" />
      <text class="soft" x="${WIDTH - 16}" y="40" text-anchor="middle">N</text>
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      display: block;
    }
    text {
      font-size: 13px;
      font-weight: 700;
      fill: var(--on-sea);
    }
    .soft {
      fill: var(--ink-soft);
      font-weight: 400;
    }
    .way {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 1.5;
      stroke-dasharray: 2 5;
      stroke-linecap: round;
    }
    .stop {
      fill: var(--sea);
    }
    .home {
      fill: var(--ink);
    }
    .depot {
      fill: var(--ochre);
    }
    .scale {
      fill: none;
      stroke: var(--ink-soft);
    }
  `,
})
export class DayMapComponent {
  readonly day = input.required<Day>();
  readonly plan = input.required<DayBrief>();
  readonly units = input.required<Units>();

  /** Kilometres east and north of the start. */
  private readonly flat = computed(() => {
    const { start } = this.day();
    const narrow = Math.cos((start.latitudeDeg * Math.PI) / 180);
    return (spot: Spot) => ({
      x: (spot.longitudeDeg - start.longitudeDeg) * KM_PER_DEGREE * narrow,
      y: (spot.latitudeDeg - start.latitudeDeg) * KM_PER_DEGREE,
    });
  });
  private readonly project = computed(() => {
    const { start, end, stops, restocking } = this.day();
    const all = [start, end, ...stops.map(({ job }) => job.site), ...restocking].map(this.flat());
    const [xs, ys] = [all.map(({ x }) => x), all.map(({ y }) => y)];
    const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
    const pxPerKm = Math.min(
      (WIDTH - 2 * EDGE - 20) / Math.max(0.2, Math.max(...xs) - Math.min(...xs)),
      (HEIGHT - 2 * EDGE - 16) / Math.max(0.2, Math.max(...ys) - Math.min(...ys)),
    );
    const x = scaleLinear([middle.x, middle.x + 1], [WIDTH / 2 - 8, WIDTH / 2 - 8 + pxPerKm]);
    const y = scaleLinear([middle.y, middle.y + 1], [HEIGHT / 2 - 8, HEIGHT / 2 - 8 - pxPerKm]);
    return { pxPerKm, at: (spot: Spot) => ({ x: x(this.flat()(spot).x), y: y(this.flat()(spot).y) }) };
  });

  protected readonly home = computed(() => ({ ...this.project().at(this.day().start), name: this.day().start.name }));
  protected readonly depots = computed(() =>
    this.day().restocking.map((one) => ({ ...this.project().at(one), name: one.name })),
  );
  /** Stops in one place are one mark with all their numbers. */
  protected readonly marks = computed((): readonly Mark[] => {
    const found: Mark[] = [];
    let number = 0;
    for (const { stop } of this.plan().legs) {
      if (stop === null) continue;
      const { job } = this.day().stops[stop]!;
      const { x, y } = this.project().at(job.site);
      const text = String(++number);
      const near = found.findIndex((one) => Math.hypot(one.x - x, one.y - y) < NEAR);
      if (near >= 0)
        found[near] = {
          ...found[near]!,
          text: `${found[near]!.text}, ${text}`,
          name: `${found[near]!.name}; ${text}: ${job.name}`,
        };
      else found.push({ x, y, text, name: `${text}: ${job.name}` });
    }
    return found;
  });
  protected readonly way = computed(() => {
    const { start, end, stops, restocking } = this.day();
    const spots = [
      start,
      ...this.plan().legs.flatMap(({ stop, restock }) =>
        stop === null ? [] : [...(restock === null ? [] : [restocking[restock]!]), stops[stop]!.job.site],
      ),
      end,
    ];
    return spots
      .map((spot, i) => `${i === 0 ? 'M' : 'L'}${this.project().at(spot).x} ${this.project().at(spot).y}`)
      .join('');
  });
  protected readonly bar = computed(() => {
    const { show, read, unit } = this.units().edit.distance;
    const most = show(90 / this.project().pxPerKm);
    const length = [...ROUND].reverse().find((one) => one <= most) ?? ROUND[0]!;
    const px = read(length) * this.project().pxPerKm;
    return { path: `M${EDGE} ${HEIGHT - 12}v5h${px}v-5`, textX: EDGE + 6 + px, text: `${length} ${unit}` };
  });

  protected readonly says = computed(() => {
    const { start } = this.day();
    return dayPlanText.map(
      this.marks().map(({ name }) => name),
      Math.max(0, ...this.day().stops.map(({ job }) => kmBetween(start, job.site))),
      this.units(),
    );
  });
}
