import type { Celsius } from '../units';

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
}

/** Weather that asks for nothing: what a site has until somebody says otherwise. */
export const calmShade = { humidity: 0.6, windMs: 0.5, shade: true, sunWm2: 0 } as const;
