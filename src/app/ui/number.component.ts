import { ChangeDetectionStrategy, Component, booleanAttribute, computed, input, linkedSignal, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { InputNumber } from 'primeng/inputnumber';

/** A number with its unit in the field; told once it is left, or Enter is pressed. */
@Component({
  selector: 'esm-number',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, InputNumber],
  template: `
    <p-inputnumber
      [inputId]="inputId()"
      [ngModel]="value()"
      [ngModelOptions]="{ updateOn: 'blur', standalone: true }"
      (ngModelChange)="entered.set($event); typed.emit($event)"
      (onKeyDown)="enter($any($event))"
      [suffix]="suffix()"
      [ariaLabel]="name() || undefined"
      [placeholder]="placeholder() ?? unit()"
      [useGrouping]="false"
      [maxFractionDigits]="digits()"
      [step]="step()"
      [min]="least()"
      [max]="most()"
      [showButtons]="stepped()"
      buttonLayout="horizontal"
      incrementButtonIcon="pi pi-plus"
      decrementButtonIcon="pi pi-minus"
      [fluid]="true"
    />
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class NumberComponent {
  readonly inputId = input<string>();
  /** Spoken, where no label points at it. */
  readonly name = input('');
  readonly value = input.required<number | null>();
  readonly unit = input('');
  readonly placeholder = input<string | null>(null);
  readonly digits = input(3);
  readonly step = input(1);
  /** With a button for more and one for less, for wet hands. */
  readonly stepped = input(false, { transform: booleanAttribute });
  /** What is out of bounds goes to the bound, in sight. */
  readonly least = input<number>();
  readonly most = input<number>();
  readonly typed = output<number | null>();
  /** What is in the field now, for whoever reads it at a press. */
  readonly entered = linkedSignal(() => this.value());

  protected readonly suffix = computed(() => (this.unit() ? ` ${this.unit()}` : undefined));

  /** Enter says that one is done with it, as leaving it does, and sends the form that it is in. */
  protected enter(event: KeyboardEvent): void {
    if (event.key !== 'Enter') return;
    const field = event.target as HTMLInputElement;
    event.preventDefault();
    field.blur();
    field.form?.requestSubmit();
  }
}
