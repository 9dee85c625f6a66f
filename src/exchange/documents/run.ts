import { mixPurposes, runActs, towelRoles, zoneIds } from '@esmero/core';
import { Between, Many, One, OneOf, OrNull, UniqueBy, WholeBetween } from './rules';

/** The year 2286 in milliseconds since 1970. */
const LATEST = 1e13;

/** Something that happened beside the car. */
export class RunEventDocument {
  @OneOf([...runActs, 'again']) kind!: string;
  @OneOf(zoneIds) zone!: string;
  @WholeBetween(0, 1000) section!: number;
  @WholeBetween(0, 1000) of!: number;
  @Between(0, LATEST) at!: number;
}

export class MixUseDocument {
  @OneOf(mixPurposes) purpose!: string;
  @Between(0, 1_000_000) plannedMl!: number;
  @Between(0, 1_000_000) usedMl!: number;
}

export class TowelUseDocument {
  @OneOf(towelRoles) role!: string;
  @WholeBetween(0, 10_000) planned!: number;
  @WholeBetween(0, 10_000) opened!: number;
}

/** What was really used, beside what the plan had of it. */
export class RunUseDocument {
  @Between(0, 1) doneShare!: number;
  @Between(0, 10_000) plannedMin!: number;
  @UniqueBy('purpose') @Many(() => MixUseDocument, mixPurposes.length) mixes!: MixUseDocument[];
  @UniqueBy('role') @Many(() => TowelUseDocument, towelRoles.length) towels!: TowelUseDocument[];
}

/** A wash that has been begun. */
export class RunDocument {
  @Between(0, LATEST) startedAt!: number;
  @OrNull() @Between(0, LATEST) endedAt!: number | null;
  @Many(() => RunEventDocument, 5000) events!: RunEventDocument[];
  @OrNull() @One(() => RunUseDocument) used!: RunUseDocument | null;
}
