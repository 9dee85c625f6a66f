import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';

/** A day of the month that is shown. */
interface Cell {
  readonly day: string;
  readonly number: number;
  readonly count: number;
}

const weekdays = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
const monthName = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });

const firstOf = (month: string): Date => new Date(`${month}-01T00:00:00Z`);

function moved(month: string, by: number): string {
  const date = firstOf(month);
  date.setUTCMonth(date.getUTCMonth() + by);
  return date.toISOString().slice(0, 7);
}

/** A month with the days on which something was done; a day or the month is picked, and let go again. */
@Component({
  selector: 'esm-month',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <button type="button" class="chip" (click)="step(-1)" aria-label="The month before">‹</button>
      <button type="button" class="chip grow" [attr.aria-pressed]="picked() === month()" (click)="pick(month())">{{ name() }}</button>
      <button type="button" class="chip" (click)="step(1)" aria-label="The month after">›</button>
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
  protected readonly month = linkedSignal(() => [...this.counts().keys()].sort().at(-1)?.slice(0, 7) ?? new Date().toISOString().slice(0, 7));
  protected readonly name = computed(() => monthName.format(firstOf(this.month())));
  protected readonly blanks = computed(() => Array.from({ length: (firstOf(this.month()).getUTCDay() + 6) % 7 }, (_, i) => i));
  protected readonly cells = computed((): readonly Cell[] => {
    const last = firstOf(moved(this.month(), 1)).getTime() - 1;
    return Array.from({ length: new Date(last).getUTCDate() }, (_, i) => {
      const day = `${this.month()}-${String(i + 1).padStart(2, '0')}`;
      return { day, number: i + 1, count: this.counts().get(day) ?? 0 };
    });
  });

  protected step(by: number): void {
    this.month.set(moved(this.month(), by));
  }

  protected pick(day: string): void {
    this.pickedChange.emit(this.picked() === day ? null : day);
  }
}
