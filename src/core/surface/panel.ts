import type { AssumptionKey, Assumptions } from '../assumptions';
import type { Colour, Surface } from '../model';
import type { Air } from './air';

/** What lies under a film. */
export const skins = ['steel', 'aluminium', 'plastic', 'glass'] as const;
export type Skin = (typeof skins)[number];

const skinKeys = {
  steel: 'skinSteel',
  aluminium: 'skinAluminium',
  plastic: 'skinPlastic',
  glass: 'skinGlass',
} as const satisfies Record<Skin, AssumptionKey>;

/** Heat capacity by area, J/m²K. */
export const skinCapacity = (skin: Skin, a: Assumptions): number => a[skinKeys[skin]];

export function skinOf(surface: Surface): Skin {
  switch (surface) {
    case 'paint':
    case 'bright-metal':
      return 'steel';
    case 'wheel-finish':
      return 'aluminium';
    case 'bare-plastic':
    case 'rubber':
      return 'plastic';
    case 'glass':
      return 'glass';
  }
}

const absorbKeys = {
  white: 'absorbsWhite',
  silver: 'absorbsSilver',
  mid: 'absorbsMid',
  dark: 'absorbsDark',
  black: 'absorbsBlack',
} as const satisfies Record<Colour, AssumptionKey>;

/** The conditions of one panel as they are observed. */
export interface Observed {
  readonly airC: number;
  readonly humidity: number;
  readonly windMs: number;
  readonly sunWm2: number;
  readonly shaded: boolean;
  readonly colour: Colour;
}

/**
 * What a panel of a colour stands in. Sun that is given is taken as given, in the shade too: it is
 * then what gets through.
 */
export const airOn = ({ airC, humidity, windMs, sunWm2, shaded, colour }: Observed, a: Assumptions): Air => ({
  airC,
  humidity,
  windMs,
  sunWm2,
  absorptivity: a[absorbKeys[colour]],
  skyC: airC - (shaded ? a.skyShade : a.skyOpen),
});
