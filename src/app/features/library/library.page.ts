import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store as State } from '@ngrx/store';
import { Button } from 'primeng/button';
import { type LibraryEntry, type LibraryKind, libraryKinds, newItem } from '@esmero/core';
import type { Fault } from '@esmero/exchange';
import { libraryName, originName } from '@esmero/messages';
import { checked } from '../../state/checked';
import { JobDesk } from '../../state/job-desk';
import { shelfActions } from '../../state/shelf';
import type { AnyItem } from '../../ui/item-form/fields';
import { ItemFormComponent } from '../../ui/item-form/item-form.component';

const isKind = (text: string): text is LibraryKind => (libraryKinds as readonly string[]).includes(text);

/** What jobs draw on: add, change, copy, put away. */
@Component({
  selector: 'esm-library-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ItemFormComponent, RouterLink, RouterLinkActive],
  templateUrl: './library.page.html',
  styleUrl: './library.page.css',
})
export class LibraryPage {
  readonly kind = input.required<string>();

  private readonly state = inject(State);
  protected readonly desk = inject(JobDesk);
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
      .filter((entry) => entry.kind === this.shown() && entry.archived === this.archived())
      .map((entry) => ({ entry, origin: 'origin' in entry.item ? originName[entry.item.origin] : 'your own figure' }))
      .sort((p, q) => p.entry.item.name.localeCompare(q.entry.item.name)),
  );
  /** The entry in the form; another kind of item starts with an empty one. */
  protected readonly open = linkedSignal<LibraryKind, LibraryEntry | null>({
    source: this.shown,
    computation: () => null,
  });
  /** What the open one may point at: the others of its kind. */
  protected readonly others = computed(() =>
    this.desk
      .library()
      .filter((entry) => entry.kind === this.shown() && entry.item.id !== this.open()?.item.id)
      .map(({ item }) => ({ value: item.id, label: item.name })),
  );
  protected readonly faults = signal<readonly Fault[]>([]);
  protected readonly saved = signal(false);

  protected pick(entry: LibraryEntry | null): void {
    this.open.set(entry);
    this.faults.set([]);
    this.saved.set(false);
  }

  protected add(): void {
    const kind = this.shown();
    this.put({ kind, archived: false, item: newItem[kind](`${kind}-${crypto.randomUUID()}`) } as LibraryEntry);
  }

  protected copy(entry: LibraryEntry): void {
    const item = { ...entry.item, id: `${entry.kind}-${crypto.randomUUID()}`, name: `${entry.item.name} (copy)`.slice(0, 120) };
    this.put({ ...entry, archived: false, item } as LibraryEntry);
  }

  protected archive(entry: LibraryEntry): void {
    this.state.dispatch(shelfActions.putEntry({ entry: { ...entry, archived: !entry.archived } }));
    this.pick(null);
  }

  protected async change(draft: AnyItem): Promise<void> {
    const entry = this.open();
    if (!entry) return;
    const faults = await checked(entry.kind, draft);
    this.faults.set(faults);
    this.saved.set(faults.length === 0);
    if (faults.length === 0) this.put({ ...entry, item: draft } as LibraryEntry);
  }

  private put(entry: LibraryEntry): void {
    this.state.dispatch(shelfActions.putEntry({ entry }));
    this.open.set(entry);
  }
}
