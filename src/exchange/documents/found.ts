import { markKinds, zoneIds } from '@esmero/core';
import { Between, Day, Id, OneOf, OrNull, Text } from './rules';

/** A panel read off with a thermometer. */
export class ReadingDocument {
  @OneOf(zoneIds) zone!: string;
  @Between(-40, 110) panelC!: number;
}

/** What was there before the wash. */
export class MarkDocument {
  @Id() id!: string;
  @OneOf(zoneIds) zone!: string;
  @OneOf(markKinds) kind!: string;
  @Text(500) note!: string;
  @OrNull() @Id() photo!: string | null;
}

/** The client wants it done against the advice. */
export class ConsentDocument {
  @Text(160, 1) by!: string;
  @Day() on!: string;
  @Text(1000) note!: string;
}
