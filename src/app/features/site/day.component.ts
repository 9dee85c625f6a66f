import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Slider } from 'primeng/slider';
import { type HoursOfDay, type HoursAdvice, atHour, resolveAssumptions, sunAtSite, withChange } from '@esmero/core';
import type { Job, ZoneId } from '@esmero/model';
import { fixed, hourText, zoneList, siteText } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';
import { studyOf } from '../../state/study';
import { WeatherDesk } from '../../state/weather-desk';
import { DayChartComponent } from '../../ui/day-chart.component';
import { DayRibbonComponent } from './day-ribbon.component';

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
      return { advice, says: siteText.everyPanel, press: null };
    case 'shade':
      return {
        advice,
        says: `In the shade these could be worked at once: ${parts(advice.zones)}.`,
        press: 'Shade the car',
      };
    case 'wait':
      return { advice, says: siteText.fromHour(hourText(advice.hour)), press: `Wait until ${hourText(advice.hour)}` };
    case 'not-this-day':
      return { advice, says: siteText.noHour, press: null };
  }
}

const why = {
  unreachable: siteText.unreachable,
  unreadable: siteText.unreadable,
} as const;

/** The day at this place: weather, panel temperatures, the hour of the job, and what would help. */
@Component({
  selector: 'esm-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, DayChartComponent, DayRibbonComponent, Dialog, FormsModule, Slider],
  providers: [WeatherDesk],
  template: `
    @if (desk.job(); as job) {
      <div class="head">
        <h2>When?</h2>
        <p class="soft num">{{ conditions() }}</p>
      </div>
      <div class="begin">
        <span id="begin"
          >Begin at <strong class="num">{{ hourText(job.hour) }}</strong></span
        >
        <p-slider
          [ngModel]="job.hour"
          (ngModelChange)="move($event)"
          (onSlideEnd)="settle()"
          [min]="6"
          [max]="21"
          [step]="0.5"
          ariaLabelledBy="begin"
        />
        @for (one of suggestions(); track one.says) {
          <span class="one">
            <span class="soft">{{ one.says }}</span>
            @if (one.press) {
              <p-button
                [label]="one.press"
                size="small"
                severity="secondary"
                [outlined]="true"
                (onClick)="take(one.advice)"
              />
            }
          </span>
        }
      </div>
      @if (problem(); as problem) {
        <p class="note warn" role="alert">{{ problem }}</p>
      }
      @if (day(); as day) {
        <esm-day-ribbon
          [day]="day"
          [hour]="job.hour"
          [weather]="job.weather"
          [shadeHours]="job.site.shadeHours"
          [units]="desk.units()"
          (begun)="begin($event)"
        />
      }
      <div class="row foot">
        <p-button
          [label]="weather.asking() ? 'Asking …' : 'Weather by the hour (simulated service)'"
          icon="pi pi-sun"
          size="small"
          severity="secondary"
          [outlined]="true"
          [disabled]="weather.asking()"
          (onClick)="weather.fetch()"
        />
        @if (job.weather) {
          <p-button
            label="Type the weather"
            size="small"
            severity="secondary"
            [text]="true"
            (onClick)="weather.byHand()"
          />
        }
        <p-button
          label="Panel temperatures as curves"
          icon="pi pi-chart-line"
          size="small"
          severity="secondary"
          [text]="true"
          (onClick)="curves.set(true)"
        />
      </div>
      <p-dialog
        header="Panels over the day"
        [visible]="curves()"
        (visibleChange)="curves.set($event)"
        [modal]="true"
        [dismissableMask]="true"
        [style]="{ width: 'min(52rem, 96vw)' }"
        closeAriaLabel="Close"
      >
        @if (curves() && day(); as day) {
          <esm-day-chart [day]="day" [hour]="job.hour" [shadeHours]="job.site.shadeHours" [units]="desk.units()" />
          <p class="soft">{{ wording.ribbonKey }}</p>
        }
      </p-dialog>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .head {
      display: flex;
      flex-wrap: wrap;
      align-items: baseline;
      gap: 0.2rem 0.9rem;
    }
    .head > * {
      margin: 0;
    }
    h2 {
      font-size: 1.15rem;
    }
    .begin {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.3rem 1.1rem;
      min-height: var(--touch);
    }
    .one {
      display: inline-flex;
      align-items: center;
      gap: 0.5rem;
    }
    p-slider {
      width: min(16rem, 100%);
      margin: 0.8rem 0.6rem;
    }
    .foot {
      margin-top: 0.5rem;
    }
  `,
})
export class DayComponent {
  protected readonly wording = siteText;
  protected readonly desk = inject(JobDesk);
  protected readonly weather = inject(WeatherDesk);
  protected readonly hourText = hourText;
  private readonly study = studyOf('hours-of-day', { atOnce: true });

  /** The last day that was worked out stays until the next one is. */
  protected readonly day = linkedSignal<HoursOfDay | null, HoursOfDay | null>({
    source: this.study.answer,
    computation: (answer, before) => answer ?? before?.value ?? null,
  });
  protected readonly suggestions = computed(() => (this.day()?.advice ?? []).map(suggestion));
  protected readonly curves = signal(false);
  protected readonly problem = computed(() => {
    const missing = this.weather.missing();
    return missing && why[missing];
  });
  /** Where a move of the slider began: every step of it starts from there. */
  private from: { readonly job: Job; readonly stroke: string } | null = null;
  private strokes = 0;

  protected readonly conditions = computed(() => {
    const job = this.desk.job();
    if (!job) return '';
    const { airC, humidity, windMs, shade } = job.site;
    const sunWm2 = sunAtSite(job, resolveAssumptions(job.choices.assumptions));
    const u = this.desk.units();
    const wind = `${fixed(u.edit.wind.show(windMs), 1)} ${u.edit.wind.unit}`;
    const sun = shade ? 'in the shade' : sunWm2 > 0 ? `${fixed(sunWm2)} W/m² of sun` : 'no sun';
    const source = job.weather ? job.weather.source : siteText.asTyped;
    return `${u.temperature(airC)}, ${fixed(humidity * 100)} % humid, wind ${wind}, ${sun}: ${source}.`;
  });

  protected move(hour: number): void {
    const job = this.desk.job();
    if (!job) return;
    this.from ??= { job, stroke: `hour-${++this.strokes}` };
    const { job: began, stroke } = this.from;
    this.desk.edit(`Begin at ${hourText(hour)}`, () => atHour(began, hour), stroke);
  }

  /** An hour that was pressed on the ribbon. */
  protected begin(hour: number): void {
    this.move(hour);
    this.settle();
  }

  /** The next move of the slider is a step of its own to undo. */
  protected settle(): void {
    this.from = null;
  }

  protected take(advice: HoursAdvice): void {
    if (advice.code === 'wait') this.desk.edit(`Begin at ${hourText(advice.hour)}`, (job) => atHour(job, advice.hour));
    if (advice.code === 'shade') this.desk.edit('In the shade', (job) => withChange(job, { code: 'shade' }));
  }
}
