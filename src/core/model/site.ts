import { type Celsius, type Degrees, degrees } from '../units';

/** What may happen to water that leaves the car. */
export const runoffRules = ['forbidden', 'captured', 'allowed'] as const;
export type RunoffRule = (typeof runoffRules)[number];

export interface Site {
  readonly id: string;
  readonly name: string;
  /** Water brought along; with a tap on site it is no limit. */
  readonly waterL: number;
  readonly tap: boolean;
  /** Mains power at the car, for heating water. */
  readonly power: boolean;
  readonly runoff: RunoffRule;
  /** What the capture mat holds; used when runoff is captured. */
  readonly captureL: number;
  readonly indoors: boolean;
  /** Minutes on site from arrival to leaving. */
  readonly minutes: number;
  readonly workers: 1 | 2;
  readonly airC: Celsius;
  /** Relative humidity, 0 to 1. */
  readonly humidity: number;
  readonly windMs: number;
  /** The car stands in the shade or under a roof. */
  readonly shade: boolean;
  /** Sun on a level panel; in the shade what gets through. */
  readonly sunWm2: number;
  /** Read off the panels with a thermometer; null computes them from air, sun and colour. */
  readonly panelC: Celsius | null;
  /** Temperature of the water that is carried. */
  readonly liquidC: Celsius;
  /** A self-serve wash bay is at hand: its water, its drain. */
  readonly bay: boolean;
  /** Loudest that is tolerated, dB(A); null where nobody minds. */
  readonly noiseDb: number | null;
  /** Fall of the ground, 0 to 0.3. */
  readonly slope: number;
  /** Steps or a platform to reach a high roof from. */
  readonly steps: boolean;
  readonly latitudeDeg: Degrees;
  readonly longitudeDeg: Degrees;
  /** Local time less universal time. */
  readonly utcOffsetH: number;
  /** Where the car's nose points, clockwise from north. */
  readonly headingDeg: Degrees;
  /** Hours of the day, 0 to 23, in which the place is shaded. */
  readonly shadeHours: readonly number[];
}

/** Weather that asks for nothing: what a site has until somebody says otherwise. */
export const calmShade = { humidity: 0.6, windMs: 0.5, shade: true, sunWm2: 0 } as const;

/** A place of no particular kind in the middle latitudes, the car facing south. */
export const somewhere = {
  bay: false,
  noiseDb: null,
  slope: 0,
  steps: true,
  latitudeDeg: degrees(45),
  longitudeDeg: degrees(0),
  utcOffsetH: 0,
  headingDeg: degrees(180),
  shadeHours: [],
} as const satisfies Partial<Site>;
