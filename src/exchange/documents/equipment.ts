import { bounds, deviceKinds, folds, gearKinds, origins, piles, towelRoles, vesselKinds } from '@esmero/model';
import { Between, Id, OneOf, OrNull, Text, Within, check } from './rules';

export class TowelBatchDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @OneOf(towelRoles) role!: string;
  @Between(0.1, 2) widthM!: number;
  @Between(0.1, 2) heightM!: number;
  @Between(50, 3000) gsm!: number;
  @OneOf(piles) pile!: string;
  @OneOf(folds) sides!: number;
  @Within(bounds.towels) clean!: number;
  @OneOf(origins) origin!: string;
}

export class VesselDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @OneOf(vesselKinds) kind!: string;
  @Between(50, 1_000_000) capacityMl!: number;
  @Between(0.1, 1) workingShare!: number;
  @check('charge', (_value, object) => chargeFits(object as VesselDocument), { code: 'charge' })
  @Between(0, 500_000)
  chargeMl!: number;
  @OneOf(origins) origin!: string;
}

/** What must stay in a vessel is less than what it is filled to. */
const chargeFits = ({ chargeMl, capacityMl, workingShare }: VesselDocument): boolean =>
  !(chargeMl >= capacityMl * workingShare);

export class GearDocument {
  @Id() id!: string;
  @Text(120, 1) name!: string;
  @OneOf(gearKinds) kind!: string;
  @Between(0, 60) flowLMin!: number;
  @OrNull() @Between(0, 1440) batteryMin!: number | null;
  @Between(0, 130) noiseDb!: number;
  @OneOf(origins) origin!: string;
}

export class DeviceDocument {
  @OneOf(deviceKinds) kind!: string;
  @Within(bounds.stepMl) stepMl!: number;
  @Between(0.05, 10_000) capacityMl!: number;
}
