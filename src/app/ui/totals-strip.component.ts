import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Figure, Plan, Totals } from '@esmero/core';
import { defaultCurrency } from '@esmero/units';
import { type Units, figureText, figureValue, methodName, partsText } from '@esmero/messages';

interface Shown {
  readonly key: keyof Totals;
  readonly title: string;
  readonly text: string;
  readonly change: string;
  readonly figure: Figure;
}

/** The totals in the order of the strip, and what they are called. */
export const totalTitles: readonly (readonly [keyof Totals, string])[] = [
  ['minutes', 'Time'],
  ['litres', 'Water'],
  ['productMl', 'Product'],
  ['towels', 'Towels'],
  ['index', 'Marring index'],
  ['costMinor', 'Product cost'],
];

/** Smaller changes are rounding, not news. */
const NEWS: Readonly<Partial<Record<Figure['unit'], number>>> = {
  min: 0.5,
  L: 0.05,
  mL: 0.5,
  towels: 0.5,
  index: 0.05,
  minor: 0.5,
};

/** The plan in one line, with what the last change did to it. */
@Component({
  selector: 'esm-totals-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="method" [attr.data-method]="plan()?.method">
      <span class="label">Method</span>
      <strong>{{ method() }}</strong>
    </div>
    @for (total of shown(); track total.key) {
      <button type="button" [attr.data-total]="total.key" (click)="ask.emit(total.key)">
        <span class="label">{{ total.title }}</span>
        <strong class="num">{{ total.text }}</strong>
        <span class="change num">{{ total.change }}</span>
        <span class="sr-only">: where this comes from</span>
      </button>
    }
    <p class="cause" aria-live="polite">
      @if (failure(); as failure) {
        <span class="bad">{{ wording.planFailed(failure) }}</span>
      } @else {
        @if (pending()) {
          <span class="late">Working it out …</span>
        }
        {{ news() }}
      }
    </p>
  `,
  styleUrl: './totals-strip.component.css',
})
export class TotalsStripComponent {
  protected readonly wording = partsText;
  readonly plan = input.required<Plan | null>();
  readonly before = input.required<Plan | null>();
  readonly cause = input.required<string>();
  readonly pending = input.required<boolean>();
  readonly failure = input.required<string | null>();
  readonly units = input.required<Units>();
  readonly currency = input(defaultCurrency);
  readonly ask = output<keyof Totals>();

  protected readonly method = computed(() => {
    const plan = this.plan();
    return plan ? methodName[plan.method] : '…';
  });

  protected readonly shown = computed((): readonly Shown[] => {
    const plan = this.plan();
    if (!plan || plan.method === 'decline') return [];
    return totalTitles.flatMap(([key, title]): Shown[] => {
      const figure = plan.totals[key];
      if (!figure) return [];
      return [
        {
          key,
          title,
          figure,
          text: figureValue(figure, this.units(), this.currency()),
          change: this.change(key, figure),
        },
      ];
    });
  });

  protected readonly news = computed(() => {
    const [plan, before, cause] = [this.plan(), this.before(), this.cause()];
    if (!plan) return '';
    if (!cause) return plan.method === 'decline' ? partsText.methodSays : '';
    if (before && before.method !== plan.method)
      return `${cause}: from ${methodName[before.method].toLowerCase()} to ${methodName[plan.method].toLowerCase()}.`;
    const changed = this.shown().some(({ change }) => change !== '');
    return changed ? `${cause}.` : `${cause}: the totals stay.`;
  });

  private change(key: keyof Totals, { value, unit }: Figure): string {
    const before = this.before();
    const past = before?.totals[key];
    if (!past || before?.method === 'decline') return '';
    const difference = value - past.value;
    if (Math.abs(difference) < (NEWS[unit] ?? 0)) return '';
    const text = figureText(Math.abs(difference), unit, this.units(), this.currency());
    return `${difference > 0 ? '+' : '−'}${text}`;
  }
}
