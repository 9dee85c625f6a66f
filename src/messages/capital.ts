/** A sentence or a label begins with a capital letter. */
export const capital = (text: string): string => (text === '' ? '' : `${text[0]!.toUpperCase()}${text.slice(1)}`);
