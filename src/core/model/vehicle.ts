import type { Metres } from '../units';
import type { Protection } from './care';

export const bodies = [
  'sedan',
  'hatchback',
  'estate',
  'coupe',
  'suv',
  'pickup',
  'van',
  'minivan',
  'city',
  'motorcycle',
] as const;
export type Body = (typeof bodies)[number];
/** Bodies that are drawn after a car's template. */
export type CarBody = Exclude<Body, 'motorcycle'>;

/** What decides how easily the painted skin takes marks. */
export const finishes = ['soft', 'matte', 'clear-coat', 'coated', 'film-wrapped'] as const;
export type Finish = (typeof finishes)[number];

export const colours = ['white', 'silver', 'mid', 'dark', 'black'] as const;
export type Colour = (typeof colours)[number];

export interface Dimensions {
  readonly lengthM: Metres;
  readonly widthM: Metres;
  readonly heightM: Metres;
  readonly wheelbaseM: Metres;
  readonly clearanceM: Metres;
  readonly wheelDiameterM: Metres;
}

export interface Vehicle {
  readonly id: string;
  readonly name: string;
  readonly body: Body;
  readonly dimensions: Dimensions;
  readonly finish: Finish;
  readonly colour: Colour;
  /** Sills, lower bumpers and arch edges in bare plastic instead of paint. */
  readonly cladding: boolean;
  /** What was put onto it of late, the latest of each kind. */
  readonly protection: readonly Protection[];
}
