import { randomLcg, randomNormal } from 'd3-random';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import type { Calibration } from '../model';
import { finish } from '../studies';
import { greyCloth, strangeOptics } from '../testing/towel-optics';
import { type Spoilt, anyScene, readable, spoilt } from '../testing/towel-scenes';
import { handOf } from './calibration';
import { absorption, reflectance } from './kubelka-munk';
import { byLaw, opticalLaws } from './optical-law';
import { evenMark, shadeAt } from './shades';
import { gaugeOf, wipedKinds } from './soil-optics';
import { type TowelScene, plainScene, renderTowel } from './wipe-picture';
import { runs } from '@esmero/testing';
import { type WipeAnswer, type WipeAsked, type WipeMeasured, wipeTest } from './wipe-test';

/** A hand that has weighed often, light and heavy, with a white cloth: what its marks mean is known. */
const practised: readonly Calibration[] = wipedKinds.flatMap((kind) =>
  [0.85, 0.6, 0.35, 0.15].flatMap((r) =>
    Array.from({ length: 60 }, (_unused, i): Calibration => ({
      id: `${kind}-${r}-${i}`,
      name: 'white',
      person: 'Ada',
      kind,
      by: 'scale',
      at: 0,
      onTowelGm2: gaugeOf(kind, a) * 0.3 * absorption(r),
      shades: evenMark(r, 0.3),
    })),
  ),
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
/** Pixels across; more only take longer. */
const across = pictures >= 500 ? 360 : 240;
const chance = (share: number): number => (pictures >= 500 ? 0 : 3 * Math.sqrt((share * (1 - share)) / pictures));

describe('the wipe test', () => {
  let found: { readonly answer: WipeMeasured; readonly scene: TowelScene }[] = [];
  beforeAll(() => {
    for (let i = 0; i < pictures; i++) {
      const scene = anyScene(i, across);
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
        const scene = anyScene(seed, across);
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
      read(spoilt[what](anyScene(1000 + i, across), (i * 0.618) % 1)),
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
  const own = { person: 'Ada', cloth: 'white' } as const;
  /** What a hand says that a side of one shade holds, against our figure by the first law. */
  const says = (all: readonly Calibration[], r: number, who = own, kind: 'dust' | 'pollen' = 'dust') => {
    const hand = handOf(who, all, a);
    const shares = hand.laws.map(({ share }) => share);
    const amounts = hand.amounts(kind, evenMark(r, 0.3), shares);
    const truth = Math.log(gaugeOf(kind, a) * 0.3 * absorption(r));
    const mean = amounts.reduce((sum, { share, log }) => sum + share * (log - truth), 0);
    const square = amounts.reduce((sum, { share, log, sd }) => sum + share * ((log - truth - mean) ** 2 + sd ** 2), 0);
    return { factor: Math.exp(mean), sd: Math.sqrt(square) };
  };
  const once = (r: number, factor: number, rest: Partial<Calibration> = {}): Calibration => ({
    ...practised[0]!,
    onTowelGm2: factor * gaugeOf('dust', a) * 0.3 * absorption(r),
    shades: evenMark(r, 0.3),
    ...rest,
  });

  it('finds what a hand makes of soil, by levels and sooner by a scale', () => {
    const several = (by: Calibration['by']) =>
      says(
        [0.7, 0.4, 0.2].map((r) => once(r, 1.4, { by })),
        0.4,
      );
    const [none, levels, scale] = [says([], 0.4), several('levels'), several('scale')];
    expect(Math.abs(scale.factor / 1.4 - 1)).toBeLessThan(0.06);
    expect(levels.factor).toBeGreaterThan(1.15);
    expect(scale.sd).toBeLessThan(levels.sd);
    expect(levels.sd).toBeLessThan(none.sd);
  });

  it('is less sure of loads that it was not made with, the further away the less', () => {
    const light = [0.85, 0.8].map((r) => once(r, 1));
    const spreads = [0.8, 0.5, 0.25, 0.1].map((r) => says(light, r).sd);
    expect(spreads).toEqual([...spreads].sort((p, q) => p - q));
    const both = [...light, once(0.15, 1)];
    expect(says(both, 0.1).sd).toBeLessThan(0.6 * says(light, 0.1).sd);
  });

  it('tells the cloth and the law by two loads: what one load leaves open', () => {
    const filter = opticalLaws.at(-1)!;
    const by = (r: number): Calibration => ({
      ...once(r, 1),
      onTowelGm2: gaugeOf('dust', a) * 0.3 * filter.absorbed(r),
    });
    const share = (all: readonly Calibration[]) => handOf(own, all, a).laws.at(-1)!.share;
    expect(share([by(0.5)])).toBeCloseTo(filter.prior, 1);
    expect(share([0.85, 0.1].map(by))).toBeGreaterThan(0.9);
    expect(share([0.85, 0.1].map((r) => once(r, 1)))).toBeLessThan(0.1);
  });

  it('keeps hands and cloths apart, and lets one kind speak for another, less surely', () => {
    const mine = [0.7, 0.3].map((r) => once(r, 1.3));
    const none = says([], 0.4);
    expect(says(mine, 0.4, { person: 'Bo', cloth: 'white' } as never)).toEqual(none);
    expect(says(mine, 0.4, { person: 'Ada', cloth: 'grey' } as never)).toEqual(none);
    expect(says(mine, 0.4, own, 'pollen').factor).toBeGreaterThan(1.1);
    expect(says(mine, 0.4, own, 'pollen').sd).toBeGreaterThan(says(mine, 0.4).sd);
  });

  it('says what it holds for', () => {
    const gauge = (all: readonly Calibration[], gm2: number) => handOf(own, all, a).gauge('dust', gm2);
    expect(gauge([], 2)).toEqual({ own: 0, others: 0, range: null, reach: null });
    const at = (gm2: number): Calibration => once(0.5, 1, { onTowelGm2: gm2 });
    expect(gauge([at(2)], 2.2)).toMatchObject({ range: [2, 2], reach: 'one-load' });
    expect(gauge([at(2), at(9)], 5)).toMatchObject({ own: 2, range: [2, 9], reach: 'inside' });
    expect(gauge([at(2), at(9)], 12)).toMatchObject({ reach: 'outside' });
    expect(gauge([at(2), at(9)], 1.2)).toMatchObject({ reach: 'outside' });
  });

  it('calibrates the shades that law and side agree on: two marks of half the area are one of the whole', () => {
    for (const law of opticalLaws)
      expect(2 * byLaw(law, evenMark(shadeAt(9), 0.15)).absorbed).toBeCloseTo(
        byLaw(law, evenMark(shadeAt(9), 0.3)).absorbed,
      );
  });
});

/** Somebody who weighs two towels, a light and a heavy one, and then reads pictures of which we know the load. */
function readings(optics: (absorbed: number) => number, hands: number, each: number) {
  const draw = randomNormal.source(randomLcg(0.31))(0, 1);
  const all: { readonly inside: boolean; readonly near: boolean }[] = [];
  let refused = 0;
  for (let h = 0; h < hands; h++) {
    const kind = wipedKinds[h % wipedKinds.length]!;
    const handed = Math.exp(Math.log(a.wipeHand) * draw() + 0.12 * draw());
    const scene = (seed: number, rest: Partial<TowelScene> = {}): TowelScene => {
      const any = anyScene(seed, 240);
      return readable({ ...any, kind, optics, ...rest, gaugeFactor: handed * any.gaugeFactor });
    };
    const calibrations = [0.5, 6].flatMap((loadGm2, i): readonly Calibration[] => {
      const one = scene(5000 + 97 * h + i, { loadGm2 });
      const answer = finish(wipeTest(renderTowel(one, a), { ...askedOf(one, []), kind }));
      if (answer.kind === 'refused') return [];
      const onTowelGm2 = ((one.loadGm2 * one.patchM2 * a.wipePickUp) / one.sideM2) * a.wipeScale ** draw();
      return [{ ...practised[0]!, id: `${i}`, kind, onTowelGm2, shades: answer.shades }];
    });
    for (let i = 0; i < each; i++) {
      const one = scene(1000 + 31 * h + i);
      const answer = read(one, calibrations);
      if (answer.kind === 'refused') refused++;
      else
        all.push({
          inside: one.loadGm2 > answer.low && one.loadGm2 < answer.high,
          near: Math.abs(answer.loadGm2 / one.loadGm2 - 1) < 0.2,
        });
    }
  }
  const share = (is: 'inside' | 'near'): number => all.filter((one) => one[is]).length / all.length;
  return { inside: share('inside'), near: share('near'), refused: refused / (hands * each) };
}

describe('under optics that it does not know', () => {
  const hands = runs(60, 5);
  const found = Object.values({ ...strangeOptics, grey: greyCloth(0.9) }).map((optics) => readings(optics, hands, 4));
  const of = (is: keyof (typeof found)[number]): number => found.reduce((sum, one) => sum + one[is], 0) / found.length;
  const loose = hands >= 60 ? 0 : 0.12;

  it('holds what it states: eight of ten lie within', () => {
    expect(of('inside')).toBeGreaterThan(0.75 - loose);
    expect(of('inside')).toBeLessThan(0.85 + loose);
  });

  it('refuses fewer than one good picture in ten, and is near with most of the others', () => {
    expect(of('refused')).toBeLessThan(0.1);
    expect(of('near')).toBeGreaterThan(0.8 - loose);
  });
});

describe('pollen', () => {
  it('is seldom taken for a product, whatever the optics', () => {
    const each = runs(60, 15);
    const optics = [undefined, greyCloth(0.85), ...Object.values(strangeOptics)];
    const answers = Array.from({ length: each }, (_unused, i) => {
      const as = optics[i % optics.length];
      return read(readable({ ...anyScene(300 + i, 240), kind: 'pollen', ...(as ? { optics: as } : {}) }), []);
    });
    const coloured = answers.filter((one) => one.kind === 'refused' && one.fault === 'coloured');
    expect(coloured.length).toBeLessThanOrEqual(0.07 * each);
  });
});
