import { readDilution } from '@esmero/core';
import { bounds, finishes, labelReadings, mixPurposes, origins, surfaces } from '@esmero/model';
import {
  Between,
  Flag,
  Id,
  Ids,
  Many,
  ManyOf,
  Maybe,
  One,
  OneOf,
  OrNull,
  Text,
  UniqueBy,
  WholeBetween,
  Within,
  check,
} from './rules';

type Label = Parameters<typeof readDilution>[0];

export class DilutionDocument {
  @check(
    'dilution',
    (_value, object) => typeof (object as Label).label === 'string' && readDilution(object as Label).ok,
    { code: 'dilution' },
  )
  @Text(20, 1)
  label!: string;
  @OneOf(labelReadings) reading!: string;
}

export class ProductUseDocument {
  @OneOf(mixPurposes) purpose!: string;
  @One(() => DilutionDocument) dilution!: DilutionDocument;
  @OrNull() @Between(0, 100_000) weakest!: number | null;
  @check('band', (_value, object) => inOrder(object as ProductUseDocument), { code: 'band' })
  @OrNull()
  @Between(0, 100_000)
  strongest!: number | null;
  @OrNull() @WholeBetween(1, 3650) protectsDays!: number | null;
  @OrNull() @Between(0, 1000) mLPerM2!: number | null;
  @OrNull() @Between(0, 3600) dwellS!: number | null;
  @Flag() rinseAfter!: boolean;
  @Flag() inSun!: boolean;
  @OneOf(origins) origin!: string;
}

const inOrder = ({ weakest, strongest }: ProductUseDocument): boolean =>
  typeof weakest !== 'number' || typeof strongest !== 'number' || strongest <= weakest;

export class DyeDocument {
  @Between(0, 3) red!: number;
  @Between(0, 3) green!: number;
  @Between(0, 3) blue!: number;
}

export class ProductDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @UniqueBy('purpose') @Many(() => ProductUseDocument, mixPurposes.length) uses!: ProductUseDocument[];
  @Within(bounds.bottleMl) sizeMl!: number;
  @OrNull() @WholeBetween(0, 100_000_000) priceMinor!: number | null;
  @OrNull() @Between(0, 120) maxPanelC!: number | null;
  @ManyOf(surfaces) notOnSurfaces!: string[];
  @ManyOf(finishes) notOnFinishes!: string[];
  @Between(0.1, 10) filmFactor!: number;
  @Flag() leavesLayer!: boolean;
  @Ids(100) notWith!: string[];
  @Maybe() @One(() => DyeDocument) dye?: DyeDocument;
  @Text(2000) safety!: string;
  @OneOf(origins) origin!: string;
}
