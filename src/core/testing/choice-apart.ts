import fc from 'fast-check';
import type loadHighs from 'highs';
import { type Job, type SoilKind, type SoilLevel, bodies, habitAnswers, soilKinds } from '../model';
import { type Prepared, prepare } from '../planning/choose';
import { type Budget, budgets } from '../reasons';
import { zoneOptions } from '../rules/evaluate';
import { kitSets } from '../rules/kit-set';
import { type Option, type Usage, vectorOf } from '../rules/option';
import { contextOf } from '../rules/context';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from './sample';

/** A mixed-integer solver that knows nothing of ours. */
export type Highs = Awaited<ReturnType<typeof loadHighs>>;

/** All that there is to choose from. */
export const preparedFor = (job: Job): Prepared => {
  const context = contextOf(job);
  return prepare({
    zones: zoneOptions(context),
    kitSets: kitSets(context),
    fixed: {},
    allows: () => true,
    body: new Set(),
  });
};

const term = (value: number, name: string): string => `${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(12)} ${name}`;

/** Least cost of one set of stations by an independent mixed-integer solver; Infinity for none. */
function solvedApart(highs: Highs, groups: readonly (readonly Option[])[], room: readonly number[]): number {
  const name = (g: number, i: number): string => `x${g}_${i}`;
  const objective = groups.flatMap((options, g) => options.map(({ cost }, i) => term(cost, name(g, i))));
  const one = groups.map((options, g) => ` pick${g}: ${options.map((_o, i) => `+ 1 ${name(g, i)}`).join(' ')} = 1`);
  const kept = room.flatMap((cap, b) =>
    cap > 1e12
      ? []
      : [
          ` keep${b}: ${groups.flatMap((options, g) => options.map(({ use }, i) => term(use[b]!, name(g, i)))).join(' ')} <= ${cap.toFixed(12)}`,
        ],
  );
  const names = groups.flatMap((options, g) => options.map((_o, i) => name(g, i)));
  const model = `Minimize\n obj: ${objective.join(' ')}\nSubject To\n${[...one, ...kept].join('\n')}\nBinary\n ${names.join(' ')}\nEnd`;
  const solution = highs.solve(model, { mip_rel_gap: 1e-9, mip_abs_gap: 1e-9, time_limit: 10 });
  if (solution.Status === 'Optimal') return solution.ObjectiveValue;
  if (solution.Status === 'Infeasible') return Infinity;
  return NaN;
}

/** Least cost of any choice within the budgets; Infinity for none, NaN where the solver runs out of time. */
export function bestApart(highs: Highs, { selecting: { groups, sets } }: Prepared, capacity: Usage): number {
  const caps = vectorOf(capacity);
  return sets.reduce((best, { provides, use, bound, cost }) => {
    if (bound >= best) return best;
    const served = groups.map((options) =>
      options.filter(({ needs }) => (needs & ~provides) === 0).map(({ value }) => value),
    );
    const room = caps.map((cap, b) => cap - use[b]!);
    if (room.some((left) => left < 0)) return best;
    return Math.min(best, solvedApart(highs, served, room) + cost);
  }, Infinity);
}

/** Budgets that often bind. */
export const anyCapacity = fc.record(
  Object.fromEntries(
    budgets.map((budget) => [budget, fc.integer(budget === 'minutes' ? { min: 25, max: 90 } : { min: 3, max: 25 })]),
  ) as Record<Budget, fc.Arbitrary<number>>,
);

/** A car that is dirty here and clean there, as cars are: four kinds of soil by cleanliness class. */
export const anyMixedJob = fc
  .record({
    body: fc.constantFrom(...bodies),
    marks: fc.array(
      fc.record({ kind: fc.constantFrom<SoilKind>(...soilKinds), level: fc.constantFrom<SoilLevel>(0, 1, 2, 3) }),
      { minLength: 53, maxLength: 53 },
    ),
    approach: fc.constantFrom(...habitAnswers.approach),
    bucket: fc.constantFrom<Job['choices']['bucket']>('many-towels', 'one-guarded', 'two-buckets'),
  })
  .map(({ body, marks, approach, bucket }) =>
    sampleJob({
      vehicle: sampleVehicle(body),
      site: { ...sampleSite, runoff: 'captured' },
      soil: Object.fromEntries(
        Object.keys(soilAll('dust', 0)).map((id, i) => [id, { deposits: [marks[i % marks.length]!], spots: {} }]),
      ),
      choices: { ...sampleJob().choices, approach, bucket },
    }),
  );
