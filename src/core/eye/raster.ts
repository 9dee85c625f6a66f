/** A picture as a camera or a canvas hands it over: sRGB with alpha, four bytes a pixel, row by row. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** The same scene in linear light, 0 to 1 for each channel, three planes. */
export interface Light {
  readonly width: number;
  readonly height: number;
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
  /** Share of each pixel's parts that the camera had clipped, 0 to 1. */
  readonly clipped: Float32Array;
}

export const channels = [0, 1, 2] as const;
export type Channel = (typeof channels)[number];

/** A figure for red, green and blue. */
export type Rgb = readonly [number, number, number];

/** sRGB to linear light (IEC 61966-2-1). @example linearOf(255) is 1 */
export const linearOf = (byte: number): number => {
  const value = byte / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
};

/** Linear light to sRGB, 0 to 255, not rounded. @example byteOf(1) is 255 */
export const byteOf = (light: number): number => {
  const value = Math.min(1, Math.max(0, light));
  return 255 * (value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055);
};

/** Steps of the table of sRGB bytes: fine enough for black. */
const STEPS = 1 << 14;
const bytes = Float32Array.from({ length: STEPS + 1 }, (_unused, step) => byteOf(step / STEPS));

/** The same out of a table: pictures have hundreds of thousands of them. */
export const quickByteOf = (light: number): number =>
  bytes[light <= 0 ? 0 : light >= 1 ? STEPS : Math.round(light * STEPS)]!;

const linear = Float32Array.from({ length: 256 }, (_unused, byte) => linearOf(byte));

/** From here on a sensor is taken as full. */
const FULL = 253;
/** Work goes on at about this many pixels along the longer side: enough for a towel, quick on a phone. */
const WORKING_SIDE = 480;
/** Rows between two reports. */
const ROWS = 16;

/**
 * Makes a picture smaller by whole factors, averaging in linear light (an average of sRGB bytes would be too dark).
 * Yields the share that is done.
 */
export function* inLight({ width, height, rgba }: Raster, side = WORKING_SIDE): Generator<number, Light> {
  const factor = Math.max(1, Math.floor(Math.max(width, height) / side));
  const [across, down] = [Math.floor(width / factor), Math.floor(height / factor)];
  const planes = [
    new Float32Array(across * down),
    new Float32Array(across * down),
    new Float32Array(across * down),
  ] as const;
  const clipped = new Float32Array(across * down);
  const parts = 1 / (factor * factor);
  for (let y = 0; y < down; y++) {
    for (let inner = 0; inner < factor; inner++) {
      let from = 4 * (y * factor + inner) * width;
      for (let x = 0; x < across; x++) {
        const at = y * across + x;
        let [r, g, b, full] = [0, 0, 0, 0];
        for (let i = 0; i < factor; i++, from += 4) {
          const [red, green, blue] = [rgba[from]!, rgba[from + 1]!, rgba[from + 2]!];
          r += linear[red]!;
          g += linear[green]!;
          b += linear[blue]!;
          if (red >= FULL || green >= FULL || blue >= FULL) full++;
        }
        planes[0][at]! += r * parts;
        planes[1][at]! += g * parts;
        planes[2][at]! += b * parts;
        clipped[at]! += full * parts;
      }
    }
    if (y % ROWS === ROWS - 1) yield y / down;
  }
  return { width: across, height: down, planes, clipped };
}

/** Every so many pixels of a picture as they are: rough, and next to no work however large it is. */
export function glanceAt({ width, height, rgba }: Raster, side = WORKING_SIDE): Light {
  const every = Math.max(1, Math.floor(Math.max(width, height) / side));
  const [across, down] = [Math.floor(width / every), Math.floor(height / every)];
  const of = (channel: Channel): Float32Array =>
    Float32Array.from({ length: across * down }, (_unused, at) => {
      const [x, y] = [every * (at % across), every * Math.floor(at / across)];
      return linear[rgba[4 * (y * width + x) + channel]!]!;
    });
  return { width: across, height: down, planes: [of(0), of(1), of(2)], clipped: new Float32Array(across * down) };
}

/** How bright a pixel looks, Y of Rec. 709. */
export const brightness = ({ planes }: Light, at: number): number =>
  0.2126 * planes[0][at]! + 0.7152 * planes[1][at]! + 0.0722 * planes[2][at]!;
