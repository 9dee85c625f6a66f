/**
 * Branded quantities: a raw number, or a number of another unit, does not compile where one of
 * these is asked for. Arithmetic yields a plain number again, so that every product or quotient
 * has to be given its unit by name.
 */
export type Quantity<Unit extends string> = number & { readonly __unit: Unit };

export type Metres = Quantity<'m'>;
export type SquareMetres = Quantity<'m2'>;
export type GramsPerSquareMetre = Quantity<'g/m2'>;
export type Millilitres = Quantity<'mL'>;
/** Film thickness. 1 µm on 1 m² is 1 mL. */
export type Micrometres = Quantity<'um'>;
export type Celsius = Quantity<'degC'>;
export type Degrees = Quantity<'deg'>;
/** Currency in its smallest unit (cents). Always an integer. */
export type MinorUnits = Quantity<'minor'>;

const as =
  <Q extends Quantity<string>>() =>
  (value: number): Q =>
    value as Q;

export const metres = as<Metres>();
export const m2 = as<SquareMetres>();
export const gPerM2 = as<GramsPerSquareMetre>();
export const ml = as<Millilitres>();
export const um = as<Micrometres>();
export const celsius = as<Celsius>();
export const degrees = as<Degrees>();

/** Rounds to whole minor units: money is rounded once, at the end. */
export const minorUnits = (value: number): MinorUnits => Math.round(value) as MinorUnits;
