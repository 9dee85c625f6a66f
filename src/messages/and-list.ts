const conjunction = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** "tyre brush, wheel brush and detail brush". */
export const andList = (names: readonly string[]): string => conjunction.format(names);
