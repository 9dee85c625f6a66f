import { ChangeDetectionStrategy, Component, computed, input, model, output } from '@angular/core';
import { Dialog } from 'primeng/dialog';
import type { AssumptionOverrides, Figure } from '@esmero/core';
import { defaultCurrency } from '@esmero/units';
import { type Units, figureText, figureValue, originName, partName, partsText } from '@esmero/messages';

import { ReturnsFocusDirective } from './returns-focus.directive';
import { AssumptionTableComponent, type Assumed } from './assumption-table.component';

/** A figure that is asked about. */
export interface Asked {
  readonly title: string;
  readonly figure: Figure;
}

/** Where a number comes from: its parts, and the assumptions behind it. */
@Component({
  selector: 'esm-why',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AssumptionTableComponent, Dialog, ReturnsFocusDirective],
  template: `
    <p-dialog
      [header]="asked()?.title ?? ''"
      [visible]="asked() !== null"
      (visibleChange)="asked.set(null)"
      [modal]="true"
      closeAriaLabel="Close the explanation"
      [dismissableMask]="true"
      [draggable]="false"
      [style]="{ width: 'min(40rem, 94vw)' }"
    >
      @if (asked(); as asked) {
        <p>
          <strong class="num">{{ total() }}</strong>, {{ origin()
          }}{{ asked.figure.unit === 'index' ? wording.relative : '.' }}
        </p>
        @if (parts().length > 0) {
          <table>
            <caption class="sr-only">
              Parts of the figure
            </caption>
            <tbody>
              @for (part of parts(); track part.name) {
                <tr>
                  <td>{{ part.name }}</td>
                  <td class="num">{{ part.text }}</td>
                </tr>
              }
            </tbody>
          </table>
        }
        @if (asked.figure.uses.length > 0) {
          <h3>{{ wording.restsOn }}</h3>
          <esm-assumption-table [keys]="asked.figure.uses" [overrides]="overrides()" (assumed)="assumed.emit($event)" />
        }
      }
    </p-dialog>
  `,
  styles: `
    h3 {
      margin-top: 1rem;
    }
  `,
})
export class WhyComponent {
  protected readonly wording = partsText;
  readonly asked = model<Asked | null>(null);
  readonly units = input.required<Units>();
  readonly currency = input(defaultCurrency);
  readonly overrides = input.required<AssumptionOverrides>();
  readonly assumed = output<Assumed>();

  protected readonly total = computed(() => {
    const asked = this.asked();
    return asked ? figureValue(asked.figure, this.units(), this.currency()) : '';
  });
  protected readonly origin = computed(() => originName[this.asked()?.figure.origin ?? 'computed']);
  protected readonly parts = computed(() => {
    const figure = this.asked()?.figure;
    if (!figure) return [];
    return [...figure.parts]
      .sort((p, q) => q.value - p.value)
      .map(({ code, value }) => ({
        name: partName(code),
        text: figureText(value, figure.unit, this.units(), this.currency()),
      }));
  });
}
