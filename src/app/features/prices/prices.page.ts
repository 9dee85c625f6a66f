import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Store as State } from '@ngrx/store';
import type { Business } from '@esmero/model';
import { pricesText, unitsOf } from '@esmero/messages';
import { fromMinor, minorUnits, toMinor } from '@esmero/units';
import { BusinessDesk } from '../../state/business-desk';
import { checked } from '../../state/checked';
import { CollectionDesk } from '../../state/collection-desk';
import { settingsFeature } from '../../state/settings';
import { FetchingComponent } from '../../ui/fetching.component';
import type { AnyItem } from '../../ui/item-form/fields';
import { ItemFormComponent } from '../../ui/item-form/item-form.component';

/** The same amounts in another currency: 32 stays 32, whatever its smallest coin is. */
function inCurrency(business: Business, from: string): Business {
  const amounts = Object.entries(business).flatMap(([key, value]) =>
    key.endsWith('Minor') && typeof value === 'number'
      ? [[key, toMinor(fromMinor(value, from), business.currency)] as const]
      : [],
  );
  const all = { ...business, ...Object.fromEntries(amounts) };
  return { ...all, roundToMinor: Math.max(1, all.roundToMinor), hourMinor: minorUnits(all.hourMinor) };
}

/** Who sends the papers, and what a visit is priced by. */
@Component({
  selector: 'esm-prices-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FetchingComponent, ItemFormComponent],
  template: `
    <div class="page stack">
      <h1>Prices</h1>
      @if (!collection.ready() || collection.unreadable()) {
        <esm-fetching [fault]="collection.unreadable()" (again)="collection.load()" />
      } @else {
        <p>{{ wording.lead }}</p>
        @if (!desk.isSet()) {
          <p class="note">{{ wording.guessed }}</p>
        }
        <h2>{{ desk.business().name }}</h2>
        <esm-item-form
          kind="business"
          [item]="desk.business()"
          [units]="units()"
          [currency]="desk.business().currency"
          [rules]="rules"
          (changed)="change($event)"
        />
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    .page {
      max-width: 46rem;
      margin: 0 auto;
      padding: 1rem;
    }
  `,
})
export class PricesPage {
  protected readonly wording = pricesText;
  protected readonly desk = inject(BusinessDesk);
  protected readonly collection = inject(CollectionDesk);
  protected readonly rules = checked;
  private readonly system = inject(State).selectSignal(settingsFeature.selectUnits);
  protected readonly units = computed(() => unitsOf(this.system()));

  protected change(draft: AnyItem): void {
    const [business, before] = [draft as Business, this.desk.business()];
    this.desk.put(business.currency === before.currency ? business : inCurrency(business, before.currency));
  }
}
