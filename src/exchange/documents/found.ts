import { bounds, markKinds, pictureSubjects, pictureTimes, zoneIds } from '@esmero/model';
import { Day, Id, Maybe, Moment, OneOf, OrNull, Path, Text, Within } from './rules';

/** A panel read off with a thermometer. */
export class ReadingDocument {
  @OneOf(zoneIds) zone!: string;
  @Within(bounds.panelC) panelC!: number;
}

/** What was there before the wash. */
export class MarkDocument {
  @Id() id!: string;
  @OneOf(zoneIds) zone!: string;
  @OneOf(markKinds) kind!: string;
  @Text(500) note!: string;
  @OrNull() @Id() photo!: string | null;
}

/** What the car looked like. */
export class PictureDocument {
  @Id() id!: string;
  @OneOf(pictureTimes) when!: string;
  @OrNull() @OneOf(zoneIds) zone!: string | null;
  @Text(500) note!: string;
  @Id() photo!: string;
  @Maybe() @OneOf(pictureSubjects) shows?: string;
}

/** Signed for the condition of the car, as drawn. */
export class SignatureDocument {
  @Text(160, 1) by!: string;
  @Moment() at!: number;
  @Path(100_000) path!: string;
}

/** The car was not washed. */
export class RefusalDocument {
  @Moment() at!: number;
  @Text(4000, 1) why!: string;
}

export class ConsentDocument {
  @Text(160, 1) by!: string;
  @Day() on!: string;
  @Text(1000) note!: string;
}
