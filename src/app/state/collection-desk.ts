import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { Store as State } from '@ngrx/store';
import { type Draft, amountAt, balancesOf, counting, missingFor, opening, settled, stockItem } from '@esmero/core';
import { type LibraryEntry, type Movement, type StockItem, orderAfter } from '@esmero/model';
import { defaultCurrency } from '@esmero/units';
import { mixName } from '@esmero/messages';
import { freshId } from '@esmero/records';
import type { StoredEntry } from '@esmero/store';
import { NOW } from './clock';
import { collectionActions, collectionFeature } from './collection';

/** Before all that anybody has posted: two tabs post the same. */
const FIRST = 1;

/** The stock and the library as signals, and the one way to change them. */
@Injectable({ providedIn: 'root' })
export class CollectionDesk {
  private readonly state = inject(State);
  private readonly now = inject(NOW);

  private readonly fetched = this.state.selectSignal(collectionFeature.selectReady);
  private readonly counted = signal(false);
  /** Fetched, and the balances of the stock worked out. */
  readonly ready = computed(() => this.fetched() && this.counted());
  /** Why nothing could be fetched. */
  readonly unreadable = this.state.selectSignal(collectionFeature.selectUnreadable);
  /** Not all of it is kept yet. */
  readonly writing = this.state.selectSignal(collectionFeature.selectWriting);
  readonly kept = this.state.selectSignal(collectionFeature.selectMovements);
  /** The library without what the stock says of it: nobody waits for the stock who asks for a car or a client. */
  readonly asKept = this.state.selectSignal(collectionFeature.selectLibrary);

  /**
   * Towels that the stock has never seen begin with what the library says of them; from then on only movements count,
   * so that no old copy of an item sets the stock back. They go by the item’s name, so that two tabs post the same.
   */
  private readonly openings = computed((): readonly Movement[] => {
    const known = new Set<StockItem>();
    for (const { entries, counts = [] } of this.kept()) {
      for (const { item } of entries) known.add(item);
      for (const { item } of counts) known.add(item);
    }
    return this.asKept()
      .flatMap((entry) => (entry.kind === 'towel' && !known.has(stockItem('towel', entry.item.id)) ? [entry.item] : []))
      .flatMap(({ id, clean }) =>
        opening(stockItem('towel', id), clean, 'as the library says').map((one) => ({
          ...one,
          id: `first.${id}`,
          at: this.now(),
          seq: FIRST,
        })),
      );
  });
  /** In their order, each with what it really moved. */
  readonly movements = computed((): readonly Movement[] => settled([...this.kept(), ...this.openings()]));
  readonly balances = computed(() => balancesOf(this.movements()));
  /** Towels are as many as the stock has of them. */
  readonly library = computed((): readonly StoredEntry[] => {
    const balances = this.balances();
    return this.asKept().map((entry): StoredEntry => {
      if (entry.kind !== 'towel') return entry;
      const clean = amountAt(balances, stockItem('towel', entry.item.id), 'shelf');
      return clean === entry.item.clean ? entry : { ...entry, item: { ...entry.item, clean } };
    });
  });

  private readonly jobs = this.state.selectSignal(collectionFeature.selectJobs);
  /** Of the job that was last worked on. */
  readonly currency = computed(() => this.jobs()[0]?.job.currency ?? defaultCurrency);

  constructor() {
    effect(() => {
      if (this.fetched() && !untracked(this.counted)) void this.workOut();
    });
  }

  /** Before a page asks, and a step a task: in one go the movements of years hold up whoever presses something. */
  private async workOut(): Promise<void> {
    for (const step of [this.openings, this.movements, this.balances]) {
      await new Promise((next) => setTimeout(next));
      step();
    }
    this.counted.set(true);
  }

  /** Fetches all of it, anew after it could not be read. */
  load(): void {
    this.state.dispatch(collectionActions.load());
  }

  time(): number {
    return this.now();
  }

  /**
   * Posts movements together, or none of them.
   * @returns what is lacking; empty when all was posted
   */
  post(drafts: readonly Draft[]): ReturnType<typeof missingFor> {
    let seq = this.movements().at(-1)?.seq ?? 0;
    const added = drafts.map((one): Movement => ({
      ...one,
      id: freshId('m'),
      at: this.now(),
      seq: (seq = orderAfter(seq)),
    }));
    const lacking = missingFor(this.balances(), { entries: drafts.flatMap(({ entries }) => entries) });
    if (lacking.length > 0 || added.length === 0) return lacking;
    this.state.dispatch(collectionActions.post({ movements: [...this.openings(), ...added] }));
    return [];
  }

  /**
   * Saves an item; towels that were counted there are counted in the stock.
   * @param base the item that the change was made on; null for a new one
   */
  put(entry: LibraryEntry, base: LibraryEntry | null): void {
    this.state.dispatch(collectionActions.putEntry({ entry, base }));
    if (entry.kind !== 'towel' || base?.kind !== 'towel' || entry.item.clean === base.item.clean) return;
    this.post([counting(stockItem('towel', entry.item.id), 'shelf', entry.item.clean)]);
  }

  /** The name that an item goes by in the library. */
  readonly nameOf = (item: StockItem): string => {
    const [kind, id = ''] = item.split('/');
    const name = (of: string, which: string): string =>
      this.library().find((entry) => entry.kind === of && entry.item.id === which)?.item.name ?? which;
    return kind === 'mix' ? mixName(item, (vessel) => name('vessel', vessel)) : name(kind!, id);
  };
}
