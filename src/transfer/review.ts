import { amountAt, balancesOf, settled } from '@esmero/core';
import type { EntryKind, Movement, StockItem } from '@esmero/model';
import { type KeptJob, type Stamp, compared, same } from '@esmero/records';
import { type Store, type StoredEntry, type StoredJob, entryId } from '@esmero/store';
import type { Pace } from './pace';
import { type Aside, type Source, isAside } from './source';

/** How what a file holds stands to what is here. */
export const standings = ['new', 'same', 'older', 'newer', 'different'] as const;
export type Standing = (typeof standings)[number];

/** What is to become of it: what is here stays, what the file has comes in, or both are kept. */
export const choices = ['mine', 'theirs', 'both'] as const;
export type Choice = (typeof choices)[number];

/** One job or item of a file. */
export interface ReviewRow {
  readonly key: string;
  readonly kind: 'job' | EntryKind;
  readonly name: string;
  /** Client and day of a job. */
  readonly detail: string;
  readonly standing: Standing;
  /** When it was changed last, milliseconds since 1970; 0 where nobody noted it. */
  readonly mineAt: number;
  readonly theirsAt: number;
  /** Revision of what is here; null where there is nothing. */
  readonly expects: number | null;
}

/** What the movements of a file would do to the stock. */
export interface StockReview {
  readonly fresh: number;
  readonly here: number;
  /** Is it a later or earlier state of this very stock, or another one altogether? */
  readonly related: boolean;
  readonly changes: readonly { readonly item: StockItem; readonly before: number; readonly after: number }[];
}

export interface Review {
  readonly source: Source['kind'];
  readonly rows: readonly ReviewRow[];
  readonly stock: StockReview;
  readonly pictures: { readonly fresh: number; readonly here: number };
  /** Jobs that cannot be read: the rest comes in without them. */
  readonly aside: readonly Aside[];
}

/** What can be chosen, and what is chosen unless somebody says otherwise: nothing of one’s own is ever given up unasked. */
export const offered: Readonly<Record<Standing, readonly Choice[]>> = {
  new: ['theirs', 'mine'],
  same: ['mine'],
  older: ['mine', 'theirs', 'both'],
  newer: ['theirs', 'mine', 'both'],
  different: ['both', 'mine', 'theirs'],
};
export const usual = (standing: Standing): Choice => offered[standing][0]!;

function standingOf(
  mine: (Stamp & { readonly archived: boolean }) | undefined,
  theirs: Stamp & { readonly archived: boolean },
  isSame: () => boolean,
): Standing {
  if (!mine) return 'new';
  if (mine.archived === theirs.archived && isSame()) return 'same';
  const follows = compared(mine.vector, theirs.vector);
  return follows === 'older' || follows === 'newer' ? follows : 'different';
}

const jobStanding = (
  mine: StoredJob | undefined,
  theirs: Parameters<typeof standingOf>[1] & Pick<StoredJob, 'job'>,
): Standing => standingOf(mine, theirs, () => same(mine!.job, theirs.job));

/** How many towels are clean is told by the stock, not by the item. */
const without = (item: object): object => {
  const { clean: _clean, ...rest } = item as { readonly clean?: unknown };
  return rest;
};

const entryStanding = (
  mine: StoredEntry | undefined,
  theirs: Parameters<typeof standingOf>[1] & Pick<StoredEntry, 'item'>,
): Standing => standingOf(mine, theirs, () => same(without(mine!.item), without(theirs.item)));

function stockReview(mine: readonly Movement[], theirs: readonly Movement[]): StockReview {
  const known = new Set(mine.map(({ id }) => id));
  const fresh = theirs.filter(({ id }) => !known.has(id));
  const [before, after] = [balancesOf(settled(mine)), balancesOf(settled([...mine, ...fresh]))];
  const changes = [...after.keys()].flatMap((item) => {
    const [was, is] = [amountAt(before, item, 'shelf'), amountAt(after, item, 'shelf')];
    return was === is ? [] : [{ item, before: was, after: is }];
  });
  return {
    fresh: fresh.length,
    here: theirs.length - fresh.length,
    related: mine.length === 0 || fresh.length < theirs.length,
    changes,
  };
}

/** Jobs that are compared in one go. */
const PART = 40;
/** Of what stands aside no more is held at hand. */
const MOST_ASIDE_LETTERS = 20_000_000;

/** Holds what a file has beside what is here. */
export async function reviewOf(source: Source, store: Store, pace: Pace): Promise<Review> {
  const rows: ReviewRow[] = [];
  const aside: Aside[] = [];
  let asideLetters = 0;
  const known = new Set(await store.jobIds());
  const compare = async (part: readonly KeptJob[]): Promise<void> => {
    const here = new Map(
      (await store.jobs(part.flatMap(({ job: { id } }) => (known.has(id) ? [id] : [])))).map((mine) => [mine.id, mine]),
    );
    for (const theirs of part) {
      const { job } = theirs;
      const mine = here.get(job.id);
      rows.push({
        ...{
          key: `job/${job.id}`,
          kind: 'job',
          name: job.name,
          detail: [job.client, job.date].filter(Boolean).join(', '),
        },
        ...{
          standing: jobStanding(mine, theirs),
          mineAt: mine?.changedAt ?? 0,
          theirsAt: theirs.changedAt,
          expects: mine?.revision ?? null,
        },
      });
    }
  };
  let part: KeptJob[] = [];
  for await (const theirs of source.jobs()) {
    await pace.at(0.5 + (rows.length + part.length + aside.length) / (source.jobCount + 1) / 2);
    if (isAside(theirs)) {
      asideLetters += theirs.text?.length ?? 0;
      aside.push(asideLetters > MOST_ASIDE_LETTERS ? { ...theirs, text: null } : theirs);
      continue;
    }
    part.push(theirs);
    if (part.length < PART) continue;
    await compare(part);
    part = [];
  }
  await compare(part);
  const library = new Map((await store.library()).map((entry) => [entryId(entry), entry]));
  for (const theirs of source.library) {
    const mine = library.get(entryId(theirs));
    rows.push({
      ...{ key: entryId(theirs), kind: theirs.kind, name: theirs.item.name, detail: '' },
      ...{
        standing: entryStanding(mine, theirs),
        mineAt: mine?.changedAt ?? 0,
        theirsAt: theirs.changedAt,
        expects: mine?.revision ?? null,
      },
    });
  }
  const here = new Set(await store.photoKeys());
  const shared = [...source.photoKeys].filter((key) => here.has(key)).length;
  return {
    source: source.kind,
    rows,
    stock: stockReview(await store.movements(), source.movements),
    pictures: { fresh: source.photoKeys.size - shared, here: shared },
    aside,
  };
}
