import { Injectable, computed, inject } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type Draft, type LibraryEntry, type Movement, type StockItem, type TowelBatch, amountAt, balancesOf, counting, missingFor, stockItem } from '@esmero/core';
import { mixName } from '@esmero/messages';
import { NOW } from './clock';
import { shelfActions, shelfFeature } from './shelf';

type TowelEntry = Extract<LibraryEntry, { readonly kind: 'towel' }>;

const LONGEST_ID = 80;

/** A name for a count that depends on nothing but what it comes after. */
const nameAfter = (movements: readonly Movement[], { entries: [first] }: Draft): string =>
  `${first!.item.replace('/', '-')}.${movements.length}`.slice(-LONGEST_ID);

/** The shelf as signals, and the one way to move something on it. */
@Injectable({ providedIn: 'root' })
export class ShelfDesk {
  private readonly state = inject(State);
  private readonly now = inject(NOW);

  readonly ready = this.state.selectSignal(shelfFeature.selectReady);
  readonly library = this.state.selectSignal(shelfFeature.selectLibrary);
  /** Not all of it is kept yet. */
  readonly writing = this.state.selectSignal(shelfFeature.selectWriting);
  readonly kept = this.state.selectSignal(shelfFeature.selectMovements);
  private readonly towels = computed(() => this.library().filter((entry): entry is TowelEntry => entry.kind === 'towel'));

  /** Counts where the library says otherwise than the ledger: it was counted there. They go by what they come after, so that two tabs post the same. */
  private readonly counts = computed((): readonly Movement[] => {
    const [kept, balances] = [this.kept(), balancesOf(this.kept())];
    return this.towels()
      .flatMap(({ item }) => counting(stockItem('towel', item.id), 'shelf', item.clean, balances, 'as the library says'))
      .map((one, i) => ({ ...one, id: nameAfter(kept, one), at: this.after(kept) + i }));
  });
  readonly movements = computed((): readonly Movement[] => [...this.kept(), ...this.counts()]);
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
    const from = this.after(this.movements());
    const added = drafts.map((one, i): Movement => ({ ...one, id: `m-${crypto.randomUUID()}`, at: from + i }));
    const lacking = missingFor(this.balances(), { entries: drafts.flatMap(({ entries }) => entries) });
    if (lacking.length > 0 || added.length === 0) return lacking;
    const after = balancesOf([...this.movements(), ...added]);
    this.state.dispatch(shelfActions.post({ movements: [...this.counts(), ...added], entries: this.counted(after) }));
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

  /** Later than all of these, so that the order is that of posting. */
  private after(movements: readonly Movement[]): number {
    return Math.max(this.now(), (movements.at(-1)?.at ?? 0) + 1);
  }
}
