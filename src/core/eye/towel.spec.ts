import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultAssumptions as a } from '../assumptions';
import { finish } from '../studies';
import { grainMass, scatterOf } from './grain';
import { illuminationOn } from './illumination';
import { FOREIGN, type MarkLooks, foreignness, likelyKinds } from './likely-kind';
import { opticalLaws } from './optical-law';
import { type Outline, areaOf, findOutline, hull, quantileOf, scaled, within } from './outline';
import { edgeBlur, faultOf } from './picture-faults';
import { type Light, type Raster, byteOf, inLight, linearOf, quickByteOf } from './raster';
import { expected, gaugeOf, grainG, isWiped, seenKinds, tintOf, wipedKinds } from './soil-optics';
import { type TowelScene, blurred, plainScene, renderTowel } from './wipe-picture';

const lightOf = (scene: Partial<TowelScene>): Light => finish(inLight(renderTowel({ ...plainScene, ...scene }, a)));

function outlineOf(light: Light): Outline {
  const found = findOutline(light);
  if (typeof found === 'string') throw new Error(found);
  return found;
}

describe('light out of bytes', () => {
  it('goes there and back, by the table as by the formula', () => {
    for (let byte = 0; byte < 256; byte++) {
      expect(byteOf(linearOf(byte))).toBeCloseTo(byte, 6);
      expect(Math.abs(quickByteOf(linearOf(byte)) - byte)).toBeLessThan(0.6);
    }
    expect([quickByteOf(-1), quickByteOf(2)]).toEqual([0, 255]);
  });

  it('is averaged as light and not as bytes, and counts what is clipped', () => {
    const width = 1000;
    const rgba = new Uint8ClampedArray(4 * width * 2);
    for (let i = 0; i < width * 2; i++) rgba.set(i % 2 ? [255, 255, 255, 255] : [0, 0, 0, 255], 4 * i);
    const light = finish(inLight({ width, height: 2, rgba }, 500));
    expect([light.width, light.height]).toEqual([500, 1]);
    expect(light.planes[1][7]).toBeCloseTo(0.5, 5);
    expect(light.clipped[7]).toBeCloseTo(0.5, 5);
  });

  it('leaves a small picture as large as it is', () => {
    const picture: Raster = { width: 3, height: 2, rgba: new Uint8ClampedArray(24).fill(128) };
    expect(finish(inLight(picture))).toMatchObject({ width: 3, height: 2 });
  });
});

describe('the outline of a towel', () => {
  it('has the area of what was drawn, however it is turned, and its centre', () => {
    for (const turnDeg of [0, 17, 45, -30]) {
      const side = 0.6 * 360;
      const { area, centre } = outlineOf(lightOf({ turnDeg, share: 0.6 }));
      expect(Math.abs(area / side ** 2 - 1)).toBeLessThan(0.03);
      expect(Math.hypot(centre.x - 240, centre.y - 180)).toBeLessThan(5);
    }
  });

  it('is convex: it holds all of its points and is no smaller than any of their triangles', () => {
    const point = fc.record({
      x: fc.double({ min: 0, max: 100, noNaN: true }),
      y: fc.double({ min: 0, max: 100, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 30 }), (points) => {
        const around = hull(points);
        return areaOf(around) >= areaOf(points.slice(0, 3)) - 1e-6 && around.every((one) => points.includes(one));
      }),
    );
  });

  it('is filled pixel by pixel, about as many as its area', () => {
    const outline = outlineOf(lightOf({ turnDeg: 23, share: 0.6 }));
    let count = 0;
    within(scaled(outline, 1), { width: 480, height: 360 }, () => count++);
    expect(count / outline.area).toBeCloseTo(1, 1);
    let half = 0;
    within(scaled(outline, Math.SQRT1_2), { width: 480, height: 360 }, () => half++);
    expect(half / count).toBeCloseTo(0.5, 1);
  });

  it('says why there is none', () => {
    expect(findOutline(lightOf({ share: 1.4 }))).toBe('pale-ground');
    expect(findOutline(lightOf({ share: 0.95, turnDeg: 20 }))).toBe('cut-off');
    expect(findOutline(lightOf({ share: 0.2, ground: [0.02, 0.02, 0.02] }))).toBe('no-towel');
  });
});

describe('the light on a towel', () => {
  it('is evened out: clean cloth is 1 everywhere, whatever the slope and the colour of the light', () => {
    for (const slope of [
      [0, 0],
      [0.2, 0],
      [-0.15, 0.2],
    ] as const) {
      const light = lightOf({ slope, white: [0.5, 0.4, 0.3], loadGm2: 0.001, share: 0.6 });
      const on = illuminationOn(light, outlineOf(light));
      for (const plane of on.reflectance) expect(quantileOf(plane, 0.5)).toBeCloseTo(1, 2);
      expect(on.unevenness).toBeLessThan(0.01);
      expect(on.range).toBeGreaterThanOrEqual(1);
    }
  });

  it('is not drawn down by the mark', () => {
    const light = lightOf({ loadGm2: 6, share: 0.6 });
    const on = illuminationOn(light, outlineOf(light));
    const rim = on.pixels.flatMap((at, i) => (Math.abs((at % 480) - 240) > 95 ? [on.reflectance[1][i]!] : []));
    expect(quantileOf(rim, 0.5)).toBeCloseTo(1, 2);
    expect(quantileOf(on.reflectance[1], 0.1)).toBeLessThan(0.5);
  });

  it('makes edges no wider than they are, and wider the softer the lens', () => {
    const widths = [0.5, 2, 5].map((blur) => {
      const light = lightOf({ blur, share: 0.6 });
      return edgeBlur(light, outlineOf(light));
    });
    expect(widths[0]!).toBeLessThan(3);
    expect(widths).toEqual([...widths].sort((p, q) => p - q));
    const light = lightOf({ share: 0.6 });
    const outline = outlineOf(light);
    expect(faultOf(light, outline, illuminationOn(light, outline), true)).toBeNull();
  });
});

describe('the kind of a mark', () => {
  const looks = (kind: (typeof seenKinds)[number]): MarkLooks => ({
    share: 1,
    tint: tintOf(kind),
    tintSpread: 0.02,
    grainG: grainG(kind, a),
  });

  it('is told by colour and grain', () => {
    for (const kind of seenKinds) expect(likelyKinds([looks(kind)], expected(4), a)[0]!.kind).toBe(kind);
  });

  it('is a share of one each, and leans to what is found there', () => {
    const vague: MarkLooks = { share: 1, tint: [1, 1, 1], tintSpread: 0.3, grainG: null };
    const share = (cleanliness: 1 | 4) =>
      likelyKinds([vague], expected(cleanliness), a).find(({ kind }) => kind === 'brake-dust')!.share;
    expect(likelyKinds([vague], expected(1), a).reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1);
    expect(share(4)).toBeGreaterThan(share(1));
    expect(share(1)).toBe(0);
  });

  it('is none of ours where the colour is a dye', () => {
    expect(
      foreignness([{ share: 1, tint: [1.6, 0.9, 0.5], tintSpread: 0.02, grainG: null }], expected(1)),
    ).toBeGreaterThan(FOREIGN);
    expect(foreignness([looks('dust')], expected(1))).toBeLessThan(1);
  });

  it('has a gauge where a towel tells the amount', () => {
    for (const kind of wipedKinds) expect(gaugeOf(kind, a)).toBeGreaterThan(0);
    expect(['salt', 'grit', 'mud'].some((kind) => isWiped(kind as 'salt'))).toBe(false);
  });

  it('gives the mass of grains away by how unevenly they lie', () => {
    const mass = (kind: 'mud' | 'dust'): number => {
      const light = lightOf({ kind, loadGm2: 10, share: 0.7, weave: 0.005, noise: 0.003 });
      const outline = outlineOf(light);
      const gaugeGm2 = kind === 'dust' ? a.gaugeDust : 25;
      const uneven = scatterOf(light, illuminationOn(light, outline))!;
      return grainMass(uneven, opticalLaws[0]!, { gaugeGm2, pixelM2: plainScene.sideM2 / outline.area });
    };
    expect(mass('mud') / grainG('mud', a)).toBeGreaterThan(0.3);
    expect(mass('mud') / grainG('mud', a)).toBeLessThan(3);
    expect(mass('dust')).toBeLessThan(0.2 * mass('mud'));
  });
});

describe('small tools', () => {
  it('blurs without making light or losing it', () => {
    const plane = new Float32Array(41 * 41);
    plane[20 * 41 + 20] = 1;
    for (const sigma of [0.5, 1.2, 3]) {
      const soft = blurred(plane, 41, 41, sigma);
      expect(soft.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 3);
      let variance = 0;
      soft.forEach((one, at) => (variance += one * ((at % 41) - 20) ** 2));
      expect(Math.sqrt(variance) / sigma).toBeGreaterThan(0.6);
      expect(Math.sqrt(variance) / sigma).toBeLessThan(1.4);
    }
    expect(blurred(plane, 41, 41, 0.1)).toBe(plane);
  });

  it('finds quantiles', () => {
    expect([
      quantileOf([3, 1, 2], 0),
      quantileOf([3, 1, 2], 0.5),
      quantileOf([3, 1, 2], 1),
      quantileOf([], 0.5),
    ]).toEqual([1, 2, 3, 0]);
  });
});
