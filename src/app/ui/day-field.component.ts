import { ChangeDetectionStrategy, Component, computed, forwardRef, input, signal } from '@angular/core';
import { FormsModule, NG_VALUE_ACCESSOR } from '@angular/forms';
import { DatePicker } from 'primeng/datepicker';
import { Control } from './control';
import { InTurnDirective } from './in-turn.directive';

const twoDigits = (value: number): string => String(value).padStart(2, '0');

/** A day of the calendar without an hour: an ISO day outside, a date of the reader's own clock inside. */
const dateOf = (day: string): Date | null => {
  const [year, month, date] = day.split('-').map(Number);
  return year && month && date ? new Date(year, month - 1, date) : null;
};
const dayOf = (date: Date): string =>
  `${date.getFullYear()}-${twoDigits(date.getMonth() + 1)}-${twoDigits(date.getDate())}`;

/** A day to be typed or picked: "2031-07-14". */
@Component({
  selector: 'esm-day-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePicker, FormsModule, InTurnDirective],
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => DayFieldComponent), multi: true }],
  template: `
    <p-datepicker
      *esmInTurn
      #picker
      [numberOfMonths]="months()"
      (onFocus)="drawMonth(picker)"
      [inputId]="inputId()"
      [ariaLabel]="name() || undefined"
      [ngModel]="date()"
      (ngModelChange)="draft = $event"
      (onSelect)="read($event)"
      (onBlur)="read(draft); touched()"
      [disabled]="disabled()"
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
export class DayFieldComponent extends Control<string> {
  readonly inputId = input.required<string>();
  readonly name = input('');
  protected readonly date = computed(() => dateOf(this.entered() ?? ''));

  /** A shut picker would draw its month, too, with every day in it. */
  protected readonly months = signal(0);

  protected drawMonth(picker: DatePicker): void {
    if (this.months() > 0) return;
    this.months.set(1);
    // Now, and not with the next round: it opens on this very event.
    picker.numberOfMonths = 1;
    picker.updateUI();
  }

  /** A half-written year is a year, too: what is typed counts once the field is left. */
  protected draft: Date | string | null = null;

  /** What cannot be read as a day is left as it was. */
  protected read(date: Date | string | null): void {
    if (!(date instanceof Date) || !(date.getFullYear() >= 1900 && date.getFullYear() < 2200)) return;
    if (dayOf(date) !== this.entered()) this.take(dayOf(date));
  }
}
