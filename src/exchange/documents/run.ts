import { runActs, zoneIds } from '@esmero/core';
import { Between, Many, OneOf, OrNull, WholeBetween } from './rules';

/** The year 2286 in milliseconds since 1970. */
const LATEST = 1e13;

/** Something that happened beside the car. */
export class RunEventDocument {
  @OneOf([...runActs, 'again']) kind!: string;
  @OneOf(zoneIds) zone!: string;
  @WholeBetween(0, 1000) section!: number;
  @Between(0, LATEST) at!: number;
}

/** A wash that has been begun. */
export class RunDocument {
  @Between(0, LATEST) startedAt!: number;
  @OrNull() @Between(0, LATEST) endedAt!: number | null;
  @Many(() => RunEventDocument, 5000) events!: RunEventDocument[];
}
