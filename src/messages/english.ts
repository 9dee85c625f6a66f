export const englishes = ['gb', 'us'] as const;
/** British or US words for the same things. */
export type English = (typeof englishes)[number];

let spoken: English = 'gb';

/** Everything that is said from now on is in this English. */
export function speak(english: English): void {
  spoken = english;
}

/** For dates and numbers. */
export const locale = (): string => (spoken === 'us' ? 'en-US' : 'en-GB');

/** US words for British ones; what comes first goes first. */
const usWords: readonly (readonly [british: string, us: string])[] = [
  ['a fortnight', 'two weeks'],
  ['boot sill', 'trunk lip'],
  ['rear wing', 'rear quarter panel'],
  ['wing', 'fender'],
  ['bonnet', 'hood'],
  ['boot', 'trunk'],
  ['windscreen', 'windshield'],
  ['shut', 'jamb'],
  ['sill', 'rocker panel'],
  ['tyre', 'tire'],
  ['estate', 'station wagon'],
  ['coupé', 'coupe'],
  ['colour', 'color'],
  ['litre', 'liter'],
  ['metre', 'meter'],
  ['fibre', 'fiber'],
  ['grey', 'gray'],
  ['labelled', 'labeled'],
  ['aluminium', 'aluminum'],
];

/** A word that is said otherwise in the US. */
export const britishWord = new RegExp(
  `(?<![\\p{L}])(${usWords.map(([british]) => british).join('|')})(s?)(?![\\p{L}])`,
  'giu',
);
const byBritish = new Map(usWords);

const inUs = (british: string): string =>
  british.replace(britishWord, (found: string, word: string, many: string) => {
    const us = `${byBritish.get(word.toLowerCase()) ?? word}${many}`;
    return found[0] === found[0]!.toUpperCase() ? `${us[0]!.toUpperCase()}${us.slice(1)}` : us;
  });

/** A text that is written in British English, in the English that is spoken. */
export const en = (british: string): string => (spoken === 'us' ? inUs(british) : british);

/** A table of texts, each in the English that is spoken when it is read. */
/* @__NO_SIDE_EFFECTS__ */
export function worded<T extends object>(table: T): T {
  const read = (value: unknown): unknown =>
    typeof value === 'string' ? en(value) : typeof value === 'object' && value !== null ? worded(value) : value;
  return Object.defineProperties(
    Array.isArray(table) ? [] : {},
    Object.fromEntries(
      Object.entries(table).map(([key, value]) => [key, { enumerable: true, get: () => read(value) }]),
    ),
  ) as T;
}
