import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { type Job, type SoilKind, type SoilLevel, bodies, schools, soilKinds } from '../model';
import { type Budget, budgets } from '../reasons';
import { sampleJob, sampleSite, sampleVehicle, soilAll } from '../testing/sample';
import { type Prepared, choose, prepare } from './choose';
import { optionsOn, zoneOptions } from '../rules/evaluate';
import { kitSets } from '../rules/kit-set';
import { type Option, type Usage, vectorOf } from '../rules/option';
import { contextOf } from '../rules/context';
import { runs } from '@esmero/testing';

type Highs = Awaited<ReturnType<typeof loadHighs>>;
let highs: Highs;
beforeAll(async () => (highs = await loadHighs()));

const preparedFor = (job: Job): Prepared => {
  const context = contextOf(job);
  return prepare({
    zones: zoneOptions(context),
    kitSets: kitSets(context),
    fixed: {},
    allows: () => true,
  });
};

const term = (value: number, name: string): string => `${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(12)} ${name}`;

/** Least cost of one set of stations by an independent mixed-integer solver; Infinity for none. */
function solvedApart(groups: readonly (readonly Option[])[], room: readonly number[]): number {
  const name = (g: number, i: number): string => `x${g}_${i}`;
  const objective = groups.flatMap((options, g) => options.map(({ cost }, i) => term(cost, name(g, i))));
  const one = groups.map((options, g) => ` pick${g}: ${options.map((_o, i) => `+ 1 ${name(g, i)}`).join(' ')} = 1`);
  const kept = room.flatMap((cap, b) =>
    cap > 1e12
      ? []
      : [` keep${b}: ${groups.flatMap((options, g) => options.map(({ use }, i) => term(use[b]!, name(g, i)))).join(' ')} <= ${cap.toFixed(12)}`],
  );
  const names = groups.flatMap((options, g) => options.map((_o, i) => name(g, i)));
  const model = `Minimize\n obj: ${objective.join(' ')}\nSubject To\n${[...one, ...kept].join('\n')}\nBinary\n ${names.join(' ')}\nEnd`;
  const solution = highs.solve(model, { mip_rel_gap: 1e-9, mip_abs_gap: 1e-9, time_limit: 10 });
  if (solution.Status === 'Optimal') return solution.ObjectiveValue;
  if (solution.Status === 'Infeasible') return Infinity;
  return NaN;
}

function bestApart({ selecting: { groups, sets } }: Prepared, capacity: Usage): number {
  const caps = vectorOf(capacity);
  return sets.reduce((best, { provides, use, bound, cost }) => {
    if (bound >= best) return best;
    const served = groups.map((options) => options.filter(({ needs }) => (needs & ~provides) === 0).map(({ value }) => value));
    const room = caps.map((cap, b) => cap - use[b]!);
    if (room.some((left) => left < 0)) return best;
    return Math.min(best, solvedApart(served, room) + cost);
  }, Infinity);
}

const capacity = fc.record(
  Object.fromEntries(budgets.map((budget) => [budget, fc.integer(budget === 'minutes' ? { min: 25, max: 90 } : { min: 3, max: 25 })])) as Record<
    Budget,
    fc.Arbitrary<number>
  >,
);

/** A car that is dirty here and clean there, as cars are: four kinds of soil by cleanliness class. */
const anyJob = fc
  .record({
    body: fc.constantFrom(...bodies),
    marks: fc.array(
      fc.record({ kind: fc.constantFrom<SoilKind>(...soilKinds), level: fc.constantFrom<SoilLevel>(0, 1, 2, 3) }),
      { minLength: 53, maxLength: 53 },
    ),
    school: fc.constantFrom(...schools),
    bucket: fc.constantFrom<Job['choices']['bucket']>('many-towels', 'one-guarded', 'two-buckets'),
  })
  .map(({ body, marks, school, bucket }) =>
    sampleJob({
      vehicle: sampleVehicle(body),
      site: { ...sampleSite, runoff: 'captured' },
      soil: Object.fromEntries(
        Object.keys(soilAll('dust', 0)).map((id, i) => [id, { deposits: [marks[i % marks.length]!], spots: {} }]),
      ),
      choices: { ...sampleJob().choices, school, bucket },
    }),
  );

describe('the choice of treatments', () => {
  it('costs what an independent solver finds', { timeout: 600_000 }, () => {
    let compared = 0;
    fc.assert(
      fc.property(anyJob, capacity, (job, caps) => {
        const prepared = preparedFor(job);
        const result = choose(prepared, caps);
        const best = bestApart(prepared, caps);
        // Where the other solver runs out of time there is nothing to compare with.
        if (Number.isNaN(best)) return;
        if (!result.ok) {
          expect(best).toBe(Infinity);
          return;
        }
        const { cost, atLeast } = result.choice;
        expect(Math.abs(cost - best)).toBeLessThan(1e-6);
        expect(atLeast).toBe(cost);
        compared++;
      }),
      { numRuns: runs(400), seed: 20310714 },
    );
    expect(compared).toBeGreaterThan(runs(150));
  });

  it('works out both sides as one, and each as if it stood alone', () => {
    const context = contextOf(sampleJob({ choices: { ...sampleJob().choices, dirtLimit: 'index' }, soil: { ...soilAll('dust', 1), 'left-sill': { deposits: [{ kind: 'salt', level: 2 }], spots: {} } } }));
    const all = zoneOptions(context);
    context.zones.forEach((soiled, i) => {
      const alone = optionsOn(soiled, context);
      // Of a treatment with a pre-rinse there may be several amounts to choose from; the account has the best of them.
      for (const option of alone.filter(({ gates }) => gates.length === 0)) expect(all[i]!.options).toContainEqual(option);
      for (const { treatment } of all[i]!.options) expect(alone.find((option) => option.treatment === treatment)!.gates).toEqual([]);
      // What is shut is shut for a reason that the full account has, too.
      for (const { treatment, gates } of all[i]!.shut)
        expect(alone.find((option) => option.treatment === treatment)!.gates).toEqual(expect.arrayContaining([...gates]));
    });
  });

  it('never gets dearer with more of any budget', () => {
    const prepared = preparedFor(sampleJob({ soil: soilAll('road-film', 2) }));
    const caps = { litres: 12, runoffL: 5, minutes: 60, batteryMin: 20, wash: 8, finish: 8, drying: 2, glass: 3, wheels: 4 };
    const before = choose(prepared, caps);
    for (const budget of budgets) {
      const after = choose(prepared, { ...caps, [budget]: caps[budget] * 2 });
      if (before.ok && after.ok) expect(after.choice.cost).toBeLessThanOrEqual(before.choice.cost + 1e-6);
      if (before.ok) expect(after.ok).toBe(true);
    }
  });
});
