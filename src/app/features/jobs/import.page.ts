import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, type Type, computed, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Button } from 'primeng/button';
import { Select } from 'primeng/select';
import { TableModule } from 'primeng/table';
// What is read by it is fetched when a file comes.
import type * as Exchange from '@esmero/exchange';
import type { CalendarFound, Mapping, RowRead, Table, TableKind } from '@esmero/exchange';
import type { Holdings, KeptJob } from '@esmero/records';
import { dayText, faultHint, hourText, importTableText, jobsText, momentText, tableFieldName, tableKindName } from '@esmero/messages';
import { dayAfter } from '@esmero/units';
import { BusinessDesk } from '../../state/business-desk';
import { NOW } from '../../state/clock';
import { CollectionDesk } from '../../state/collection-desk';
import { openedWith } from '../../state/opened-with';
import { JobReads } from '../../state/job-reads';
import { today } from '../../state/today';
import { TransferDesk } from '../../state/transfer-desk';
import { ChoiceComponent } from '../../ui/choice.component';
import { FetchingComponent } from '../../ui/fetching.component';
import { TransferBusyComponent } from '../../ui/transfer-busy.component';

/** What is open: a table whose columns are laid beside our fields, or a calendar. */
type Opened = { readonly file: string } & (
  | { readonly kind: 'table'; readonly table: Table }
  | { readonly kind: 'calendar'; readonly found: CalendarFound; readonly kept: readonly KeptJob[] }
);

const YEAR_DAYS = 365;
const HOUR_MIN = 60;
/** So many rows are looked at; more are brought in all the same. */
const SHOWN = 200;

/** Files of other programs: their columns laid beside our fields, every row looked at, then brought in like any import. */
@Component({
  selector: 'esm-import-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Button, ChoiceComponent, FetchingComponent, FormsModule, NgComponentOutlet, Select, TableModule, TransferBusyComponent],
  templateUrl: './import.page.html',
  styleUrls: ['../../ui/table-page.css', './import.page.css'],
})
export class ImportPage {
  protected readonly wording = importTableText;
  protected readonly jobsText = jobsText;
  protected readonly transfer = inject(TransferDesk);
  protected readonly collection = inject(CollectionDesk);
  private readonly business = inject(BusinessDesk);
  private readonly reads = inject(JobReads);
  private readonly now = inject(NOW);
  private readonly exchange = signal<typeof Exchange | null>(null);

  protected readonly kinds = (['clients', 'visits', 'products', 'towels'] as const).map((value) => ({ value, label: tableKindName[value] }));
  protected readonly kind = signal<TableKind>('clients');
  protected readonly opened = signal<Opened | null>(null);
  protected readonly problem = signal<string | null>(null);
  /** Columns taken by hand, by field. */
  private readonly taken = signal<Mapping>({});
  protected readonly dialog = signal<Type<unknown> | null>(null);

  private readonly table = computed(() => {
    const opened = this.opened();
    return opened?.kind === 'table' ? opened.table : null;
  });
  private readonly mapping = computed((): Mapping => {
    const [exchange, table] = [this.exchange(), this.table()];
    return exchange && table ? { ...exchange.guessMapping(this.kind(), table.columns), ...this.taken() } : {};
  });
  protected readonly fields = computed(() => {
    const [exchange, table] = [this.exchange(), this.table()];
    if (!exchange || !table) return [];
    const options = [{ value: null, label: importTableText.none }, ...table.columns.map((label, value) => ({ value, label }))];
    return exchange.tables[this.kind()].fields.map(({ key, isRequired }) => ({ key, isRequired, name: tableFieldName[key]!, column: this.mapping()[key] ?? null, options }));
  });
  protected readonly missing = computed(() => {
    const names = this.fields().filter(({ isRequired, column }) => isRequired && column === null).map(({ name }) => name);
    return names.length > 0 ? importTableText.missing(names.join(', ')) : '';
  });
  private readonly read = computed((): readonly RowRead[] => {
    const [exchange, table] = [this.exchange(), this.table()];
    return exchange && table ? exchange.readRows(this.kind(), table, this.mapping()) : [];
  });
  protected readonly columns = computed(() => this.fields().filter(({ column }) => column !== null));
  /** Those with faults first: they are what there is to see. */
  protected readonly rows = computed(() =>
    [...this.read()]
      .sort((p, q) => Number(q.faults.length > 0) - Number(p.faults.length > 0) || p.line - q.line)
      .slice(0, SHOWN)
      .map(({ line, values, faults }) => ({
        line,
        cells: this.columns().map(({ key }) => String(values[key] ?? '')),
        faults: faults.map((fault) => `${tableFieldName[fault.path] ?? fault.path}: ${faultHint(fault)}`),
      })),
  );
  protected readonly soundCount = computed(() => this.read().filter(({ faults }) => faults.length === 0).length);
  protected readonly badCount = computed(() => this.read().length - this.soundCount());
  protected readonly calendar = computed(() => {
    const opened = this.opened();
    if (opened?.kind !== 'calendar') return null;
    const holdings = this.calendarHoldings(opened);
    return {
      says: [importTableText.blocked(opened.found.blocked.length), importTableText.moved(holdings.jobs.length), importTableText.broken(opened.found.broken), importTableText.span].filter(Boolean),
      moved: holdings.jobs.map(({ job }) => ({ id: job.id, text: `${job.name}: ${dayText(job.date)}, ${hourText(job.hour)}` })),
      blocked: opened.found.blocked.slice(0, SHOWN).map(({ id, name, date, fromHour, untilHour }) => ({ id, text: `${name}: ${dayText(date)}, ${fromHour === 0 && untilHour === 24 ? 'all day' : `${hourText(fromHour)} to ${hourText(untilHour % 24)}`}` })),
      isEmpty: opened.found.blocked.length + holdings.jobs.length === 0,
    };
  });

  constructor() {
    openedWith((file) => void this.open(file));
    effect(() => {
      if (this.transfer.review()) void import('./import-review.component').then((m) => this.dialog.set(m.ImportReviewComponent));
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

  protected pickKind(kind: TableKind): void {
    this.kind.set(kind);
    this.taken.set({});
  }

  protected take(key: string, column: number | null): void {
    this.taken.update((all) => ({ ...all, [key]: column }));
  }

  /** Hands it to the import that asks, row by row, and can be taken back. */
  protected async bring(): Promise<void> {
    const [opened, exchange] = [this.opened(), this.exchange()];
    if (!opened || !exchange) return;
    const holdings: Holdings =
      opened.kind === 'calendar'
        ? this.calendarHoldings(opened)
        : exchange.holdingsOf(this.kind(), this.read(), { library: this.collection.library(), currency: this.business.business().currency, at: this.now() });
    await this.transfer.open(new File([exchange.writeCollection(holdings)], opened.file));
  }

  protected readonly when = momentText;

  private async open(file: File): Promise<void> {
    this.problem.set(null);
    this.opened.set(null);
    this.taken.set({});
    const exchange = await import('@esmero/exchange');
    this.exchange.set(exchange);
    const text = await file.text();
    if (/^\s*BEGIN:VCALENDAR/i.test(text)) return this.openCalendar(file.name, text, exchange);
    if (/^\s*BEGIN:VCARD/i.test(text)) {
      const contacts = exchange.readContacts(text);
      if (!contacts.ok) return this.problem.set(importTableText.noContacts(file.name, contacts.detail));
      this.kind.set('clients');
      return this.openTable(file.name, contacts.csv, exchange);
    }
    this.openTable(file.name, text, exchange);
  }

  private openTable(file: string, text: string, exchange: typeof Exchange): void {
    const read = exchange.readTable(text);
    if (read.ok) this.opened.set({ kind: 'table', file, table: read.table });
    else this.problem.set(importTableText.refused(file, read.why));
  }

  private async openCalendar(file: string, text: string, exchange: typeof Exchange): Promise<void> {
    const from = today();
    const offsetAt = (at: number): number => -new Date(at).getTimezoneOffset() / HOUR_MIN;
    const read = exchange.readCalendar(text, { from, until: dayAfter(from, YEAR_DAYS), offsetAt });
    if (!read.ok) return this.problem.set(importTableText.noCalendar(file, read.detail));
    const kept = await Promise.all(read.found.stops.map(({ jobId }) => this.reads.whole(jobId)));
    this.opened.set({ kind: 'calendar', file, found: read.found, kept: kept.flatMap((one) => one ?? []) });
  }

  private calendarHoldings({ found, kept }: Extract<Opened, { readonly kind: 'calendar' }>): Holdings {
    return this.exchange()!.calendarHoldings(found, kept, this.now());
  }
}
