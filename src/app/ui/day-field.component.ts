import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { DatePicker } from 'primeng/datepicker';

const twoDigits = (value: number): string => String(value).padStart(2, '0');

/** A day of the calendar without an hour: an ISO day outside, a date of the reader's own clock inside. */
const dateOf = (day: string): Date | null => {
  const [year, month, date] = day.split('-').map(Number);
  return year && month && date ? new Date(year, month - 1, date) : null;
};
const dayOf = (date: Date): string => `${date.getFullYear()}-${twoDigits(date.getMonth() + 1)}-${twoDigits(date.getDate())}`;

/** A day to be typed or picked. */
@Component({
  selector: 'esm-day-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePicker, FormsModule],
  template: `
    <p-datepicker
      [inputId]="inputId()"
      [ariaLabel]="name() || undefined"
      [ngModel]="date()"
      (ngModelChange)="typed = $event"
      (onSelect)="take($event)"
      (onBlur)="take(typed)"
      dateFormat="d M yy"
      [showIcon]="true"
      iconDisplay="input"
      [firstDayOfWeek]="1"
      appendTo="body"
      [fluid]="true"
    />
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class DayFieldComponent {
  readonly inputId = input.required<string>();
  readonly name = input('');
  /** "2031-07-14"; empty for none. */
  readonly day = input.required<string>();
  readonly picked = output<string>();
  /** What is in the field now, for whoever reads it at a press; empty for none. */
  readonly entered = linkedSignal(() => this.day());

  protected readonly date = computed(() => dateOf(this.day()));

  /** A half-written year is a year, too: what is typed counts once the field is left. */
  protected typed: Date | string | null = null;

  /** What cannot be read as a day is left as it was. */
  protected take(date: Date | string | null): void {
    if (!(date instanceof Date) || !(date.getFullYear() >= 1900 && date.getFullYear() < 2200)) return;
    this.entered.set(dayOf(date));
    if (dayOf(date) !== this.day()) this.picked.emit(dayOf(date));
  }
}
