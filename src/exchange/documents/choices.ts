import {
  assumptionKeys,
  assumptionTable,
  bucketSystems,
  glassSchools,
  schools,
  soakedTowelSchools,
  treatmentIds,
  vehicleMethods,
  wheelSchools,
  zoneIds,
  type AssumptionKey,
} from '@esmero/core';
import { Between, Many, OneOf, UniqueBy, check } from './rules';

export class FixedDocument {
  @OneOf(zoneIds) zone!: string;
  @OneOf(treatmentIds) treatment!: string;
}

export class AssumptionDocument {
  @OneOf(assumptionKeys) name!: string;
  @check('assumption', (value, object) => inBounds(value, object as AssumptionDocument), {
    code: 'assumption',
  })
  @Between(-1e6, 1e6)
  value!: number;
}

function inBounds(value: unknown, { name }: AssumptionDocument): boolean {
  const entry = assumptionTable[name as AssumptionKey];
  return !entry || (typeof value === 'number' && value >= entry.min && value <= entry.max);
}

export class ChoicesDocument {
  @OneOf(schools) school!: string;
  @OneOf(['auto', ...vehicleMethods]) method!: string;
  @OneOf(wheelSchools) wheels!: string;
  @OneOf(glassSchools) glass!: string;
  @OneOf(bucketSystems) bucket!: string;
  @OneOf(soakedTowelSchools) soakedTowel!: string;
  @OneOf([4, 8]) soakedSides!: number;
  @UniqueBy('zone') @Many(() => FixedDocument, zoneIds.length) fixed!: FixedDocument[];
  @UniqueBy('name') @Many(() => AssumptionDocument, assumptionKeys.length) assumptions!: AssumptionDocument[];
}
