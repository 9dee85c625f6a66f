import type { Body, CarBody, Dimensions } from '../model';
import { metres } from '../units';
import { motorcycleSize } from './motorcycle';

/** A point of the profile as shares of length and height. */
type Share = readonly [alongLength: number, ofHeight: number];

/**
 * A body's shape as ratios, so that every point of every outline is linear in the vehicle's own
 * dimensions. The ratios are ours, drawn after ordinary proportions of each kind of body.
 */
export interface BodyTemplate {
  readonly defaults: Dimensions;
  /** Share of the overhangs (length less wheelbase) that is in front. */
  readonly frontOverhang: number;
  /** Leading edge of the bonnet. */
  readonly nose: Share;
  /** Base and top of the windscreen. */
  readonly cowl: Share;
  readonly header: Share;
  /** Top and base of the rear window; the base is where a boot lid begins. */
  readonly roofEnd: Share;
  readonly deck: Share;
  /** Upper edge of the rear face. */
  readonly tail: Share;
  /** Lower rear corner of the side glass, and its upper one. */
  readonly glassBase: Share;
  readonly glassTop: Share;
  /** Front door's leading edge, the pillar behind it, the rear door's end: shares of length. */
  readonly doorStart: number;
  readonly pillar: number;
  readonly doorEnd: number;
  readonly doors: 1 | 2;
  /** Line between upper and lower body, share of height. */
  readonly skirt: number;
  /** Width of the roof as a share of the width. */
  readonly roofWidth: number;
}

const size = (
  length: number,
  width: number,
  height: number,
  wheelbase: number,
  clearance: number,
  wheel: number,
): Dimensions => ({
  lengthM: metres(length),
  widthM: metres(width),
  heightM: metres(height),
  wheelbaseM: metres(wheelbase),
  clearanceM: metres(clearance),
  wheelDiameterM: metres(wheel),
});

const sedan: BodyTemplate = {
  defaults: size(4.6, 1.8, 1.44, 2.72, 0.15, 0.65),
  frontOverhang: 0.46,
  nose: [0.05, 0.52],
  cowl: [0.27, 0.66],
  header: [0.44, 0.985],
  roofEnd: [0.66, 0.97],
  deck: [0.83, 0.72],
  tail: [0.98, 0.69],
  glassBase: [0.77, 0.67],
  glassTop: [0.65, 0.92],
  doorStart: 0.31,
  pillar: 0.52,
  doorEnd: 0.73,
  doors: 2,
  skirt: 0.4,
  roofWidth: 0.67,
};

const hatchback: BodyTemplate = {
  ...sedan,
  defaults: size(4.1, 1.77, 1.47, 2.58, 0.15, 0.63),
  frontOverhang: 0.54,
  nose: [0.05, 0.55],
  cowl: [0.27, 0.66],
  header: [0.45, 0.985],
  roofEnd: [0.87, 0.95],
  deck: [0.97, 0.68],
  tail: [0.99, 0.64],
  glassBase: [0.86, 0.67],
  glassTop: [0.81, 0.91],
  doorStart: 0.3,
  pillar: 0.53,
  doorEnd: 0.75,
};

const suv: BodyTemplate = {
  ...hatchback,
  defaults: size(4.55, 1.88, 1.67, 2.7, 0.2, 0.72),
  frontOverhang: 0.5,
  nose: [0.05, 0.58],
  cowl: [0.27, 0.67],
  header: [0.43, 0.985],
  roofEnd: [0.9, 0.96],
  deck: [0.975, 0.68],
  tail: [0.99, 0.64],
  glassBase: [0.88, 0.68],
  glassTop: [0.84, 0.91],
  doorStart: 0.29,
  pillar: 0.51,
  doorEnd: 0.74,
  skirt: 0.42,
  roofWidth: 0.7,
};

export const bodyTemplates: Readonly<Record<CarBody, BodyTemplate>> = {
  sedan,
  hatchback,
  estate: {
    ...sedan,
    defaults: size(4.65, 1.8, 1.47, 2.75, 0.15, 0.65),
    roofEnd: [0.9, 0.95],
    deck: [0.975, 0.69],
    tail: [0.99, 0.65],
    glassBase: [0.89, 0.67],
    glassTop: [0.86, 0.91],
  },
  coupe: {
    ...sedan,
    defaults: size(4.5, 1.84, 1.35, 2.7, 0.13, 0.66),
    header: [0.47, 0.985],
    roofEnd: [0.63, 0.97],
    deck: [0.84, 0.74],
    glassBase: [0.72, 0.67],
    glassTop: [0.6, 0.91],
    doorStart: 0.31,
    pillar: 0.61,
    doorEnd: 0.61,
    doors: 1,
  },
  suv,
  pickup: {
    ...suv,
    defaults: size(5.3, 1.9, 1.8, 3.2, 0.22, 0.76),
    frontOverhang: 0.43,
    nose: [0.05, 0.58],
    cowl: [0.24, 0.65],
    header: [0.36, 0.985],
    roofEnd: [0.58, 0.97],
    deck: [0.61, 0.63],
    tail: [0.99, 0.61],
    glassBase: [0.59, 0.65],
    glassTop: [0.57, 0.92],
    doorStart: 0.26,
    pillar: 0.43,
    doorEnd: 0.6,
  },
  van: {
    ...suv,
    defaults: size(5.2, 1.95, 2.05, 3.1, 0.17, 0.69),
    frontOverhang: 0.47,
    nose: [0.05, 0.45],
    cowl: [0.15, 0.56],
    header: [0.3, 0.98],
    roofEnd: [0.97, 0.97],
    deck: [0.985, 0.58],
    tail: [0.99, 0.54],
    glassBase: [0.37, 0.55],
    glassTop: [0.37, 0.86],
    doorStart: 0.2,
    pillar: 0.38,
    doorEnd: 0.64,
    skirt: 0.32,
    roofWidth: 0.82,
  },
  minivan: {
    ...suv,
    defaults: size(4.8, 1.87, 1.75, 2.9, 0.16, 0.68),
    nose: [0.05, 0.52],
    cowl: [0.2, 0.63],
    header: [0.38, 0.985],
    roofEnd: [0.92, 0.96],
    deck: [0.98, 0.62],
    tail: [0.99, 0.58],
    glassBase: [0.9, 0.63],
    glassTop: [0.88, 0.89],
    doorStart: 0.26,
    pillar: 0.48,
    doorEnd: 0.72,
    skirt: 0.38,
  },
  city: {
    ...hatchback,
    defaults: size(3.6, 1.65, 1.5, 2.4, 0.14, 0.57),
    frontOverhang: 0.55,
    nose: [0.04, 0.57],
    cowl: [0.22, 0.66],
    header: [0.4, 0.985],
    roofEnd: [0.88, 0.95],
    deck: [0.975, 0.66],
    tail: [0.99, 0.6],
    glassBase: [0.86, 0.66],
    glassTop: [0.82, 0.91],
    doorStart: 0.25,
    pillar: 0.55,
    doorEnd: 0.55,
    doors: 1,
    roofWidth: 0.7,
  },
};

export const defaultDimensions = (body: Body): Dimensions =>
  body === 'motorcycle' ? motorcycleSize : bodyTemplates[body].defaults;
