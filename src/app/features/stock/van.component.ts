import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';
import { Dialog } from 'primeng/dialog';
import { InputText } from 'primeng/inputtext';
import { SelectButton } from 'primeng/selectbutton';
import { type RestockPlace, type VanSetUp, restocks } from '@esmero/model';
import { fixed, minutes, percent, restockName, stockText, unitsOf } from '@esmero/messages';
import { degrees } from '@esmero/units';
import { Entries } from '../../state/entries';
import { VanStock } from '../../state/van-stock';
import { ChoiceComponent } from '../../ui/choice.component';
import { NumberComponent } from '../../ui/number.component';

const one = { min: 1, max: 5 };
const within = (max: number) => ({ min: -max, max });
const upTo = (max: number) => ({ min: 0, max });

/** The van itself: what its tanks hold now, and how it is set up. */
@Component({
  selector: 'esm-van',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, Checkbox, ChoiceComponent, Dialog, FormsModule, InputText, NumberComponent, SelectButton],
  template: `
    @let van = stock.van();
    <section aria-labelledby="van">
      <div class="row">
        <h2 id="van">{{ van.name }}</h2>
        <p-button
          class="no-print"
          label="Set it up"
          icon="pi pi-cog"
          size="small"
          severity="secondary"
          [text]="true"
          (onClick)="open.set(true)"
        />
      </div>
      <div class="tanks num">
        @for (tank of tanks(); track tank.name) {
          <div class="tank">
            <svg viewBox="0 0 90 56" role="img" [attr.aria-label]="tank.says">
              <rect class="shell" x="1" y="1" width="88" height="54" rx="10" />
              <rect
                class="level"
                [class.dirty]="tank.isDirty"
                x="4"
                [attr.y]="52 - tank.px"
                width="82"
                [attr.height]="tank.px"
                rx="6"
              />
            </svg>
            <div>
              <span>{{ tank.name }}</span>
              <strong>{{ tank.text }}</strong>
            </div>
            <esm-number
              [name]="tank.name + ', now'"
              [as]="u().edit.water"
              [digits]="0"
              [bounds]="upTo(tank.most)"
              [value]="tank.value"
              (typed)="tank.set($event ?? tank.value)"
            />
            <p-button
              class="no-print"
              [label]="tank.press"
              severity="secondary"
              [outlined]="true"
              [disabled]="tank.isAsPressed"
              (onClick)="tank.set(tank.pressed)"
            />
          </div>
        }
        <dl>
          <div>
            <dt>Packs</dt>
            <dd>{{ packs() }}</dd>
          </div>
          <div>
            <dt>People</dt>
            <dd>{{ van.people }}</dd>
          </div>
          <div>
            <dt>Mat</dt>
            <dd>{{ van.matL > 0 ? u().water(van.matL) : 'none' }}</dd>
          </div>
          <div>
            <dt>Steps</dt>
            <dd>{{ van.steps ? 'in the van' : 'none' }}</dd>
          </div>
        </dl>
      </div>
      @for (rack of racks(); track rack.name) {
        <p class="rack">
          <span class="soft">{{ rack.name }}</span> {{ rack.text }}
        </p>
      }
    </section>
    @if (open()) {
      <p-dialog
        header="The van"
        [visible]="true"
        (visibleChange)="open.set(false)"
        [modal]="true"
        [dismissableMask]="true"
        [style]="{ width: 'min(44rem, 96vw)' }"
        closeAriaLabel="Close"
      >
        <div class="grid">
          <label class="field" for="van-name"
            >Name<input pInputText id="van-name" maxlength="160" [value]="van.name" (change)="rename($event)"
          /></label>
          <div class="field">
            <span>People</span
            ><esm-choice label="People" [options]="crews" [value]="van.people" (chosen)="change({ people: $event })" />
          </div>
          <div class="field">
            <span>Tank holds</span
            ><esm-number
              name="Tank holds"
              [as]="u().edit.water"
              [digits]="0"
              [bounds]="upTo(2000)"
              [value]="van.tankL"
              (typed)="change({ tankL: $event ?? van.tankL })"
            />
          </div>
          <div class="field">
            <span>Dirty tank holds</span
            ><esm-number
              name="Dirty tank holds"
              [as]="u().edit.water"
              [digits]="0"
              [bounds]="upTo(2000)"
              [value]="van.dirtyL"
              (typed)="change({ dirtyL: $event ?? van.dirtyL })"
            />
          </div>
          <div class="field">
            <span>Mat holds</span
            ><esm-number
              name="Mat holds"
              [as]="u().edit.water"
              [digits]="0"
              [bounds]="upTo(2000)"
              [value]="van.matL"
              (typed)="change({ matL: $event ?? van.matL })"
            />
          </div>
          <label class="row" for="van-steps"
            ><p-checkbox
              inputId="van-steps"
              [binary]="true"
              [ngModel]="van.steps"
              (ngModelChange)="change({ steps: $event })"
            />Steps in the van</label
          >
          <div class="field">
            <span>Washing charged on the road</span
            ><esm-number
              name="Charged on the road"
              unit="min a minute"
              [digits]="2"
              [bounds]="upTo(10)"
              [value]="van.chargePerMin"
              (typed)="change({ chargePerMin: $event ?? 0 })"
            />
          </div>
          <div class="field">
            <span>Average speed</span
            ><esm-number
              name="Speed"
              unit="km/h"
              [digits]="0"
              [bounds]="{ min: 1, max: 150 }"
              [value]="van.kmPerHour"
              (typed)="change({ kmPerHour: $event ?? van.kmPerHour })"
            />
          </div>
          <div class="field">
            <span>Road distance factor</span
            ><esm-number
              name="Road factor"
              unit="times"
              [digits]="2"
              [bounds]="one"
              [value]="van.roadFactor"
              (typed)="change({ roadFactor: $event ?? van.roadFactor })"
            />
          </div>
          <div class="field">
            <span>Parking, each time</span
            ><esm-number
              name="Parking"
              unit="min"
              [digits]="0"
              [bounds]="upTo(60)"
              [value]="van.parkMin"
              (typed)="change({ parkMin: $event ?? van.parkMin })"
            />
          </div>
          <div class="field">
            <span>Home, latitude</span
            ><esm-number
              name="Home, latitude"
              unit="°"
              [digits]="5"
              [bounds]="within(90)"
              [value]="van.home.latitudeDeg"
              (typed)="home({ latitudeDeg: degrees($event ?? van.home.latitudeDeg) })"
            />
          </div>
          <div class="field">
            <span>Home, longitude</span
            ><esm-number
              name="Home, longitude"
              unit="°"
              [digits]="5"
              [bounds]="within(180)"
              [value]="van.home.longitudeDeg"
              (typed)="home({ longitudeDeg: degrees($event ?? van.home.longitudeDeg) })"
            />
          </div>
        </div>
        <h3>Where it is filled up</h3>
        @for (place of van.restocking; track $index; let i = $index) {
          <fieldset>
            <legend class="sr-only">{{ place.name }}</legend>
            <input
              pInputText
              maxlength="160"
              [attr.aria-label]="'Name of place ' + (i + 1)"
              [value]="place.name"
              (change)="renamePlace(i, $event)"
            />
            <p-selectbutton
              class="whole"
              [attr.aria-label]="'What there is at ' + place.name"
              [options]="$any(gives)"
              optionLabel="label"
              optionValue="value"
              [multiple]="true"
              [ngModel]="place.gives"
              (ngModelChange)="edit(i, { gives: $event })"
            />
            <esm-number
              [name]="'Minutes at ' + place.name"
              unit="min"
              [digits]="0"
              [bounds]="upTo(240)"
              [value]="place.minutes"
              (typed)="edit(i, { minutes: $event ?? place.minutes })"
            />
            <esm-number
              [name]="'Latitude of ' + place.name"
              unit="°"
              [digits]="5"
              [bounds]="within(90)"
              [value]="place.latitudeDeg"
              (typed)="edit(i, { latitudeDeg: degrees($event ?? place.latitudeDeg) })"
            />
            <esm-number
              [name]="'Longitude of ' + place.name"
              unit="°"
              [digits]="5"
              [bounds]="within(180)"
              [value]="place.longitudeDeg"
              (typed)="edit(i, { longitudeDeg: degrees($event ?? place.longitudeDeg) })"
            />
            <p-button
              icon="pi pi-trash"
              [ariaLabel]="'Without ' + place.name"
              severity="secondary"
              [text]="true"
              (onClick)="without(i)"
            />
          </fieldset>
        }
        <p-button
          label="Another place"
          icon="pi pi-plus"
          severity="secondary"
          [outlined]="true"
          (onClick)="another()"
        />
      </p-dialog>
    }
  `,
  styleUrl: './van.component.css',
})
export class VanComponent {
  private readonly entries = inject(Entries);
  protected readonly stock = inject(VanStock);
  protected readonly within = within;
  protected readonly degrees = degrees;
  protected readonly upTo = upTo;
  protected readonly one = one;
  protected readonly crews = [1, 2].map((value) => ({ value: value as 1 | 2, label: String(value) }));
  protected readonly gives = restocks.map((value) => ({ value, label: restockName[value] }));
  protected readonly open = signal(false);
  protected readonly u = computed(() => unitsOf(this.stock.units()));
  protected readonly packs = computed(() => minutes(this.stock.stock().batteryMin));

  protected readonly racks = computed(() =>
    [
      {
        name: 'Vessels',
        text: this.entries
          .items('vessel')
          .map(({ name }) => name)
          .join(', '),
      },
      {
        name: 'Gear',
        text: this.entries
          .items('gear')
          .map(({ name }) => name)
          .join(', '),
      },
    ].filter(({ text }) => text),
  );
  protected readonly tanks = computed(() => {
    const { tankL, inTankL, dirtyL, inDirtyL } = this.stock.van();
    return [
      this.tank('Clean water', inTankL, tankL, false, (litres) => this.change({ inTankL: litres })),
      this.tank('Dirty water', inDirtyL, dirtyL, true, (litres) => this.change({ inDirtyL: litres })),
    ];
  });

  private tank(name: string, value: number, most: number, isDirty: boolean, set: (litres: number) => void) {
    const share = most > 0 ? Math.min(1, value / most) : 0;
    const pressed = isDirty ? 0 : most;
    const { show, unit } = this.u().edit.water;
    const text = `${fixed(show(value))} of ${fixed(show(most))} ${unit}`;
    return {
      name,
      value,
      most,
      isDirty,
      set,
      pressed,
      text,
      px: 48 * share,
      press: isDirty ? 'Emptied' : 'Filled up',
      isAsPressed: value === pressed,
      says: stockText.tank(name, text, percent(share)),
    };
  }

  protected change(change: Partial<VanSetUp>): void {
    this.stock.change(change);
  }

  protected rename(event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    if (name) this.change({ name });
  }

  protected home(change: Partial<VanSetUp['home']>): void {
    this.change({ home: { ...this.stock.van().home, ...change } });
  }

  protected edit(at: number, change: Partial<RestockPlace>): void {
    this.change({
      restocking: this.stock.van().restocking.map((place, i) => (i === at ? { ...place, ...change } : place)),
    });
  }

  protected renamePlace(at: number, event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    if (name) this.edit(at, { name });
  }

  protected another(): void {
    const { home, restocking } = this.stock.van();
    this.change({
      restocking: [
        ...restocking,
        { ...home, name: stockText.newPlace(restocking.length + 1), minutes: 15, gives: ['water'] },
      ],
    });
  }

  protected without(at: number): void {
    this.change({ restocking: this.stock.van().restocking.filter((_place, i) => i !== at) });
  }
}
