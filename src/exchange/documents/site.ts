import { bounds, runoffRules } from '@esmero/model';
import { Between, Flag, Hours, Id, OneOf, OrNull, Text, Within } from './rules';

export class SiteDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @Within(bounds.waterL) waterL!: number;
  @Flag() tap!: boolean;
  @Flag() power!: boolean;
  @OneOf(runoffRules) runoff!: string;
  @Within(bounds.waterL) captureL!: number;
  @Flag() indoors!: boolean;
  @Within(bounds.minutes) minutes!: number;
  @OneOf([1, 2]) workers!: number;
  @Between(-40, 55) airC!: number;
  @Between(0, 1) humidity!: number;
  @Between(0, 20) windMs!: number;
  @Flag() shade!: boolean;
  @Between(0, 1400) sunWm2!: number;
  @OrNull() @Within(bounds.panelC) panelC!: number | null;
  @Between(0, 90) liquidC!: number;
  @Flag() bay!: boolean;
  @OrNull() @Between(30, 130) noiseDb!: number | null;
  @Between(0, 0.3) slope!: number;
  @Flag() steps!: boolean;
  @Between(-66, 66) latitudeDeg!: number;
  @Between(-180, 180) longitudeDeg!: number;
  @Between(-12, 14) utcOffsetH!: number;
  @Between(0, 360) headingDeg!: number;
  @Hours() shadeHours!: number[];
}
