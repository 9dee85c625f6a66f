import { type Grey, type Homography, aligned, mapped } from './align';
import { type Line, linesIn } from './lines';
import type { Point } from './outline';
import { type Light, type Raster, brightness, inLight } from './raster';
import type { Study } from '../studies';

/** Lines in one picture, of the part that both show. */
export interface Counted {
  readonly arcs: number;
  readonly streaks: number;
  /** Each as points, shares of its picture’s width and height. */
  readonly lines: readonly (readonly Point[])[];
}

/** Fine lines of either kind. */
export const marksIn = ({ arcs, streaks }: Pick<Counted, 'arcs' | 'streaks'>): number => arcs + streaks;

export type ProofAnswer =
  | {
      readonly kind: 'counted';
      readonly before: Counted;
      readonly after: Counted;
      /** Either count may be off by so many. */
      readonly doubt: number;
    }
  | { readonly kind: 'refused'; readonly fault: ProofFault };

/** Why two pictures cannot be laid beside each other. */
export type ProofFault = 'not-the-same' | 'no-lamp';

export interface ProofAsked {
  readonly before: Raster;
  readonly after: Raster;
}

/** Work goes on at about this many pixels along the longer side: lines of a hundredth of a panel are still two wide. */
const SIDE = 640;
/** Pixels round the lamp that are glare. */
const GLARE = 26;
/** Share of the lines that lie on others where there are many (judged). */
const CROWDED = 0.08;
/** A lamp clips at least so many pixels. */
const LEAST_LAMP = 12;

const greyOf = (light: Light): Grey => {
  const values = new Float32Array(light.width * light.height);
  // Square root: as the eye has it, so that the lamp does not drown the rest.
  for (let at = 0; at < values.length; at++) values[at] = Math.sqrt(brightness(light, at));
  return { width: light.width, height: light.height, values };
};

/** Where the lamp clips, and round it. */
function glareIn(light: Light): Uint8Array | null {
  const glare = new Uint8Array(light.width * light.height);
  let lamp = 0;
  for (let at = 0; at < glare.length; at++) {
    if (light.clipped[at]! < 0.5) continue;
    lamp++;
    const [x, y] = [at % light.width, Math.floor(at / light.width)];
    for (let dy = -GLARE; dy <= GLARE; dy += 2) {
      for (let dx = -GLARE; dx <= GLARE; dx += 2) {
        const [px, py] = [x + dx, y + dy];
        if (px < 0 || py < 0 || px >= light.width - 1 || py >= light.height - 1) continue;
        for (const near of [0, 1, light.width, light.width + 1]) glare[py * light.width + px + near] = 1;
      }
    }
  }
  return lamp < LEAST_LAMP ? null : glare;
}

/** Things that are in both pictures are no marks of the wash; and where only one looks, nothing can be compared. */
function shared({ width }: Grey, other: Grey, h: Homography): (at: number) => boolean {
  return (at) => {
    const { x, y } = mapped(h, { x: at % width, y: Math.floor(at / width) });
    return x >= 3 && y >= 3 && x < other.width - 3 && y < other.height - 3;
  };
}

function counted(lines: readonly Line[], { width, height }: Grey): Counted {
  return {
    arcs: lines.filter(({ isArc }) => isArc).length,
    streaks: lines.filter(({ isArc }) => !isArc).length,
    lines: lines.map(({ points }) => points.map(({ x, y }) => ({ x: x / width, y: y / height }))),
  };
}

const inverse = (h: Homography): Homography => {
  const [a, b, c, d, e, f, g, i, j] = h as readonly [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const adjoint = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
  return adjoint.map((one) => one / adjoint[8]!);
};

/**
 * Lays two pictures of a panel under one lamp on each other and counts the fine lines in what both
 * show. Yields the share that is done.
 */
export function* halfPanelProof({ before, after }: ProofAsked): Study<ProofAnswer> {
  const lights: Light[] = [];
  for (const [i, picture] of [before, after].entries()) {
    const reading = inLight(picture, SIDE);
    let step = reading.next();
    while (!step.done) {
      yield 0.25 * (i + step.value);
      step = reading.next();
    }
    lights.push(step.value);
  }
  const [first, second] = lights as [Light, Light];
  const [glareBefore, glareAfter] = [glareIn(first), glareIn(second)];
  if (!glareBefore || !glareAfter) return { kind: 'refused', fault: 'no-lamp' };
  const [one, other] = [greyOf(first), greyOf(second)];
  yield 0.55;
  const found = aligned(one, other);
  if (!found) return { kind: 'refused', fault: 'not-the-same' };
  yield 0.75;
  const [there, back] = [shared(one, other, found.homography), shared(other, one, inverse(found.homography))];
  const countAt = (times: number): readonly [readonly Line[], readonly Line[]] => [
    linesIn(one, (at) => glareBefore[at] === 1 || !there(at), times),
    linesIn(other, (at) => glareAfter[at] === 1 || !back(at), times),
  ];
  const [usual, strict, lax] = [countAt(1), countAt(1.25), countAt(0.8)];
  // What hangs on how strictly one looks is in doubt, and so is what crosses or just begins.
  const hangs = Math.max(...([0, 1] as const).map((i) => Math.abs(lax[i].length - strict[i].length) / 2));
  const most = Math.max(usual[0].length, usual[1].length);
  const chance = Math.hypot(0.5 * Math.sqrt(most), CROWDED * most);
  return {
    kind: 'counted',
    before: counted(usual[0], one),
    after: counted(usual[1], other),
    doubt: Math.max(1, Math.round(Math.hypot(hangs, chance))),
  };
}
