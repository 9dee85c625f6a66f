import type { Illumination } from './illumination';
import { type Outline, type Point, quantileOf, scaled, within } from './outline';
import { type Light, brightness } from './raster';

/** Why a picture tells nothing of the soil. */
export type PictureFault =
  | 'no-towel'
  | 'pale-ground'
  | 'cut-off'
  | 'blurred'
  | 'too-bright'
  | 'too-dark'
  | 'uneven-light'
  | 'shadow'
  | 'no-clean-rim'
  | 'coloured'
  | 'coarse'
  | 'too-soiled';

/** An edge may be so wide at most, as a share of the towel's width (judged). */
const WIDEST_EDGE = 0.028;
/** Share of the towel that may be clipped at most, and how dark clean cloth may be. */
const MOST_CLIPPED = 0.01;
const DARKEST = 0.06;
/** Brightest over darkest clean cloth at most. */
const MOST_RANGE = 2.4;
/** Share of the rim that may be darker than clean. */
const MOST_SOILED_RIM = 0.12;
const RIM_DARKER = 0.12;
/** Clean cloth that the light does not explain by this much is none (judged). */
const MOST_UNEVEN = 0.035;
/** A shadow takes as much of every colour; soil seldom does. */
const NEUTRAL = 0.06;
/** Share of the towel that must be clean. */
const LEAST_CLEAN = 0.15;

/** Distance over which an edge goes from a fifth to four fifths, across a line through it; null where there is none. */
function edgeWidth(
  light: Light,
  { x, y }: Point,
  [nx, ny]: readonly [number, number],
  reach: number,
  low: number,
  high: number,
): number | null {
  let dark: number | null = null;
  let pale: number | null = null;
  const sample = (t: number): number => {
    const [px, py] = [Math.round(x + t * nx), Math.round(y + t * ny)];
    return px < 0 || py < 0 || px >= light.width || py >= light.height ? low : brightness(light, py * light.width + px);
  };
  let before = sample(-reach);
  for (let t = -reach + 0.5; t <= reach; t += 0.5) {
    const now = sample(t);
    for (const [level, isDark] of [
      [low + 0.2 * (high - low), true],
      [low + 0.8 * (high - low), false],
    ] as const) {
      if (before < level && now >= level) {
        const at = t - 0.5 * ((now - level) / Math.max(1e-6, now - before));
        if (isDark) dark = at;
        else pale ??= at;
      }
    }
    before = now;
  }
  return dark === null || pale === null || pale < dark ? null : pale - dark;
}

/** How wide the towel's edges are drawn, in pixels: that of the softest side, since a shake blurs but two of them. */
export function edgeBlur(light: Light, outline: Outline): number {
  const { points, centre } = outline;
  const size = Math.sqrt(outline.area);
  const reach = 0.1 * size;
  const bySide: number[][] = [[], [], [], []];
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    const length = Math.hypot(q.x - p.x, q.y - p.y);
    if (length < 3) return;
    let normal: readonly [number, number] = [(q.y - p.y) / length, (p.x - q.x) / length];
    const middle = { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
    if (normal[0] * (centre.x - middle.x) + normal[1] * (centre.y - middle.y) < 0) normal = [-normal[0], -normal[1]];
    const side = Math.floor(((Math.atan2(normal[1], normal[0]) / Math.PI + 1) / 2) * 4 + 0.5) % 4;
    for (let along = 1; along < length - 1; along += 2) {
      const at = { x: p.x + (along / length) * (q.x - p.x), y: p.y + (along / length) * (q.y - p.y) };
      const inner = { x: Math.round(at.x + reach * normal[0]), y: Math.round(at.y + reach * normal[1]) };
      const high = brightness(
        light,
        Math.min(light.height - 1, Math.max(0, inner.y)) * light.width +
          Math.min(light.width - 1, Math.max(0, inner.x)),
      );
      const width = edgeWidth(light, at, normal, reach, outline.around, high);
      if (width !== null) bySide[side]!.push(width);
    }
  });
  const sides = bySide.filter((widths) => widths.length >= 5).map((widths) => quantileOf(widths, 0.5));
  return sides.length === 0 ? reach : Math.max(...sides);
}

/** Share of the towel that is clean. */
const cleanShare = ({ clean }: Pick<Illumination, 'clean'>): number =>
  clean.reduce((sum, one) => sum + one, 0) / Math.max(1, clean.length);

/** What makes a picture useless before anything is measured in it; null where nothing does. */
export function faultOf(light: Light, outline: Outline, on: Illumination, wholeRim: boolean): PictureFault | null {
  let clipped = 0;
  for (const at of on.pixels) clipped += light.clipped[at]!;
  if (clipped > MOST_CLIPPED * on.pixels.length) return 'too-bright';
  if (Math.max(...on.level) < DARKEST) return 'too-dark';
  if (edgeBlur(light, outline) > WIDEST_EDGE * Math.sqrt(outline.area)) return 'blurred';
  if (on.range > MOST_RANGE) return 'uneven-light';
  if (cleanShare(on) < LEAST_CLEAN || on.unevenness > MOST_UNEVEN) return 'no-clean-rim';
  return wholeRim ? rimFault(light, outline, on) : null;
}

function rimFault(light: Light, outline: Outline, { pixels, reflectance, grain }: Illumination): PictureFault | null {
  const inner = new Set<number>();
  within(scaled(outline, 0.86), light, (at) => inner.add(at));
  let [rim, soiled, colour] = [0, 0, 0];
  const darker = Math.max(RIM_DARKER, 3 * grain);
  pixels.forEach((at, i) => {
    if (inner.has(at)) return;
    rim++;
    if (reflectance[1][i]! > 1 - darker) return;
    soiled++;
    colour += Math.abs(Math.log(Math.max(0.01, reflectance[0][i]!) / Math.max(0.01, reflectance[2][i]!)));
  });
  if (soiled <= MOST_SOILED_RIM * rim) return null;
  return colour / soiled < NEUTRAL ? 'shadow' : 'no-clean-rim';
}
