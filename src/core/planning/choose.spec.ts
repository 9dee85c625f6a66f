import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { budgets } from '../reasons';
import { type Highs, anyCapacity, anyMixedJob, bestApart, preparedFor } from '../testing/choice-apart';
import { sampleJob, soilAll } from '../testing/sample';
import { choose } from './choose';
import { optionsOn, zoneOptions } from '../rules/evaluate';
import { contextOf } from '../rules/context';
import { runs } from '@esmero/testing';

let highs: Highs;
beforeAll(async () => (highs = await loadHighs()));

describe('the choice of treatments', () => {
  it('costs what an independent solver finds', { timeout: 600_000 }, () => {
    let [compared, exact] = [0, 0];
    fc.assert(
      fc.property(anyMixedJob, anyCapacity, (job, caps) => {
        const prepared = preparedFor(job);
        const result = choose(prepared, caps);
        const best = bestApart(highs, prepared, caps);
        // Where the other solver runs out of time there is nothing to compare with.
        if (Number.isNaN(best)) return;
        if (!result.ok) {
          expect(best).toBe(Infinity);
          return;
        }
        const { cost, atLeast } = result.choice;
        expect(atLeast).toBeLessThan(best + 1e-6);
        expect(cost).toBeGreaterThan(best - 1e-6);
        // What is not proved to be the best says how far off it can be, and that is next to nothing.
        expect(cost - atLeast).toBeLessThan(2e-3 * cost);
        if (atLeast === cost) exact++;
        compared++;
      }),
      { numRuns: runs(400), seed: 20310714 },
    );
    expect(compared).toBeGreaterThan(runs(150));
    expect(exact / compared).toBeGreaterThan(0.9);
  });

  it('works out both sides as one, and each as if it stood alone', () => {
    const context = contextOf(
      sampleJob({
        choices: { ...sampleJob().choices, dirtLimit: 'index' },
        soil: { ...soilAll('dust', 1), 'left-sill': { deposits: [{ kind: 'salt', level: 2 }], spots: {} } },
      }),
    );
    const all = zoneOptions(context);
    context.zones.forEach((soiled, i) => {
      const alone = optionsOn(soiled, context);
      // Of a treatment with a pre-rinse there may be several amounts to choose from; the account has the best of them.
      for (const option of alone.filter(({ gates }) => gates.length === 0))
        expect(all[i]!.options).toContainEqual(option);
      for (const { treatment } of all[i]!.options)
        expect(alone.find((option) => option.treatment === treatment)!.gates).toEqual([]);
      // What is shut is shut for a reason that the full account has, too.
      for (const { treatment, gates } of all[i]!.shut)
        expect(alone.find((option) => option.treatment === treatment)!.gates).toEqual(
          expect.arrayContaining([...gates]),
        );
    });
  });

  it('never gets dearer with more of any budget', () => {
    const prepared = preparedFor(sampleJob({ soil: soilAll('road-film', 2) }));
    const caps = {
      litres: 12,
      runoffL: 5,
      minutes: 60,
      batteryMin: 20,
      wash: 8,
      finish: 8,
      drying: 2,
      glass: 3,
      wheels: 4,
    };
    const before = choose(prepared, caps);
    for (const budget of budgets) {
      const after = choose(prepared, { ...caps, [budget]: caps[budget] * 2 });
      if (before.ok && after.ok) expect(after.choice.cost).toBeLessThanOrEqual(before.choice.cost + 1e-6);
      if (before.ok) expect(after.ok).toBe(true);
    }
  });
});
