import type { UsageAccount } from '../execution';
import {
  type Job,
  type Movement,
  type MovementKind,
  type Place,
  type RunUse,
  type StockItem,
  bottled,
  isBottled,
} from '../model';
import { productShare, readDilution } from '../mix';
import type { Plan } from '../planning';
import { toNumber } from '../units';
import { type Balances, EPS, amountAt, balancesOf, moved, stockItem } from './ledger';

/** A movement before it has a name and a time. */
export type Draft = Pick<Movement, 'kind' | 'job' | 'note' | 'expiresOn' | 'entries' | 'counts'>;

export const draft = (
  kind: MovementKind,
  entries: Draft['entries'],
  more: Partial<Omit<Draft, 'kind' | 'entries'>> = {},
): Draft => ({
  kind,
  job: null,
  note: '',
  expiresOn: null,
  ...more,
  entries,
});

/** So much as is there; outside there is always enough. */
const some = (balances: Balances, item: StockItem, from: Place, to: Place, amount: number): Draft['entries'] =>
  moved(item, from, to, from === 'outside' ? amount : Math.min(amount, Math.max(0, amountAt(balances, item, from))));

const added = (to: Map<StockItem, number>, item: StockItem, amount: number): void =>
  void to.set(item, (to.get(item) ?? 0) + amount);

/** Product that a plan measures out, and towels that it opens. */
function takenBy(plan: Plan, { products }: Job): ReadonlyMap<StockItem, number> {
  const taken = new Map<StockItem, number>();
  for (const { content, productName, productMl } of plan.mix.mixes) {
    const product = products.find(
      ({ name, uses }) =>
        name === productName && uses.some(({ purpose }) => purpose === (content === 'water' ? 'wash' : content)),
    );
    if (product && productMl > 0) added(taken, stockItem('product', product.id), productMl);
  }
  for (const { purpose, productName, productMl } of plan.bottles) {
    const product = products.find(
      ({ name, uses }) => name === productName && uses.some((use) => use.purpose === purpose),
    );
    if (product && productMl > 0) added(taken, stockItem('product', product.id), productMl);
  }
  for (const { batchId, missing, begun } of plan.towels)
    if (!missing && !begun) added(taken, stockItem('towel', batchId), 1);
  return taken;
}

/** What is set aside for a job by now. */
export function reservedFor(movements: readonly Movement[], job: string): ReadonlyMap<StockItem, number> {
  const own = balancesOf(movements.filter((one) => one.job === job));
  return new Map(
    [...own.keys()].flatMap((item): [StockItem, number][] =>
      amountAt(own, item, 'reserved') > 0 ? [[item, amountAt(own, item, 'reserved')]] : [],
    ),
  );
}

/** Sets aside for a job what its plan takes, as far as it is in stock; what was set aside for it before goes back first. */
export function reserving(job: Job, plan: Plan, movements: readonly Movement[]): readonly Draft[] {
  const back = releasing(job.id, movements);
  const balances = balancesOf([...movements, ...back]);
  const entries = [...takenBy(plan, job)].flatMap(([item, amount]) =>
    some(balances, item, 'shelf', 'reserved', amount),
  );
  return entries.length > 0 ? [...back, draft('reserved', entries, { job: job.id })] : back;
}

/** Puts back what was set aside for a job. */
export function releasing(job: string, movements: readonly Movement[]): readonly Draft[] {
  const entries = [...reservedFor(movements, job)].flatMap(([item, amount]) =>
    moved(item, 'reserved', 'shelf', amount),
  );
  return entries.length > 0 ? [draft('released', entries, { job })] : [];
}

/** Towels of a role that were opened: out of its batches in their order, as far as they go. */
function towelsUsed({ towels }: Job, use: RunUse): ReadonlyMap<StockItem, number> {
  const taken = new Map<StockItem, number>();
  for (const { role, opened } of use.towels) {
    let left = opened;
    for (const { id, clean } of towels.filter((batch) => batch.role === role)) {
      const now = Math.min(left, clean);
      if (now > 0) added(taken, stockItem('towel', id), now);
      left -= now;
    }
  }
  return taken;
}

/** Product that was measured out for the mixes of a run; more used than was made means that more was mixed. */
function productUsed({ products }: Job, { spent }: UsageAccount, { mixes }: RunUse): ReadonlyMap<StockItem, number> {
  const taken = new Map<StockItem, number>();
  for (const { purpose, usedMl } of mixes) {
    const product = products.find(({ uses }) => uses.some((use) => use.purpose === purpose));
    if (!product || isBottled(purpose)) continue;
    const [measured, made] = [spent.productMl[purpose] ?? 0, spent.madeMl[purpose] ?? 0];
    added(taken, stockItem('product', product.id), made > 0 ? measured * Math.max(1, usedMl / made) : 0);
  }
  // Nobody weighs a bottle before and after: what was laid out of it, as reckoned.
  for (const purpose of bottled) {
    const laid = spent.laidMl[purpose] ?? 0;
    const product = products.find(({ uses }) => uses.some((use) => use.purpose === purpose));
    const read = product && readDilution(product.uses.find((use) => use.purpose === purpose)!.dilution);
    if (product && read?.ok && laid > 0)
      added(taken, stockItem('product', product.id), laid * toNumber(productShare(read.dilution)));
  }
  return taken;
}

/** What is left of each mix, to the millilitre: it stands in its vessel. */
const leftIn = ({ spent, vessels }: UsageAccount, { mixes }: RunUse): readonly (readonly [StockItem, number])[] =>
  vessels.flatMap(({ content, vesselId }): (readonly [StockItem, number])[] => {
    const used = mixes.find(({ purpose }) => purpose === content);
    const left = (spent.madeMl[content] ?? 0) - (used?.usedMl ?? 0);
    return used ? [[stockItem('mix', `${vesselId}/${content}`), Math.max(0, Math.round(left))]] : [];
  });

/** What stood in vessels before they were filled anew. */
const standingIn = (vessels: readonly string[], balances: Balances): Draft['entries'] =>
  [...balances.keys()]
    .filter((item) => vessels.some((id) => item.startsWith(`mix/${id}/`)))
    .flatMap((item) => moved(item, 'shelf', 'outside', amountAt(balances, item, 'shelf')));

/** Movements of a job’s run: since things were last set aside for it. */
function ofRun(movements: readonly Movement[], job: string): readonly Movement[] {
  const own = movements.filter((one) => one.job === job);
  return own.slice(own.map(({ kind }) => kind).lastIndexOf('reserved') + 1);
}

const bookedAs = (kind: MovementKind, movements: readonly Movement[], job: string): Balances =>
  balancesOf(ofRun(movements, job).filter((one) => one.kind === kind));

/** Was this job’s run booked out already, and not taken back? */
export const isBooked = (movements: readonly Movement[], job: string): boolean => {
  const used = bookedAs('used', movements, job);
  return [...used.keys()].some((item) => amountAt(used, item, 'shelf') < 0);
};

/** Moves what is missing between what a run has taken by now and what it took; what was too much comes back. */
function settling(took: ReadonlyMap<StockItem, number>, to: Place, by: Balances, balances: Balances): Draft['entries'] {
  const items = new Set([...took.keys(), ...[...by.keys()].filter((item) => amountAt(by, item, to) > 0)]);
  return [...items].flatMap((item) => {
    const more = (took.get(item) ?? 0) - amountAt(by, item, to);
    if (Math.abs(more) < EPS) return [];
    return more > 0 ? some(balances, item, 'shelf', to, more) : some(balances, item, to, 'shelf', -more);
  });
}

/** What stands in a vessel after a run, unless somebody has been at it since. */
const standing = (left: ReturnType<typeof leftIn>, by: Balances, balances: Balances): Draft['entries'] =>
  left.flatMap(([item, ml]) => {
    const before = amountAt(by, item, 'shelf');
    return amountAt(balances, item, 'shelf') === before ? moved(item, 'outside', 'shelf', ml - before) : [];
  });

/**
 * Books out what a run took: product out of the house, towels to the laundry, what is left of the
 * mixes stands in its vessels. All that was measured out is gone from the bottle, poured or not.
 * After a corrected count only the difference moves.
 */
export function bookingOut(
  job: Job,
  reckoning: UsageAccount,
  use: RunUse,
  movements: readonly Movement[],
): readonly Draft[] {
  const back = releasing(job.id, movements);
  const by = (kind: MovementKind): Balances => bookedAs(kind, movements, job.id);
  const before = balancesOf([...movements, ...back]);
  const emptied = isBooked(movements, job.id)
    ? []
    : standingIn(
        reckoning.vessels.map(({ vesselId }) => vesselId),
        before,
      );
  const balances = balancesOf([...movements, ...back, { entries: emptied }]);
  const wand = job.gear.find(({ kind }) => kind === 'cordless-wand');
  const drained = new Map(wand ? [[stockItem('gear', wand.id), reckoning.spent.batteryMin]] : []);
  const booked: readonly (readonly [MovementKind, Draft['entries']])[] = [
    ['poured-away', emptied],
    [
      'used',
      [
        ...settling(productUsed(job, reckoning, use), 'outside', by('used'), balances),
        ...settling(towelsUsed(job, use), 'dirty', by('used'), balances),
      ],
    ],
    ['drained', settling(drained, 'outside', by('drained'), balances)],
    ['kept', standing(leftIn(reckoning, use), by('kept'), balances)],
  ];
  return [
    ...back,
    ...booked.flatMap(([kind, entries]) => (entries.length > 0 ? [draft(kind, entries, { job: job.id })] : [])),
  ];
}

/**
 * The same movement the other way; both are kept.
 * @param movement as it was settled: of a count, what it changed
 */
export const takingBack = ({ kind, job, expiresOn, entries }: Movement): Draft =>
  draft(
    kind,
    entries.map((entry) => ({ ...entry, amount: -entry.amount })),
    { job, expiresOn, note: 'taken back' },
  );

/** There is so much of it at a place now, whatever was noted until now. */
export const counting = (item: StockItem, place: Place, amount: number, kind: MovementKind = 'counted'): Draft => ({
  ...draft(kind, []),
  counts: [{ item, place, amount }],
});

/** What the library says of something that was never moved. */
export const opening = (item: StockItem, amount: number, note: string): readonly Draft[] =>
  amount > 0 ? [draft('counted', moved(item, 'outside', 'shelf', amount), { note })] : [];
