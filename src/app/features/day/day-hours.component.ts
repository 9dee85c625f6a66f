import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputText } from 'primeng/inputtext';
import type { Blocked, DaySetUp } from '@esmero/model';
import { dayPlanText } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { HourFieldComponent } from '../../ui/hour-field.component';
import { NumberComponent } from '../../ui/number.component';

/** An hour at noon, until somebody says which. */
const usualTaken = { fromHour: 12, untilHour: 13 } as const;
const usualBreak = { minutes: 30, fromHour: 11.5, untilHour: 13.5 } as const;

/** When a day begins and ends, its break, and when rain sets in. */
@Component({
  selector: 'esm-day-hours',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Dialog, HourFieldComponent, InputText, NumberComponent],
  template: `
    <p-dialog
      header="Hours and rain"
      [visible]="true"
      (visibleChange)="closed.emit()"
      [modal]="true"
      [dismissableMask]="true"
      [style]="{ width: 'min(34rem, 96vw)' }"
      closeAriaLabel="Close"
    >
      @let day = setUp();
      <div class="grid">
        <label class="field" for="day-start"
          >Start<esm-hour-field
            inputId="day-start"
            name="Start"
            [until]="day.endHour"
            [value]="day.startHour"
            (typed)="tell({ startHour: $event ?? day.startHour })"
        /></label>
        <label class="field" for="day-end"
          >Done by<esm-hour-field
            inputId="day-end"
            name="Done by"
            [from]="day.startHour"
            [value]="day.endHour"
            (typed)="tell({ endHour: $event ?? day.endHour })"
        /></label>
        <label class="field" for="day-rain"
          >Rain from<esm-hour-field
            inputId="day-rain"
            name="Rain from"
            placeholder="none"
            [clearable]="true"
            [value]="day.rainFromHour"
            (typed)="rain($event)"
        /></label>
      </div>
      <p class="soft">{{ wording.rainHint }}</p>
      <div class="row">
        <p-button
          [label]="asking() ? 'Asking …' : 'Rain by the forecast (simulated)'"
          icon="pi pi-cloud"
          size="small"
          severity="secondary"
          [outlined]="true"
          [disabled]="asking()"
          (onClick)="ask()"
        />
        <span class="soft" role="status">{{ answer() }}</span>
      </div>
      @if (day.break; as pause) {
        <div class="grid">
          <div class="field">
            <span>Break</span
            ><esm-number
              name="Break, minutes"
              unit="min"
              [digits]="0"
              [bounds]="{ min: 5, max: 240, whole: true }"
              [value]="pause.minutes"
              (typed)="tell({ break: { fromHour: pause.fromHour, untilHour: pause.untilHour, minutes: $event ?? 30 } })"
            />
          </div>
          <label class="field" for="break-from"
            >From<esm-hour-field
              inputId="break-from"
              name="Break from"
              [until]="pause.untilHour"
              [value]="pause.fromHour"
              (typed)="
                tell({
                  break: { minutes: pause.minutes, untilHour: pause.untilHour, fromHour: $event ?? pause.fromHour },
                })
              "
          /></label>
          <label class="field" for="break-until"
            >At the latest<esm-hour-field
              inputId="break-until"
              name="Break at the latest"
              [from]="pause.fromHour"
              [value]="pause.untilHour"
              (typed)="
                tell({
                  break: { minutes: pause.minutes, fromHour: pause.fromHour, untilHour: $event ?? pause.untilHour },
                })
              "
          /></label>
        </div>
        <p-button label="No break" severity="secondary" [text]="true" (onClick)="tell({ break: null })" />
      } @else {
        <p-button label="With a break" severity="secondary" [outlined]="true" (onClick)="tell({ break: usualBreak })" />
      }
      <h3>Taken by something else</h3>
      @for (one of blocked(); track one.id; let i = $index) {
        <div class="taken">
          <input
            pInputText
            maxlength="160"
            [attr.aria-label]="'What, ' + (i + 1)"
            [value]="one.name"
            (change)="rename(one, $event)"
          />
          <esm-hour-field
            [inputId]="'taken-from-' + i"
            name="Taken from"
            [until]="one.untilHour"
            [value]="one.fromHour"
            (typed)="$event !== null && block(one, { fromHour: $event })"
          />
          <esm-hour-field
            [inputId]="'taken-until-' + i"
            name="Taken until"
            [from]="one.fromHour"
            [value]="one.untilHour"
            (typed)="$event !== null && block(one, { untilHour: $event })"
          />
          <p-button
            icon="pi pi-trash"
            [ariaLabel]="'Without ' + one.name"
            severity="secondary"
            [text]="true"
            (onClick)="unblocked.emit(one)"
          />
        </div>
      }
      <p-button
        label="Block out hours"
        icon="pi pi-plus"
        severity="secondary"
        [outlined]="true"
        (onClick)="another()"
      />
    </p-dialog>
  `,
  styles: `
    .taken {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 7rem 7rem auto;
      gap: 0.4rem;
      margin-bottom: 0.4rem;
    }
    @media (max-width: 30rem) {
      .taken {
        grid-template-columns: 1fr 1fr auto;
      }
      .taken input {
        grid-column: 1 / -1;
      }
    }
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
  /** Hours of the day that are taken. */
  readonly blocked = input.required<readonly Blocked[]>();
  readonly blockedTold = output<Blocked>();
  readonly unblocked = output<Blocked>();
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

  protected block(one: Blocked, change: Partial<Blocked>): void {
    this.blockedTold.emit({ ...one, ...change });
  }

  protected rename(one: Blocked, event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    if (name) this.block(one, { name });
  }

  protected another(): void {
    this.blockedTold.emit({ id: freshId('blocked'), name: this.wording.taken, date: this.setUp().date, ...usualTaken });
  }

  protected rain(rainFromHour: number | null): void {
    this.changed.emit({ says: this.wording.rain, change: { rainFromHour } });
  }
}
