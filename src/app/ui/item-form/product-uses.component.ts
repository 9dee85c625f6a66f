import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { notations, readDilution } from '@esmero/core';
import { type MixPurpose, type ProductUse, asPractised, labelReadings, mixPurposes } from '@esmero/model';
import { contentName, fixed, readingName, partsText } from '@esmero/messages';
import { NumberComponent } from '../number.component';

const readings = labelReadings.map((value) => ({ value, label: readingName[value] }));

/** Parts of water that are common; what is not listed is used as it comes. */
const commonParts: Readonly<Partial<Record<MixPurpose, string>>> = {
  waterless: '4',
  foam: '20',
  presoak: '50',
  wash: '256',
  shampoo: '400',
  glass: '9',
  degreaser: '10',
};

const fresh = (purpose: MixPurpose): ProductUse => ({
  purpose,
  dilution: { label: commonParts[purpose] ?? '0', reading: 'water' },
  weakest: null,
  strongest: null,
  protectsDays: null,
  ...asPractised,
  origin: 'practice',
});

interface Row {
  readonly purpose: MixPurpose;
  readonly name: string;
  readonly use: ProductUse | undefined;
  /** The same strength said in the other ways. */
  readonly means: string;
}

function meaning({ dilution }: ProductUse): string {
  const read = readDilution(dilution);
  if (!read.ok) return partsText.noMix;
  const said = notations(read.dilution);
  return `1 to ${fixed(said.waterParts, 1)} water, 1 in ${fixed(said.wholeParts, 1)}, ${fixed(said.percent, 2)} %`;
}

/** What a product is used for, each use with its strength as the label says it. */
@Component({
  selector: 'esm-product-uses',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ButtonDirective, FormsModule, InputText, NumberComponent, Select, ToggleSwitch],
  template: `
    <div class="row" role="group" aria-label="Uses">
      @for (row of rows(); track row.purpose) {
        <button
          pButton
          type="button"
          severity="secondary"
          outlined
          [attr.aria-pressed]="row.use !== undefined"
          (click)="row.use ? remove(row.purpose) : put(fresh(row.purpose))"
        >
          {{ row.name }}
        </button>
      }
    </div>
    @for (row of rows(); track row.purpose) {
      @if (row.use; as use) {
        <fieldset>
          <legend>{{ row.name }}</legend>
          <div class="fields">
            <div class="field">
              <label [for]="'n-' + row.purpose">Number on the label (N)</label>
              <input
                pInputText
                class="num"
                inputmode="decimal"
                maxlength="20"
                [id]="'n-' + row.purpose"
                [value]="use.dilution.label"
                #label
                (change)="put({ ...use, dilution: { label: label.value, reading: use.dilution.reading } })"
              />
            </div>
            <div class="field double">
              <span [id]="'r-' + row.purpose">How the label means it</span>
              <p-select
                [options]="readings"
                optionValue="value"
                optionLabel="label"
                [ariaLabelledBy]="'r-' + row.purpose"
                [ngModel]="use.dilution.reading"
                (ngModelChange)="put({ ...use, dilution: { label: use.dilution.label, reading: $event } })"
                appendTo="body"
              />
            </div>
            <div class="field">
              <label [for]="'w-' + row.purpose">Weakest allowed, 1 to</label>
              <esm-number
                [inputId]="'w-' + row.purpose"
                [value]="use.weakest"
                (typed)="put({ ...use, weakest: $event })"
              />
            </div>
            <div class="field">
              <label [for]="'s-' + row.purpose">Strongest allowed, 1 to</label>
              <esm-number
                [inputId]="'s-' + row.purpose"
                [value]="use.strongest"
                (typed)="put({ ...use, strongest: $event })"
              />
            </div>
            <div class="field">
              <label [for]="'p-' + row.purpose">Says it protects for</label>
              <esm-number
                [inputId]="'p-' + row.purpose"
                [value]="use.protectsDays"
                unit="days"
                (typed)="put({ ...use, protectsDays: $event })"
              />
            </div>
            <div class="field">
              <label [for]="'a-' + row.purpose">Goes on, per m²</label>
              <esm-number
                [inputId]="'a-' + row.purpose"
                [value]="use.mLPerM2"
                unit="mL"
                placeholder="by practice"
                (typed)="put({ ...use, mLPerM2: $event })"
              />
            </div>
            <div class="field">
              <label [for]="'d-' + row.purpose">Works for</label>
              <esm-number
                [inputId]="'d-' + row.purpose"
                [value]="use.dwellS"
                unit="s"
                placeholder="by practice"
                (typed)="put({ ...use, dwellS: $event })"
              />
            </div>
            <div class="field">
              <label [for]="'o-' + row.purpose">Has to be rinsed off</label>
              <p-toggleswitch
                [inputId]="'o-' + row.purpose"
                [ngModel]="use.rinseAfter"
                (ngModelChange)="put({ ...use, rinseAfter: $event })"
              />
            </div>
            <div class="field">
              <label [for]="'u-' + row.purpose">May be used in the sun</label>
              <p-toggleswitch
                [inputId]="'u-' + row.purpose"
                [ngModel]="use.inSun"
                (ngModelChange)="put({ ...use, inSun: $event })"
              />
            </div>
            <p class="wide soft num">{{ row.means }}</p>
          </div>
        </fieldset>
      }
    }
  `,
  styles: `
    .row {
      margin-bottom: 0.6rem;
    }
    fieldset {
      border: 1px solid var(--line);
      border-radius: 10px;
      padding: 0.4rem 0.8rem 0.7rem;
      margin: 0 0 0.6rem;
    }
    legend {
      padding: 0 0.35rem;
      font-weight: 600;
    }
    p {
      margin: 0;
    }
  `,
})
export class ProductUsesComponent {
  readonly uses = input.required<readonly ProductUse[]>();
  readonly changed = output<readonly ProductUse[]>();

  protected readonly readings = readings;
  protected readonly fresh = fresh;
  protected readonly rows = computed(() =>
    mixPurposes.map((purpose): Row => {
      const use = this.uses().find((one) => one.purpose === purpose);
      return { purpose, name: contentName[purpose], use, means: use ? meaning(use) : '' };
    }),
  );

  protected put(use: ProductUse): void {
    const others = this.uses().filter(({ purpose }) => purpose !== use.purpose);
    this.changed.emit(mixPurposes.flatMap((p) => [...others, use].filter(({ purpose }) => purpose === p)));
  }

  protected remove(purpose: MixPurpose): void {
    this.changed.emit(this.uses().filter((use) => use.purpose !== purpose));
  }
}
