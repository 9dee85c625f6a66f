import type { AssumptionOverrides } from '../assumptions';
import { setAssumption } from '../edit';
import type { Job, VehicleMethod } from '../model';
import { capacityOf, fit, methodOf, planningProblem, prepare, reweighted, totalsOf } from '../planning';
import type { Study } from './study';

/** What the plans of the front are weighed by. */
export type Weights = Required<Pick<AssumptionOverrides, 'weightMarring' | 'weightMinute' | 'weightLitre'>>;

/** A plan that no other beats in marring, minutes and litres together. */
export interface TradeOff {
  readonly weights: Weights;
  readonly method: VehicleMethod;
  readonly index: number;
  readonly minutes: number;
  readonly litres: number;
}

/** Each of the three weights is taken this many times its default, or hardly at all. */
const LEAST_WEIGHT = 0.05;
const STEPS = 5;

/** Weights all over the triangle between "only marring", "only minutes" and "only litres". */
function weightings(a: Weights): readonly Weights[] {
  const shares: Weights[] = [];
  for (let i = 0; i <= STEPS; i++)
    for (let j = 0; i + j <= STEPS; j++) {
      const [p, q, r] = [i / STEPS, j / STEPS, (STEPS - i - j) / STEPS];
      const times = (share: number): number => LEAST_WEIGHT + 3 * share;
      shares.push({
        weightMarring: a.weightMarring * times(p),
        weightMinute: a.weightMinute * times(q),
        weightLitre: a.weightLitre * times(r),
      });
    }
  return shares;
}

const axes = ['index', 'minutes', 'litres'] as const;

/** At least as good everywhere, and better somewhere; a hair is no difference. */
const beats = (p: TradeOff, q: TradeOff): boolean =>
  axes.every((axis) => p[axis] <= q[axis] + 1e-9) && axes.some((axis) => p[axis] < q[axis] - 1e-9);

/** Differences that nobody would trade for anything: half a minute, a tenth of a point, a cup of water. */
const alike = { index: 0.1, minutes: 0.5, litres: 0.2 } as const;

const same = (p: TradeOff, q: TradeOff): boolean => axes.every((axis) => Math.abs(p[axis] - q[axis]) < alike[axis]);

/**
 * The Pareto front of marring, minutes and litres, as far as some weighting of the three prefers a
 * plan: the job is chosen again under many weightings, and what another plan beats is dropped. The
 * weighting that the job has is among them.
 */
export function* tradeOffsOf(job: Job): Study<readonly TradeOff[]> {
  const all = planningProblem(job);
  const { a } = all.context;
  const own: Weights = { weightMarring: a.weightMarring, weightMinute: a.weightMinute, weightLitre: a.weightLitre };
  const points: TradeOff[] = [];
  const list = [own, ...weightings(own)];
  for (const [i, weights] of list.entries()) {
    const context = { ...all.context, a: { ...a, ...weights } };
    const fitted = fit(prepare(reweighted(all.problem, context)), capacityOf(job), context);
    if (fitted.ok) {
      const { index, minutes, litres } = totalsOf(fitted.realised, context);
      const method = methodOf([...fitted.realised.choice.picks.values()]);
      points.push({ weights, method, index: index.value, minutes: minutes.value, litres: litres.value });
    }
    yield (i + 1) / list.length;
  }
  const distinct = points.filter((point, i) => points.findIndex((other) => same(other, point)) === i);
  return distinct.filter((point) => !distinct.some((other) => beats(other, point)));
}

/** The job weighed as a point of its front was. */
export const takeWeights = (job: Job, weights: Weights): Job =>
  Object.entries(weights).reduce((next, [key, value]) => setAssumption(next, key as keyof Weights, value), job);
