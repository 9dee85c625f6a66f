import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import type { DaySetUp } from '@esmero/model';
import { dayPlanText } from '@esmero/messages';
import { HourFieldComponent } from '../../ui/hour-field.component';
import { NumberComponent } from '../../ui/number.component';

const usualBreak = { minutes: 30, fromHour: 11.5, untilHour: 13.5 } as const;

/** When a day begins and ends, its break, and when rain sets in. */
@Component({
  selector: 'esm-day-hours',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, HourFieldComponent, NumberComponent],
  template: `
    <p-dialog header="Hours and rain" [visible]="true" (visibleChange)="closed.emit()" [modal]="true" [dismissableMask]="true" [style]="{ width: 'min(34rem, 96vw)' }" closeAriaLabel="Close">
      @let day = setUp();
      <div class="grid">
        <label class="field" for="day-start">Start<esm-hour-field inputId="day-start" name="Start" [until]="day.endHour" [value]="day.startHour" (typed)="tell({ startHour: $event ?? day.startHour })" /></label>
        <label class="field" for="day-end">Done by<esm-hour-field inputId="day-end" name="Done by" [from]="day.startHour" [value]="day.endHour" (typed)="tell({ endHour: $event ?? day.endHour })" /></label>
        <label class="field" for="day-rain">Rain from<esm-hour-field inputId="day-rain" name="Rain from" placeholder="none" [clearable]="true" [value]="day.rainFromHour" (typed)="rain($event)" /></label>
      </div>
      <p class="soft">{{ wording.rainHint }}</p>
      <div class="row">
        <p-button [label]="asking() ? 'Asking …' : 'Rain by the forecast (simulated)'" icon="pi pi-cloud" size="small" severity="secondary" [outlined]="true" [disabled]="asking()" (onClick)="ask()" />
        <span class="soft" role="status">{{ answer() }}</span>
      </div>
      @if (day.break; as pause) {
        <div class="grid">
          <div class="field"><span>Break</span><esm-number name="Break, minutes" unit="min" [digits]="0" [bounds]="{ min: 5, max: 240, whole: true }" [value]="pause.minutes" (typed)="tell({ break: { fromHour: pause.fromHour, untilHour: pause.untilHour, minutes: $event ?? 30 } })" /></div>
          <label class="field" for="break-from">From<esm-hour-field inputId="break-from" name="Break from" [until]="pause.untilHour" [value]="pause.fromHour" (typed)="tell({ break: { minutes: pause.minutes, untilHour: pause.untilHour, fromHour: $event ?? pause.fromHour } })" /></label>
          <label class="field" for="break-until">At the latest<esm-hour-field inputId="break-until" name="Break at the latest" [from]="pause.fromHour" [value]="pause.untilHour" (typed)="tell({ break: { minutes: pause.minutes, fromHour: pause.fromHour, untilHour: $event ?? pause.untilHour } })" /></label>
        </div>
        <p-button label="No break" severity="secondary" [text]="true" (onClick)="tell({ break: null })" />
      } @else {
        <p-button label="With a break" severity="secondary" [outlined]="true" (onClick)="tell({ break: usualBreak })" />
      }
    </p-dialog>
  `,
  styles: `
    .grid {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(8.5rem, 1fr));
      gap: 0.8rem;
    }
  `,
})
export class DayHoursComponent {
  protected readonly wording = dayPlanText;
  protected readonly usualBreak = usualBreak;
  readonly setUp = input.required<DaySetUp>();
  readonly changed = output<{ readonly says: string; readonly change: Partial<DaySetUp> }>();
  /** Asks the weather service; null where there is no answer. */
  readonly forecast = input.required<() => Promise<Pick<DaySetUp, 'rainFromHour'> | null>>();
  readonly closed = output();

  protected readonly asking = signal(false);
  protected readonly answer = signal('');

  protected async ask(): Promise<void> {
    this.asking.set(true);
    const rain = await this.forecast()();
    this.asking.set(false);
    this.answer.set(this.told(rain));
  }

  private told(rain: Pick<DaySetUp, 'rainFromHour'> | null): string {
    if (!rain) return this.wording.noForecast;
    return rain.rainFromHour === null ? this.wording.staysDry : this.wording.rainFrom(rain.rainFromHour);
  }

  protected tell(change: Partial<DaySetUp>): void {
    this.changed.emit({ says: this.wording.hours, change });
  }

  protected rain(rainFromHour: number | null): void {
    this.changed.emit({ says: this.wording.rain, change: { rainFromHour } });
  }
}
