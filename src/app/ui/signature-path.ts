import type { Signature } from '@esmero/model';
import type { PointGroup } from 'signature_pad';

/** The box that a signature is kept in. */
export const WIDTH = 300;
export const HEIGHT = 100;

/** Strokes of a pen as one path in a box of 300 by 100. */
export function pathOf(strokes: readonly Pick<PointGroup, 'points'>[], width: number, height: number): string {
  const at = ({ x, y }: { readonly x: number; readonly y: number }): string =>
    `${((x / width) * WIDTH).toFixed(1)} ${((y / height) * HEIGHT).toFixed(1)}`;
  return strokes.map(({ points }) => points.map((point, i) => `${i === 0 ? 'M' : 'L'}${at(point)}`).join('')).join('');
}

/** A signature as a drawing for paper. */
export const signatureSvg = ({ path }: Pick<Signature, 'path'>): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}"><path d="${path}" fill="none" stroke="#1b2526" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"/></svg>`;
