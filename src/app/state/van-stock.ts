import { Injectable, computed, inject } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type InStock, amountAt, stockItem, usualVan } from '@esmero/core';
import {
  type Brought,
  MOST_TAKEN,
  type Taken,
  type TowelRole,
  type VanSetUp,
  somewhere,
  towelRoles,
} from '@esmero/model';
import { CollectionDesk } from './collection-desk';
import { Entries } from './entries';
import { settingsFeature } from './settings';

/** Places in which towels are clean: at hand, and set aside for a job. */
const clean = ['shelf', 'reserved'] as const;

/** The van and what it is stocked with, as days and lots draw on it. */
@Injectable({ providedIn: 'root' })
export class VanStock {
  private readonly collection = inject(CollectionDesk);
  private readonly entries = inject(Entries);
  readonly units = inject(State).selectSignal(settingsFeature.selectUnits);

  /** As it is kept; null before anybody has set one up. */
  readonly kept = computed(() => this.entries.items('van')[0] ?? null);
  readonly van = computed((): VanSetUp => this.kept() ?? usualVan({ name: 'home', ...this.firstSite() }));

  readonly stock = computed((): InStock => {
    const balances = this.collection.balances();
    const battery = this.entries.items('gear').reduce((sum, { id, flowLMin, batteryMin }) => {
      if (batteryMin === null || flowLMin === 0) return sum;
      const item = stockItem('gear', id);
      // Packs that nobody has counted are taken to be full.
      return sum + (balances.has(item) ? amountAt(balances, item, 'shelf') : batteryMin);
    }, 0);
    const towels = (role: TowelRole): number =>
      this.entries
        .items('towel')
        .filter((batch) => batch.role === role)
        .reduce(
          (sum, { id }) =>
            sum + clean.reduce((all, place) => all + amountAt(balances, stockItem('towel', id), place), 0),
          0,
        );
    return {
      batteryMin: battery,
      towels: Object.fromEntries(towelRoles.map((role) => [role, towels(role)])) as InStock['towels'],
    };
  });
  /** A product that nobody has counted is not known to run out. */
  readonly products = computed((): readonly Brought[] => {
    const balances = this.collection.balances();
    return this.entries
      .items('product')
      .filter(({ id }) => balances.has(stockItem('product', id)))
      .map(({ id }) => ({
        productId: id,
        ml: clean.reduce((sum, place) => sum + amountAt(balances, stockItem('product', id), place), 0),
      }));
  });

  change(change: Partial<VanSetUp>): void {
    this.entries.put('van', { ...this.van(), ...change });
  }

  /**
   * Takes a job's water out of the tank. Said again it only takes what it differs by, and what was
   * counted is not put right by a plan. A day is planned with the usual van where nobody has set one
   * up; a count alone says nothing of a van that nobody knows.
   * @param dirtyL what goes into the dirty tank
   */
  draw(take: Taken, dirtyL = 0): void {
    const van = take.counted ? this.kept() : this.van();
    if (!van) return;
    const taken = van.taken ?? [];
    const before = taken.find(({ jobId }) => jobId === take.jobId);
    const inDirtyL = Math.min(van.dirtyL, van.inDirtyL + dirtyL);
    if (before?.counted && !take.counted) return this.change({ inDirtyL });
    const inTankL = Math.min(van.tankL, Math.max(0, van.inTankL + (before?.litres ?? 0) - take.litres));
    this.change({ inTankL, inDirtyL, taken: [...taken.filter((one) => one !== before), take].slice(-MOST_TAKEN) });
  }

  private firstSite(): Pick<VanSetUp['home'], 'latitudeDeg' | 'longitudeDeg'> {
    return this.entries.items('site')[0] ?? somewhere;
  }
}
