import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, type Type, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Select } from 'primeng/select';
import { TableModule } from 'primeng/table';
// What is read by it is fetched when a file comes.
import type * as Exchange from '@esmero/exchange';
import type { Encoding, Mapping, TableKind } from '@esmero/exchange';
import type { Foreign, TableReview } from '@esmero/transfer';
import {
  dayText,
  encodingName,
  faultHint,
  hourText,
  importTableText,
  jobsText,
  momentText,
  outcomeText,
  tableFieldName,
  tableKindName,
} from '@esmero/messages';
import { BusinessDesk } from '../../state/business-desk';
import { CollectionDesk } from '../../state/collection-desk';
import { openedWith } from '../../state/opened-with';
import { TransferDesk } from '../../state/transfer-desk';
import { ChoiceComponent } from '../../ui/choice.component';
import { FetchingComponent } from '../../ui/fetching.component';
import { TransferBusyComponent } from '../../ui/transfer-busy.component';

/** What is open: a table whose columns are laid beside our fields, or a calendar. */
interface Opened {
  readonly file: File;
  readonly found: Extract<Foreign, { readonly kind: 'table' | 'calendar' }>;
}

/** Files of other programs: their columns laid beside our fields, every row looked at, then brought in like any import. */
@Component({
  selector: 'esm-import-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Button,
    ChoiceComponent,
    FetchingComponent,
    FormsModule,
    NgComponentOutlet,
    Select,
    TableModule,
    TransferBusyComponent,
  ],
  templateUrl: './import.page.html',
  styleUrls: ['../../ui/table-page.css', './import.page.css'],
})
export class ImportPage {
  protected readonly wording = importTableText;
  protected readonly jobsText = jobsText;
  protected readonly transfer = inject(TransferDesk);
  protected readonly collection = inject(CollectionDesk);
  private readonly business = inject(BusinessDesk);
  private readonly exchange = signal<typeof Exchange | null>(null);

  protected readonly kinds = (['clients', 'visits', 'products', 'towels'] as const).map((value) => ({
    value,
    label: tableKindName[value],
  }));
  protected readonly kind = signal<TableKind>('clients');
  protected readonly opened = signal<Opened | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly look = signal<TableReview | null>(null);
  /** Columns taken by hand, by field. */
  private readonly taken = signal<Mapping>({});
  protected readonly dialog = signal<Type<unknown> | null>(null);

  protected readonly table = computed(() => {
    const found = this.opened()?.found;
    return found?.kind === 'table' ? found : null;
  });
  protected readonly letters = computed(() =>
    (this.exchange()?.encodings ?? []).map((value) => ({ value, label: encodingName[value] })),
  );
  protected readonly fields = computed(() => {
    const [exchange, table, look] = [this.exchange(), this.table(), this.look()];
    if (!exchange || !table || !look) return [];
    const options = [
      { value: null, label: importTableText.none },
      ...table.columns.map((label, value) => ({ value, label })),
    ];
    return exchange.tables[this.kind()].fields.map(({ key, isRequired }) => ({
      key,
      isRequired,
      name: tableFieldName[key]!,
      column: look.mapping[key] ?? null,
      options,
    }));
  });
  protected readonly missing = computed(() => {
    const names = this.fields()
      .filter(({ isRequired, column }) => isRequired && column === null)
      .map(({ name }) => name);
    return names.length > 0 ? importTableText.missing(names.join(', ')) : '';
  });
  protected readonly columns = computed(() => this.fields().filter(({ column }) => column !== null));
  protected readonly rows = computed(() =>
    (this.look()?.rows ?? []).map(({ line, values, outcome }) => ({
      line,
      cells: this.columns().map(({ key }) => String(values[key] ?? '')),
      faults:
        outcome.kind === 'faulty'
          ? outcome.faults.map((fault) => `${tableFieldName[fault.path] ?? fault.path}: ${faultHint(fault)}`)
          : [],
      says: outcome.kind === 'faulty' ? '' : outcomeText(outcome),
    })),
  );
  protected readonly says = computed(() => {
    const look = this.look();
    if (!look) return { arriving: '', others: '', shown: '' };
    const { again, here, faulty } = look.counts;
    return {
      arriving: importTableText.arriving(look.arriving),
      others: [importTableText.bad(faulty), importTableText.repeated(again + here)].filter(Boolean).join(' '),
      shown: importTableText.shown(look.rows.length, this.table()?.rowCount ?? 0),
    };
  });
  protected readonly calendar = computed(() => {
    const found = this.opened()?.found;
    if (found?.kind !== 'calendar') return null;
    const { moved, movedCount, blocked, blockedCount, leftOut } = found.calendar;
    return {
      says: [
        importTableText.blocked(blockedCount),
        importTableText.moved(movedCount),
        importTableText.leftOut(leftOut.count),
        importTableText.span,
      ].filter(Boolean),
      moved: moved.map(({ id, name, date, hour }) => ({ id, text: `${name}: ${dayText(date)}, ${hourText(hour)}` })),
      blocked: blocked.map(({ id, name, date, fromHour, untilHour }) => ({
        id,
        text: `${name}: ${dayText(date)}, ${fromHour === 0 && untilHour === 24 ? 'all day' : `${hourText(fromHour)} to ${hourText(untilHour % 24)}`}`,
      })),
      leftOut: leftOut.first.map(({ name, why }) => importTableText.leftOutOne(name, why)),
      isEmpty: blockedCount + movedCount === 0,
    };
  });

  constructor() {
    openedWith((file) => void this.open(file));
    effect(() => {
      if (this.transfer.review())
        void import('./import-review.component').then((m) => this.dialog.set(m.ImportReviewComponent));
    });
  }

  protected async pick(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    input.value = '';
    if (file) await this.open(file);
  }

  protected drop(event: DragEvent): void {
    event.preventDefault();
    const file = event.dataTransfer?.files[0];
    if (file) void this.open(file);
  }

  protected async pickKind(kind: TableKind): Promise<void> {
    this.kind.set(kind);
    this.taken.set({});
    await this.lookThrough();
  }

  protected async take(key: string, column: number | null): Promise<void> {
    this.taken.update((all) => ({ ...all, [key]: column }));
    await this.lookThrough();
  }

  protected async readAs(encoding: Encoding): Promise<void> {
    const opened = this.opened();
    if (opened) await this.open(opened.file, encoding);
  }

  /** Hands it to the import that asks, row by row, and can be taken back. */
  protected async bring(): Promise<void> {
    const opened = this.opened();
    if (opened) await this.transfer.reviewForeign(opened.file.name);
  }

  protected readonly when = momentText;

  private async open(file: File, encoding: Encoding | null = null): Promise<void> {
    this.problem.set(null);
    this.opened.set(null);
    this.look.set(null);
    this.taken.set({});
    this.exchange.set(await import('@esmero/exchange'));
    const found = await this.transfer.openForeign(file, encoding);
    if (!found) return;
    if (found.kind === 'refused') return this.problem.set(importTableText.refused(file.name, found.why));
    if (found.kind === 'no-contacts') return this.problem.set(importTableText.noContacts(file.name, found.detail));
    if (found.kind === 'no-calendar') return this.problem.set(importTableText.noCalendar(file.name, found.detail));
    this.opened.set({ file, found });
    if (found.kind === 'calendar') return;
    if (found.isContacts) this.kind.set('clients');
    await this.lookThrough();
  }

  private async lookThrough(): Promise<void> {
    const opened = this.opened();
    if (!opened) return;
    const [kind, taken] = [this.kind(), this.taken()];
    const look = await this.transfer.lookAtTable(opened.file.name, kind, taken, this.business.business().currency);
    // What was asked for meanwhile is on its way.
    if (look && kind === this.kind() && taken === this.taken() && opened === this.opened()) this.look.set(look);
  }
}
