import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { ConfirmationService } from 'primeng/api';
import { Button, ButtonDirective } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { newItem } from '@esmero/core';
import { type LibraryEntry, type LibraryKind, type Site, libraryKinds } from '@esmero/model';
import { fieldsText, libraryName, originName, libraryText, scopeText } from '@esmero/messages';
import { freshId } from '@esmero/records';
import { checked } from '../../state/checked';
import { withPlaceClock } from '../../state/place-clock';
import { today } from '../../state/today';
import { JobDesk } from '../../state/job-desk';
import type { StoredEntry } from '@esmero/store';
import { collectionActions, collectionFeature } from '../../state/collection';
import { CollectionDesk } from '../../state/collection-desk';
import type { AnyItem } from '../../ui/item-form/fields';
import { ReturnsFocusDirective } from '../../ui/returns-focus.directive';
import { ItemFormComponent } from '../../ui/item-form/item-form.component';
import { FetchingComponent } from '../../ui/fetching.component';

/** An item that jobs draw on. */
type Item = LibraryEntry<LibraryKind>;

const isKind = (text: string): text is LibraryKind => (libraryKinds as readonly string[]).includes(text);

/** What jobs draw on: add, change, copy, archive. */
@Component({
  selector: 'esm-library-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FetchingComponent,
    ButtonDirective,
    Button,
    Dialog,
    ItemFormComponent,
    ReturnsFocusDirective,
    RouterLink,
    RouterLinkActive,
  ],
  templateUrl: './library.page.html',
  styleUrl: './library.page.css',
})
export class LibraryPage {
  protected readonly wording = libraryText;
  readonly kind = input.required<string>();

  private readonly state = inject(State);
  protected readonly desk = inject(JobDesk);
  protected readonly collection = inject(CollectionDesk);
  private readonly confirmation = inject(ConfirmationService);
  protected readonly kinds = libraryKinds;
  protected readonly names = libraryName;

  protected readonly shown = computed((): LibraryKind => {
    const kind = this.kind();
    return isKind(kind) ? kind : 'vehicle';
  });
  protected readonly archived = signal(false);
  protected readonly entries = computed(() =>
    this.desk
      .library()
      .filter((entry): entry is StoredEntry & Item => entry.kind === this.shown() && entry.archived === this.archived())
      .map((entry) => ({
        entry,
        origin:
          entry.kind === 'package'
            ? scopeText(entry.item.scope)
            : 'origin' in entry.item
              ? originName[entry.item.origin]
              : 'your own figure',
      }))
      .sort((p, q) => p.entry.item.name.localeCompare(q.entry.item.name)),
  );
  /** The item in the form; another kind starts with none. */
  private readonly picked = linkedSignal<LibraryKind, string | null>({ source: this.shown, computation: () => null });
  /** As it is kept, with what other tabs have made of it; a new one until it has been kept. */
  protected readonly open = computed((): Item | null => {
    const id = this.picked();
    return (
      this.desk
        .library()
        .find((entry): entry is StoredEntry & Item => entry.kind === this.shown() && entry.item.id === id) ??
      (this.added()?.item.id === id ? this.added() : null)
    );
  });
  private readonly added = signal<Item | null>(null);
  /** Somebody else has changed the same fields. */
  private readonly conflicting = this.state.selectSignal(collectionFeature.selectConflict);
  protected readonly conflict = computed(() => {
    const conflict = this.conflicting();
    return conflict && { ...conflict, what: fieldsText(conflict.fields) };
  });
  /** What the open one may point at: the others of its kind. */
  protected readonly others = computed(() =>
    this.desk
      .library()
      .filter((entry) => entry.kind === this.shown() && entry.item.id !== this.open()?.item.id)
      .map(({ item }) => ({ value: item.id, label: item.name })),
  );
  protected readonly rules = checked;
  protected readonly saved = signal(false);

  protected pick(entry: Item | null): void {
    this.picked.set(entry?.item.id ?? null);
    this.saved.set(false);
  }

  protected add(): void {
    const kind = this.shown();
    this.begin({ kind, archived: false, item: newItem[kind](freshId(kind)) } as Item);
  }

  protected copy(entry: Item): void {
    const item = { ...entry.item, id: freshId(entry.kind), name: `${entry.item.name} (copy)`.slice(0, 120) };
    this.begin({ kind: entry.kind, archived: false, item } as Item);
  }

  protected archive(entry: Item): void {
    this.collection.put({ ...entry, archived: !entry.archived } as Item, entry);
    this.pick(null);
  }

  protected remove(entry: Item): void {
    this.confirmation.confirm({
      header: 'Delete this item?',
      message: libraryText.forGood(entry.item.name),
      acceptLabel: 'Delete',
      rejectLabel: 'Keep',
      accept: () => {
        this.state.dispatch(collectionActions.deleteEntry({ entry }));
        this.pick(null);
      },
    });
  }

  protected async change(draft: AnyItem): Promise<void> {
    const base = this.open();
    if (!base) return;
    this.saved.set(true);
    const item = base.kind === 'site' ? await withPlaceClock(draft as Site, base.item, today()) : draft;
    this.collection.put({ kind: base.kind, archived: base.archived, item } as LibraryEntry, base);
  }

  /** Writes my version over theirs, or leaves theirs. */
  protected settle(mine: boolean): void {
    const conflict = this.conflict();
    this.state.dispatch(collectionActions.conflictSettled());
    if (conflict && mine) this.collection.put(conflict.mine, conflict.theirs);
  }

  private begin(entry: Item): void {
    this.collection.put(entry, null);
    this.added.set(entry);
    this.pick(entry);
  }
}
