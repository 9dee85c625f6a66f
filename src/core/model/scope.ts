import type { MinorUnits } from '../units';

/** What of a car is to be washed, as it is agreed with a client. */
export const scopeParts = ['body', 'glass', 'wheels', 'shuts', 'boot-sill'] as const;
export type ScopePart = (typeof scopeParts)[number];

/** At least one of them. */
export type Scope = readonly ScopePart[];

/** Something that is sold under a name: a scope, and its price. */
export interface Package {
  readonly id: string;
  readonly name: string;
  readonly scope: Scope;
  /** null where it is priced by the car. */
  readonly priceMinor: MinorUnits | null;
}

/** The package that a job was sold as. */
export type SoldAs = Pick<Package, 'id' | 'name' | 'priceMinor'>;
