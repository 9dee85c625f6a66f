import { ChangeDetectionStrategy, Component, forwardRef, input, linkedSignal, output, signal } from '@angular/core';
import { type ControlValueAccessor, FormsModule, NG_VALUE_ACCESSOR } from '@angular/forms';
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
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => ChoiceComponent), multi: true }],
  template: `
    <p-selectbutton
      [options]="$any(options())"
      optionValue="value"
      optionLabel="label"
      [allowEmpty]="false"
      [attr.aria-label]="label()"
      [disabled]="disabled()"
      [ngModel]="held()"
      (ngModelChange)="take($event)"
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
export class ChoiceComponent<T> implements ControlValueAccessor {
  readonly label = input.required<string>();
  readonly options = input.required<readonly ChoiceOption<T>[]>();
  readonly value = input<T | null>(null);
  readonly chosen = output<T>();
  protected readonly held = linkedSignal<T | null>(() => this.value());
  protected readonly disabled = signal(false);
  private tell: (value: T) => void = () => undefined;

  protected take(value: T): void {
    this.tell(value);
    this.chosen.emit(value);
  }

  writeValue(value: T | null): void {
    this.held.set(value);
  }

  registerOnChange(tell: (value: T) => void): void {
    this.tell = tell;
  }

  registerOnTouched(): void {
    // A press is told at once: there is nothing to leave.
  }

  setDisabledState(disabled: boolean): void {
    this.disabled.set(disabled);
  }
}
