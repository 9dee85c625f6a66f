import { type Channel, type Light, type Rgb, channels } from './raster';
import { inSquares } from './squares';
import { type Outline, quantileOf, scaled, within } from './outline';
import { solved } from './solve';

/** How bright clean cloth would be at each pixel of the towel, and how bright the towel is against that. */
export interface Illumination {
  /** Pixels of the towel, without its very edge. */
  readonly pixels: readonly number[];
  /** Relative reflectance of those pixels, red, green and blue. */
  readonly reflectance: readonly [Float32Array, Float32Array, Float32Array];
  /** Which of those pixels show clean cloth. */
  readonly clean: Uint8Array;
  /** Standard deviation of the clean cloth about the fit, of single pixels and of means over squares of eight. */
  readonly grain: number;
  readonly unevenness: number;
  /** Clean cloth in the middle of the towel, linear light. */
  readonly level: Rgb;
  /** Brightest over darkest clean cloth by the fit. */
  readonly range: number;
}

/** The very edge is rounded, and half in the shadow of itself. */
const INNER = 0.95;
const TERMS = 6;
const ROUNDS = 6;
/** Darker than the fit by so many deviations: not clean. */
const DARKER = 2.2;
/** Pixels that the fit is made from at most: it has six figures to find. */
const SAMPLES = 3000;
const SQUARE = 8;

type Terms = readonly number[];

const termsAt = (x: number, y: number): Terms => [1, x, y, x * x, x * y, y * y];

/** Least squares with weights, by the normal equations; a little is added on the diagonal so that it always has an answer. */
function fit(rows: readonly Terms[], values: readonly number[], weights: readonly number[]): Terms {
  const m = Array.from({ length: TERMS }, () => new Array<number>(TERMS + 1).fill(0));
  rows.forEach((row, i) => {
    const w = weights[i]!;
    if (w === 0) return;
    for (let p = 0; p < TERMS; p++) {
      for (let q = 0; q < TERMS; q++) m[p]![q]! += w * row[p]! * row[q]!;
      m[p]![TERMS]! += w * row[p]! * values[i]!;
    }
  });
  for (let p = 0; p < TERMS; p++) m[p]![p]! += 1e-6 * rows.length;
  return solved(m) ?? new Array<number>(TERMS).fill(0);
}

const valueAt = ([c, p, q, r, s, t]: Terms, x: number, y: number): number =>
  c! + p! * x + q! * y + r! * x * x + s! * x * y + t! * y * y;

const spreadOf = (values: readonly number[]): number =>
  values.length === 0 ? 0 : quantileOf(values.map(Math.abs), 0.5) / 0.6745;

/**
 * The light over the towel, as a smooth surface through its clean cloth: begun with the rim, then
 * with all that is no darker than the surface says, again and again. The white of the light falls
 * out with it, each channel being fitted on its own.
 */
export function illuminationOn(light: Light, outline: Outline): Illumination {
  const pixels: number[] = [];
  within(scaled(outline, INNER), light, (at) => pixels.push(at));
  const size = Math.sqrt(outline.area);
  const placeOf = (at: number): readonly [number, number] => [
    ((at % light.width) + 0.5 - outline.centre.x) / size,
    (Math.floor(at / light.width) + 0.5 - outline.centre.y) / size,
  ];
  const step = Math.max(1, Math.floor(pixels.length / SAMPLES));
  const sample = pixels.filter((_at, i) => i % step === 0);
  const rows = sample.map((at) => termsAt(...placeOf(at)));
  const logs = channels.map((channel) => sample.map((at) => Math.log(Math.max(1e-4, light.planes[channel][at]!))));
  const green = logs[1]!;
  // Begun with the brighter half of the rim: a mark lies in the middle, a shadow comes in from one side.
  const isRim = rows.map(([, x, y]) => Math.max(Math.abs(x!), Math.abs(y!)) > 0.36);
  const bright = quantileOf(
    green.filter((_value, i) => isRim[i]),
    0.5,
  );
  let weights = green.map((value, i) => (isRim[i] && value >= bright - 0.02 ? 1 : 0));
  let terms = fit(
    rows.map(([one, x, y]) => [one!, x!, y!, 0, 0, 0]),
    green,
    weights,
  );
  for (let round = 0; round < ROUNDS; round++) {
    const off = green.map((value, i) => value - rows[i]!.reduce((sum, one, p) => sum + one * terms[p]!, 0));
    const about = Math.max(0.004, spreadOf(off.filter((value, i) => weights[i]! > 0 || value > 0)));
    weights = off.map((value) => (value > -DARKER * about && value < 3 * about ? 1 : 0));
    terms = fit(rows, green, weights);
  }
  const surfaces = channels.map((channel) => (channel === 1 ? terms : fit(rows, logs[channel]!, weights)));
  const reflectance = channels.map(() => new Float32Array(pixels.length)) as [Float32Array, Float32Array, Float32Array];
  let [brightest, darkest] = [-Infinity, Infinity];
  pixels.forEach((at, i) => {
    const place = placeOf(at);
    for (const channel of channels) {
      const log = valueAt(surfaces[channel]!, ...place);
      reflectance[channel][i] = light.planes[channel][at]! / Math.exp(log);
      if (channel === 1) [brightest, darkest] = [Math.max(brightest, log), Math.min(darkest, log)];
    }
  });
  const { clean, grain } = cleanOf(reflectance[1]);
  return {
    pixels,
    reflectance,
    clean,
    grain,
    unevenness: unevennessOf(light, pixels, reflectance[1], clean),
    level: channels.map((channel: Channel) => Math.exp(surfaces[channel]![0]!)) as unknown as Rgb,
    range: Math.exp(brightest - darkest),
  };
}

/** Clean cloth scatters evenly about 1; how much is told from what is brighter than that. */
function cleanOf(green: Float32Array): Pick<Illumination, 'clean' | 'grain'> {
  const above = [...green].filter((r) => r > 1).map((r) => r - 1);
  const grain = Math.max(0.002, spreadOf(above));
  return { clean: Uint8Array.from(green, (r) => (r > 1 - 2.5 * grain ? 1 : 0)), grain };
}

/** What is left of the scatter in means over squares: light that the surface does not follow. */
function unevennessOf(light: Light, pixels: readonly number[], green: Float32Array, clean: Uint8Array): number {
  const { counts, sums } = inSquares(light, pixels, [green, clean], SQUARE);
  const means: number[] = [];
  counts.forEach((count, square) => {
    if (count === SQUARE * SQUARE && sums[1]![square]! > 0.95 * count) means.push(sums[0]![square]! / count - 1);
  });
  return means.length < 4 ? 0.01 : Math.sqrt(means.reduce((sum, one) => sum + one * one, 0) / means.length);
}
