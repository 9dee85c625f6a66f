import { bugCovers, soilKinds, soilLevels, spotKinds, zoneIds } from '@esmero/model';
import { Between, Many, Maybe, One, OneOf, UniqueBy, WholeBetween } from './rules';

export class DepositDocument {
  @OneOf(soilKinds) kind!: string;
  @OneOf(soilLevels) level!: number;
}

export class SpotsDocument {
  @OneOf(spotKinds) kind!: string;
  @WholeBetween(0, 500) count!: number;
}

export class MeasuredLoadDocument {
  @Between(0.001, 1000) loadGm2!: number;
  @Between(1, 20) spread!: number;
}

export class ZoneSoilDocument {
  @OneOf(zoneIds) zone!: string;
  @UniqueBy('kind') @Many(() => DepositDocument, soilKinds.length) deposits!: DepositDocument[];
  @UniqueBy('kind') @Many(() => SpotsDocument, spotKinds.length) spots!: SpotsDocument[];
  @Maybe() @OneOf(bugCovers) bugs?: string;
  @Maybe() @One(() => MeasuredLoadDocument) measured?: MeasuredLoadDocument;
}
