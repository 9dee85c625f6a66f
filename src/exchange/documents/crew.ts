import { MOST_ORDER } from '@esmero/model';
import { PunchItemDocument, RunEventDocument } from './run';
import { Flag, Id, Many, Moment, One, OrNull, Text, UniqueBy, WholeBetween } from './rules';

const Turn = (): ReturnType<typeof WholeBetween> => WholeBetween(0, MOST_ORDER);

export class TakenBackDocument {
  @Text(600, 2) key!: string;
  @Flag() value!: boolean;
  @Turn() turn!: number;
}

export class EndedDocument {
  @OrNull() @Moment() value!: number | null;
  @Turn() turn!: number;
}

export class PunchSaidDocument {
  @One(() => PunchItemDocument) value!: PunchItemDocument;
  @Turn() turn!: number;
}

/** A run as several phones know it. */
export class SharedRunDocument {
  @Id() jobId!: string;
  @Moment() startedAt!: number;
  @Many(() => RunEventDocument, 5000) events!: RunEventDocument[];
  @UniqueBy('key') @Many(() => TakenBackDocument, 5000) takenBack!: TakenBackDocument[];
  @One(() => EndedDocument) ended!: EndedDocument;
  @Many(() => PunchSaidDocument, 500) punch!: PunchSaidDocument[];
}
