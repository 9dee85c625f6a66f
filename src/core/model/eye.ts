import type { SoilKind } from './soil';
import type { ZoneId } from './zone';

/** How the truth of a calibration was found: weighed, or judged by the scale for the eye. */
export const calibrationWays = ['scale', 'levels'] as const;
export type CalibrationWay = (typeof calibrationWays)[number];

/** Shades that are told apart on a towel, from clean to black: ten to a halving of the light. */
export const SHADES = 46;

/** One wipe test whose soil is known: what a hand and a cloth make of it in a picture. */
export interface Calibration {
  readonly id: string;
  /** Of the cloth. */
  readonly name: string;
  readonly person: string;
  readonly kind: SoilKind;
  readonly by: CalibrationWay;
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Soil on the whole side, g/m² of towel. */
  readonly onTowelGm2: number;
  /** What the picture showed: how much of the side, of one, has each shade. */
  readonly shades: readonly number[];
}

/** Arcs and streaks that were counted on a panel in two pictures under one lamp. */
export interface Proof {
  readonly id: string;
  readonly zone: ZoneId;
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Ids of the job’s pictures. */
  readonly before: string;
  readonly after: string;
  readonly marksBefore: number;
  readonly marksAfter: number;
  /** Either count may be off by so many. */
  readonly doubt: number;
}

/** What is practised. */
export const drills = ['panels', 'mixing', 'towels', 'decisions'] as const;
export type Drill = (typeof drills)[number];

/** One question with what was answered. What truth and answer are counted in is the drill’s. */
export interface Try {
  /** What was asked, so that it comes again when it is due: soil and level, notation, case. */
  readonly card: string;
  readonly truth: number;
  readonly answer: number;
  readonly isRight: boolean;
  /** Milliseconds since 1970. */
  readonly at: number;
}

/** Some minutes of practice by one person. */
export interface PracticeSession {
  readonly id: string;
  /** Of the person. */
  readonly name: string;
  readonly drill: Drill;
  readonly tries: readonly Try[];
}
