import { runoffRules } from '@esmero/model';
import { Between, Flag, Hours, Id, OneOf, OrNull, Text } from './rules';

export class SiteDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @Between(0, 5000) waterL!: number;
  @Flag() tap!: boolean;
  @Flag() power!: boolean;
  @OneOf(runoffRules) runoff!: string;
  @Between(0, 5000) captureL!: number;
  @Flag() indoors!: boolean;
  @Between(1, 1440) minutes!: number;
  @OneOf([1, 2]) workers!: number;
  @Between(-40, 55) airC!: number;
  @Between(0, 1) humidity!: number;
  @Between(0, 20) windMs!: number;
  @Flag() shade!: boolean;
  @Between(0, 1400) sunWm2!: number;
  @OrNull() @Between(-40, 110) panelC!: number | null;
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
