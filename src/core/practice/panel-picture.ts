import { randomLcg, randomNormal } from 'd3-random';
import type { Assumptions } from '../assumptions';
import { type Raster, type Rgb, blurred, quickByteOf } from '../eye';
import type { Colour, SoilKind } from '../model';
import { grainOf } from '../soil';

/** How a panel is lit and looked at. */
export const panelLights = ['sun', 'cloud', 'shade', 'lamp'] as const;
export type PanelLight = (typeof panelLights)[number];

/** Square on, from a step away, or low along the panel. */
export const panelAngles = ['square', 'slanting', 'low'] as const;
export type PanelAngle = (typeof panelAngles)[number];

export interface PanelScene {
  readonly kind: SoilKind;
  readonly loadGm2: number;
  readonly colour: Colour;
  readonly light: PanelLight;
  readonly angle: PanelAngle;
  readonly width: number;
  readonly height: number;
  readonly seed: number;
}

/** Panel that the picture shows, m across. */
const ACROSS_M = 0.3;

const paints: Readonly<Record<Colour, Rgb>> = {
  white: [0.82, 0.82, 0.8],
  silver: [0.42, 0.43, 0.44],
  mid: [0.1, 0.2, 0.34],
  dark: [0.03, 0.05, 0.08],
  black: [0.008, 0.008, 0.009],
};

/** What a soil gives back of the light when it lies thick (judged). */
const soils: Readonly<Record<SoilKind, Rgb>> = {
  dust: [0.5, 0.45, 0.37],
  pollen: [0.72, 0.6, 0.1],
  'road-film': [0.19, 0.18, 0.165],
  fallout: [0.3, 0.15, 0.08],
  salt: [0.8, 0.8, 0.78],
  grit: [0.42, 0.35, 0.26],
  mud: [0.24, 0.17, 0.1],
  'brake-dust': [0.06, 0.05, 0.045],
};

/** Light on the panel, and the brightness of the sky that it mirrors. */
const lights: Readonly<Record<PanelLight, { readonly tint: Rgb; readonly mirrored: number }>> = {
  sun: { tint: [1.05, 1, 0.9], mirrored: 0.55 },
  cloud: { tint: [0.72, 0.74, 0.78], mirrored: 0.75 },
  shade: { tint: [0.4, 0.43, 0.5], mirrored: 0.35 },
  lamp: { tint: [0.8, 0.66, 0.45], mirrored: 0.9 },
};

const angleDeg: Readonly<Record<PanelAngle, number>> = { square: 10, slanting: 50, low: 72 };

/** g/m³ of mineral soil. */
const DENSITY = 2.6e6;

/** Panel that a gram hides, m²: balls of half the kind's coarsest size beside each other. */
const hidesM2 = (kind: SoilKind, a: Assumptions): number => 1.5 / (DENSITY * grainOf(kind, a) * 0.5e-6);

/** Share of the panel that is hidden, seen at an angle: along a panel one looks through more of it (Beer and Lambert). */
export const coverOf = (kind: SoilKind, loadGm2: number, angle: PanelAngle, a: Assumptions): number =>
  1 - Math.exp((-loadGm2 * hidesM2(kind, a)) / Math.cos((angleDeg[angle] * Math.PI) / 180));

/** How unevenly a kind lies: splashed, in streaks, or as it fell. */
const patchiness: Readonly<
  Record<SoilKind, { readonly amount: number; readonly across: number; readonly along: number }>
> = {
  dust: { amount: 0.15, across: 30, along: 30 },
  pollen: { amount: 0.2, across: 18, along: 18 },
  'road-film': { amount: 0.35, across: 5, along: 60 },
  fallout: { amount: 0.2, across: 12, along: 12 },
  salt: { amount: 0.5, across: 8, along: 24 },
  grit: { amount: 0.4, across: 14, along: 14 },
  mud: { amount: 0.9, across: 10, along: 16 },
  'brake-dust': { amount: 0.3, across: 8, along: 8 },
};

/** Smooth noise about 1: bells of this width, made from white noise. */
function patches({ kind, width, height }: PanelScene, normal: () => number): Float32Array {
  const { amount, across, along } = patchiness[kind];
  const white = Float32Array.from({ length: width * height }, () => normal());
  // Streaks are drawn out: blurred along by squeezing the other way first.
  const soft = blurred(white, width, height, Math.min(across, along));
  const long = along > across ? stretched(soft, width, height, along) : soft;
  const spread = Math.sqrt(long.reduce((sum, one) => sum + one * one, 0) / long.length);
  return long.map((one) => Math.max(0, 1 + (amount * one) / Math.max(1e-9, spread)));
}

/** Means along columns, as water runs down a panel. */
function stretched(plane: Float32Array, width: number, height: number, reach: number): Float32Array {
  const out = new Float32Array(plane.length);
  for (let x = 0; x < width; x++) {
    let sum = 0;
    for (let y = -reach; y < height; y++) {
      if (y + reach < height) sum += plane[(y + reach) * width + x]!;
      if (y - reach > 0) sum -= plane[(y - reach - 1) * width + x]!;
      if (y >= 0) out[y * width + x] = sum / (2 * reach + 1);
    }
  }
  return out;
}

/** Pixels that a grain is wide, at least one; in smaller ones many lie together. */
const grainPixels = (kind: SoilKind, width: number, a: Assumptions): number =>
  (grainOf(kind, a) * 1e-6 * width) / ACROSS_M;

/** Grains of a pixel from their mean, and what they hide. */
function hiddenBy(mean: number, random: () => number, normal: () => number): number {
  if (mean > 20) return Math.max(0, 1 + normal() / Math.sqrt(mean));
  const least = Math.exp(-mean);
  let [count, product] = [0, random()];
  while (product > least) {
    count++;
    product *= random();
  }
  return mean > 0 ? count / mean : 0;
}

/**
 * A piece of a panel with a known soil, as it looks: paint under what the soil hides of it, and the
 * sky mirrored in what it leaves free.
 */
export function renderPanel(scene: PanelScene, a: Assumptions): Raster {
  const { kind, loadGm2, colour, light, angle, width, height } = scene;
  const random = randomLcg((scene.seed * 0.6180339887) % 1);
  const normal = randomNormal.source(random)(0, 1);
  const thick = patches(scene, normal);
  const [paint, soil, { tint, mirrored }] = [paints[colour], soils[kind], lights[light]];
  const depth = (loadGm2 * hidesM2(kind, a)) / Math.cos((angleDeg[angle] * Math.PI) / 180);
  // A grain hides at least a part of a pixel: what is smaller lies in heaps of many.
  const perPixel = Math.max(0.02, grainPixels(kind, width, a) ** 2);
  // Schlick: the lower one looks, the more is mirrored.
  const fresnel = 0.04 + 0.96 * (1 - Math.cos((angleDeg[angle] * Math.PI) / 180)) ** 5;
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    const sky = mirrored * (0.35 + 0.65 * Math.exp(-(((y / height - 0.3) / 0.22) ** 2)));
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      const mean = depth * thick[at]!;
      const cover = 1 - Math.exp(-mean * hiddenBy(mean / perPixel, random, normal));
      const gloss = fresnel * sky * 2.4 * (1 - cover) ** 2;
      const shine = 1 + 0.04 * normal();
      for (let c = 0; c < 3; c++) {
        const body = (1 - cover) * paint[c]! + cover * soil[c]! * shine;
        rgba[4 * at + c] = quickByteOf(tint[c]! * (body + gloss));
      }
      rgba[4 * at + 3] = 255;
    }
  }
  return { width, height, rgba };
}
