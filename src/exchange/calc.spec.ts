import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { calcMixing } from './calc';

const fixture = JSON.parse(readFileSync('src/core/testing/fixtures/mixing.json', 'utf8')) as {
  readonly cases: readonly { readonly input: object; readonly expect: object }[];
};

describe('the mixing calculator', () => {
  it('answers the reference cases under their own names', () => {
    const answered = calcMixing(JSON.stringify(fixture.cases.map(({ input }) => input)));
    expect(answered).toEqual({ ok: true, value: fixture.cases.map(({ expect: wanted }) => wanted) });
  });

  it('says which question is wrong and how', () => {
    const good = { label: '5', reading: 'water', fill: 'finalVolume', volumeMl: 750 };
    const answered = calcMixing(JSON.stringify([good, { ...good, label: '0', reading: 'whole' }, { ...good, volumeMl: -1 }]));
    expect(answered).toMatchObject({
      ok: false,
      why: { faults: [{ path: '[1].label', expected: { code: 'dilution' } }, { path: '[2].volumeMl' }] },
    });
    expect(calcMixing('{}')).toMatchObject({ ok: false, why: { code: 'faults' } });
    expect(calcMixing('nonsense')).toMatchObject({ ok: false, why: { code: 'not-json' } });
    expect(calcMixing('[null]')).toMatchObject({ ok: false, why: { faults: [{ path: '[0]' }] } });
  });
});
