import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { SelectButton } from 'primeng/selectbutton';

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
  template: `
    <p-selectbutton
      [options]="$any(options())"
      optionValue="value"
      optionLabel="label"
      [allowEmpty]="false"
      [attr.aria-label]="label()"
      [ngModel]="value()"
      (ngModelChange)="chosen.emit($event)"
    >
      <ng-template #item let-option>
        @if (option.level !== undefined) {
          <span class="swatch num" [attr.data-level]="option.level" aria-hidden="true">{{ option.level }}</span>
          <span class="sr-only">Level {{ option.level }}, @if (option.brief) {{{ option.label }}:}</span>
        }
        <span class="words" [attr.title]="option.brief ? option.label : null">{{ option.brief ?? option.label }}@if (option.hint) {<small>{{ option.hint }}</small>}</span>
      </ng-template>
    </p-selectbutton>
  `,
  styleUrl: './choice.component.css',
})
export class ChoiceComponent<T> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly ChoiceOption<T>[]>();
  readonly value = input.required<T | null>();
  readonly chosen = output<T>();
}
