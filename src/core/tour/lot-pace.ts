import type { DoneCar } from '../model';
import { quantile } from '../studies';
import type { LotPlan } from './plan-lot';

/** How a lot goes by the cars that are done. */
export interface LotPace {
  /** Done cars that tell of the pace. */
  readonly cars: number;
  /** Minutes taken to minutes planned, in the middle; 1 before any is done. */
  readonly ratio: number;
  /** Eight of ten lots like this are done between these, minutes from now. */
  readonly leftMin: { readonly low: number; readonly median: number; readonly high: number };
  readonly left: number;
  readonly minutesACar: number;
}

/** Cars whose count weighs as much as the plan (judged), and how far hands are from the plan before any is done (judged, of the logarithm). */
const PRIOR_CARS = 2;
const PRIOR_SPREAD = 0.25;
const EIGHT_OF_TEN = 1.2816;
/** Longer than so many times its plan, or as much quicker, says nothing of the pace: somebody was away, or ticked off later (judged). */
const MOST_TIMES = 5;

/** What pace is reckoned from. */
type Timed = Pick<LotPlan, 'cars' | 'minutesACar'>;

/** Cars that one person ticked off at one go, with the minutes since the last go. */
interface Go {
  cars: number;
  plannedMin: number;
  tookMin: number;
}

/** Whoever ticks several off at once has washed them one after the other: they are one go. */
function goesOf({ cars }: Timed, done: readonly DoneCar[], begunAt: number): readonly Go[] {
  const lastOf = new Map<number, { readonly at: number; readonly go: Go | null }>();
  const goes: Go[] = [];
  for (const { car, person, at } of [...done].sort((p, q) => p.at - q.at)) {
    const planned = cars[car];
    if (!planned) continue;
    const plannedMin = planned.endMin - planned.beginMin;
    const last = lastOf.get(person) ?? { at: begunAt, go: null };
    const tookMin = (at - last.at) / 60_000;
    if (last.go && tookMin * MOST_TIMES < plannedMin) {
      last.go.cars++;
      last.go.plannedMin += plannedMin;
      last.go.tookMin += tookMin;
      lastOf.set(person, { at, go: last.go });
      continue;
    }
    const go = { cars: 1, plannedMin, tookMin };
    goes.push(go);
    lastOf.set(person, { at, go });
  }
  return goes;
}

const ratioOf = ({ tookMin, plannedMin }: Go): number => tookMin / plannedMin;

/** Those that tell of the pace. */
const tellingGoes = (plan: Timed, done: readonly DoneCar[], begunAt: number): readonly Go[] =>
  goesOf(plan, done, begunAt).filter((go) => ratioOf(go) * MOST_TIMES > 1 && ratioOf(go) < MOST_TIMES);

/**
 * When a lot is done at the pace of the cars that are, with its spread: the plan counts as much as two of them. A sample of five tells
 * how long seventy take.
 */
export function lotPace(plan: Timed, people: number, done: readonly DoneCar[], begunAt: number | null): LotPace {
  const goes = begunAt === null ? [] : tellingGoes(plan, done, begunAt);
  const ratios = goes.map(ratioOf);
  const logs = ratios.map(Math.log);
  const n = logs.length;
  const mean = logs.reduce((sum, one) => sum + one, 0) / (n + PRIOR_CARS);
  const spread = Math.sqrt(
    (logs.reduce((sum, one) => sum + (one - mean) ** 2, 0) + PRIOR_CARS * PRIOR_SPREAD ** 2) / (n + PRIOR_CARS),
  );
  const of = new Set(done.map(({ car }) => car));
  const open = plan.cars.filter((_car, i) => !of.has(i));
  const planned = open.reduce((sum, car) => sum + car.endMin - car.beginMin, 0) / people;
  // One car is as far off as another by chance, and all are by the pace that is not known yet.
  const relative = Math.sqrt(spread ** 2 / Math.max(1, open.length) + spread ** 2 / (n + PRIOR_CARS));
  const median = planned * Math.exp(mean);
  return {
    cars: goes.reduce((sum, { cars }) => sum + cars, 0),
    ratio: n === 0 ? 1 : quantile(ratios, 0.5),
    left: open.length,
    minutesACar: plan.minutesACar * Math.exp(mean),
    leftMin: {
      low: median * Math.exp(-EIGHT_OF_TEN * relative),
      median,
      high: median * Math.exp(EIGHT_OF_TEN * relative),
    },
  };
}
