import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import {
  type Draft,
  type LaundryGroup,
  type LaundryStep,
  amountAt,
  assumptionTable,
  counting,
  draft,
  expiry,
  groupOf,
  laundering,
  laundryGroups,
  laundrySteps,
  lotsOf,
  moved,
  movementsByItem,
  outlookOf,
  resolveAssumptions,
  retiring,
  shoppingList,
  soakFor,
  stockItem,
  takingBack,
  washesOf,
  weightKg,
} from '@esmero/core';
import { TableModule } from 'primeng/table';
import { bounds } from '@esmero/model';
import type { LibraryEntry, LibraryItems, LibraryKind, Movement, Place, StockItem } from '@esmero/model';
import { dayAfter } from '@esmero/units';
import {
  amountText,
  buyText,
  lackingText,
  laundryCautions,
  laundryName,
  money,
  movementText,
  unitsOf,
  stockText,
  dayText,
} from '@esmero/messages';
import { settingsFeature } from '../../state/settings';
import { dayHere } from '../../state/today';
import { CollectionDesk } from '../../state/collection-desk';
import { DayFieldComponent } from '../../ui/day-field.component';
import { download } from '../../ui/download';
import { InTurnDirective } from '../../ui/in-turn.directive';
import { NumberComponent } from '../../ui/number.component';
import { FetchingComponent } from '../../ui/fetching.component';
import { VanComponent } from './van.component';

/** From so many movements on only the rows in sight are drawn. */
const MANY = 60;
const ROW_PX = 56;
/** Longer than this nobody looks ahead. */
const FAR_DAYS = 365;

/** Where towels are that are not clean at hand. */
const away = [
  { place: 'reserved', name: 'Set aside' },
  { place: 'dirty', name: 'To wash' },
  { place: 'soaking', name: 'Soaking' },
  { place: 'drying', name: 'Drying' },
  { place: 'retired', name: 'Retired' },
] as const;

const stepName = { soaked: 'Put to soak', washed: 'Washed', dried: 'Dry and folded' } as const;

/** What is in the van and at home, with the laundry and in the vessels; how long it lasts; what to buy. */
@Component({
  selector: 'esm-stock-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FetchingComponent,
    Button,
    ButtonDirective,
    DayFieldComponent,
    InTurnDirective,
    NumberComponent,
    RouterLink,
    TableModule,
    VanComponent,
  ],
  templateUrl: './stock.page.html',
  styleUrls: ['../../ui/table-page.css', './stock.page.css'],
})
export class StockPage {
  protected readonly wording = stockText;
  protected readonly collection = inject(CollectionDesk);
  private readonly state = inject(State);

  private readonly system = this.state.selectSignal(settingsFeature.selectUnits);
  protected readonly u = computed(() => unitsOf(this.system()));
  protected readonly laundryCautions = laundryCautions;
  protected readonly steps = laundrySteps;
  protected readonly stepName = stepName;
  protected readonly awayNames = away.map(({ name }) => name);
  protected readonly bounds = bounds;
  /** The product that is being bought or counted. */
  protected readonly opened = signal<StockItem | null>(null);
  /** What went wrong with the last movement; empty when nothing did. */
  protected readonly problem = signal('');

  private readonly now = computed(() => (this.collection.movements(), this.collection.time()));
  private readonly movesOf = computed(() => movementsByItem(this.collection.movements()));
  private readonly lifeWashes = assumptionTable.towelLifeWashes.value;

  protected readonly products = computed(() =>
    this.kept('product').map((product) => {
      const item = stockItem('product', product.id);
      const own = this.of(item);
      const { inStock, reserved, perDay, daysLeft } = outlookOf(item, own, this.collection.balances(), this.now());
      return {
        product,
        item,
        inStock,
        stock: this.amount(item, inStock),
        reserved: reserved > 0 ? this.amount(item, reserved) : '',
        lasts: this.lasts(daysLeft),
        pace: perDay > 0 ? `${this.amount(item, perDay * 7)} a week` : 'not used recently',
        lots: lotsOf(item, own).map(({ left, openedAt, expiresOn }) => ({
          text: `${this.amount(item, left)}${openedAt === null ? ', closed' : `, opened ${dayText(dayHere(openedAt))}`}${expiresOn ? `, good until ${dayText(expiresOn)}` : ''}`,
          bad: expiry({ expiresOn }, dayHere(this.now())),
        })),
      };
    }),
  );
  protected readonly towels = computed(() =>
    this.kept('towel').map((batch) => {
      const item = stockItem('towel', batch.id);
      const at = (place: Place): number => amountAt(this.collection.balances(), item, place);
      const washes = washesOf(batch, this.of(item), this.collection.balances());
      return {
        batch,
        item,
        clean: at('shelf'),
        away: away.map(({ place }) => at(place)),
        washes: washes > 0 ? `${washes.toFixed(1)} of ${this.lifeWashes}` : 'none yet',
        worn: washes,
        isWorn: washes >= this.lifeWashes,
      };
    }),
  );
  protected readonly laundry = computed(() =>
    laundryGroups.map((group) => {
      const own = this.kept('towel').filter(({ role }) => groupOf[role] === group);
      const at = (place: Place): number =>
        own.reduce((sum, { id }) => sum + amountAt(this.collection.balances(), stockItem('towel', id), place), 0);
      const kg = own.reduce(
        (sum, batch) =>
          sum + amountAt(this.collection.balances(), stockItem('towel', batch.id), 'dirty') * weightKg(batch),
        0,
      );
      return {
        group,
        name: laundryName[group],
        waiting: laundrySteps.map(({ from }) => at(from)),
        soak: this.soakText(kg),
      };
    }),
  );
  protected readonly mixes = computed(() =>
    [...this.collection.balances().keys()]
      .filter((item) => item.startsWith('mix/') && amountAt(this.collection.balances(), item, 'shelf') > 0)
      .map((item) => {
        const since = this.of(item).at(-1)!.at;
        const days = Math.floor((this.now() - since) / 86_400_000);
        return {
          item,
          name: this.collection.nameOf(item),
          amount: this.amount(item, amountAt(this.collection.balances(), item, 'shelf')),
          age: days === 0 ? 'since today' : `for ${days} days`,
          old: days > assumptionTable.keepsDays.value,
        };
      }),
  );
  protected readonly batteries = computed(() =>
    this.kept('gear')
      .filter(({ batteryMin }) => batteryMin !== null)
      .map((gear) => {
        const item = stockItem('gear', gear.id);
        return { gear, item, charge: amountAt(this.collection.balances(), item, 'shelf'), full: gear.batteryMin! };
      }),
  );
  protected readonly toBuy = computed(() =>
    shoppingList(
      this.kept('product'),
      this.kept('towel'),
      { byItem: this.movesOf(), balances: this.collection.balances() },
      this.lifeWashes,
      { now: this.now(), today: dayHere(this.now()) },
    ).map((one) => ({
      text: buyText(one),
      cost: one.costMinor === null ? '' : money(one.costMinor, this.collection.currency()),
    })),
  );
  protected readonly many = computed(() => this.collection.kept().length > MANY);
  protected readonly rowHeight = ROW_PX;
  /** What is sorted by; the words of a row are made when it is in sight. */
  protected readonly history = computed(() => {
    const ids = new Set(this.collection.kept().map(({ id }) => id));
    // As they were settled: of a count, what it changed.
    const kept = this.collection.movements().filter(({ id }) => ids.has(id));
    return kept.map((movement, i) => ({
      movement,
      id: movement.id,
      at: movement.at,
      kind: movement.kind,
      last: i === kept.length - 1,
    }));
  });

  /** What there is of each item and where; and products as they can be brought in again. */
  protected async save(): Promise<void> {
    const { productsCsv, stockCsv } = await import('@esmero/exchange');
    download('esmero-stock.csv', stockCsv(this.collection.movements(), this.collection.nameOf), 'text/csv');
    download('esmero-products.csv', productsCsv(this.collection.library(), this.collection.currency()), 'text/csv');
  }

  protected dayOf({ at }: Movement): string {
    return dayText(dayHere(at));
  }

  protected textOf(movement: Movement): string {
    return movementText(movement, this.collection.nameOf, this.u());
  }

  protected readonly byItem = (_index: number, { item }: { readonly item: StockItem }): string => item;

  private kept<K extends LibraryKind>(kind: K): readonly LibraryItems[K][] {
    return this.collection
      .library()
      .flatMap((entry: LibraryEntry) =>
        entry.kind === kind && !entry.archived ? [entry.item as LibraryItems[K]] : [],
      );
  }

  private of(item: StockItem): readonly Movement[] {
    return this.movesOf().get(item) ?? [];
  }

  protected amount(item: StockItem, amount: number): string {
    return amountText(item, amount, this.u());
  }

  private lasts(daysLeft: number | null): { readonly text: string; readonly soon: boolean } {
    if (daysLeft === null) return { text: '', soon: false };
    if (daysLeft > FAR_DAYS) return { text: 'more than a year', soon: false };
    const days = Math.floor(daysLeft);
    return { text: `${days} days, until ${dayText(dayAfter(dayHere(this.now()), days))}`, soon: days < 14 };
  }

  private soakText(kg: number): string {
    if (kg === 0) return '';
    const { loads, soakL, productMl } = soakFor(kg, resolveAssumptions({}));
    return stockText.soak(loads, this.u().water(soakL), this.u().volume(productMl));
  }

  /** A bottle of whatever size it was sold in. */
  protected buy(item: StockItem, sizeMl: number | null, expires: string | null): void {
    if (sizeMl !== null) this.post([draft('bought', moved(item, 'outside', 'shelf', sizeMl), { expiresOn: expires })]);
  }

  /** What was counted: mL, or towels. */
  protected count(item: StockItem, counted: number | null): void {
    if (counted !== null) this.post([counting(item, 'shelf', counted)]);
  }

  protected launder(group: LaundryGroup, step: LaundryStep): void {
    this.post(laundering(group, step, this.kept('towel'), this.collection.balances()));
  }

  protected retire(batch: LibraryItems['towel']): void {
    const wheels = this.kept('towel').find(({ role }) => role === 'wheels');
    this.post([retiring(batch, wheels, 1)]);
  }

  protected pourAway(item: StockItem): void {
    this.post([
      draft('poured-away', moved(item, 'shelf', 'outside', amountAt(this.collection.balances(), item, 'shelf'))),
    ]);
  }

  protected charge(item: StockItem, full: number): void {
    this.post([counting(item, 'shelf', full, 'charged')]);
  }

  protected takeBack(movement: Movement): void {
    this.post([takingBack(movement)]);
  }

  private post(drafts: readonly Draft[]): void {
    const lacking = this.collection.post(drafts);
    this.problem.set(lacking.length > 0 ? lackingText(lacking, this.collection.nameOf, this.u()) : '');
  }
}
