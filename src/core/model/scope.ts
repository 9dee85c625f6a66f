import type { MinorUnits } from '../units';
import type { Care } from './care';

/** What a wash of the outside has in it. */
export const usualScope = ['body', 'trim', 'glass', 'wheels', 'shuts', 'boot-sill'] as const;

/** What of a car is to be washed, as it is agreed with a client: the outside, and what no view shows. */
export const scopeParts = [...usualScope, 'barrels', 'details', 'glass-inside', 'engine', 'mats'] as const;
export type ScopePart = (typeof scopeParts)[number];

/** At least one of them. */
export type Scope = readonly ScopePart[];

/** Something that is sold under a name: a scope, and its price. */
export interface Package {
  readonly id: string;
  readonly name: string;
  readonly scope: Scope;
  readonly care: Care;
  /** null where it is priced by the car. */
  readonly priceMinor: MinorUnits | null;
}

/** The package that a job was sold as. */
export type SoldAs = Pick<Package, 'id' | 'name' | 'priceMinor'>;
