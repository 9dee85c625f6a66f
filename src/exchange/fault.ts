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
  /** At least one of these, each once. */
  | { readonly code: 'some'; readonly values: readonly string[] }
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
  /** Neither JSON nor a backup that could be opened. */
  | { readonly code: 'no-zip'; readonly detail: string }
  /** A backup whose files are not those of its manifest. */
  | { readonly code: 'damaged'; readonly paths: readonly string[] }
  | { readonly code: 'faults'; readonly faults: readonly Fault[] };

export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly why: Unreadable };

const FOUND_MOST = 60;

/** What was found, in a few letters; what is large or deep is only named. */
export function shown(value: unknown): string {
  if (value === undefined) return '';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object' && value !== null) return 'an object';
  const text = typeof value === 'string' ? `"${value.slice(0, FOUND_MOST + 1)}"` : String(value);
  return text.length > FOUND_MOST ? `${text.slice(0, FOUND_MOST)}…` : text;
}
