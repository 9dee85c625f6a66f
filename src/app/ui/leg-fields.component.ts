import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { type Leg, roads, shelters, surroundings } from '@esmero/model';
import { roadName, shelterName, surroundingsName } from '@esmero/messages';

const named = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, label: names[value] }));

const MOST_DAYS = 3650;
const MOST_KM = 200_000;

/** A stretch of days with one kind of weather and roads, to be filled in. */
@Component({
  selector: 'esm-leg-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, InputText, Select],
  template: `
    <label>
      @if (name()) {
        <span class="sr-only">{{ name() }}, </span>
      }days
      <input pInputText class="num" type="number" min="0" [max]="mostDays" [value]="leg().days" #days (change)="number('days', days)" />
    </label>
    <label>
      km
      <input pInputText class="num" type="number" min="0" [max]="mostKm" [value]="leg().km" #km (change)="number('km', km)" />
    </label>
    <p-select [options]="roads" optionValue="value" optionLabel="label" ariaLabel="Roads" [ngModel]="leg().road" (ngModelChange)="change({ road: $event })" appendTo="body" />
    <p-select [options]="places" optionValue="value" optionLabel="label" ariaLabel="Surroundings" [ngModel]="leg().surroundings" (ngModelChange)="change({ surroundings: $event })" appendTo="body" />
    <p-select [options]="shelters" optionValue="value" optionLabel="label" ariaLabel="Where it stands" [ngModel]="leg().shelter" (ngModelChange)="change({ shelter: $event })" appendTo="body" />
  `,
  styles: `
    :host {
      display: contents;
    }
    input {
      width: 4.6rem;
    }
  `,
})
export class LegFieldsComponent {
  readonly leg = input.required<Leg>();
  /** Which stretch, where there are several. */
  readonly name = input('');
  readonly changed = output<Leg>();

  protected readonly roads = named(roads, roadName);
  protected readonly places = named(surroundings, surroundingsName);
  protected readonly shelters = named(shelters, shelterName);
  protected readonly mostDays = MOST_DAYS;
  protected readonly mostKm = MOST_KM;

  protected change(part: Partial<Leg>): void {
    this.changed.emit({ ...this.leg(), ...part });
  }

  /** A number out of bounds goes back to what it was. */
  protected number(key: 'days' | 'km', field: HTMLInputElement): void {
    const value = field.valueAsNumber;
    if (value >= 0 && value <= (key === 'days' ? MOST_DAYS : MOST_KM)) this.change({ [key]: value });
    else field.value = String(this.leg()[key]);
  }
}
