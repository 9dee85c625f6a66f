import { randomLcg, randomNormal } from 'd3-random';
import { type Homography, mapped } from './align';
import { type Raster, quickByteOf } from './raster';
import { blurred } from './wipe-picture';

/** A panel under a lamp, with things that stay and fine lines that may come. */
export interface ProofScene {
  readonly width: number;
  readonly height: number;
  /** Arcs round the lamp, and straight streaks. */
  readonly arcs: number;
  readonly streaks: number;
  /** From the panel to the picture; null looks straight at it. */
  readonly seen: Homography | null;
  readonly noise: number;
  /** What stays on the panel, and the lines on it. */
  readonly panelSeed: number;
  readonly lineSeed: number;
}

export const plainProof: ProofScene = {
  width: 640,
  height: 480,
  arcs: 20,
  streaks: 5,
  seen: null,
  noise: 0.006,
  panelSeed: 1,
  lineSeed: 1,
};

/** The lamp's reflection, as shares of the panel. */
const LAMP = { x: 0.5, y: 0.45 } as const;

/** Pixels of a letter on a strip of tape. */
const LETTER = 4;

type Draw = () => number;

const random = (seed: number): Draw => {
  const draw = randomLcg((seed * 0.6180339887) % 1);
  for (let i = 0; i < 5; i++) draw();
  return draw;
};

/** Tape, badges and a gap: what both pictures have. */
function fixtures({ width, height, panelSeed }: ProofScene, plane: Float32Array): void {
  const draw = random(panelSeed);
  for (let i = 0; i < 26; i++) {
    // In the outer parts: the middle is what is proved.
    const side = i % 4;
    const [a, b] = [draw(), 0.02 + 0.1 * draw()];
    const [x, y] = side === 0 ? [a, b] : side === 1 ? [a, 1 - b] : side === 2 ? [b, a] : [1 - b, a];
    const [w, h] = [4 + Math.floor(4 * draw()), 3 + Math.floor(3 * draw())];
    // Written on, as tape is: each is like no other.
    for (let row = 0; row < h; row++) {
      for (let column = 0; column < w; column++) {
        const light = draw() < 0.4 ? 0.12 : 0.4 + 0.2 * draw();
        for (let dy = 0; dy < LETTER; dy++) {
          for (let dx = 0; dx < LETTER; dx++) {
            const [px, py] = [
              Math.round(x * width) + LETTER * (column - (w >> 1)) + dx,
              Math.round(y * height) + LETTER * (row - (h >> 1)) + dy,
            ];
            if (px >= 0 && py >= 0 && px < width && py < height) plane[py * width + px] = light;
          }
        }
      }
    }
  }
}

/** A line of light, brightest on its middle, drawn by small dabs. */
function dab(plane: Float32Array, width: number, height: number, x: number, y: number, light: number): void {
  for (let dy = -1; dy <= 1; dy++) {
    for (let dx = -1; dx <= 1; dx++) {
      const [px, py] = [Math.round(x) + dx, Math.round(y) + dy];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      const off = (px - x) ** 2 + (py - y) ** 2;
      plane[py * width + px] = Math.max(plane[py * width + px]!, 0.05 + light * Math.exp(-off / 0.6));
    }
  }
}

function lines({ width, height, arcs, streaks, lineSeed }: ProofScene, plane: Float32Array): void {
  const draw = random(lineSeed);
  const [cx, cy] = [LAMP.x * width, LAMP.y * height];
  for (let i = 0; i < arcs + streaks; i++) {
    const light = 0.1 + 0.12 * draw();
    const [radius, from, length] = [60 + 130 * draw(), 2 * Math.PI * draw(), 22 + 40 * draw()];
    if (i < arcs)
      for (let t = 0; t < length; t += 0.4)
        dab(
          plane,
          width,
          height,
          cx + radius * Math.cos(from + t / radius),
          cy + 0.8 * radius * Math.sin(from + t / radius),
          light,
        );
    else {
      const turn = Math.PI * draw();
      for (let t = 0; t < length; t += 0.4)
        dab(
          plane,
          width,
          height,
          cx + radius * Math.cos(from) + t * Math.cos(turn),
          cy + 0.8 * radius * Math.sin(from) + t * Math.sin(turn),
          light,
        );
    }
  }
}

/** Renders a panel of the half-panel proof with a known number of lines on it. */
export function renderProof(scene: ProofScene): Raster {
  const { width, height } = scene;
  const plane = new Float32Array(width * height).fill(0.05);
  fixtures(scene, plane);
  lines(scene, plane);
  const soft = blurred(plane, width, height, 0.6);
  const normal = randomNormal.source(random(scene.lineSeed + 77))(0, 1);
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const { x: u, y: v } = scene.seen ? mapped(scene.seen, { x, y }) : { x, y };
      const glare = 1.4 * Math.exp(-((u - LAMP.x * width) ** 2 + (v - LAMP.y * height) ** 2) / 420);
      const light = at(soft, width, height, u, v) + glare + scene.noise * normal();
      const byte = quickByteOf(light);
      rgba.set([byte, byte, byte, 255], 4 * (y * width + x));
    }
  }
  return { width, height, rgba };
}

/** Between pixels, in proportion; dark beyond the panel. */
function at(plane: Float32Array, width: number, height: number, x: number, y: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) return 0.02;
  const [s, t, i] = [x - left, y - top, top * width + left];
  return (
    (1 - t) * ((1 - s) * plane[i]! + s * plane[i + 1]!) + t * ((1 - s) * plane[i + width]! + s * plane[i + width + 1]!)
  );
}
