import type { AssumptionKey, Assumptions } from '../assumptions';
import { type CleanlinessClass, type SoilKind, cleanlinessOf } from '../model';
import { grainOf } from '../soil';
import type { Rgb } from './raster';

/** Kinds that a wiped towel tells the amount of. Salt dissolves and leaves no colour; grit and mud must not be wiped. */
export const wipedKinds = [
  'dust',
  'pollen',
  'road-film',
  'fallout',
  'brake-dust',
] as const satisfies readonly SoilKind[];
export type WipedKind = (typeof wipedKinds)[number];

/** Kinds whose grains stand proud of any film: a towel must not be drawn over them. */
const coarseKinds = ['grit', 'mud'] as const satisfies readonly SoilKind[];

/** What is told apart in a picture. */
export const seenKinds = [...wipedKinds, ...coarseKinds] as const;
export type SeenKind = (typeof seenKinds)[number];

export const isWiped = (kind: SoilKind): kind is WipedKind => (wipedKinds as readonly SoilKind[]).includes(kind);

/** How a soil colours a white towel: what it absorbs of red, green and blue, the mean being 1 (judged). */
const tints: Readonly<Record<SeenKind, Rgb>> = {
  dust: [0.8, 1, 1.2],
  pollen: [0.4, 0.8, 1.8],
  'road-film': [0.99, 1, 1.01],
  fallout: [0.5, 1.12, 1.38],
  grit: [0.72, 1, 1.28],
  mud: [0.58, 0.98, 1.44],
  'brake-dust': [1.1, 1, 0.9],
};

const gaugeKeys = {
  dust: 'gaugeDust',
  pollen: 'gaugePollen',
  'road-film': 'gaugeRoadFilm',
  fallout: 'gaugeFallout',
  'brake-dust': 'gaugeBrakeDust',
} as const satisfies Record<WipedKind, AssumptionKey>;

export const tintOf = (kind: SeenKind): Rgb => tints[kind];

/** Soil on the towel for each unit of absorption, g/m²: k of the Kubelka–Munk line. */
export const gaugeOf = (kind: WipedKind, a: Assumptions): number => a[gaugeKeys[kind]];

/** g/cm³ of mineral soil. */
const DENSITY = 2.6;

/** Mass of one grain, g: a ball of half the kind's coarsest size. */
export const grainG = (kind: SeenKind, a: Assumptions): number =>
  (Math.PI / 6) * (grainOf(kind, a) * 0.5e-4) ** 3 * DENSITY;

/** What one expects where the patch was wiped, before the picture is looked at (judged): brake dust is found on wheels, coarse soil low down. */
export function expected(cleanliness: CleanlinessClass): Readonly<Record<SeenKind, number>> {
  const [wheel, low] = [cleanliness >= cleanlinessOf.faces, cleanliness >= cleanlinessOf.lowers];
  return {
    dust: 3,
    pollen: 2,
    'road-film': low ? 4 : 3,
    fallout: 1.5,
    grit: low ? 0.6 : 0.3,
    mud: low ? 0.6 : 0.2,
    'brake-dust': wheel ? 8 : low ? 0.3 : 0,
  };
}

/** The same for a patch of which somebody knows the kind. */
export const nothingBut = (known: WipedKind): Readonly<Record<SeenKind, number>> => ({
  dust: 0,
  pollen: 0,
  'road-film': 0,
  fallout: 0,
  grit: 0,
  mud: 0,
  'brake-dust': 0,
  [known]: 1,
});
