import { type Detail, detailsOf, zonesOf } from '@esmero/core';
import type { Colour, Surface, Vehicle } from '@esmero/model';
import { viewOf } from './view-layout';

const paint: Readonly<Record<Colour, string>> = {
  white: '#f4f3ee',
  silver: '#c3c8ca',
  mid: '#a9a89d',
  dark: '#38505a',
  black: '#23292b',
};
const seam: Readonly<Record<Colour, string>> = {
  white: '#3c4745',
  silver: '#3c4745',
  mid: '#3c4745',
  dark: '#a9b6b8',
  black: '#8d989a',
};
const GLASS = '#d4e4e6';
const DARK = '#39423f';

const surfaceTone: Readonly<Partial<Record<Surface, string>>> = {
  glass: GLASS,
  rubber: DARK,
  'bare-plastic': DARK,
  'wheel-finish': '#cfd3d1',
};
const detailTone: Readonly<Partial<Record<Detail['kind'], string>>> = {
  glass: GLASS,
  stub: DARK,
  lamp: '#fdfcf6',
  'tail-lamp': '#b5533c',
};
/** Metres. */
const LINE = 0.008;

/** A car from its left as a drawing for paper: the outlines that are on screen, with their tones written out. */
export function carSvg(vehicle: Vehicle): string {
  const zones = zonesOf(vehicle);
  const { viewBox, under, zones: panels, over } = viewOf('left', zones, detailsOf(vehicle));
  const surfaces = new Map(zones.map(({ id, surface }) => [id, surface]));
  const { [vehicle.colour]: body } = paint;
  const path = (d: string, fill: string): string =>
    `<path d="${d}" fill="${fill}" stroke="${seam[vehicle.colour]}" stroke-width="${LINE}"/>`;
  const detail = ({ kind, path: d }: (typeof over)[number]): string =>
    path(d, kind === 'body' ? body : (detailTone[kind] ?? 'none'));
  const drawn = [
    ...under.map(detail),
    ...panels.map(({ id, path: d }) => path(d, surfaceTone[surfaces.get(id)!] ?? body)),
    ...over.map(detail),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${viewBox}">${drawn.join('')}</svg>`;
}
