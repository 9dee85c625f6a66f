import { type BandPrice, type Business, type Job, type VanSetUp, soilBands } from '../model';
import { type Plan, planAlone } from '../planning';
import { type Study, draws, jobDraws, quantile } from '../studies';
import { minorUnits } from '../units';
import { inBand } from './bands';
import { type Price, priceOf, roundedUp } from './price';
import { type VisitTakes, onceMin, takesFor, takesOf } from './takes';

export interface QuoteAsked {
  readonly job: Job;
  readonly business: Business;
  /** null where none is set up: then nobody drives. */
  readonly van: VanSetUp | null;
}

/** Several like cars in one visit. */
export interface CarsPrice {
  readonly cars: number;
  readonly totalMinor: number;
  readonly minutes: number;
  /** To oneself. */
  readonly costMinor: number;
  /** Share of the price of so many single visits that is saved. */
  readonly saved: number;
}

/** What may be said before the car is seen: minutes that do nearly always, and a price on them. */
export interface QuoteAnswer {
  readonly takes: VisitTakes;
  readonly price: Price;
  /** Minutes that are enough in half of the cases. */
  readonly typicalMin: number;
  readonly bands: readonly BandPrice[];
  readonly cars: readonly CarsPrice[];
}

/** Draws of soil, use of liquid and pace (judged: enough for a quantile to the minute). */
const DRAWS = 240;
const SLICE = 20;
const SEED = 0.15;
const counts = [1, 2, 3, 5, 10] as const;

/** Minutes on site that do in a share of the cases: what the draws take longer than the plan is added to the slot. */
function* minutesOf(job: Job, plan: Plan, done: (share: number) => number): Study<readonly number[]> {
  const draw = jobDraws(job, plan, draws(SEED));
  const more: number[] = [];
  while (more.length < DRAWS) {
    for (let i = 0; i < SLICE; i++) more.push(draw().minutes - plan.timeline.elapsedS / 60);
    yield done(more.length / DRAWS);
  }
  return more.map((minutes) => plan.slot.value + minutes);
}

/** Panels that a plan leaves out; of a car that is sent away all of them. */
const leftIn = ({ method, zones }: Plan): number =>
  method === 'decline' ? Infinity : zones.filter(({ leftBecause }) => leftBecause !== null).length;

/** What was agreed for the car, where the currency is that of the prices. */
const agreedFor = ({ soldAs, currency }: Job, business: Business): number | null =>
  currency === business.currency ? (soldAs?.priceMinor ?? null) : null;

/** The discount is worked out of costs; a price that is agreed is what one car pays in a visit of its own. */
function pricesOfCars(takes: VisitTakes, once: number, business: Business, alone: Price): readonly CarsPrice[] {
  return counts.map((cars): CarsPrice => {
    const all = takesFor(takes, cars, once);
    const [several, single] = [priceOf(all, business), priceOf(takes, business)];
    const saved = Math.max(0, 1 - several.netMinor / Math.max(1, cars * single.netMinor));
    return {
      cars,
      minutes: all.minutes,
      costMinor: several.costMinor,
      saved,
      totalMinor:
        cars === 1 ? alone.totalMinor : roundedUp(cars * alone.totalMinor * (1 - saved), business.roundToMinor),
    };
  });
}

/**
 * A price before the car is seen: labour on the quantile of the minutes, all else as planned; what the client pays more if the car turns
 * out dirtier; and several like cars in one visit. null where the car cannot be washed there as it is expected.
 */
export function* quoteOf({ job, business, van }: QuoteAsked): Study<QuoteAnswer | null> {
  const plan = planAlone(job);
  if (plan.method === 'decline') return null;
  const sample = yield* minutesOf(job, plan, (share) => share * 0.6);
  const planned = takesOf(plan, job, van);
  const quotedMin = quantile(sample, business.confidence);
  const longer = quotedMin - plan.slot.value;
  const takes: VisitTakes = { ...planned, minutes: quotedMin };
  const price = priceOf(takes, business, agreedFor(job, business));
  const asComputed = priceOf(takes, business);
  const bands: BandPrice[] = [];
  for (const band of soilBands) {
    const otherwise = inBand[band](job);
    const then = planAlone(otherwise);
    bands.push(
      leftIn(then) > leftIn(plan)
        ? { band, moreMinor: null, moreMin: null }
        : {
            band,
            moreMinor:
              priceOf({ ...takesOf(then, otherwise, van), minutes: then.slot.value + longer }, business).totalMinor -
              asComputed.totalMinor,
            moreMin: then.slot.value - plan.slot.value,
          },
    );
    yield 0.6 + (0.4 * bands.length) / soilBands.length;
  }
  return {
    takes,
    price,
    typicalMin: quantile(sample, 0.5),
    bands,
    cars: pricesOfCars(takes, onceMin(plan, job), business, price),
  };
}

/** Ours to begin with, each of them judged; a business changes what is otherwise. */
export const usualBusiness = (currency: string, minor: (amount: number) => number): Business => {
  const money = (amount: number) => minorUnits(minor(amount));
  return {
    ...{ id: 'business', name: 'Your business', address: '', contact: '', taxNumber: '', currency },
    ...{
      hourMinor: money(32),
      kmMinor: money(0.45),
      towelMinor: money(3.5),
      towelWashes: 150,
      loadMinor: money(2.2),
      loadTowels: 30,
    },
    ...{ waterMinor: money(5), wasteMinor: money(6), batteryHourMinor: money(1.5), overheadMinor: money(9) },
    ...{ marginShare: 0.2, taxName: 'VAT', taxShare: 0.2, roundToMinor: Math.max(1, minor(0.5)), confidence: 0.8 },
    ...{ quotePrefix: 'Q', invoicePrefix: 'I', validDays: 30, payDays: 14, terms: '' },
  };
};
