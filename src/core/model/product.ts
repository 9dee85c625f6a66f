import type { Celsius, Millilitres, MinorUnits } from '../units';
import { careUses } from './care';
import type { Finish } from './vehicle';
import type { Surface } from './zone';

/** What is used out of a bottle of its own, as it is sold or thinned in it. */
export const bottled = ['bugs', 'solvent', 'wheel-cleaner', 'degreaser', ...careUses] as const;
export type Bottled = (typeof bottled)[number];

/** What a mix is for. Each has one vessel and one strength of its own, but for what stays in its bottle. */
export const mixPurposes = ['waterless', 'foam', 'presoak', 'wash', 'shampoo', 'glass', ...bottled] as const;
export type MixPurpose = (typeof mixPurposes)[number];

export const isBottled = (purpose: string): purpose is Bottled => (bottled as readonly string[]).includes(purpose);

/** How a number on a label is to be read. */
export const labelReadings = [
  'water',
  'whole',
  'percent',
  'mLPerLitreOfWater',
  'flOzPerGallon',
  'mLPerGallon',
] as const;
export type LabelReading = (typeof labelReadings)[number];

/** A dilution as the label says it: the digits as text, so that nothing is lost. */
export interface DilutionLabel {
  readonly label: string;
  readonly reading: LabelReading;
}

/** Where a default comes from. */
export const origins = ['label', 'practice', 'computed', 'own', 'judged'] as const;
export type Origin = (typeof origins)[number];

/** One use of a product: its strength, and the band that its label allows. */
export interface ProductUse {
  readonly purpose: MixPurpose;
  readonly dilution: DilutionLabel;
  /** Water parts to one part of product, weakest and strongest; null where the label sets no bound. */
  readonly weakest: number | null;
  readonly strongest: number | null;
  /** Days for which it says to protect at this strength; null where it claims nothing. */
  readonly protectsDays: number | null;
  /** How much of it goes onto a square metre, mL, and how long it works, s; null where practice has it. */
  readonly mLPerM2: number | null;
  readonly dwellS: number | null;
  /** Has to be rinsed off again. */
  readonly rinseAfter: boolean;
  /** May be used on a panel in the sun. */
  readonly inSun: boolean;
  readonly origin: Origin;
}

/** As practice has it: nothing of its own on the label, never in the sun. */
export const asPractised = {
  mLPerM2: null,
  dwellS: null,
  rinseAfter: false,
  inSun: false,
} as const satisfies Partial<ProductUse>;

/** What a product absorbs of each colour; the mean is 1. */
export interface Dye {
  readonly red: number;
  readonly green: number;
  readonly blue: number;
}

export interface Product {
  readonly id: string;
  readonly name: string;
  readonly uses: readonly ProductUse[];
  readonly sizeMl: Millilitres;
  /** For the whole bottle; null when nobody has entered it. */
  readonly priceMinor: MinorUnits | null;
  readonly maxPanelC: Celsius | null;
  readonly notOnSurfaces: readonly Surface[];
  readonly notOnFinishes: readonly Finish[];
  /** Multiplies the film a spray lays down; 1 is common practice. */
  readonly filmFactor: number;
  /** Leaves wax or gloss behind, which some coatings should not get. */
  readonly leavesLayer: boolean;
  /** Products of these ids never follow or precede this one on a panel. */
  readonly notWith: readonly string[];
  /** What it absorbs of red, green and blue on a clean towel, the mean being 1; missing where nobody has looked. */
  readonly dye?: Dye;
  /** What its sheet says about handling it. */
  readonly safety: string;
  readonly origin: Origin;
}
