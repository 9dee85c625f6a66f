/** Values summed over squares of pixels: means over them hold the noise of single pixels down. */
export interface Squares {
  /** Squares in a row. */
  readonly across: number;
  /** Pixels in each square; pixels of the picture that were not asked for are in none. */
  readonly counts: Uint8Array;
  /** As many as values were given: their sums, square by square. */
  readonly sums: readonly Float32Array[];
}

/**
 * @param pixels places in the picture, row by row
 * @param values each with one figure a pixel
 * @param size pixels along the edge of a square, at most 15
 */
export function inSquares(
  { width, height }: { readonly width: number; readonly height: number },
  pixels: readonly number[],
  values: readonly ArrayLike<number>[],
  size: number,
): Squares {
  const across = Math.ceil(width / size);
  const all = across * Math.ceil(height / size);
  const counts = new Uint8Array(all);
  const sums = values.map(() => new Float32Array(all));
  pixels.forEach((at, i) => {
    const square = Math.floor(Math.floor(at / width) / size) * across + Math.floor((at % width) / size);
    counts[square]!++;
    for (let v = 0; v < sums.length; v++) sums[v]![square]! += values[v]![i]!;
  });
  return { across, counts, sums };
}
