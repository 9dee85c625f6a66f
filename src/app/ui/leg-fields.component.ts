import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Select } from 'primeng/select';
import { type Leg, roads, shelters, surroundings } from '@esmero/model';
import { NumberComponent } from './number.component';
import { type Units, roadName, shelterName, surroundingsName } from '@esmero/messages';

const named = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, label: names[value] }));

const MOST_DAYS = 3650;
const MOST_KM = 200_000;

/** A period with one kind of weather and roads, to be filled in; what is out of bounds goes to the bound. */
@Component({
  selector: 'esm-leg-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, NumberComponent, Select],
  template: `
    <esm-number [name]="name() ? name() + ', days' : 'Days'" unit="days" [digits]="0" [value]="leg().days" (typed)="days($event)" />
    <esm-number [name]="name() ? name() + ', distance' : 'Distance'" [unit]="distance().unit" [digits]="0" [value]="shownDistance()" (typed)="road($event)" />
    <p-select [options]="roads" optionValue="value" optionLabel="label" ariaLabel="Roads" [ngModel]="leg().road" (ngModelChange)="change({ road: $event })" appendTo="body" />
    <p-select [options]="places" optionValue="value" optionLabel="label" ariaLabel="Surroundings" [ngModel]="leg().surroundings" (ngModelChange)="change({ surroundings: $event })" appendTo="body" />
    <p-select [options]="shelters" optionValue="value" optionLabel="label" ariaLabel="Where it stands" [ngModel]="leg().shelter" (ngModelChange)="change({ shelter: $event })" appendTo="body" />
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
  protected readonly distance = computed(() => this.units().edit.distance);
  protected readonly shownDistance = computed(() => Math.round(this.distance().show(this.leg().km)));

  protected change(part: Partial<Leg>): void {
    this.changed.emit({ ...this.leg(), ...part });
  }

  protected days(days: number | null): void {
    if (days !== null) this.change({ days: Math.min(MOST_DAYS, Math.max(0, days)) });
  }

  protected road(shown: number | null): void {
    if (shown !== null) this.change({ km: Math.min(MOST_KM, Math.max(0, this.distance().read(shown))) });
  }
}
