import type { EntryItems, EntryKind, LibraryEntry } from '@esmero/model';
import { type Holdings, type Stamp, advanced, unstamped } from '@esmero/records';
import type { Found } from './outcome';
import { ByName } from './sameness';

/** What is here already. */
export interface Here {
  readonly library: readonly (LibraryEntry & Partial<Stamp>)[];
  /** Washes that are known, so that none comes in twice. */
  readonly visits: readonly KnownVisit[];
  readonly currency: string;
  /** When the table is read. */
  readonly at: number;
}

/** A wash as a person would compare it with another. */
export interface KnownVisit {
  readonly date: string;
  readonly client: string;
  readonly car: string;
  readonly minutes: number;
}

/** Whoever changes something by a table. */
const TABLE = 'table';

interface Held {
  readonly entry: LibraryEntry & Partial<Stamp>;
  /** Of the library, not of the table. */
  readonly isHere: boolean;
}

/** Items as they come about, row by row; what is here is begun with. Each look-up takes the same time, however many there are. */
export class Gathered {
  private readonly byId = new Map<string, Held>();
  private readonly byName: Readonly<Record<string, ByName<string>>>;
  private readonly changed = new Set<string>();

  constructor(private readonly here: Here) {
    this.byName = Object.fromEntries(
      (['client', 'vehicle', 'product', 'towel'] as const).map((kind) => [kind, new ByName<string>()]),
    );
    for (const entry of here.library) this.hold(entry, true);
  }

  private hold(entry: LibraryEntry & Partial<Stamp>, isHere: boolean): void {
    const key = `${entry.kind}/${entry.item.id}`;
    if (!this.byId.has(key)) this.byName[entry.kind]?.add(entry.item.name, key);
    this.byId.set(key, { entry, isHere });
  }

  private find<K extends EntryKind>(key: string): Found<EntryItems[K]> {
    const { entry, isHere } = this.byId.get(key)!;
    return { item: entry.item as EntryItems[K], isHere: isHere && !this.changed.has(key) };
  }

  /** All of a kind that go by this name, the first one first. */
  named<K extends EntryKind>(kind: K, name: string): readonly Found<EntryItems[K]>[] {
    return (this.byName[kind]?.of(name) ?? []).map((key) => this.find<K>(key));
  }

  item<K extends EntryKind>(kind: K, id: string): EntryItems[K] | undefined {
    return this.byId.get(`${kind}/${id}`)?.entry.item as EntryItems[K] | undefined;
  }

  /** @param item of fields that were held against the rules already, row by row; another time would take longer than all else */
  put<K extends EntryKind>(kind: K, item: EntryItems[K]): void {
    const key = `${kind}/${item.id}`;
    const before = this.byId.get(key);
    this.hold({ ...before?.entry, kind, archived: false, item } as LibraryEntry, before?.isHere ?? false);
    this.changed.add(key);
  }

  /** A row about what is here is a later change of it. */
  private stampOf({ entry, isHere }: Held): Stamp {
    return isHere && entry.vector
      ? { changedAt: this.here.at, vector: advanced(entry.vector, TABLE) }
      : { ...unstamped, changedAt: this.here.at };
  }

  all(): Holdings['library'] {
    return [...this.changed].map((key) => {
      const held = this.byId.get(key)!;
      const { kind, archived, item } = held.entry;
      return { kind, archived, item, ...this.stampOf(held) } as Holdings['library'][number];
    });
  }
}
