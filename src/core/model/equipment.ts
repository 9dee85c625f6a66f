import type { Metres, Millilitres } from '../units';
import type { Origin } from './product';

/** What a towel is set aside for. */
export const towelRoles = ['wash', 'finish', 'drying', 'glass', 'wheels'] as const;
export type TowelRole = (typeof towelRoles)[number];

/** How the fibre stands: only plush and waffle take up enough to dry a whole car with. */
export const piles = ['short', 'plush', 'waffle'] as const;
export type Pile = (typeof piles)[number];

/** Folded once a towel shows four sides, folded twice eight. */
export const folds = [4, 8] as const;
export type Fold = (typeof folds)[number];

/** A number of equal, clean towels. */
export interface TowelBatch {
  readonly id: string;
  readonly name: string;
  readonly role: TowelRole;
  readonly widthM: Metres;
  readonly heightM: Metres;
  readonly gsm: number;
  readonly pile: Pile;
  /** Sides that it shows as it is folded for work. */
  readonly sides: Fold;
  readonly clean: number;
  readonly origin: Origin;
}

export const vesselKinds = ['spray-bottle', 'pump-sprayer', 'foam-sprayer', 'bucket'] as const;
export type VesselKind = (typeof vesselKinds)[number];

export interface Vessel {
  readonly id: string;
  readonly name: string;
  readonly kind: VesselKind;
  readonly capacityMl: Millilitres;
  /** Working line as a share of the capacity: headspace for a pump, a hand in a bucket. */
  readonly workingShare: number;
  /** Least content that still covers the medium or the dip tube. */
  readonly chargeMl: Millilitres;
  readonly origin: Origin;
}

export const deviceKinds = ['cup', 'syringe', 'cap', 'pump'] as const;
export type DeviceKind = (typeof deviceKinds)[number];

/** What product is measured with: it can only deliver whole steps. */
export interface MeasuringDevice {
  readonly kind: DeviceKind;
  readonly stepMl: Millilitres;
  readonly capacityMl: Millilitres;
}
