import type { Job, Movement, MovementKind, Place, RunUse, StockItem } from '../model';
import type { Plan } from '../plan/plan';
import type { Reckoning } from '../run/use';
import { type Balances, amountAt, balancesOf, moved, stockItem } from './ledger';

/** A movement before it has a name and a time. */
export type Draft = Pick<Movement, 'kind' | 'job' | 'note' | 'expiresOn' | 'entries'>;

export const draft = (kind: MovementKind, entries: Draft['entries'], more: Partial<Omit<Draft, 'kind' | 'entries'>> = {}): Draft => ({
  kind,
  job: null,
  note: '',
  expiresOn: null,
  ...more,
  entries,
});

/** So much as is there. */
const some = (balances: Balances, item: StockItem, from: Place, to: Place, amount: number): Draft['entries'] =>
  moved(item, from, to, Math.min(amount, Math.max(0, amountAt(balances, item, from))));

const added = (to: Map<StockItem, number>, item: StockItem, amount: number): void => void to.set(item, (to.get(item) ?? 0) + amount);

/** Product that a plan measures out, and towels that it opens. */
function takenBy(plan: Plan, { products }: Job): ReadonlyMap<StockItem, number> {
  const taken = new Map<StockItem, number>();
  for (const { content, productName, productMl } of plan.mix.mixes) {
    const product = products.find(({ name, uses }) => name === productName && uses.some(({ purpose }) => purpose === content));
    if (product && productMl > 0) added(taken, stockItem('product', product.id), productMl);
  }
  for (const { batchId, missing, begun } of plan.towels) if (!missing && !begun) added(taken, stockItem('towel', batchId), 1);
  return taken;
}

/** What is set aside for a job by now. */
export function reservedFor(movements: readonly Movement[], job: string): ReadonlyMap<StockItem, number> {
  const own = balancesOf(movements.filter((one) => one.job === job));
  return new Map([...own.keys()].flatMap((item): [StockItem, number][] => (amountAt(own, item, 'reserved') > 0 ? [[item, amountAt(own, item, 'reserved')]] : [])));
}

/** Sets aside for a job what its plan takes, as far as it is on the shelf; what was set aside for it before goes back first. */
export function reserving(job: Job, plan: Plan, movements: readonly Movement[]): readonly Draft[] {
  const back = releasing(job.id, movements);
  const balances = balancesOf([...movements, ...back]);
  const entries = [...takenBy(plan, job)].flatMap(([item, amount]) => some(balances, item, 'shelf', 'reserved', amount));
  return entries.length > 0 ? [...back, draft('reserved', entries, { job: job.id })] : back;
}

/** Puts back what was set aside for a job. */
export function releasing(job: string, movements: readonly Movement[]): readonly Draft[] {
  const entries = [...reservedFor(movements, job)].flatMap(([item, amount]) => moved(item, 'reserved', 'shelf', amount));
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
function productUsed({ products }: Job, { spent }: Reckoning, { mixes }: RunUse): ReadonlyMap<StockItem, number> {
  const taken = new Map<StockItem, number>();
  for (const { purpose, usedMl } of mixes) {
    const product = products.find(({ uses }) => uses.some((use) => use.purpose === purpose));
    if (!product || purpose === 'solvent') continue;
    const [measured, made] = [spent.productMl[purpose] ?? 0, spent.madeMl[purpose] ?? 0];
    added(taken, stockItem('product', product.id), made > 0 ? measured * Math.max(1, usedMl / made) : 0);
  }
  return taken;
}

/** What is left of each mix stands in its vessel. */
const kept = ({ spent, vessels }: Reckoning, { mixes }: RunUse): Draft['entries'] =>
  vessels.flatMap(({ content, vesselId }) => {
    const used = mixes.find(({ purpose }) => purpose === content);
    const left = (spent.madeMl[content] ?? 0) - (used?.usedMl ?? 0);
    return used && left > 0.5 ? moved(stockItem('mix', `${vesselId}/${content}`), 'outside', 'shelf', Math.round(left)) : [];
  });

/** What stood in vessels before they were filled anew. */
const standingIn = (vessels: readonly string[], balances: Balances): Draft['entries'] =>
  [...balances.keys()]
    .filter((item) => vessels.some((id) => item.startsWith(`mix/${id}/`)))
    .flatMap((item) => moved(item, 'shelf', 'outside', amountAt(balances, item, 'shelf')));

/**
 * Books out what a run took: product out of the house, towels to the laundry, what is left of the
 * mixes stands in its vessels. All that was measured out is gone from the bottle, poured or not.
 */
export function bookingOut(job: Job, reckoning: Reckoning, use: RunUse, movements: readonly Movement[]): readonly Draft[] {
  const back = releasing(job.id, movements);
  const balances = balancesOf([...movements, ...back]);
  const entries = [
    ...[...productUsed(job, reckoning, use)].flatMap(([item, amount]) => some(balances, item, 'shelf', 'outside', amount)),
    ...[...towelsUsed(job, use)].flatMap(([item, amount]) => some(balances, item, 'shelf', 'dirty', amount)),
  ];
  const wand = job.gear.find(({ kind }) => kind === 'cordless-wand');
  const drained = wand ? some(balances, stockItem('gear', wand.id), 'shelf', 'outside', reckoning.spent.batteryMin) : [];
  const left = kept(reckoning, use);
  const emptied = standingIn(reckoning.vessels.map(({ vesselId }) => vesselId), balances);
  return [
    ...back,
    ...(emptied.length > 0 ? [draft('poured-away', emptied, { job: job.id })] : []),
    ...(entries.length > 0 ? [draft('used', entries, { job: job.id })] : []),
    ...(drained.length > 0 ? [draft('drained', drained, { job: job.id })] : []),
    ...(left.length > 0 ? [draft('kept', left, { job: job.id })] : []),
  ];
}

/** Was this job booked out already? */
export const isBooked = (movements: readonly Movement[], job: string): boolean =>
  movements.some((one) => one.kind === 'used' && one.job === job);

/** The same movement the other way; both are kept. */
export const takingBack = ({ kind, job, expiresOn, entries }: Movement): Draft =>
  draft(kind, entries.map((entry) => ({ ...entry, amount: -entry.amount })), { job, expiresOn, note: 'taken back' });

/** Makes a place hold what was counted there: more comes from outside, less goes there. */
export function counting(item: StockItem, place: Place, counted: number, balances: Balances, note = ''): readonly Draft[] {
  const entries = moved(item, 'outside', place, counted - amountAt(balances, item, place));
  return entries.length > 0 ? [draft('counted', entries, { note })] : [];
}
