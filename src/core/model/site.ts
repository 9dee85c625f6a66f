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
  /** Read off the panels with a thermometer; null takes them to be at air temperature. */
  readonly panelC: Celsius | null;
  /** Temperature of the water that is carried. */
  readonly liquidC: Celsius;
}
