import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
} from '@angular/core';
import { FormControl, FormRecord, ReactiveFormsModule, type ValidationErrors } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { Textarea } from 'primeng/textarea';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { defaultDimensions } from '@esmero/core';
import type { Body } from '@esmero/model';
import { defaultCurrency, fromMinor, toMinor } from '@esmero/units';
import type { Fault } from '@esmero/exchange';
import { type Editable, type Units, faultHint, plainUnit } from '@esmero/messages';
import { type AnyItem, type Choice, type Field, type FormKind, fieldsOf, valueAt, withValue } from './fields';
import { CareComponent } from '../care.component';
import { NumberComponent } from '../number.component';
import { TypedTextDirective } from '../typed-text.directive';
import { ProductUsesComponent } from './product-uses.component';

interface Shown {
  readonly field: Field;
  readonly id: string;
  readonly control: FormControl<unknown>;
  readonly as: Editable | null;
  /** Name of the group that it is the first of. */
  readonly begins: string | undefined;
  readonly fault: string | null;
}

let forms = 0;

/** Says what is wrong with an item, by the rules that files are held to. */
export type ItemRules = (kind: FormKind, item: AnyItem) => Promise<readonly Fault[]>;

/** A form for one library item. Its validator is the document of that item; what it finds wrong stays in the form and is told to nobody. */
@Component({
  selector: 'esm-item-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ButtonDirective,
    CareComponent,
    NumberComponent,
    InputText,
    NgTemplateOutlet,
    ProductUsesComponent,
    ReactiveFormsModule,
    Select,
    Textarea,
    ToggleSwitch,
    TypedTextDirective,
  ],
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
  readonly kind = input.required<FormKind>();
  readonly item = input.required<AnyItem>();
  readonly rules = input.required<ItemRules>();
  readonly units = input.required<Units>();
  /** Fields to leave out, by path. */
  readonly without = input<readonly string[]>([]);
  /** Other items of this kind, for fields that point at them. */
  readonly others = input<readonly Choice[]>([]);
  /** In which prices are typed: whole units of it, with its own digits. */
  readonly currency = input(defaultCurrency);
  /** A sound item. */
  readonly changed = output<AnyItem>();
  /** What is wrong with the item as it stands in the form; nothing once it is sound. */
  readonly faults = signal<readonly Fault[]>([]);

  private readonly prefix = `form-${++forms}`;
  private readonly draft = linkedSignal(() => this.item());
  private readonly fields = computed(() => fieldsOf[this.kind()].filter(({ path }) => !this.without().includes(path)));
  private readonly id = computed(() => this.item().id);

  /** A control a field; made anew for another item. */
  protected readonly form = computed(() => {
    this.id();
    return untracked(
      () =>
        new FormRecord(
          Object.fromEntries(
            this.fields().map(({ path }) => [path, new FormControl<unknown>(valueAt(this.item(), path))]),
          ),
          { asyncValidators: () => this.check() },
        ),
    );
  });
  protected readonly shown = computed(() =>
    this.fields()
      .filter(({ when }) => when?.(this.draft()) ?? true)
      .map((field, i, all): Shown => {
        const as = this.editable(field);
        const fault = this.faults().find(({ path }) => path === field.path || path.startsWith(`${field.path}[`));
        return {
          field,
          id: `${this.prefix}-${field.path}`,
          control: this.form().controls[field.path]!,
          as,
          begins: field.group !== all[i - 1]?.group ? field.group : undefined,
          fault: fault ? faultHint(fault, as ?? undefined) : null,
        };
      }),
  );

  constructor() {
    effect((onCleanup) => {
      const form = this.form();
      untracked(() => this.faults.set([]));
      const told = [
        ...Object.entries(form.controls).map(([path, control]) =>
          control.valueChanges.subscribe((value) => this.write(path, value)),
        ),
        form.statusChanges.subscribe(
          (status) => status === 'VALID' && this.draft() !== this.item() && this.changed.emit(this.draft()),
        ),
      ];
      onCleanup(() => told.forEach((one) => one.unsubscribe()));
    });
    // What came of it elsewhere, and what one field makes of others; a check that is under way goes on.
    effect(() => {
      const draft = this.draft();
      for (const [path, control] of Object.entries(this.form().controls))
        if (control.value !== valueAt(draft, path))
          control.setValue(valueAt(draft, path), { emitEvent: false, onlySelf: true });
    });
  }

  /** How a figure is typed: in the units of the reader, or in whole units of the currency. */
  private editable(field: Field): Editable | null {
    if (field.kind === 'money')
      return {
        unit: this.currency(),
        show: (minor) => fromMinor(minor, this.currency()),
        read: (shown) => toMinor(shown, this.currency()),
      };
    if (field.kind !== 'number') return null;
    return this.units().edit[field.unit as keyof Units['edit']] ?? plainUnit(field.unit ?? '');
  }

  private write(path: string, value: unknown): void {
    const next = withValue(this.draft(), path, value);
    // Another body starts from its own proportions.
    this.draft.set(path === 'body' ? ({ ...next, dimensions: defaultDimensions(value as Body) } as AnyItem) : next);
  }

  private async check(): Promise<ValidationErrors | null> {
    const draft = this.draft();
    const faults = await this.rules()(this.kind(), draft);
    // What has been typed since then is checked by a later one, which may be done sooner.
    if (draft === this.draft()) this.faults.set(faults);
    return faults.length > 0 ? { document: true } : null;
  }

  protected toggle({ control }: Shown, value: string | number, on: boolean): void {
    const list = control.value as readonly (string | number)[];
    control.setValue(on ? [...list, value] : list.filter((one) => one !== value));
  }

  protected choicesOf(field: Field): readonly Choice[] {
    return field.kind === 'several' ? field.choices : this.others();
  }

  protected has({ control }: Shown, value: string | number): boolean {
    return (control.value as readonly (string | number)[]).includes(value);
  }
}
