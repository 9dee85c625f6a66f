import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { Textarea } from 'primeng/textarea';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { defaultDimensions } from '@esmero/core';
import type { Body, LibraryKind } from '@esmero/model';
import { defaultCurrency, fromMinor, toMinor } from '@esmero/units';
import type { Fault } from '@esmero/exchange';
import { type Editable, type Units, faultHint, plainUnit } from '@esmero/messages';
import { type AnyItem, type Choice, type Field, fieldsOf, valueAt, withValue } from './fields';
import { NumberComponent } from '../number.component';
import { TypedTextDirective } from '../typed-text.directive';
import { ProductUsesComponent } from './product-uses.component';

interface Shown {
  readonly field: Field;
  readonly id: string;
  readonly value: unknown;
  readonly as: Editable | null;
  readonly fault: string | null;
}

let forms = 0;

/** A form for one library item: what it holds is a draft until whoever shows it has checked it. */
@Component({
  selector: 'esm-item-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, FormsModule, NumberComponent, InputText, NgTemplateOutlet, ProductUsesComponent, Select, Textarea, ToggleSwitch, TypedTextDirective],
  templateUrl: './item-form.component.html',
  styles: `
    .group {
      margin: 0.6rem 0 0;
      padding-top: 0.6rem;
      border-top: 1px solid var(--line);
    }
  `,
})
export class ItemFormComponent {
  readonly kind = input.required<LibraryKind>();
  readonly item = input.required<AnyItem>();
  readonly units = input.required<Units>();
  readonly faults = input<readonly Fault[]>([]);
  /** Fields to leave out, by path. */
  readonly without = input<readonly string[]>([]);
  /** Other items of this kind, for fields that point at them. */
  readonly others = input<readonly Choice[]>([]);
  /** In which prices are typed: whole units of it, with its own digits. */
  readonly currency = input(defaultCurrency);
  readonly changed = output<AnyItem>();

  private readonly form = `form-${++forms}`;
  protected readonly draft = linkedSignal(() => this.item());

  protected readonly shown = computed(() =>
    fieldsOf[this.kind()]
      .filter(({ path }) => !this.without().includes(path))
      .map((field, i, all) => ({ ...this.show(field), begins: field.group !== all[i - 1]?.group ? field.group : undefined })),
  );

  private show(field: Field): Shown {
    const value = valueAt(this.draft(), field.path);
    const fault = this.faults().find(({ path }) => path === field.path || path.startsWith(`${field.path}[`));
    return {
      field,
      id: `${this.form}-${field.path}`,
      value,
      as: this.editable(field),
      fault: fault ? faultHint(fault, this.editable(field) ?? undefined) : null,
    };
  }

  /** How a figure is typed: in the units of the reader, or in whole units of the currency. */
  private editable(field: Field): Editable | null {
    if (field.kind === 'money') return { unit: this.currency(), show: (minor) => fromMinor(minor, this.currency()), read: (shown) => toMinor(shown, this.currency()) };
    if (field.kind !== 'number') return null;
    return this.units().edit[field.unit as keyof Units['edit']] ?? plainUnit(field.unit ?? '');
  }

  protected set(path: string, value: unknown): void {
    let next = withValue(this.draft(), path, value);
    // Another body starts from its own proportions.
    if (path === 'body') next = { ...next, dimensions: defaultDimensions(value as Body) } as AnyItem;
    this.draft.set(next);
    this.changed.emit(next);
  }

  protected toggle(path: string, value: string | number, on: boolean): void {
    const list = valueAt(this.draft(), path) as readonly (string | number)[];
    this.set(path, on ? [...list, value] : list.filter((one) => one !== value));
  }

  protected choicesOf(field: Field): readonly Choice[] {
    return field.kind === 'several' ? field.choices : this.others();
  }

  protected has(path: string, value: string | number): boolean {
    return (valueAt(this.draft(), path) as readonly (string | number)[]).includes(value);
  }
}
