import { ChangeDetectionStrategy, Component, computed, forwardRef, input } from '@angular/core';
import { FormsModule, NG_VALUE_ACCESSOR } from '@angular/forms';
import { Select } from 'primeng/select';
import { hourText } from '@esmero/messages';
import { Control } from './control';

const STEP_H = 0.25;

/** An hour of the day, to the quarter. */
@Component({
  selector: 'esm-hour-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, Select],
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => HourFieldComponent), multi: true }],
  template: `
    <p-select
      [inputId]="inputId()"
      [ariaLabel]="name()"
      [options]="$any(hours())"
      optionLabel="text"
      optionValue="hour"
      [ngModel]="entered()"
      (ngModelChange)="take($event)"
      (onBlur)="touched()"
      [disabled]="disabled()"
      [showClear]="clearable()"
      [placeholder]="placeholder()"
      appendTo="body"
      [fluid]="true"
    />
  `,
  styles: `
    :host {
      display: block;
      min-width: 7rem;
    }
  `,
})
export class HourFieldComponent extends Control<number> {
  readonly inputId = input<string>();
  readonly name = input('');
  readonly from = input(0);
  readonly until = input(24);
  /** No hour is an answer, too. */
  readonly clearable = input(false);
  readonly placeholder = input('');

  protected readonly hours = computed(() => {
    const [from, until, now] = [this.from(), this.until(), this.entered()];
    const all = Array.from({ length: Math.floor((until - from) / STEP_H) + 1 }, (_, i) => from + i * STEP_H);
    // An hour between the quarters stands where it belongs.
    const shown = now === null || all.includes(now) ? all : [...all, now].sort((p, q) => p - q);
    return shown.map((hour) => ({ hour, text: hourText(hour) }));
  });
}
