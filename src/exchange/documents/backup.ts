import { Between, Flag, Many, Matching, Moment, Text, UniqueBy, WholeBetween } from './rules';

export class BackedUpFileDocument {
  @Text(200, 1) path!: string;
  @WholeBetween(0, 1e12) bytes!: number;
  @Matching(/^[0-9a-f]{64}$/) sha256!: string;
  @Flag() archived!: boolean;
}

/** What a backup holds, with a checksum of each file. */
export class BackupDocument {
  @Moment() at!: number;
  @Between(0, 1e9) jobs!: number;
  @Between(0, 1e9) pictures!: number;
  @UniqueBy('path') @Many(() => BackedUpFileDocument, 4_000_000) files!: BackedUpFileDocument[];
}
