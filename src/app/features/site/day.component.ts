import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { type HoursOfDay, type HoursAdvice, atHour, withChange, withWeather } from '@esmero/core';
import type { Job, ZoneId } from '@esmero/model';
import { fixed, hourText, zoneList } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { WEATHER } from '../../state/weather';
import { DayChartComponent } from '../../ui/day-chart.component';

/** A suggestion in words, and what pressing it does. */
interface Suggestion {
  readonly says: string;
  readonly press: string | null;
  readonly advice: HoursAdvice;
}

function suggestion(advice: HoursAdvice): Suggestion {
  const parts = (zones: readonly ZoneId[]): string => zoneList(zones, 5);
  switch (advice.code) {
    case 'now':
      return { advice, says: 'Every panel can be worked at this hour.', press: null };
    case 'shade':
      return { advice, says: `In the shade these could be worked at once: ${parts(advice.zones)}.`, press: 'Shade the car' };
    case 'wait':
      return { advice, says: `From ${hourText(advice.hour)} every panel can be worked.`, press: `Wait until ${hourText(advice.hour)}` };
    case 'not-this-day':
      return { advice, says: 'No later hour of this day suits every panel: shade it, or another day.', press: null };
  }
}

const why = {
  unreachable: 'The weather service did not answer. The weather stays as it is typed below.',
  unreadable: 'The weather service answered something that is no weather. The weather stays as it is typed below.',
} as const;

/** The day at this place: weather, panel temperatures, the hour of the job, and what would help. */
@Component({
  selector: 'esm-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DayChartComponent],
  template: `
    @if (desk.job(); as job) {
      <h3>The day</h3>
      <div class="row">
        <label for="hour">Begin at <strong class="num">{{ hourText(job.hour) }}</strong></label>
        <input id="hour" type="range" min="6" max="21" step="0.5" [value]="job.hour" [attr.aria-valuetext]="hourText(job.hour)" #hour (input)="move(hour.valueAsNumber)" (change)="settle()" />
        <button type="button" class="chip" [disabled]="asking()" (click)="fetch()">
          {{ asking() ? 'Asking …' : 'Weather by the hour (simulated service)' }}
        </button>
        @if (job.weather) {
          <button type="button" class="chip" (click)="byHand()">By hand instead</button>
        }
      </div>
      <p class="soft num">{{ conditions() }}</p>
      @if (problem(); as problem) {
        <p class="note warn" role="alert">{{ problem }}</p>
      }
      @if (day(); as day) {
        <esm-day-chart [day]="day" [hour]="job.hour" [shadeHours]="job.site.shadeHours" [units]="desk.units()" />
        <p class="soft">Crosses: too hot for the product, or dry before the smallest section is done. Grey: the place is in the shade.</p>
        <ul>
          @for (one of suggestions(); track one.says) {
            <li>
              {{ one.says }}
              @if (one.press) {
                <button type="button" class="chip" (click)="take(one.advice)">{{ one.press }}</button>
              }
            </li>
          }
        </ul>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    input[type='range'] {
      width: 12rem;
      accent-color: var(--sea);
      min-height: var(--touch);
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
  `,
})
export class DayComponent {
  protected readonly desk = inject(JobDesk);
  private readonly weather = inject(WEATHER);
  protected readonly hourText = hourText;
  private readonly study = studyOf('hours-of-day');

  /** The last day that was worked out stays until the next one is. */
  protected readonly day = linkedSignal<HoursOfDay | null, HoursOfDay | null>({
    source: this.study.answer,
    computation: (answer, before) => answer ?? before?.value ?? null,
  });
  protected readonly suggestions = computed(() => (this.day()?.advice ?? []).map(suggestion));
  protected readonly asking = signal(false);
  protected readonly problem = signal<string | null>(null);
  /** Where a move of the slider began: every step of it is reckoned from there. */
  private from: { readonly job: Job; readonly stroke: string } | null = null;
  private strokes = 0;

  protected readonly conditions = computed(() => {
    const job = this.desk.job();
    if (!job) return '';
    const { airC, humidity, windMs, sunWm2, shade } = job.site;
    const u = this.desk.units();
    const wind = `${fixed(u.edit.wind.show(windMs), 1)} ${u.edit.wind.unit}`;
    const sun = shade ? 'in the shade' : `${fixed(sunWm2)} W/m² of sun`;
    const source = job.weather ? job.weather.source : 'as typed below, held all day while the sun moves';
    return `${u.temperature(airC)}, ${fixed(humidity * 100)} % humid, wind ${wind}, ${sun}: ${source}.`;
  });

  constructor() {
    effect(() => {
      if (!this.desk.job()) return;
      untracked(() => void this.study.ask());
    });
  }

  protected move(hour: number): void {
    const job = this.desk.job();
    if (!job) return;
    this.from ??= { job, stroke: `hour-${++this.strokes}` };
    const { job: began, stroke } = this.from;
    this.desk.edit(`Begin at ${hourText(hour)}`, () => atHour(began, hour), stroke);
  }

  /** The next move of the slider is a step of its own to undo. */
  protected settle(): void {
    this.from = null;
  }

  protected async fetch(): Promise<void> {
    const job = this.desk.job();
    if (!job) return;
    this.asking.set(true);
    const found = await this.weather(job);
    this.asking.set(false);
    this.problem.set(found.ok ? null : why[found.why]);
    if (found.ok) this.desk.edit(`Weather: ${found.weather.source}`, (now) => withWeather(now, found.weather));
  }

  protected byHand(): void {
    this.desk.edit('Weather by hand', (job) => withWeather(job, null));
  }

  protected take(advice: HoursAdvice): void {
    if (advice.code === 'wait') this.desk.edit(`Begin at ${hourText(advice.hour)}`, (job) => atHour(job, advice.hour));
    if (advice.code === 'shade') this.desk.edit('In the shade', (job) => withChange(job, { code: 'shade' }));
  }
}
