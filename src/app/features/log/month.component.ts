import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { format, parseISO } from 'date-fns';
import { Button } from 'primeng/button';
import { DatePicker } from 'primeng/datepicker';
import { monthName, monthOf } from '@esmero/units';
import { today } from '../../state/today';

/** A month with the days on which something was done; a day or the month is picked, and let go again. */
@Component({
  selector: 'esm-month',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, DatePicker, FormsModule],
  template: `
    <p-datepicker
      [inline]="true"
      [firstDayOfWeek]="1"
      [defaultDate]="shown()"
      [ngModel]="chosen()"
      (onSelect)="pickDate($event)"
      (onMonthChange)="turned($event.year!, $event.month!)"
    >
      <ng-template #date let-date>
        @if (countOn(date.year, date.month, date.day); as count) {
          <span class="has num" [attr.aria-label]="date.day + ', ' + count + (count === 1 ? ' run' : ' runs')"
            >{{ date.day }}<i aria-hidden="true">{{ count }}</i></span
          >
        } @else {
          {{ date.day }}
        }
      </ng-template>
    </p-datepicker>
    <p-button
      class="whole"
      [label]="'All of ' + name()"
      severity="secondary"
      [outlined]="picked() !== month()"
      (onClick)="pick(month())"
    />
  `,
  styles: `
    :host {
      display: block;
      max-width: 24rem;
    }
    .has {
      font-weight: 700;
    }
    i {
      font-style: normal;
      font-size: 0.7rem;
      vertical-align: super;
      margin-left: 0.1rem;
      color: var(--sea);
    }
    .p-datepicker-day-selected i {
      color: inherit;
    }
  `,
})
export class MonthComponent {
  /** How often each ISO day has something. */
  readonly counts = input.required<ReadonlyMap<string, number>>();
  /** A day, a month, or null. */
  readonly picked = input.required<string | null>();
  readonly pickedChange = output<string | null>();

  /** Opens where the last thing was done. */
  protected readonly month = linkedSignal(() => monthOf([...this.counts().keys()].sort().at(-1) ?? today()));
  protected readonly name = computed(() => monthName(this.month()));
  protected readonly shown = computed(() => parseISO(`${this.month()}-01`));
  protected readonly chosen = computed(() => {
    const picked = this.picked();
    return picked && picked.length > 7 ? parseISO(picked) : null;
  });

  /** @param month from 0 */
  protected countOn(year: number, month: number, day: number): number {
    return this.counts().get(format(new Date(year, month, day), 'yyyy-MM-dd')) ?? 0;
  }

  /** @param month from 1, as the calendar tells it */
  protected turned(year: number, month: number): void {
    this.month.set(format(new Date(year, month - 1, 1), 'yyyy-MM'));
  }

  protected pickDate(date: Date): void {
    this.pick(format(date, 'yyyy-MM-dd'));
  }

  protected pick(span: string): void {
    this.pickedChange.emit(this.picked() === span ? null : span);
  }
}
