import { randomLcg, randomNormal } from 'd3-random';
import type { Assumptions } from '../assumptions';
import { reflectance } from './kubelka-munk';
import { lightLeft } from './optical-law';
import { type Raster, type Rgb, quickByteOf } from './raster';
import { type SeenKind, gaugeOf, grainG, isWiped, tintOf } from './soil-optics';

/** A towel on the ground as a camera would see it: what lies on it, the light, the cloth and the camera. */
export interface TowelScene {
  readonly width: number;
  readonly height: number;
  readonly kind: SeenKind;
  /** Soil on the panel before it was wiped, g/m². */
  readonly loadGm2: number;
  readonly patchM2: number;
  readonly sideM2: number;
  /** How much darker this hand and cloth make it than our figures say. */
  readonly gaugeFactor: number;
  /** How its colour differs from that of its kind elsewhere. */
  readonly tinge: Rgb;
  /** Dye of the product on top, as absorption of red, green and blue. */
  readonly dye: Rgb;
  /** Colour and strength of the light on the cloth, linear. */
  readonly white: Rgb;
  /** Brightness at the right and lower edge against the middle. */
  readonly slope: readonly [number, number];
  readonly ground: Rgb;
  /** Weave of the cloth, relative. */
  readonly weave: number;
  /** Noise of the camera at full white, relative. */
  readonly noise: number;
  /** Radius of the lens's blur, pixels. */
  readonly blur: number;
  readonly turnDeg: number;
  /** Width of the towel against the picture's shorter side. */
  readonly share: number;
  /** Width of the wiped mark against the towel. */
  readonly mark: number;
  /** A shadow from this share of the picture's width on, that lets so much through. */
  readonly shadow: { readonly from: number; readonly lets: number } | null;
  readonly seed: number;
  /** What is left of the light of a clean cloth under so much soil and dye, in units of the gauge. */
  readonly optics: (absorbed: number) => number;
}

/** A quiet scene under daylight: what is not said otherwise. */
export const plainScene: TowelScene = {
  width: 480,
  height: 360,
  kind: 'dust',
  loadGm2: 0.5,
  patchM2: 0.04,
  sideM2: 0.04,
  gaugeFactor: 1,
  tinge: [1, 1, 1],
  dye: [0, 0, 0],
  white: [0.7, 0.7, 0.7],
  slope: [0, 0],
  ground: [0.07, 0.07, 0.08],
  weave: 0.015,
  noise: 0.008,
  blur: 0.6,
  turnDeg: 0,
  share: 0.8,
  mark: 0.6,
  shadow: null,
  seed: 1,
  optics: reflectance,
};

/** What the simulated camera begins with: nobody knows the law there. */
export const simulatedScene: TowelScene = { ...plainScene, optics: lightLeft };

/** Coarse grains darken a towel little for what they weigh. */
const COARSE_GM2 = 25;

const gaugeIn = ({ kind, gaugeFactor }: TowelScene, a: Assumptions): number =>
  (isWiped(kind) ? gaugeOf(kind, a) : COARSE_GM2) * gaugeFactor;

/** Normal figures, drawn once: a picture needs hundreds of thousands. */
const TABLE = 1 << 16;
let table: Float32Array | null = null;

function normals(): Float32Array {
  const draw = randomNormal.source(randomLcg(0.42))(0, 1);
  table ??= Float32Array.from({ length: TABLE }, () => draw());
  return table;
}

/** Grains in a pixel, from their mean: Poisson, by its normal for many. */
function grainsIn(mean: number, random: () => number, normal: number): number {
  if (mean > 12) return Math.max(0, mean + Math.sqrt(mean) * normal);
  const least = Math.exp(-mean);
  let [count, product] = [0, random()];
  while (product > least) {
    count++;
    product *= random();
  }
  return count;
}

const smooth = (edge: number): number => {
  const t = Math.min(1, Math.max(0, edge));
  return t * t * (3 - 2 * t);
};

/** How thick the soil lies across the mark: in strokes, thinning out towards its ends; 0 outside. */
function strokes(u: number, v: number, mark: number, phase: number): number {
  const [a, b] = [(2 * u) / mark, (2 * v) / mark];
  if (Math.abs(a) >= 1 || Math.abs(b) >= 1) return 0;
  return (
    smooth((1 - Math.abs(a)) / 0.25) *
    smooth((1 - Math.abs(b)) / 0.25) *
    (1 + 0.35 * Math.sin(9 * b + phase) + 0.15 * Math.sin(5 * a + 2 * phase))
  );
}

/** One box pass along lines: of `length` values `step` apart, each line `jump` on from the one before. */
function boxPass(
  from: Float32Array,
  to: Float32Array,
  radius: number,
  [lines, length]: readonly [number, number],
  [jump, step]: readonly [number, number],
): void {
  const [window, last] = [2 * radius + 1, length - 1];
  for (let line = 0; line < lines; line++) {
    const start = line * jump;
    let sum = radius * from[start]!;
    for (let i = 0; i <= radius; i++) sum += from[start + Math.min(last, i) * step]!;
    for (let i = 0; i < length; i++) {
      to[start + i * step] = sum / window;
      sum +=
        from[start + (i + radius < last ? i + radius + 1 : last) * step]! -
        from[start + (i > radius ? i - radius : 0) * step]!;
    }
  }
}

/** Blurs a plane by box passes, three each way, which come close to a bell of this deviation. */
export function blurred(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  // Three boxes of 2r + 1 have the variance r (r + 1).
  const radius = Math.round((Math.sqrt(4 * sigma * sigma + 1) - 1) / 2);
  if (radius < 1) return sigma < 0.3 ? plane : softened(plane, width, height, sigma);
  const [one, two] = [plane.slice(), new Float32Array(plane.length)];
  for (let round = 0; round < 3; round++) {
    boxPass(one, two, radius, [height, width], [width, 1]);
    boxPass(two, one, radius, [width, height], [1, width]);
  }
  return one;
}

/** A blur of less than a pixel: each takes a little of its neighbours. */
function softened(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const part = Math.min(0.25, (sigma * sigma) / 2);
  const out = plane.slice();
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1, at = y * width + 1; x < width - 1; x++, at++) {
      out[at] =
        (1 - 4 * part) * plane[at]! +
        part * (plane[at - 1]! + plane[at + 1]! + plane[at - width]! + plane[at + width]!);
    }
  }
  return out;
}

/**
 * The simulated camera: renders the towel of a wipe test from what is known of it. Soil goes onto
 * the cloth grain by grain, darkens it by the optics of the scene, is lit, blurred, and read with noise.
 */
export function renderTowel(scene: TowelScene, a: Assumptions): Raster {
  const { width, height, mark, sideM2 } = scene;
  const random = randomLcg((scene.seed * 0.6180339887) % 1);
  const noise = normals();
  let drawn = Math.floor(random() * TABLE);
  const normal = (): number => noise[drawn++ & (TABLE - 1)]!;
  const size = scene.share * Math.min(width, height);
  const turn = (scene.turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const phase = 6 * random();
  const [cx, cy] = [width / 2 + 6 * (random() - 0.5), height / 2 + 6 * (random() - 0.5)];
  const pixelM2 = sideM2 / (size * size);
  const onTowelG = scene.loadGm2 * scene.patchM2 * a.wipePickUp;
  let shape = 0;
  const steps = 80;
  for (let i = 0; i < steps; i++)
    for (let j = 0; j < steps; j++)
      shape += strokes((i + 0.5) / steps - 0.5, (j + 0.5) / steps - 0.5, mark, phase) / (steps * steps);
  const meanGm2 = onTowelG / sideM2 / shape;
  const [tint, gauge, grain] = [tintOf(scene.kind), gaugeIn(scene, a), grainG(scene.kind, a)];
  const planes = [0, 1, 2].map(() => new Float32Array(width * height));
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [(x + 0.5 - cx) / size, (y + 0.5 - cy) / size];
      const [u, v] = [dx * cos + dy * sin, dy * cos - dx * sin];
      const cover = smooth((0.5 - Math.max(Math.abs(u), Math.abs(v))) * (size / 2) + 0.5);
      const lit =
        Math.exp(scene.slope[0] * (x / width - 0.5) * 2 + scene.slope[1] * (y / height - 0.5) * 2) *
        (scene.shadow && x / width + 0.2 * (y / height) > scene.shadow.from ? scene.shadow.lets : 1);
      const thick = cover > 0 ? strokes(u, v, mark, phase) : 0;
      const meanG = thick * meanGm2 * pixelM2;
      const soilGm2 = meanG > 0 ? (grainsIn(meanG / grain, random, normal()) * grain) / pixelM2 : 0;
      const cloth = 1 + scene.weave * normal();
      const earth = 1 + 0.25 * normal();
      for (let c = 0; c < 3; c++) {
        const towel =
          scene.optics(
            (soilGm2 / gauge) * tint[c]! * scene.tinge[c]! + (thick > 0 ? scene.dye[c]! * Math.min(1, thick) : 0),
          ) *
          cloth *
          scene.white[c]!;
        planes[c]![y * width + x] =
          lit * (cover * towel + (1 - cover) * Math.max(0, scene.ground[c]! * earth * scene.white[c]!));
      }
    }
  }
  const rgba = new Uint8ClampedArray(4 * width * height);
  planes.forEach((plane, c) => {
    const seen = blurred(plane, width, height, scene.blur);
    for (let i = 0; i < seen.length; i++)
      rgba[4 * i + c] = quickByteOf(seen[i]! + scene.noise * Math.sqrt(0.1 + Math.max(0, seen[i]!)) * normal());
  });
  for (let i = 3; i < rgba.length; i += 4) rgba[i] = 255;
  return { width, height, rgba };
}
