import {
  ChangeDetectionStrategy,
  Component,
  booleanAttribute,
  computed,
  forwardRef,
  input,
  signal,
} from '@angular/core';
import { FormsModule, NG_VALIDATORS, NG_VALUE_ACCESSOR, type ValidationErrors, type Validator } from '@angular/forms';
import { InputNumber } from 'primeng/inputnumber';
import type { Bounds } from '@esmero/model';
import { type Editable, boundsHint, plainUnit } from '@esmero/messages';
import { Control } from './control';

/** To what a person types. */
const tidy = (value: number): number => Number(value.toPrecision(6));

/**
 * A number in the units of the reader, kept in its own. It is told once the field is left, or Enter is pressed; what is
 * out of bounds stays in the field, is told to nobody, and the field says what it should be.
 */
@Component({
  selector: 'esm-number',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, InputNumber],
  providers: [
    { provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => NumberComponent), multi: true },
    { provide: NG_VALIDATORS, useExisting: forwardRef(() => NumberComponent), multi: true },
  ],
  template: `
    <p-inputnumber
      [inputId]="inputId()"
      [ngModel]="shown()"
      [ngModelOptions]="{ updateOn: 'blur', standalone: true }"
      (ngModelChange)="read($event)"
      (onBlur)="touched()"
      (onKeyDown)="enter($any($event))"
      [disabled]="disabled()"
      [suffix]="suffix()"
      [ariaLabel]="name() || undefined"
      [placeholder]="placeholder() ?? editable().unit"
      [useGrouping]="false"
      [maxFractionDigits]="digits()"
      [step]="step()"
      [showButtons]="stepped()"
      buttonLayout="horizontal"
      incrementButtonIcon="pi pi-plus"
      decrementButtonIcon="pi pi-minus"
      [fluid]="true"
    />
    @if (fault(); as fault) {
      <span class="fault" role="alert">{{ fault }}</span>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class NumberComponent extends Control<number> implements Validator {
  readonly inputId = input<string>();
  /** Spoken, where no label points at it. */
  readonly name = input('');
  /** How it is shown; where it is shown as it is kept, a unit alone will do. */
  readonly as = input<Editable | null>(null);
  readonly unit = input('');
  readonly bounds = input<Bounds | null>(null);
  readonly placeholder = input<string | null>(null);
  readonly digits = input(3);
  readonly step = input(1);
  /** With a button for more and one for less, for wet hands. */
  readonly stepped = input(false, { transform: booleanAttribute });

  protected readonly editable = computed(() => this.as() ?? plainUnit(this.unit()));
  /** What the field should hold, where it does not. */
  protected readonly fault = signal<string | null>(null);
  protected readonly shown = computed(() => {
    const value = this.entered();
    return value === null ? null : tidy(this.editable().show(value));
  });
  protected readonly suffix = computed(() => (this.editable().unit ? ` ${this.editable().unit}` : undefined));

  validate(): ValidationErrors | null {
    const value = this.entered();
    return this.fault() !== null || (value !== null && !this.fits(value)) ? { bounds: true } : null;
  }

  protected read(shown: number | null): void {
    const value = shown === null ? null : tidy(this.editable().read(shown));
    const fits = value === null || this.fits(value);
    this.fault.set(fits ? null : boundsHint(this.bounds()!, this.editable()));
    if (fits) this.take(value);
  }

  private fits(value: number): boolean {
    const bounds = this.bounds();
    return !bounds || (value >= bounds.min && value <= bounds.max && (!bounds.whole || Number.isInteger(value)));
  }

  /** Enter says that one is done with it, as leaving it does, and sends the form that it is in. */
  protected enter(event: KeyboardEvent): void {
    if (event.key !== 'Enter') return;
    const field = event.target as HTMLInputElement;
    event.preventDefault();
    field.blur();
    field.form?.requestSubmit();
  }
}
