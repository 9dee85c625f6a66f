import { type MinorUnits, minorUnits } from './quantity';

/** Where nobody has said which. */
export const defaultCurrency = 'EUR';

/**
 * Digits behind the point by ISO 4217: 2 for EUR, 0 for JPY, 3 for KWD; 2 for a code that nobody knows.
 * @example minorDigits('JPY') // 0
 */
export function minorDigits(currency: string): number {
  try {
    return new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
  } catch {
    return 2;
  }
}

/** @example toMinor(26, 'EUR') // 2600 */
export const toMinor = (amount: number, currency: string): MinorUnits =>
  minorUnits(Math.round(amount * 10 ** minorDigits(currency)));

/** @example fromMinor(2600, 'JPY') // 2600 */
export const fromMinor = (minor: number, currency: string): number => minor / 10 ** minorDigits(currency);

/** Money in words; plain digits for a code that nobody knows. */
export function moneyText(minor: number, currency: string): string {
  const digits = minorDigits(currency);
  try {
    return new Intl.NumberFormat('en', { style: 'currency', currency }).format(fromMinor(minor, currency));
  } catch {
    return `${fromMinor(minor, currency).toFixed(digits)} ${currency}`;
  }
}
