import { ChangeDetectionStrategy, Component, forwardRef, input, output } from '@angular/core';
import { FormsModule, NG_VALUE_ACCESSOR } from '@angular/forms';
import { SelectButton } from 'primeng/selectbutton';
import { Control } from './control';

/** One of the answers that may be pressed. */
export interface ChoiceOption<T> {
  readonly value: T;
  readonly label: string;
  /** A soil level, drawn as its swatch before the label. */
  readonly level?: number;
  /** Where there is little room. */
  readonly brief?: string;
  /** A few words of what the answer does. */
  readonly hint?: string;
}

/** One of a few answers, all of them in sight. */
@Component({
  selector: 'esm-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, SelectButton],
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => ChoiceComponent), multi: true }],
  template: `
    <p-selectbutton
      [options]="$any(options())"
      optionValue="value"
      optionLabel="label"
      [allowEmpty]="false"
      [attr.aria-label]="label()"
      [disabled]="disabled()"
      [ngModel]="entered()"
      (ngModelChange)="choose($event)"
    >
      <ng-template #item let-option>
        @if (option.level !== undefined) {
          <span class="swatch num" [attr.data-level]="option.level" aria-hidden="true">{{ option.level }}</span>
          <span class="sr-only"
            >Level {{ option.level }},
            @if (option.brief) {
              {{ option.label }}:
            }
          </span>
        }
        <span class="words" [attr.title]="option.brief ? option.label : null"
          >{{ option.brief ?? option.label }}
          @if (option.hint) {
            <small>{{ option.hint }}</small>
          }
        </span>
      </ng-template>
    </p-selectbutton>
  `,
  styleUrl: './choice.component.css',
})
export class ChoiceComponent<T> extends Control<T> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly ChoiceOption<T>[]>();
  /** As `typed`, but never nothing: one of the answers always is. */
  readonly chosen = output<T>();

  protected choose(value: T): void {
    this.take(value);
    this.chosen.emit(value);
  }
}
