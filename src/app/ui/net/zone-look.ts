import { type ContactFamily, contactOf, loosenedBy } from '@esmero/core';
import type { SoilLevel, TreatmentId, ZoneId } from '@esmero/model';

/** How a zone shows on the net in a stage. */
export interface ZoneLook {
  /** A soil level, a kind of treatment, or nothing. */
  readonly fill: 'unseen' | `soil-${SoilLevel}` | ContactFamily | 'leave' | 'plain';
  readonly flushed: boolean;
  /** Cooled with a mist first. */
  readonly cooled: boolean;
  /** Not seen, only forecast: shown through a veil. */
  readonly forecast: boolean;
  /** Marks that were there before the wash. */
  readonly pins: number;
  /** Short writing on the zone where there is room. */
  readonly mark: string;
  /** What is written where nobody points; null: the whole mark. */
  readonly brief: string | null;
  /** Spoken after the zone's name. */
  readonly says: string;
  readonly faded: boolean;
}

export type Looks = ReadonlyMap<ZoneId, ZoneLook>;

export const plainLook: ZoneLook = {
  fill: 'plain',
  flushed: false,
  cooled: false,
  forecast: false,
  pins: 0,
  mark: '',
  brief: null,
  says: '',
  faded: false,
};

/** The family of marks and colours that a treatment belongs to. */
export function treatmentFill(treatment: TreatmentId): ContactFamily | 'leave' {
  return treatment === 'leave' ? 'leave' : contactOf(treatment).family;
}

export const isFlushed = (treatment: TreatmentId): boolean =>
  treatment !== 'leave' && !['nothing', 'mist'].includes(loosenedBy(treatment));

export const isCooled = (treatment: TreatmentId): boolean => treatment !== 'leave' && loosenedBy(treatment) === 'mist';

/** One letter and a stroke for a flush: the same marks on the car, in the list and on paper. */
export const treatmentMark: Readonly<Record<ContactFamily | 'leave', string>> = {
  waterless: 'W',
  foam: 'F',
  rinseless: 'R',
  presoak: 'P+R',
  shampoo: 'S',
  leave: '×',
};
