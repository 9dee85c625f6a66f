import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Select } from 'primeng/select';
import { type Leg, bounds, roads, shelters, surroundings } from '@esmero/model';
import { NumberComponent } from './number.component';
import { type Units, roadName, shelterName, surroundingsName } from '@esmero/messages';

const named = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, label: names[value] }));

/** A period with one kind of weather and roads, to be filled in. */
@Component({
  selector: 'esm-leg-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, NumberComponent, Select],
  template: `
    <esm-number
      [name]="name() ? name() + ', days' : 'Days'"
      unit="days"
      [bounds]="bounds.legDays"
      [digits]="0"
      [value]="leg().days"
      (typed)="$event !== null && change({ days: $event })"
    />
    <esm-number
      [name]="name() ? name() + ', distance' : 'Distance'"
      [as]="units().edit.distance"
      [bounds]="bounds.legKm"
      [digits]="0"
      [value]="leg().km"
      (typed)="$event !== null && change({ km: $event })"
    />
    <p-select
      [options]="roads"
      optionValue="value"
      optionLabel="label"
      ariaLabel="Roads"
      [ngModel]="leg().road"
      (ngModelChange)="change({ road: $event })"
      appendTo="body"
    />
    <p-select
      [options]="places"
      optionValue="value"
      optionLabel="label"
      ariaLabel="Surroundings"
      [ngModel]="leg().surroundings"
      (ngModelChange)="change({ surroundings: $event })"
      appendTo="body"
    />
    <p-select
      [options]="shelters"
      optionValue="value"
      optionLabel="label"
      ariaLabel="Where it stands"
      [ngModel]="leg().shelter"
      (ngModelChange)="change({ shelter: $event })"
      appendTo="body"
    />
  `,
  styles: `
    :host {
      display: contents;
    }
    esm-number {
      width: 7rem;
    }
  `,
})
export class LegFieldsComponent {
  readonly leg = input.required<Leg>();
  readonly units = input.required<Units>();
  /** Which stretch, where there are several. */
  readonly name = input('');
  readonly changed = output<Leg>();

  protected readonly roads = named(roads, roadName);
  protected readonly places = named(surroundings, surroundingsName);
  protected readonly shelters = named(shelters, shelterName);
  protected readonly bounds = bounds;

  protected change(part: Partial<Leg>): void {
    this.changed.emit({ ...this.leg(), ...part });
  }
}
