import { assumptionKeys, assumptionTable, type AssumptionKey } from '@esmero/core';
import { treatmentIds, passChangeKinds, vehicleMethods, zoneIds, type PassChange } from '@esmero/model';
import { HabitsDocument } from './habits';
import { Between, Many, Maybe, One, OneOf, UniqueBy, WholeBetween, belongs, check } from './rules';

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

export class PartOfZoneDocument {
  @OneOf(zoneIds) zone!: string;
  @WholeBetween(1, 1000) section!: number;
  @WholeBetween(1, 1000) of!: number;
}

const changeFields: Readonly<Record<PassChange['kind'], readonly (keyof PassChangeDocument)[]>> = {
  split: ['part'],
  join: ['part', 'with'],
  move: ['part', 'before'],
};

export class PassChangeDocument {
  @belongs(changeFields) @OneOf(passChangeKinds) kind!: string;
  @One(() => PartOfZoneDocument) part!: PartOfZoneDocument;
  @Maybe() @One(() => PartOfZoneDocument) with?: PartOfZoneDocument;
  @Maybe() @One(() => PartOfZoneDocument) before?: PartOfZoneDocument;
}

function inBounds(value: unknown, { name }: AssumptionDocument): boolean {
  const entry = assumptionTable[name as AssumptionKey];
  return !entry || (typeof value === 'number' && value >= entry.min && value <= entry.max);
}

export class ChoicesDocument extends HabitsDocument {
  @OneOf(['auto', ...vehicleMethods]) method!: string;
  @UniqueBy('zone') @Many(() => FixedDocument, zoneIds.length) fixed!: FixedDocument[];
  @Many(() => PassChangeDocument, 200) passes!: PassChangeDocument[];
  @UniqueBy('name') @Many(() => AssumptionDocument, assumptionKeys.length) assumptions!: AssumptionDocument[];
}
