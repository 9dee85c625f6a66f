import type { ZoneId } from './zone';

/** What was there before the wash began, and would else be blamed on it. */
export const markKinds = [
  'scratch',
  'swirls',
  'chip',
  'dent',
  'water-spots',
  'etching',
  'stain',
  'residue',
  'other',
] as const;
export type MarkKind = (typeof markKinds)[number];

export interface Mark {
  readonly id: string;
  readonly zone: ZoneId;
  readonly kind: MarkKind;
  readonly note: string;
  /** Key of a picture that is kept beside the jobs; null without one. */
  readonly photo: string | null;
}

/** What the car looked like, kept beside the job. */
export const pictureTimes = ['before', 'after'] as const;
export type PictureTime = (typeof pictureTimes)[number];

/** What a picture was taken to measure by: the towel of a wipe test, or a panel under one lamp. */
export const pictureSubjects = ['towel', 'lamp'] as const;

export interface Picture {
  readonly id: string;
  readonly when: PictureTime;
  /** null shows the whole car. */
  readonly zone: ZoneId | null;
  readonly note: string;
  /** Key of the picture that is kept beside the jobs. */
  readonly photo: string;
  /** None where it only shows the car. */
  readonly shows?: (typeof pictureSubjects)[number];
}

/** A picture that marks and pictures of the car go by, as it travels in a file. */
export interface Photo {
  readonly key: string;
  /** A data URL. */
  readonly picture: string;
}

/** The client has seen the marks and signed for them. */
export interface Signature {
  readonly by: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  /** As drawn, an SVG path in a box of 300 by 100. */
  readonly path: string;
}

/** The car was not washed: the plan said no, and the client was told. */
export interface Refusal {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** In the words of the note. */
  readonly why: string;
}

/** The client wants it done although the plan advises against it. */
export interface Consent {
  readonly by: string;
  /** ISO day. */
  readonly on: string;
  readonly note: string;
}
