import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { type Leg, addLeg, roads, setLeg, shelters, surroundings } from '@esmero/core';
import { fixed, roadName, shelterName, surroundingsName } from '@esmero/messages';
import { JobDesk } from '../../state/job-desk';

const named = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, label: names[value] }));

const MOST_DAYS = 3650;
const MOST_KM = 200_000;

/** The days since the last wash, in stretches of like weather and roads: what the forecast rests on. */
@Component({
  selector: 'esm-since',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, InputText, Select],
  template: `
    <details>
      <summary>Since the last wash: {{ says() }}</summary>
    @for (leg of legs(); track $index; let i = $index) {
      <div class="leg">
        <label>
          <span class="sr-only">Stretch {{ i + 1 }}, </span>days
          <input pInputText class="num" type="number" min="0" [max]="mostDays" [value]="leg.days" #days (change)="change(i, leg, 'days', days)" />
        </label>
        <label>
          km
          <input pInputText class="num" type="number" min="0" [max]="mostKm" [value]="leg.km" #km (change)="change(i, leg, 'km', km)" />
        </label>
        <p-select [options]="roads" optionValue="value" optionLabel="label" ariaLabel="Roads" [ngModel]="leg.road" (ngModelChange)="set(i, { ...leg, road: $event })" appendTo="body" />
        <p-select [options]="places" optionValue="value" optionLabel="label" ariaLabel="Surroundings" [ngModel]="leg.surroundings" (ngModelChange)="set(i, { ...leg, surroundings: $event })" appendTo="body" />
        <p-select [options]="shelters" optionValue="value" optionLabel="label" ariaLabel="Where it stands" [ngModel]="leg.shelter" (ngModelChange)="set(i, { ...leg, shelter: $event })" appendTo="body" />
        <button type="button" class="chip small" (click)="set(i, null)" [attr.aria-label]="'Take stretch ' + (i + 1) + ' out'">×</button>
      </div>
    }
    <div class="row">
      <button type="button" class="chip" (click)="add()">{{ legs().length ? 'Another stretch of days' : 'Say how long ago and on what roads' }}</button>
      @if (legs().length > 0) {
        <span class="soft">The forecast lies under what you paint, and is right within a factor of two.</span>
      }
    </div>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    summary {
      cursor: pointer;
      min-height: var(--touch);
      align-content: center;
    }
    .leg {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      align-items: center;
      border-bottom: 1px solid var(--line);
      padding: 0.3rem 0;
    }
    input {
      width: 4.6rem;
    }
    .small {
      min-height: 2.25rem;
    }
  `,
})
export class SinceComponent {
  private readonly desk = inject(JobDesk);
  protected readonly roads = named(roads, roadName);
  protected readonly places = named(surroundings, surroundingsName);
  protected readonly shelters = named(shelters, shelterName);
  protected readonly mostDays = MOST_DAYS;
  protected readonly mostKm = MOST_KM;
  protected readonly legs = computed(() => this.desk.job()?.since ?? []);

  protected readonly says = computed(() => {
    const legs = this.legs();
    if (legs.length === 0) return 'nobody has said; what is not looked at counts as clean';
    const sum = (key: 'days' | 'km'): number => legs.reduce((total, leg) => total + leg[key], 0);
    return `${fixed(sum('days'))} days, ${fixed(sum('km'))} km, ${[...new Set(legs.map(({ road }) => roadName[road]))].join(', ')}`;
  });

  protected add(): void {
    this.desk.edit('Days since the last wash', addLeg);
  }

  /** A number out of bounds goes back to what it was. */
  protected change(index: number, leg: Leg, key: 'days' | 'km', field: HTMLInputElement): void {
    const value = field.valueAsNumber;
    if (value >= 0 && value <= (key === 'days' ? MOST_DAYS : MOST_KM)) this.set(index, { ...leg, [key]: value });
    else field.value = String(leg[key]);
  }

  protected set(index: number, leg: Leg | null): void {
    this.desk.edit('Days since the last wash', (job) => setLeg(job, index, leg));
  }
}
