/** The pole of inaccessibility of a polygon with holes; the library ships no types. */
declare module 'polylabel' {
  export default function polylabel(
    polygon: readonly (readonly (readonly number[])[])[],
    precision?: number,
  ): readonly number[] & { readonly distance: number };
}
