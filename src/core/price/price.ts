import { type Business, type CostKind, costKinds } from '../model';
import type { VisitTakes } from './takes';

export interface Cost {
  readonly kind: CostKind;
  readonly minor: number;
}

/** What a visit costs oneself, and what the client pays. Whole minor units, and every sum comes out to the last one. */
export interface Price {
  readonly currency: string;
  /** In their order; those of nothing are left out. Their sum is `costMinor`. */
  readonly costs: readonly Cost[];
  readonly costMinor: number;
  /** What is kept. Less than nothing where an agreed price does not cover the costs. Costs, margin and rounding are the net price. */
  readonly marginMinor: number;
  readonly roundingMinor: number;
  /** What is left of the net price, and its share of that. */
  readonly keptMinor: number;
  readonly keptShare: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly totalMinor: number;
  /** Sold for a price that was agreed beforehand. */
  readonly isAgreed: boolean;
}

const HOUR_MIN = 60;
const LITRES_PER_M3 = 1000;

/** Each cost by itself, not yet rounded. */
const costOf: Readonly<Record<CostKind, (takes: VisitTakes, business: Business) => number>> = {
  labour: ({ minutes, people }, { hourMinor }) => (minutes / HOUR_MIN) * people * hourMinor,
  driving: ({ drivingMin, people }, { hourMinor }) => (drivingMin / HOUR_MIN) * people * hourMinor,
  distance: ({ km }, { kmMinor }) => km * kmMinor,
  product: ({ productMinor }) => productMinor ?? 0,
  'towel-wear': ({ towels }, { towelMinor, towelWashes }) => (towels * towelMinor) / towelWashes,
  laundry: ({ towels }, { loadMinor, loadTowels }) => (towels * loadMinor) / loadTowels,
  water: ({ litres }, { waterMinor }) => (litres / LITRES_PER_M3) * waterMinor,
  waste: ({ wasteL }, { wasteMinor }) => (wasteL / LITRES_PER_M3) * wasteMinor,
  battery: ({ batteryMin }, { batteryHourMinor }) => (batteryMin / HOUR_MIN) * batteryHourMinor,
  overhead: (_takes, { overheadMinor }) => overheadMinor,
};

/** What this costs oneself, to the minor unit. */
export const costsOf = (takes: VisitTakes, business: Business): readonly Cost[] =>
  costKinds
    .map((kind) => ({ kind, minor: Math.round(costOf[kind](takes, business)) }))
    .filter(({ minor }) => minor !== 0);

/** To the next step that the business rounds to. */
export const roundedUp = (minor: number, to: number): number => Math.ceil(Math.round(minor) / to) * to;

/**
 * A price from what a visit takes. The total is rounded up to what the business rounds to, and the net price is what is left of it
 * without tax.
 * @param agreedMinor what the client pays in all, where that is agreed; null works it out
 */
export function priceOf(takes: VisitTakes, business: Business, agreedMinor: number | null = null): Price {
  const { currency, marginShare, taxShare, roundToMinor } = business;
  const costs = costsOf(takes, business);
  const costMinor = costs.reduce((sum, { minor }) => sum + minor, 0);
  const wanted = Math.round(costMinor * marginShare);
  const totalMinor = agreedMinor ?? roundedUp((costMinor + wanted) * (1 + taxShare), roundToMinor);
  const netMinor = Math.round(totalMinor / (1 + taxShare));
  const marginMinor = agreedMinor === null ? wanted : netMinor - costMinor;
  const keptMinor = netMinor - costMinor;
  const keptShare = netMinor > 0 ? keptMinor / netMinor : 0;
  return {
    currency,
    costs,
    costMinor,
    marginMinor,
    roundingMinor: keptMinor - marginMinor,
    keptMinor,
    keptShare,
    netMinor,
    taxMinor: totalMinor - netMinor,
    totalMinor,
    isAgreed: agreedMinor !== null,
  };
}
