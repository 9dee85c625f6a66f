import { logOf } from '@esmero/core';
import {
  type CalendarFound,
  type CalendarSpan,
  type Encoding,
  type Here,
  type KnownVisit,
  type Mapping,
  type Outcome,
  type RowRead,
  type Table,
  type TableHoldings,
  type TableKind,
  type TableRead,
  calendarHoldings,
  decoded,
  gatheringHoldings,
  guessMapping,
  readContacts,
  readTable,
  readingCalendar,
  readingRows,
} from '@esmero/exchange';
import type { Holdings, KeptJob } from '@esmero/records';
import type { Store } from '@esmero/store';
import type { Pace } from './pace';

/** A file of another program, opened. */
export type Foreign =
  | {
      readonly kind: 'table';
      readonly columns: readonly string[];
      readonly rowCount: number;
      readonly encoding: Encoding;
      readonly isGuessed: boolean;
      readonly isContacts: boolean;
    }
  | { readonly kind: 'calendar'; readonly calendar: CalendarReview }
  | { readonly kind: 'refused'; readonly why: Extract<TableRead, { readonly ok: false }>['why'] }
  | { readonly kind: 'no-contacts'; readonly detail: string }
  | { readonly kind: 'no-calendar'; readonly detail: string };

/** What a calendar would change; lists are cut where nobody reads on. */
export interface CalendarReview {
  readonly moved: readonly {
    readonly id: string;
    readonly name: string;
    readonly date: string;
    readonly hour: number;
  }[];
  readonly movedCount: number;
  readonly blocked: CalendarFound['blocked'];
  readonly blockedCount: number;
  readonly leftOut: CalendarFound['leftOut'];
}

/** One row of a table as it was understood, and what would become of it. */
export interface RowReview extends Pick<RowRead, 'line' | 'values'> {
  readonly outcome: Outcome;
}

/** What a table would change. */
export interface TableReview {
  readonly mapping: Mapping;
  /** Those with faults first: they are what there is to see. */
  readonly rows: readonly RowReview[];
  /** How many rows come to what. */
  readonly counts: Readonly<Record<Outcome['kind'], number>>;
  /** How many items and washes would come in or be changed. */
  readonly arriving: readonly {
    readonly kind: 'client' | 'vehicle' | 'product' | 'towel' | 'job';
    readonly count: number;
  }[];
}

/** Where one’s own clock stands against universal time at the start of each day of the span, h; a function does not cross to a worker. */
export interface ForeignSpan extends Pick<CalendarSpan, 'from' | 'until'> {
  readonly offsets: readonly { readonly from: number; readonly hours: number }[];
}

/** So many rows are looked at; more are brought in all the same. */
const SHOWN = 200;

function offsetIn(offsets: ForeignSpan['offsets'], at: number): number {
  const after = offsets.findIndex(({ from }) => from > at);
  return (offsets.at(after === -1 ? -1 : Math.max(0, after - 1)) ?? { hours: 0 }).hours;
}

/** Lets others have a word in between. */
async function paced<T>(steps: Generator<number, T>, pace: Pace, from: number, to: number): Promise<T> {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    await pace.at(from + (to - from) * value);
  }
}

/** Files of other programs: opened, looked through beside what is here, and turned into what comes in. */
export class ForeignFile {
  private table: Table | null = null;
  private holdings: Holdings | null = null;

  constructor(private readonly store: Store) {}

  /** What the last look comes to; null before there was one. */
  get found(): Holdings | null {
    return this.holdings;
  }

  async open(file: Blob, encoding: Encoding | null, span: ForeignSpan, pace: Pace): Promise<Foreign> {
    [this.table, this.holdings] = [null, null];
    const read = decoded(new Uint8Array(await file.arrayBuffer()), encoding);
    await pace.at(0.1);
    if (/^\s*BEGIN:VCALENDAR/i.test(read.text)) return this.openCalendar(read.text, span, pace);
    if (/^\s*BEGIN:VCARD/i.test(read.text)) {
      const contacts = readContacts(read.text);
      return contacts.ok
        ? this.openTable({ ...read, text: contacts.csv }, true)
        : { kind: 'no-contacts', detail: contacts.detail };
    }
    return this.openTable(read, false);
  }

  private openTable({ text, encoding, isGuessed }: ReturnType<typeof decoded>, isContacts: boolean): Foreign {
    const read = readTable(text);
    if (!read.ok) return { kind: 'refused', why: read.why };
    this.table = read.table;
    return {
      kind: 'table',
      columns: read.table.columns,
      rowCount: read.table.rows.length,
      encoding,
      isGuessed,
      isContacts,
    };
  }

  private async openCalendar(text: string, { from, until, offsets }: ForeignSpan, pace: Pace): Promise<Foreign> {
    const read = await paced(
      readingCalendar(text, { from, until, offsetAt: (at) => offsetIn(offsets, at) }),
      pace,
      0.1,
      1,
    );
    if (!read.ok) return { kind: 'no-calendar', detail: read.detail };
    const kept: KeptJob[] = [];
    for (const { jobId } of read.found.stops) {
      const job = await this.store.job(jobId);
      if (job) kept.push(job);
    }
    const { blocked, leftOut } = read.found;
    this.holdings = calendarHoldings(read.found, kept, Date.now());
    const moved = this.holdings.jobs.map(({ job }) => ({ id: job.id, name: job.name, date: job.date, hour: job.hour }));
    return {
      kind: 'calendar',
      calendar: {
        moved: moved.slice(0, SHOWN),
        movedCount: moved.length,
        blocked: blocked.slice(0, SHOWN),
        blockedCount: blocked.length,
        leftOut,
      },
    };
  }

  /**
   * Looks the open table through beside what is here.
   * @param taken columns that somebody has chosen; the others are guessed
   * @throws Error where no table is open
   */
  async look(kind: TableKind, taken: Mapping, currency: string, pace: Pace): Promise<TableReview> {
    if (!this.table) throw new Error('The file is no longer open. Choose it again.');
    const mapping = { ...guessMapping(kind, this.table.columns), ...taken };
    const rows = await paced(readingRows(kind, this.table, mapping), pace, 0, 0.4);
    const { holdings, outcomes } = await paced(
      gatheringHoldings(kind, rows, await this.here(kind, currency)),
      pace,
      0.4,
      1,
    );
    this.holdings = holdings;
    return reviewOf(mapping, rows, { holdings, outcomes });
  }

  private async here(kind: TableKind, currency: string): Promise<Here> {
    return {
      library: await this.store.library(),
      visits: kind === 'visits' ? await this.visits() : [],
      currency,
      at: Date.now(),
    };
  }

  private async visits(): Promise<readonly KnownVisit[]> {
    const jobs = (await this.store.briefs()).map(({ job }) => job);
    return logOf(jobs).flatMap(({ day, minutes, job: { client, name, vehicle } }) =>
      minutes === null ? [] : [name, vehicle.name].map((car) => ({ date: day, client, car, minutes })),
    );
  }
}

const outcomeKinds: readonly Outcome['kind'][] = ['new', 'changes', 'adds-to', 'here', 'again', 'faulty'];

function reviewOf(mapping: Mapping, rows: readonly RowRead[], { holdings, outcomes }: TableHoldings): TableReview {
  const all = rows.map(({ line, values }, i): RowReview => ({ line, values, outcome: outcomes[i]! }));
  const isFaulty = ({ outcome }: RowReview): boolean => outcome.kind === 'faulty';
  const countOf = (kind: Outcome['kind']): number =>
    outcomes.reduce((count, outcome) => count + (outcome.kind === kind ? 1 : 0), 0);
  const items = (['client', 'vehicle', 'product', 'towel'] as const).map((kind) => ({
    kind,
    count: holdings.library.filter((entry) => entry.kind === kind).length,
  }));
  return {
    mapping,
    rows: [...all.filter(isFaulty).slice(0, SHOWN), ...all.filter((row) => !isFaulty(row)).slice(0, SHOWN)].slice(
      0,
      SHOWN,
    ),
    counts: Object.fromEntries(outcomeKinds.map((kind) => [kind, countOf(kind)])) as TableReview['counts'],
    arriving: [...items, { kind: 'job' as const, count: holdings.jobs.length }].filter(({ count }) => count > 0),
  };
}
