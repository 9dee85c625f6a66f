/**
 * Exact rational numbers on BigInt, always in lowest terms with a positive denominator.
 * Dilutions are kept exact so that water + product is the volume to the last digit.
 */
export interface Rational {
  readonly num: bigint;
  readonly den: bigint;
}

const gcd = (a: bigint, b: bigint): bigint => {
  while (b !== 0n) [a, b] = [b, a % b];
  return a < 0n ? -a : a;
};

/** @throws RangeError when the denominator is zero: a programmer's mistake, inputs are checked before. */
export function rational(num: bigint | number, den: bigint | number = 1n): Rational {
  const n = BigInt(num);
  const d = BigInt(den);
  if (d === 0n) throw new RangeError('A rational number needs a denominator other than zero.');
  const sign = d < 0n ? -1n : 1n;
  const divisor = gcd(n, d) || 1n;
  return { num: (sign * n) / divisor, den: (sign * d) / divisor };
}

export const add = (a: Rational, b: Rational): Rational => rational(a.num * b.den + b.num * a.den, a.den * b.den);
export const subtract = (a: Rational, b: Rational): Rational => rational(a.num * b.den - b.num * a.den, a.den * b.den);
export const multiply = (a: Rational, b: Rational): Rational => rational(a.num * b.num, a.den * b.den);
export const divide = (a: Rational, b: Rational): Rational => rational(a.num * b.den, a.den * b.num);
export const compare = (a: Rational, b: Rational): number => {
  const difference = a.num * b.den - b.num * a.den;
  return difference < 0n ? -1 : difference > 0n ? 1 : 0;
};
export const isPositive = (a: Rational): boolean => a.num > 0n;

/** A quotient of two BigInts as a double, safe for numbers beyond 2^53 on either side. */
export function toNumber({ num, den }: Rational): number {
  const whole = num / den;
  const rest = num % den;
  return Number(whole) + Number(rest) / Number(den);
}

/** Writes it as `num/den`, the form the exchange formats use. */
export const rationalToString = ({ num, den }: Rational): string => `${num}/${den}`;

const DECIMAL = /^\s*([+-]?\d{1,15})(?:[.,](\d{1,15}))?\s*$/;
const FRACTION = /^\s*([+-]?\d{1,18})\s*\/\s*(\d{1,18})\s*$/;

/**
 * Reads "256", "0.5", "2,5" or "1875/64" exactly.
 * @returns undefined when the text is none of these, or its denominator is zero.
 * @example parseRational('2.5') // 5/2
 */
export function parseRational(text: string): Rational | undefined {
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const den = BigInt(fraction[2]!);
    return den === 0n ? undefined : rational(BigInt(fraction[1]!), den);
  }
  const decimal = DECIMAL.exec(text);
  if (!decimal) return undefined;
  const digits = decimal[2] ?? '';
  return rational(BigInt(decimal[1]! + digits), 10n ** BigInt(digits.length));
}

/** The decimal a user typed or a file holds, taken as written: 0.1 becomes 1/10. */
export function fromDecimal(value: number): Rational {
  const parsed = parseRational(value.toString());
  if (parsed) return parsed;
  const scaled = parseRational(value.toFixed(12));
  if (scaled) return scaled;
  throw new RangeError(`${value} is not a number that can be written as a fraction.`);
}
