import { Directive, input, linkedSignal, output, signal } from '@angular/core';
import type { ControlValueAccessor } from '@angular/forms';

/** What our fields have in common: a value from a template, or from a reactive form. */
@Directive()
export abstract class Control<T> implements ControlValueAccessor {
  readonly value = input<T | null>(null);
  /** Told when somebody has entered something else. */
  readonly typed = output<T | null>();
  /** What is in the field now, for whoever reads it at a press. */
  readonly entered = linkedSignal<T | null>(() => this.value());
  protected readonly disabled = signal(false);

  private tell: (value: T | null) => void = () => undefined;
  protected touched: () => void = () => undefined;

  writeValue(value: T | null): void {
    this.entered.set(value);
  }

  registerOnChange(tell: (value: T | null) => void): void {
    this.tell = tell;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  setDisabledState(disabled: boolean): void {
    this.disabled.set(disabled);
  }

  protected take(value: T | null): void {
    this.entered.set(value);
    this.tell(value);
    this.typed.emit(value);
  }
}
