import type { Lot, VehicleMethod } from '../model';
import type { Study } from '../studies';
import { type LotPlan, planLot } from '../tour';

/** A lot with of each class only what it is washed with. */
export interface LotBrief extends Omit<LotPlan, 'plans'> {
  readonly methods: readonly VehicleMethod[];
  /** Product for all cars, in the minor unit of the currency; null where a price is not known. */
  readonly costMinor: number | null;
}

export function* lotQuestion(lot: Lot): Study<LotBrief> {
  const { plans, ...rest } = yield* planLot(lot);
  const costs = rest.cars.map(({ of }) => plans[of]!.totals.costMinor?.value ?? null);
  const costMinor = costs.reduce((sum, one) => (sum === null || one === null ? null : sum + one), 0 as number | null);
  return { ...rest, methods: plans.map(({ method }) => method), costMinor };
}
