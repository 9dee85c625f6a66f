import { runoffRules } from '@esmero/core';
import { Between, Flag, Id, OneOf, OrNull, Text } from './rules';

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
}
