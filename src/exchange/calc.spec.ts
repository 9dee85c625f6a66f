import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { calc, calcTopics } from './calc';

const fixture = JSON.parse(readFileSync('src/core/testing/fixtures/mixing.json', 'utf8')) as {
  readonly cases: readonly { readonly input: object; readonly expect: object }[];
};

describe('the mixing calculator', () => {
  it('answers the reference cases under their own names', () => {
    const answered = calc('mixing', JSON.stringify(fixture.cases.map(({ input }) => input)));
    expect(answered).toEqual({ ok: true, value: fixture.cases.map(({ expect: wanted }) => wanted) });
  });

  it('says which question is wrong and how', () => {
    const good = { label: '5', reading: 'water', fill: 'finalVolume', volumeMl: 750 };
    const answered = calc(
      'mixing',
      JSON.stringify([good, { ...good, label: '0', reading: 'whole' }, { ...good, volumeMl: -1 }]),
    );
    expect(answered).toMatchObject({
      ok: false,
      why: { faults: [{ path: '[1].label', expected: { code: 'dilution' } }, { path: '[2].volumeMl' }] },
    });
    expect(calc('mixing', '{}')).toMatchObject({ ok: false, why: { code: 'faults' } });
    expect(calc('mixing', 'nonsense')).toMatchObject({ ok: false, why: { code: 'not-json' } });
    expect(calc('mixing', '[null]')).toMatchObject({ ok: false, why: { faults: [{ path: '[0]' }] } });
  });
});

describe('the other calculators', () => {
  const physics = JSON.parse(readFileSync('src/core/testing/fixtures/physics.json', 'utf8')) as Record<
    'drying' | 'freezing',
    { input: object; expect: Record<string, number> }[]
  > & { settling: Record<'diameterUm' | 'waterC' | 'settlingMs', number>[] };

  it.each(['drying', 'freezing'] as const)('answer the reference cases of %s within a per cent', (topic) => {
    const answered = calc(topic, JSON.stringify(physics[topic].map(({ input }) => input)));
    if (!answered.ok) throw new Error(JSON.stringify(answered.why));
    physics[topic].forEach(({ expect: wanted }, i) => {
      for (const [name, value] of Object.entries(wanted)) {
        const got = (answered.value[i] as Record<string, number>)[name]!;
        expect(Math.abs(got - value), name).toBeLessThanOrEqual(Math.max(0.05, Math.abs(value) / 100));
      }
    });
  });

  it('answer settling speeds under the reference’s name', () => {
    const answered = calc(
      'settling',
      JSON.stringify(physics.settling.map(({ diameterUm, waterC }) => ({ diameterUm, waterC }))),
    );
    if (!answered.ok) throw new Error(JSON.stringify(answered.why));
    physics.settling.forEach(({ settlingMs }, i) =>
      expect(Math.abs((answered.value[i] as { settlingMs: number }).settlingMs / settlingMs - 1)).toBeLessThan(0.01),
    );
  });

  it('answer the marring index with its factors', () => {
    const question = {
      kind: 'road-film',
      loadGm2: 5,
      treatment: 'waterless',
      flush: 'pump',
      filmUm: 18,
      dwellS: 20,
      sideLoading: 0.5,
      sensitivity: 1,
    };
    const answered = calc('index', JSON.stringify([question]));
    if (!answered.ok) throw new Error(JSON.stringify(answered.why));
    expect(answered.value[0]).toMatchObject({ loadAfterFlushGm2: 2, hardShare: 0.4, grainUm: 40, pressure: 1 });
    expect((answered.value[0] as { index: number }).index).toBeCloseTo(22.9, 1);
  });

  it.each(calcTopics)('%s names what is missing', (topic) => {
    expect(calc(topic, '[{}]')).toMatchObject({ ok: false, why: { code: 'faults' } });
  });
});
