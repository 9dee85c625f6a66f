/** Turns content of one version into the next; gets whatever a file held, so it must not throw. */
export type Migration = (content: unknown) => unknown;

/** Takes content of `version` through all later steps. */
export const migrate = (content: unknown, version: number, steps: readonly Migration[]): unknown =>
  steps.slice(version - 1).reduce((current, step) => step(current), content);

export type Fields = Record<string, unknown>;

export const isRecord = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A list with each entry changed; whatever is no list stays as it is. */
export const mapped = (list: unknown, change: (one: unknown, index: number) => unknown): unknown =>
  Array.isArray(list) ? (list as unknown[]).map(change) : list;

/** Things noted before version 9 have no numbers: they stand in the order in which they happened. */
export const numbered = (list: unknown): unknown =>
  mapped(list, (one, i) => (isRecord(one) ? { seq: i + 1, ...one } : one));
