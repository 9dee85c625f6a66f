import type { ZoneId } from './zone';

/** What was there before the wash began, and would else be blamed on it. */
export const markKinds = ['scratch', 'swirls', 'chip', 'dent', 'stain', 'residue', 'other'] as const;
export type MarkKind = (typeof markKinds)[number];

export interface Mark {
  readonly id: string;
  readonly zone: ZoneId;
  readonly kind: MarkKind;
  readonly note: string;
  /** Key of a picture that is kept beside the jobs; null without one. */
  readonly photo: string | null;
}

/** The client wants it done although the plan advises against it. */
export interface Consent {
  readonly by: string;
  /** ISO day. */
  readonly on: string;
  readonly note: string;
}
