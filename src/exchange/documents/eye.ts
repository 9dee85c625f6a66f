import { SHADES, calibrationWays, drills, soilKinds, zoneIds } from '@esmero/model';
import { Between, Figures, Flag, Id, Many, Moment, OneOf, Text, WholeBetween } from './rules';

export class CalibrationDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @Text(160, 1) person!: string;
  @OneOf(soilKinds) kind!: string;
  @OneOf(calibrationWays) by!: string;
  @Moment() at!: number;
  @Between(0.0001, 1000) onTowelGm2!: number;
  @Figures(-1, 1, SHADES) shades!: number[];
}

export class ProofDocument {
  @Id() id!: string;
  @OneOf(zoneIds) zone!: string;
  @Moment() at!: number;
  @Id() before!: string;
  @Id() after!: string;
  @WholeBetween(0, 100_000) marksBefore!: number;
  @WholeBetween(0, 100_000) marksAfter!: number;
  @Between(0, 100_000) doubt!: number;
}

export class TryDocument {
  @Text(80, 1) card!: string;
  @Between(-1_000_000, 1_000_000) truth!: number;
  @Between(-1_000_000, 1_000_000) answer!: number;
  @Flag() isRight!: boolean;
  @Moment() at!: number;
}

export class PracticeDocument {
  @Id() id!: string;
  @Text(160, 1) name!: string;
  @OneOf(drills) drill!: string;
  @Many(() => TryDocument, 1000) tries!: TryDocument[];
}
