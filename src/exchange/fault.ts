import type { ValidationError } from 'class-validator';

/** What a field should have been. */
export type Expected =
  | { readonly code: 'number'; readonly min: number; readonly max: number }
  | { readonly code: 'whole'; readonly min: number; readonly max: number }
  | { readonly code: 'one-of'; readonly values: readonly (string | number)[] }
  | { readonly code: 'text'; readonly min: number; readonly max: number }
  | { readonly code: 'flag' }
  | { readonly code: 'id' }
  | { readonly code: 'day' }
  | { readonly code: 'path' }
  | { readonly code: 'picture' }
  /** What belongs to each word of a list. */
  | { readonly code: 'belongs'; readonly fields: readonly string[] }
  | { readonly code: 'balance' }
  | { readonly code: 'currency' }
  | { readonly code: 'object' }
  | { readonly code: 'list'; readonly most: number }
  | { readonly code: 'unique'; readonly field: string }
  | { readonly code: 'dilution' }
  | { readonly code: 'band' }
  | { readonly code: 'assumption' }
  | { readonly code: 'wheelbase' }
  | { readonly code: 'height' }
  | { readonly code: 'clearance' }
  | { readonly code: 'wheel' }
  | { readonly code: 'overhang' }
  | { readonly code: 'charge' }
  | { readonly code: 'unknown-field' }
  | { readonly code: 'valid' };

/** One thing that is wrong with a document: where, what it should be, what was found. */
export interface Fault {
  /** From the top of the document, e.g. `vehicle.dimensions.lengthM` or `soil[3].zone`. */
  readonly path: string;
  readonly expected: Expected;
  readonly found: string;
}

/** A document that could not be read, as data. */
export type Unreadable =
  | { readonly code: 'too-large'; readonly bytes: number; readonly most: number }
  | { readonly code: 'not-json'; readonly detail: string; readonly cut: boolean }
  | { readonly code: 'other-format'; readonly format: string; readonly wanted: string }
  | { readonly code: 'newer-version'; readonly version: number; readonly newest: number }
  | { readonly code: 'no-version' }
  | { readonly code: 'faults'; readonly faults: readonly Fault[] };

export type Read<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly why: Unreadable };

const FOUND_MOST = 60;

const shown = (value: unknown): string => {
  if (value === undefined) return '';
  const text = typeof value === 'string' ? `"${value}"` : (JSON.stringify(value) ?? String(value));
  return text.length > FOUND_MOST ? `${text.slice(0, FOUND_MOST)}…` : text;
};

const expectedOf = (error: ValidationError): Expected => {
  if (error.constraints?.['whitelistValidation']) return { code: 'unknown-field' };
  const [first] = Object.keys(error.constraints ?? {});
  return (first && (error.contexts?.[first] as Expected | undefined)) || { code: 'valid' };
};

const isIndex = (property: string): boolean => /^\d+$/.test(property);

/** The validator's tree as a flat list, one fault a field. */
export function faultsOf(errors: readonly ValidationError[], above = ''): readonly Fault[] {
  return errors.flatMap((error) => {
    const step = isIndex(error.property) ? `[${error.property}]` : error.property;
    const path = above && !isIndex(error.property) ? `${above}.${step}` : `${above}${step}`;
    const own = error.constraints
      ? [{ path, expected: expectedOf(error), found: shown(error.value) }]
      : [];
    return [...own, ...faultsOf(error.children ?? [], path)];
  });
}
