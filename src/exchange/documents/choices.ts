import {
  assumptionKeys,
  assumptionTable,
  treatmentIds,
  vehicleMethods,
  zoneIds,
  type AssumptionKey,
} from '@esmero/core';
import { HabitsDocument } from './habits';
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

export class ChoicesDocument extends HabitsDocument {
  @OneOf(['auto', ...vehicleMethods]) method!: string;
  @UniqueBy('zone') @Many(() => FixedDocument, zoneIds.length) fixed!: FixedDocument[];
  @UniqueBy('name') @Many(() => AssumptionDocument, assumptionKeys.length) assumptions!: AssumptionDocument[];
}
