import { Injectable, inject } from '@angular/core';
import type { EntryItems, EntryKind, LibraryEntry } from '@esmero/model';
import { CollectionDesk } from './collection-desk';

/** What is kept, kind by kind, without what is archived; and the one way to change an item of which only the newest is shown. */
@Injectable({ providedIn: 'root' })
export class Entries {
  private readonly collection = inject(CollectionDesk);

  items<K extends EntryKind>(kind: K): readonly EntryItems[K][] {
    const entries = kind === 'towel' ? this.collection.library() : this.collection.asKept();
    return entries.flatMap((entry: LibraryEntry) =>
      entry.kind === kind && !entry.archived ? [entry.item as EntryItems[K]] : [],
    );
  }

  /** Saves an item, new or changed; one that was archived is back. */
  put<K extends EntryKind>(kind: K, item: EntryItems[K]): void {
    this.collection.put({ kind, archived: false, item } as LibraryEntry, this.kept(kind, item.id));
  }

  archive<K extends EntryKind>(kind: K, item: EntryItems[K]): void {
    const base = this.kept(kind, item.id);
    if (base) this.collection.put({ kind, archived: true, item } as LibraryEntry, base);
  }

  private kept(kind: EntryKind, id: string): LibraryEntry | null {
    return this.collection.library().find((entry) => entry.kind === kind && entry.item.id === id) ?? null;
  }
}
