import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import type { Calibration } from '../model';
import { finish } from '../studies';
import { type Spoilt, anyScene, spoilt } from '../testing/towel-scenes';
import { gaugeFor } from './calibration';
import { absorption, reflectance } from './kubelka-munk';
import { gaugeOf, wipedKinds } from './soil-optics';
import { type TowelScene, plainScene, renderTowel } from './wipe-picture';
import { runs } from '@esmero/testing';
import { type WipeAnswer, type WipeAsked, type WipeMeasured, wipeTest } from './wipe-test';

/** A hand that has weighed often: its gauge is known. */
const practised: readonly Calibration[] = wipedKinds.flatMap((kind) =>
  Array.from({ length: 60 }, (_unused, i): Calibration => ({
    id: `${kind}-${i}`,
    name: 'white',
    person: 'Ada',
    kind,
    by: 'scale',
    at: 0,
    onTowelGm2: gaugeOf(kind, a),
    absorbed: 1,
  })),
);

const askedOf = (scene: TowelScene, calibrations: readonly Calibration[] = practised): WipeAsked => ({
  patchM2: scene.patchM2,
  sideM2: scene.sideM2,
  cleanliness: scene.kind === 'brake-dust' ? 4 : 1,
  kind: null,
  person: 'Ada',
  cloth: 'white',
  calibrations,
  dye: null,
  assumptions: a,
});

const read = (scene: TowelScene, calibrations?: readonly Calibration[]): WipeAnswer =>
  finish(wipeTest(renderTowel(scene, a), askedOf(scene, calibrations)));

function measured(scene: TowelScene): WipeMeasured {
  const answer = read(scene);
  if (answer.kind === 'refused') throw new Error(`refused: ${answer.fault}`);
  return answer;
}

describe('the curve of Kubelka and Munk', () => {
  it('goes there and back, and rises as the cloth darkens', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (r) => Math.abs(reflectance(absorption(r)) - r) < 1e-9,
      ),
    );
    expect(absorption(0.5)).toBe(0.25);
  });
});

/** All 500 in the deep run; with fewer, chance is given three times its spread. */
const pictures = runs(500);
const chance = (share: number): number => (pictures >= 500 ? 0 : 3 * Math.sqrt((share * (1 - share)) / pictures));

describe('the wipe test', () => {
  let found: { readonly answer: WipeMeasured; readonly scene: TowelScene }[] = [];
  beforeAll(() => {
    for (let i = 0; i < pictures; i++) {
      const scene = anyScene(i, 360);
      const answer = read(scene);
      if (answer.kind === 'measured') found = [...found, { answer, scene }];
    }
  }, 400_000);

  it('is within a fifth for nine pictures in ten, those it refuses counted against it', () => {
    const near = found.filter(({ answer, scene }) => Math.abs(answer.loadGm2 / scene.loadGm2 - 1) < 0.2);
    expect(near.length).toBeGreaterThanOrEqual((0.9 - chance(0.9)) * pictures);
  });

  it('says how sure it is: eight of ten lie within what it states', () => {
    const inside =
      found.filter(({ answer, scene }) => scene.loadGm2 > answer.low && scene.loadGm2 < answer.high).length /
      found.length;
    expect(inside).toBeGreaterThan(0.75 - chance(0.8));
    expect(inside).toBeLessThan(0.85 + chance(0.8));
  });

  it('names the kind', () => {
    expect(found.filter(({ answer, scene }) => answer.soil === scene.kind).length).toBeGreaterThan(
      (0.95 - chance(0.95)) * found.length,
    );
  });

  it('never finds less where there is more, in the same light', () => {
    fc.assert(
      fc.property(fc.nat(400), fc.double({ min: 1.3, max: 2, noNaN: true }), (seed, more) => {
        const scene = anyScene(seed, 360);
        const heavier = read({ ...scene, loadGm2: scene.loadGm2 * more });
        // Black is black: what is too much is refused, not underrated.
        return heavier.kind === 'refused' || heavier.loadGm2 > measured(scene).loadGm2;
      }),
      { numRuns: 12 },
    );
  });

  it('does not mind how bright the light is, nor its colour', () => {
    const plain = measured(plainScene).loadGm2;
    for (const white of [
      [0.3, 0.3, 0.3],
      [0.85, 0.7, 0.5],
      [0.5, 0.65, 0.85],
    ] as const) {
      expect(measured({ ...plainScene, white }).loadGm2 / plain).toBeCloseTo(1, 1);
    }
  });

  it('finds about nothing on a towel that wiped a clean panel', () => {
    expect(measured({ ...plainScene, loadGm2: 0.004 }).loadGm2).toBeLessThan(0.06);
  });

  it('is no surer for a hand that it does not know', () => {
    const [known, unknown] = [measured(plainScene), read(plainScene, []) as WipeMeasured];
    expect(unknown.high / unknown.low).toBeGreaterThan(1.5 * (known.high / known.low));
    expect(unknown.gauge).toMatchObject({ own: 0, others: 0 });
  });

  it('says how far it is', () => {
    const shares: number[] = [];
    const test = wipeTest(renderTowel({ ...plainScene, width: 960, height: 720 }, a), {
      patchM2: 0.04,
      sideM2: 0.04,
      cleanliness: 1,
      kind: null,
      person: '',
      cloth: '',
      calibrations: [],
      dye: null,
      assumptions: a,
    });
    for (let step = test.next(); !step.done; step = test.next()) shares.push(step.value);
    expect(shares.length).toBeGreaterThan(4);
    expect(shares).toEqual([...shares].sort((p, q) => p - q));
  });
});

describe('pictures that tell nothing', () => {
  it.each(Object.keys(spoilt) as Spoilt[])('refuses what is %s, nine times in ten', (what) => {
    const answers = Array.from({ length: runs(20, 5) }, (_unused, i) =>
      read(spoilt[what](anyScene(1000 + i, 360), (i * 0.618) % 1)),
    );
    expect(answers.filter(({ kind }) => kind === 'refused').length).toBeGreaterThanOrEqual(0.9 * answers.length);
  });

  it('says what is wrong with them', () => {
    const why = (what: Spoilt): string => {
      const answer = read(spoilt[what]({ ...plainScene, share: 0.6 }, 0.5));
      return answer.kind === 'refused' ? answer.fault : answer.kind;
    };
    for (const what of [
      'blurred',
      'too-bright',
      'too-dark',
      'coloured',
      'no-clean-rim',
      'pale-ground',
      'coarse',
    ] as const)
      expect(why(what)).toBe(what);
  });

  it('refuses a large picture of nothing but paleness at a glance, before it is gone through', () => {
    const rgba = new Uint8ClampedArray(4 * 6000 * 4500).fill(255);
    const first = wipeTest({ width: 6000, height: 4500, rgba }, askedOf(plainScene)).next();
    expect(first).toMatchObject({ done: true, value: { kind: 'refused', fault: 'pale-ground' } });
  });

  it('refuses what is no towel', () => {
    expect(read({ ...plainScene, share: 0.05 })).toMatchObject({ kind: 'refused', fault: 'pale-ground' });
    expect(read({ ...plainScene, white: [0.01, 0.01, 0.01], noise: 0 })).toMatchObject({
      kind: 'refused',
      fault: 'no-towel',
    });
  });
});

describe('calibration', () => {
  it('finds a gauge that it was not told, by levels and sooner by a scale', () => {
    const truth = 1.4;
    const weighed = (by: Calibration['by'], count: number): readonly Calibration[] =>
      Array.from({ length: count }, (_unused, i) => {
        const scene = { ...plainScene, loadGm2: 0.4 + 0.3 * i, gaugeFactor: truth, seed: i + 3 };
        const answer = read(scene, []) as WipeMeasured;
        return {
          id: `${i}`,
          name: 'white',
          person: 'Ada',
          kind: 'dust',
          by,
          at: i,
          absorbed: answer.absorbed,
          onTowelGm2: (scene.loadGm2 * scene.patchM2 * a.wipePickUp) / scene.sideM2,
        };
      });
    const of = (all: readonly Calibration[]) => gaugeFor('dust', { person: 'Ada', cloth: 'white' }, all, a);
    const [none, levels, scale] = [of([]), of(weighed('levels', 5)), of(weighed('scale', 5))];
    expect(none.gm2).toBe(a.gaugeDust);
    expect(Math.abs(scale.gm2 / a.gaugeDust / truth - 1)).toBeLessThan(0.05);
    expect(levels.gm2).toBeGreaterThan(1.2 * a.gaugeDust);
    expect(scale.sd).toBeLessThan(levels.sd);
    expect(levels.sd).toBeLessThan(none.sd);
  });

  it('keeps hands and cloths apart, and lets one kind speak for another, less surely', () => {
    const mine = practised.filter(({ kind }) => kind === 'dust').map((one) => ({ ...one, absorbed: 0.8 }));
    const for_ = (person: string, cloth: string, kind: 'dust' | 'pollen' = 'dust') =>
      gaugeFor(kind, { person, cloth }, mine, a);
    expect(for_('Bo', 'white').gm2).toBe(a.gaugeDust);
    expect(for_('Ada', 'grey').gm2).toBe(a.gaugeDust);
    expect(for_('Ada', 'white').gm2).toBeCloseTo(a.gaugeDust / 0.8, 0);
    expect(for_('Ada', 'white', 'pollen').sd).toBeGreaterThan(for_('Ada', 'white').sd);
    expect(for_('Ada', 'white', 'pollen').others).toBe(60);
  });
});
