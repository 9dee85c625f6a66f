import { resolveAssumptions } from '../assumptions';
import { type Job, type Lot, type TowelRole, towelRoles } from '../model';
import { isFromBucket } from '../mix';
import { type Plan, planJob } from '../planning';
import type { Study } from '../studies';
import { Laundry } from './lot-laundry';
import { openedTowels } from './lot-towels';

/** What a lot runs short of first: clean water, clean towels of a role, or a product by its id. */
type LotStock =
  | { readonly kind: 'water' }
  | { readonly kind: 'towels'; readonly role: TowelRole }
  | { readonly kind: 'product'; readonly productId: string };

/** A stock that does not do for all cars. */
export interface LotShortage {
  readonly stock: LotStock;
  /** Number of the car at which it is short, from 0, and when that is begun, minutes from midnight. */
  readonly car: number;
  readonly atMin: number;
  /** For the whole lot, and what is brought: L, towels, mL. */
  readonly needs: number;
  readonly has: number;
}

/** One car of a lot. */
interface LotCar {
  /** Number of its class, from 0. */
  readonly of: number;
  readonly person: number;
  readonly beginMin: number;
  readonly endMin: number;
  /** Its buckets are filled anew. */
  readonly freshWater: boolean;
}

export interface LotPlan {
  readonly cars: readonly LotCar[];
  /** Classes that cannot be washed here and now. */
  readonly cannot: readonly number[];
  /** By class; one that cannot be washed has its refusal. */
  readonly plans: readonly Plan[];
  readonly endMin: number;
  readonly carsAnHour: number;
  /** By hand, on the average. */
  readonly minutesACar: number;
  readonly litres: number;
  /** Out of the van at once at most: with laundry on the way fewer than are used. */
  readonly towels: Readonly<Record<TowelRole, number>>;
  /** Loads of laundry on the way. */
  readonly loads: number;
  readonly productMl: ReadonlyMap<string, number>;
  /** The one that comes first in time first; none where all that is brought does. */
  readonly shortages: readonly LotShortage[];
}

const HOUR_MIN = 60;

/** One car as one person washes it. */
const alone = ({ job }: Lot['classes'][number]): Job => ({ ...job, site: { ...job.site, workers: 1 } });

const secondsOf = ({ timeline: { steps } }: Plan, kind: 'setup' | 'pack'): number =>
  steps.reduce((sum, step) => sum + (step.kind === kind ? step.endS - step.startS : 0), 0);

/** On the clock for one car more, without setting up and packing. */
const carMin = (plan: Plan): number =>
  (plan.timeline.elapsedS - secondsOf(plan, 'setup') - secondsOf(plan, 'pack')) / 60;

/** Cars in the order of their bays, each to whoever is free first; all set up once, and pack at the end. */
function carsOf(
  lot: Lot,
  plans: readonly Plan[],
  doable: readonly number[],
): { readonly cars: readonly LotCar[]; readonly endMin: number } {
  const setUpMin = Math.max(0, ...doable.map((of) => secondsOf(plans[of]!, 'setup'))) / 60;
  const packMin = Math.max(0, ...doable.map((of) => secondsOf(plans[of]!, 'pack'))) / 60;
  const free = Array.from({ length: lot.people }, () => lot.startHour * HOUR_MIN + setUpMin);
  const washed = Array.from({ length: lot.people }, () => 0);
  const cars: LotCar[] = [];
  for (const of of doable) {
    for (let i = 0; i < lot.classes[of]!.count; i++) {
      const person = free.indexOf(Math.min(...free));
      const moved = cars.some((car) => car.person === person) ? lot.moveMin : 0;
      const beginMin = free[person]! + moved;
      const endMin = beginMin + carMin(plans[of]!);
      cars.push({ of, person, beginMin, endMin, freshWater: washed[person]! % Math.max(1, lot.carsPerBucket) === 0 });
      washed[person]!++;
      free[person] = endMin;
    }
  }
  return { cars, endMin: Math.max(...free) + packMin };
}

/** Water and product of a mix. */
interface Poured {
  readonly litres: number;
  readonly productMl: number;
}

/** What a vessel is filled with for one car: what goes onto it with its waste, and what stays until the vessel is emptied. */
interface Filled {
  readonly vessel: string;
  /** A bucket, when its water is changed; a sprayer serves all cars with what stays in it. */
  readonly isEmptied: boolean;
  readonly productId: string | undefined;
  readonly used: Poured;
  readonly stays: Poured;
}

const times = ({ litres, productMl }: Poured, share: number): Poured => ({
  litres: litres * share,
  productMl: productMl * share,
});

const idOf = (name: string | null, { products }: Job): string | undefined =>
  products.find((product) => product.name === name)?.id;

/** Fillings of a car’s own plan, vessel by vessel: a lot of one takes them as they are. */
function filledFor(plan: Plan, job: Job): readonly Filled[] {
  const { wasteFactor } = resolveAssumptions(job.choices.assumptions);
  return plan.mix.mixes.map(({ content, vessel, demandMl, fills, productMl, productName }): Filled => {
    const totalMl = fills.reduce((sum, fill) => sum + fill.totalMl, 0);
    const all = { litres: fills.reduce((sum, fill) => sum + fill.waterMl, 0) / 1000, productMl };
    const share = totalMl > 0 ? Math.min(1, (demandMl * wasteFactor) / totalMl) : 0;
    return {
      vessel: `${vessel.id}/${productName}`,
      isEmptied: isFromBucket(content) || content === 'rinse',
      productId: idOf(productName, job),
      used: times(all, share),
      stays: times(all, 1 - share),
    };
  });
}

/** What is out of the van by the time each car is done, of all that is drawn. */
class Drawn {
  private readonly out = new Map<string, number>();
  private readonly most = new Map<string, number>();
  private readonly shortAt = new Map<string, number>();

  constructor(private readonly has: ReadonlyMap<string, number>) {}

  take(key: string, amount: number, car: number): void {
    const sum = (this.out.get(key) ?? 0) + amount;
    this.out.set(key, sum);
    this.most.set(key, Math.max(sum, this.of(key)));
    if (sum > (this.has.get(key) ?? Infinity) + 1e-9 && !this.shortAt.has(key)) this.shortAt.set(key, car);
  }

  /** It is in the van again. */
  back(key: string, amount: number): void {
    this.out.set(key, (this.out.get(key) ?? 0) - amount);
  }

  /** The most that is ever out of the van: of what never comes back, all of it. */
  of(key: string): number {
    return this.most.get(key) ?? 0;
  }

  shortages(cars: readonly LotCar[], stockOf: (key: string) => LotStock): readonly LotShortage[] {
    return [...this.shortAt].map(([key, car]) => ({
      stock: stockOf(key),
      car,
      atMin: cars[car]!.beginMin,
      needs: this.of(key),
      has: this.has.get(key)!,
    }));
  }
}

const WATER = 'water';
const keyOfTowels = (role: TowelRole): string => `towels/${role}`;

function stockOf(key: string): LotStock {
  if (key === WATER) return { kind: 'water' };
  const role = towelRoles.find((one) => keyOfTowels(one) === key);
  return role ? { kind: 'towels', role } : { kind: 'product', productId: key };
}

/** Towels out of the van as cars are begun, and back from the wash; tells how many loads that takes. */
function drawTowels(
  lot: Lot,
  opened: readonly { readonly role: TowelRole; readonly car: number }[],
  cars: readonly LotCar[],
  drawn: Drawn,
): number {
  const laundry = lot.laundry && new Laundry(lot.laundry);
  const inUse = [...opened].sort((p, q) => cars[p.car]!.endMin - cars[q.car]!.endMin);
  for (const { role, car } of [...opened].sort((p, q) => cars[p.car]!.beginMin - cars[q.car]!.beginMin)) {
    const { beginMin } = cars[car]!;
    while (laundry && inUse[0] && cars[inUse[0].car]!.endMin <= beginMin) {
      const used = inUse.shift()!;
      laundry.used(used.role, cars[used.car]!.endMin);
    }
    for (const clean of laundry?.backBy(beginMin) ?? []) drawn.back(keyOfTowels(clean), 1);
    drawn.take(keyOfTowels(role), 1, car);
  }
  return laundry?.loads ?? 0;
}

/** Water that no mix is made with, L: what a bottle is thinned with, and what a steamer takes. */
const besidesOf = ({ totals }: Plan): number =>
  totals.litres.parts.reduce(
    (sum, { code, value }) => sum + (code === 'source.bottled' || code === 'source.line' ? value : 0),
    0,
  );

function drawnBy(
  lot: Lot,
  plans: readonly Plan[],
  cars: readonly LotCar[],
): { readonly drawn: Drawn; readonly loads: number } {
  const drawn = new Drawn(
    new Map([
      [WATER, lot.van.waterL],
      ...towelRoles.map((role): [string, number] => [keyOfTowels(role), lot.van.towels[role]]),
      ...lot.products.map(({ productId, ml }): [string, number] => [productId, ml]),
    ]),
  );
  const perClass = plans.map((plan, of) => ({
    filled: filledFor(plan, lot.classes[of]!.job),
    bottles: plan.bottles,
    besidesL: besidesOf(plan),
    hasTap: lot.classes[of]!.job.site.tap,
  }));
  const begun = new Set<string>();
  cars.forEach(({ of, person, freshWater }, car) => {
    const { filled, bottles, besidesL, hasTap } = perClass[of]!;
    const pour = ({ litres, productMl }: Poured, productId: string | undefined): void => {
      if (!hasTap) drawn.take(WATER, litres, car);
      if (productId) drawn.take(productId, productMl, car);
    };
    for (const { vessel, isEmptied, productId, used, stays } of filled) {
      const own = `${person}/${vessel}`;
      pour(used, productId);
      if (isEmptied ? freshWater : !begun.has(own)) pour(stays, productId);
      begun.add(own);
    }
    for (const { productName, productMl } of bottles)
      pour({ litres: 0, productMl }, idOf(productName, lot.classes[of]!.job));
    pour({ litres: besidesL, productMl: 0 }, undefined);
  });
  return { drawn, loads: drawTowels(lot, openedTowels(lot, plans, cars), cars, drawn) };
}

/**
 * A lot planned car by car: set up once, cars in the order of their bays to whoever is free, towels through each hand from the first car to
 * the last, fresh bucket water every few cars, and what is short first with when. One car is a lot of one.
 */
export function* planLot(lot: Lot): Study<LotPlan> {
  const plans: Plan[] = [];
  for (const one of lot.classes) {
    plans.push(planJob(alone(one)));
    yield (plans.length / (lot.classes.length + 1)) * 0.9;
  }
  const all = lot.classes.map((_class, of) => of);
  const doable = all.filter((of) => plans[of]!.method !== 'decline');
  const { cars, endMin } = carsOf(lot, plans, doable);
  const { drawn, loads } = drawnBy(lot, plans, cars);
  const workedMin = endMin - lot.startHour * HOUR_MIN;
  const ids = [...new Set(lot.classes.flatMap(({ job }) => job.products.map(({ id }) => id)))].filter(
    (id) => drawn.of(id) > 0,
  );
  return {
    cars,
    cannot: all.filter((of) => !doable.includes(of)),
    plans,
    endMin,
    carsAnHour: workedMin > 0 ? (cars.length / workedMin) * HOUR_MIN : 0,
    minutesACar: cars.length > 0 ? cars.reduce((sum, car) => sum + car.endMin - car.beginMin, 0) / cars.length : 0,
    litres: drawn.of(WATER),
    towels: Object.fromEntries(towelRoles.map((role) => [role, drawn.of(keyOfTowels(role))])) as Record<
      TowelRole,
      number
    >,
    loads,
    productMl: new Map(ids.map((id) => [id, drawn.of(id)])),
    shortages: [...drawn.shortages(cars, stockOf)].sort((p, q) => p.atMin - q.atMin),
  };
}
