import { Injectable, computed, inject } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type Draft, type LibraryEntry, type Movement, type StockItem, type TowelBatch, amountAt, balancesOf, counting, missingFor, stockItem } from '@esmero/core';
import { mixName } from '@esmero/messages';
import { NOW } from './clock';
import { shelfActions, shelfFeature } from './shelf';

type TowelEntry = Extract<LibraryEntry, { readonly kind: 'towel' }>;

/** The shelf as signals, and the one way to move something on it. */
@Injectable({ providedIn: 'root' })
export class ShelfDesk {
  private readonly state = inject(State);
  private readonly now = inject(NOW);

  readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  readonly library = this.state.selectSignal(shelfFeature.selectLibrary);
  readonly kept = this.state.selectSignal(shelfFeature.selectMovements);
  private readonly towels = computed(() => this.library().filter((entry): entry is TowelEntry => entry.kind === 'towel'));

  /** What moved, with counts where the library says otherwise: it was counted there. */
  readonly movements = computed((): readonly Movement[] => {
    const balances = balancesOf(this.kept());
    const counts = this.towels().flatMap(({ item }) => counting(stockItem('towel', item.id), 'shelf', item.clean, balances, 'as the library says'));
    return [...this.kept(), ...counts.map((one, i) => this.named(one, i))];
  });
  readonly balances = computed(() => balancesOf(this.movements()));

  /** Never before the last movement, whatever the clock says. */
  today(): number {
    return Math.max(this.now(), this.movements().at(-1)?.at ?? 0);
  }

  /**
   * Posts movements together, or none of them. The towels of the library follow.
   * @returns what is lacking; empty when all was posted
   */
  post(drafts: readonly Draft[]): ReturnType<typeof missingFor> {
    const opening = this.movements().slice(this.kept().length);
    const added = drafts.map((one, i) => this.named(one, opening.length + i));
    const lacking = missingFor(this.balances(), { entries: drafts.flatMap(({ entries }) => entries) });
    if (lacking.length > 0 || added.length === 0) return lacking;
    const after = balancesOf([...this.movements(), ...added]);
    this.state.dispatch(shelfActions.post({ movements: [...opening, ...added], entries: this.counted(after) }));
    return [];
  }

  /** The name that an item goes by in the library. */
  readonly nameOf = (item: StockItem): string => {
    const [kind, id = ''] = item.split('/');
    const name = (of: string, which: string): string => this.library().find((entry) => entry.kind === of && entry.item.id === which)?.item.name ?? which;
    return kind === 'mix' ? mixName(item, (vessel) => name('vessel', vessel)) : name(kind!, id);
  };

  private counted(after: ReturnType<typeof balancesOf>): readonly LibraryEntry[] {
    const clean = ({ id }: TowelBatch): number => amountAt(after, stockItem('towel', id), 'shelf');
    return this.towels()
      .filter(({ item }) => clean(item) !== item.clean)
      .map((entry) => ({ ...entry, item: { ...entry.item, clean: clean(entry.item) } }));
  }

  /** One after the other, and after all that is kept, so that the order is that of posting. */
  private named(one: Draft, place: number): Movement {
    const at = Math.max(this.now(), (this.kept().at(-1)?.at ?? 0) + 1) + place;
    return { ...one, id: `m-${this.now().toString(36)}-${Math.random().toString(36).slice(2, 10)}`, at };
  }
}
