import { type Job, type Restock, type TowelRole, type Van, carriedKinds, towelRoles } from '../model';
import type { Plan } from '../planning';
import { isFromBucket } from '../mix';
import type { Stocks } from './problem';

/** What a van may run short of: clean water, room for dirty water, minutes of the packs, clean towels of each role. */
export const stockKinds = carriedKinds;
export type StockKind = (typeof stockKinds)[number];

const isTowels = (kind: StockKind): kind is TowelRole => (towelRoles as readonly string[]).includes(kind);

export const stocksOf = (of: (kind: StockKind) => number): Stocks => stockKinds.map(of);

/** A van that holds more of something. */
export function carrying(van: Van, kind: StockKind, amount: number): Van {
  switch (kind) {
    case 'water':
      return { ...van, waterL: van.waterL + amount };
    case 'drain':
      return { ...van, dirtyL: van.dirtyL + amount };
    case 'battery':
      return { ...van, batteryMin: van.batteryMin + amount };
    default:
      return { ...van, towels: { ...van.towels, [kind]: van.towels[kind] + amount } };
  }
}

/** A van as it is full. */
export const holdsOf = ({ waterL, dirtyL, batteryMin, towels }: Van): Stocks =>
  stocksOf((kind) =>
    isTowels(kind) ? towels[kind] : kind === 'water' ? waterL : kind === 'drain' ? dirtyL : batteryMin,
  );

export const gainsOf = ({ chargePerMin }: Van): Stocks => stocksOf((kind) => (kind === 'battery' ? chargePerMin : 0));

/** Which stocks are filled up where this is given. */
export const givenBy = (gives: readonly Restock[]): readonly boolean[] =>
  stockKinds.map((kind) => gives.includes(isTowels(kind) ? 'towels' : kind));

/** What is carried away again: what stays in buckets, and what a mat has caught. */
const dirtyL = ({ mix, totals }: Plan, { site }: Job): number =>
  mix.mixes.reduce(
    (sum, one) =>
      sum +
      (isFromBucket(one.content) || one.content === 'rinse'
        ? Math.max(0, one.makeMl + one.haveMl - one.demandMl) / 1000
        : 0),
    0,
  ) + (site.runoff === 'captured' ? totals.runoffL.value : 0);

/** What one job takes out of the van; where there is a tap, no water. */
export function takenFrom(plan: Plan, job: Job): Stocks {
  const batteryMin = plan.zones.reduce((sum, { option }) => sum + (option?.usage.batteryMin ?? 0), 0);
  const towels = (role: TowelRole): number => plan.towels.filter((towel) => towel.role === role).length;
  return stocksOf((kind) => {
    if (isTowels(kind)) return towels(kind);
    if (kind === 'water') return job.site.tap ? 0 : plan.mix.litres;
    return kind === 'drain' ? dirtyL(plan, job) : batteryMin;
  });
}
