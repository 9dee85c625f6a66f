import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import type { Calibration, Dye } from '../model';
import { finish } from '../studies';
import { dyeFrom, withoutDye } from './dye';
import { absorption } from './kubelka-munk';
import { evenMark } from './shades';
import { type SideAsked, type SideAnswer, dyeStudy, sideMeter } from './side-meter';
import { type TowelScene, plainScene, renderTowel } from './wipe-picture';

const asked: SideAsked = {
  person: 'Ada',
  cloth: 'white',
  calibrations: [],
  dye: null,
  sidesLeft: 3,
  cleanliness: 1,
  assumptions: a,
};

/** A side with so much on it, g/m² of towel. */
const side = (onTowelGm2: number, rest: Partial<TowelScene> = {}): TowelScene => ({
  ...plainScene,
  kind: 'road-film',
  loadGm2: (onTowelGm2 * plainScene.sideM2) / (plainScene.patchM2 * a.wipePickUp),
  mark: 0.75,
  ...rest,
});
/** A side that was weighed, of one shade on a part of it. */
const weighed = (reflectance: number): Calibration => ({
  id: `at ${reflectance}`,
  name: 'white',
  person: 'Ada',
  kind: 'road-film',
  by: 'scale',
  at: 0,
  onTowelGm2: a.gaugeRoadFilm * 0.4 * absorption(reflectance),
  shades: evenMark(reflectance, 0.4),
});
const practised = [0.7, 0.25].map(weighed);
const read = (scene: TowelScene, how: Partial<SideAsked> = {}): SideAnswer =>
  finish(sideMeter(renderTowel(scene, a), { ...asked, ...how }));

describe('the side meter', () => {
  it('reads what is on a side, and when to turn', () => {
    const light = read(side(4));
    expect(light).toMatchObject({ kind: 'measured', verdict: 'go-on', limitGm2: a.sideDirt });
    if (light.kind !== 'measured') throw new Error(light.fault);
    expect([light.low < 4, light.high > 4]).toEqual([true, true]);
    const known = read(side(4), { calibrations: practised });
    if (known.kind !== 'measured') throw new Error(known.fault);
    expect(Math.abs(known.onTowelGm2 / 4 - 1)).toBeLessThan(0.15);
    expect(known.high / known.low).toBeLessThan(0.8 * (light.high / light.low));
    const few = { calibrations: practised, assumptions: { ...a, sideDirt: 3 } };
    expect(read(side(4), few)).toMatchObject({ verdict: 'turn' });
    expect(read(side(4), { ...few, sidesLeft: 0 })).toMatchObject({ verdict: 'done' });
  });

  it('never says turn before it would at less', () => {
    const found = [1, 2, 4, 7].map((load) => read(side(load)));
    const loads = found.map((one) => (one.kind === 'measured' ? one.onTowelGm2 : 0));
    expect(loads).toEqual([...loads].sort((p, q) => p - q));
  });

  it('learns a dye and tells it from dirt', () => {
    const blue: Dye = { red: 1.7, green: 0.9, blue: 0.4 };
    const colour = [0.7 * blue.red, 0.7 * blue.green, 0.7 * blue.blue] as const;
    const learnt = finish(dyeStudy(renderTowel(side(0.001, { dye: colour }), a)));
    if (learnt.kind !== 'found') throw new Error(learnt.fault);
    expect(learnt.dye.red / blue.red).toBeCloseTo(1, 1);
    expect(learnt.dye.blue / blue.blue).toBeCloseTo(1, 1);
    const dyed = side(4, { dye: colour });
    expect(read(dyed, { calibrations: practised })).toMatchObject({ kind: 'refused', fault: 'coloured' });
    const told = read(dyed, { calibrations: practised, dye: learnt.dye });
    if (told.kind !== 'measured') throw new Error(told.fault);
    expect(Math.abs(told.onTowelGm2 / 4 - 1)).toBeLessThan(0.35);
    expect(told.dyeShare).toBeGreaterThan(0.1);
  });
});

describe('taking a dye out', () => {
  it('leaves grey dirt as it was, and finds the amount', () => {
    const dye = dyeFrom([1.7, 0.9, 0.4]);
    const { soil, dye: amount } = withoutDye([0.2 + 0.3 * dye.red, 0.2 + 0.3 * dye.green, 0.2 + 0.3 * dye.blue], dye);
    expect(amount).toBeCloseTo(0.3, 2);
    for (const one of soil) expect(one).toBeCloseTo(0.2, 2);
    expect(withoutDye([0.2, 0.2, 0.2], { red: 0, green: 0, blue: 0 }).dye).toBe(0);
  });
});
