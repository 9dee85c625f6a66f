import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { type Flush, type SoilKind, type SoilLevel, soilKinds } from '../model';
import { grainOf, hardShareOf, loadOfLevel } from '../soil';
import { gPerM2, um } from '../units';
import { sampleVehicle } from '../testing/sample';
import { commonTouching, contactRules } from './contacts';
import { flushRules } from './flushes';
import { type Contacting, lubrication, marringIndex, sensitivityOf } from './marring';

/** Index of a treatment on ordinary clear coat with a mitt, as the check against practice has it. */
function indexOf(kind: SoilKind, level: SoilLevel, flush: Flush, contact: 'waterless' | 'presoak-rinseless'): number {
  const load = gPerM2(loadOfLevel(level, a) * (1 - flushRules[flush].most(kind, a)));
  const how = contactRules[contact].contact({ ...commonTouching, loadGm2: load }, a);
  return marringIndex(
    {
      loads: [{ kind, loadGm2: load }],
      film: um(how.layers.reduce((sum, { film }) => sum + film, 0)),
      encapsulation: how.encapsulation,
      pressure: how.pressure,
      sideLoading: 0.5,
      sensitivity: 1,
    },
    a,
  ).index;
}

describe('marring index against practice', () => {
  it.each([
    ['dust', 1, 'none', 'waterless', 3.4],
    ['road-film', 2, 'none', 'waterless', 22.9],
    ['road-film', 2, 'none', 'presoak-rinseless', 2.2],
    ['road-film', 3, 'none', 'waterless', 37.2],
    ['road-film', 3, 'pump', 'waterless', 22.9],
    ['salt', 3, 'none', 'waterless', 71.9],
    ['salt', 3, 'pump', 'waterless', 25.3],
    ['salt', 3, 'hot-pump', 'waterless', 19.8],
    ['salt', 3, 'none', 'presoak-rinseless', 22.2],
    ['salt', 3, 'pump', 'presoak-rinseless', 4.9],
    ['grit', 4, 'none', 'waterless', 98.5],
    ['grit', 4, 'pump', 'presoak-rinseless', 37.1],
    ['grit', 4, 'mains', 'presoak-rinseless', 16.0],
    ['fallout', 4, 'none', 'waterless', 22.5],
  ] as const)('%s level %i, flush %s, %s: %d', (kind, level, flush, contact, expected) => {
    expect(indexOf(kind, level, flush, contact)).toBeCloseTo(expected, 1);
  });
});

const unit = fc.double({ min: 0, max: 1, noNaN: true });
const contacting = fc
  .record({
    kind: fc.constantFrom(...soilKinds),
    load: fc.double({ min: 0, max: 60, noNaN: true }),
    film: fc.double({ min: 1, max: 400, noNaN: true }),
    encapsulation: fc.double({ min: 0, max: 0.95, noNaN: true }),
    pressure: fc.double({ min: 0.3, max: 2.5, noNaN: true }),
    sideLoading: unit,
    sensitivity: fc.double({ min: 0.3, max: 5, noNaN: true }),
  })
  .map(({ kind, load, film, ...rest }): Contacting => ({
    ...rest,
    loads: [{ kind, loadGm2: gPerM2(load) }],
    film: um(film),
  }));

describe('marring index is monotone', () => {
  const worse: Record<string, (c: Contacting) => Contacting> = {
    'more grit': (c) => ({ ...c, loads: c.loads.map((l) => ({ ...l, loadGm2: gPerM2(l.loadGm2 * 1.3 + 0.1) })) }),
    'another deposit': (c) => ({ ...c, loads: [...c.loads, { kind: 'dust', loadGm2: gPerM2(1) }] }),
    'thinner film': (c) => ({ ...c, film: um(c.film * 0.7) }),
    'less encapsulation': (c) => ({ ...c, encapsulation: c.encapsulation * 0.8 }),
    'more pressure': (c) => ({ ...c, pressure: c.pressure * 1.2 }),
    'a fuller side': (c) => ({ ...c, sideLoading: c.sideLoading * 0.5 + 0.5 }),
    'a softer finish': (c) => ({ ...c, sensitivity: c.sensitivity * 0.8 }),
  };
  it.each(Object.keys(worse))('%s never lowers it', (name) => {
    fc.assert(
      fc.property(contacting, (c) => {
        const [before, after] = [marringIndex(c, a).index, marringIndex(worse[name]!(c), a).index];
        expect(after).toBeGreaterThanOrEqual(before - 1e-9);
        expect(after).toBeLessThanOrEqual(100);
      }),
    );
  });

  it('coarser grain of the same hardness never lowers it', () => {
    expect(lubrication(um(40), grainOf('grit', a), a)).toBeLessThan(lubrication(um(40), grainOf('dust', a), a));
    const coarse = { ...a, grainDust: 200 };
    fc.assert(
      fc.property(contacting, (c) => {
        const dusty = { ...c, loads: [{ kind: 'dust' as const, loadGm2: c.loads[0]!.loadGm2 }] };
        expect(marringIndex(dusty, coarse).index).toBeGreaterThanOrEqual(marringIndex(dusty, a).index - 1e-9);
      }),
    );
  });

  it('says what it was made of', () => {
    const { terms } = marringIndex(
      {
        loads: [{ kind: 'salt', loadGm2: gPerM2(5) }],
        film: um(27),
        encapsulation: 0,
        pressure: 1,
        sideLoading: 0,
        sensitivity: 1,
      },
      a,
    );
    expect(terms).toHaveLength(1);
    expect(terms[0]).toMatchObject({ kind: 'salt', hardShare: hardShareOf('salt', a), grainUm: 150 });
    expect(terms[0]!.lubrication).toBeCloseTo(0.3023, 3);
  });
});

describe('sensitivity', () => {
  it('judges ordinary black paint like soft paint', () => {
    const black = { ...sampleVehicle(), colour: 'black' as const };
    expect(sensitivityOf('paint', black, a)).toBe(a.sensitivitySoft);
    expect(sensitivityOf('paint', sampleVehicle(), a)).toBe(1);
    expect(sensitivityOf('glass', black, a)).toBe(4);
  });
});
