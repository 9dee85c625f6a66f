import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { en } from '@esmero/messages';
import { type AssumptionKey, type AssumptionOverrides, assumptionTable } from '@esmero/core';
import { NumberComponent } from './number.component';

/** A figure that a user sets otherwise for this job; null goes back to ours. */
export interface Assumed {
  readonly key: AssumptionKey;
  readonly value: number | null;
}

const originWord = { measured: 'measured', practice: 'common practice', judged: 'our judgement' } as const;

/** Constants of the model with their origin, each of which a job may set otherwise. */
@Component({
  selector: 'esm-assumption-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, NumberComponent],
  template: `
    <table>
      <tbody>
        @for (row of rows(); track row.key) {
          <tr>
            <td>
              <label [for]="'a-' + row.key">{{ row.note }}</label>
            </td>
            <td class="value">
              <esm-number
                [inputId]="'a-' + row.key"
                [digits]="6"
                [unit]="row.unit"
                [bounds]="row.bounds"
                [value]="row.value"
                (typed)="set(row.key, $event)"
              />
            </td>
            <td class="soft">
              @if (row.own) {
                yours
                <button
                  pButton
                  type="button"
                  severity="secondary"
                  outlined
                  (click)="assumed.emit({ key: row.key, value: null })"
                >
                  Back to {{ row.ours }}<span class="sr-only">: {{ row.note }}</span>
                </button>
              } @else {
                {{ row.origin }}
              }
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    td {
      vertical-align: middle;
    }
    .value {
      white-space: nowrap;
    }
    esm-number {
      width: 9rem;
    }
  `,
})
export class AssumptionTableComponent {
  readonly keys = input.required<readonly AssumptionKey[]>();
  readonly overrides = input.required<AssumptionOverrides>();
  readonly assumed = output<Assumed>();

  protected readonly rows = computed(() =>
    this.keys().map((key) => {
      const { value, unit, origin, min, max } = assumptionTable[key];
      const own = this.overrides()[key];
      return {
        key,
        note: en(assumptionTable[key].note),
        unit,
        bounds: { min, max },
        ours: value,
        own: own !== undefined,
        value: own ?? value,
        origin: originWord[origin],
      };
    }),
  );

  protected set(key: AssumptionKey, value: number | null): void {
    if (value !== null && value !== (this.overrides()[key] ?? assumptionTable[key].value))
      this.assumed.emit({ key, value });
  }
}
