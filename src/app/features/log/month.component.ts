import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { daysOf, monthAfter, monthName, monthOf, weekdayOf } from '@esmero/units';
import { today } from '../../state/today';

/** A day of the month that is shown. */
interface Cell {
  readonly day: string;
  readonly number: number;
  readonly count: number;
}

const weekdays = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
/** A month with the days on which something was done; a day or the month is picked, and let go again. */
@Component({
  selector: 'esm-month',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective],
  template: `
    <div class="row">
      <button pButton type="button" severity="secondary" outlined (click)="step(-1)" aria-label="The month before">‹</button>
      <button pButton type="button" class="grow" severity="secondary" outlined [attr.aria-pressed]="picked() === month()" (click)="pick(month())">{{ name() }}</button>
      <button pButton type="button" severity="secondary" outlined (click)="step(1)" aria-label="The month after">›</button>
    </div>
    <div class="grid" role="group" [attr.aria-label]="name()">
      @for (weekday of weekdays; track weekday) {
        <span class="soft head" aria-hidden="true">{{ weekday }}</span>
      }
      @for (blank of blanks(); track blank) {
        <span></span>
      }
      @for (cell of cells(); track cell.day) {
        @if (cell.count > 0) {
          <button type="button" class="day has num" [attr.aria-pressed]="picked() === cell.day" [attr.aria-label]="cell.day + ', ' + cell.count + (cell.count === 1 ? ' run' : ' runs')" (click)="pick(cell.day)">
            {{ cell.number }}<i aria-hidden="true">{{ cell.count }}</i>
          </button>
        } @else {
          <span class="day soft num">{{ cell.number }}</span>
        }
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
      max-width: 24rem;
    }
    .grow {
      flex: 1;
    }
    .grid {
      display: grid;
      grid-template-columns: repeat(7, 1fr);
      gap: 2px;
      margin-top: 0.4rem;
    }
    .head,
    .day {
      text-align: center;
    }
    .day {
      min-height: 2.4rem;
      align-content: center;
      font: inherit;
    }
    .has {
      border: 1px solid var(--sea);
      border-radius: 5px;
      background: var(--sea-wash);
      color: var(--ink);
      cursor: pointer;
    }
    .has[aria-pressed='true'] {
      background: var(--sea);
      color: var(--paper);
    }
    i {
      font-style: normal;
      font-size: 0.7rem;
      vertical-align: super;
      margin-left: 0.15rem;
    }
  `,
})
export class MonthComponent {
  /** How often each ISO day has something. */
  readonly counts = input.required<ReadonlyMap<string, number>>();
  /** A day, a month, or null. */
  readonly picked = input.required<string | null>();
  readonly pickedChange = output<string | null>();

  protected readonly weekdays = weekdays;
  /** Opens where the last thing was done. */
  protected readonly month = linkedSignal(() => monthOf([...this.counts().keys()].sort().at(-1) ?? today()));
  protected readonly name = computed(() => monthName(this.month()));
  protected readonly blanks = computed(() => Array.from({ length: weekdayOf(`${this.month()}-01`) - 1 }, (_, i) => i));
  protected readonly cells = computed((): readonly Cell[] =>
    daysOf(this.month()).map((day, i) => ({ day, number: i + 1, count: this.counts().get(day) ?? 0 })),
  );

  protected step(by: number): void {
    this.month.set(monthAfter(this.month(), by));
  }

  protected pick(day: string): void {
    this.pickedChange.emit(this.picked() === day ? null : day);
  }
}
