/** How the letters of a text file may be written down. */
export const encodings = [
  'utf-8',
  'utf-16le',
  'utf-16be',
  'windows-1252',
  'windows-1250',
  'windows-1251',
  'windows-1253',
  'windows-1254',
] as const;
export type Encoding = (typeof encodings)[number];

/** A file as text. */
export interface Decoded {
  readonly text: string;
  readonly encoding: Encoding;
  /** It says nowhere which it is: what cannot be UTF-8 is taken for what spreadsheets write on Windows. */
  readonly isGuessed: boolean;
}

/** The first bytes of a file that says how it is written. */
const marks: readonly (readonly [Encoding, readonly number[]])[] = [
  ['utf-8', [0xef, 0xbb, 0xbf]],
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
];

const inEncoding = (bytes: Uint8Array, encoding: Encoding, fatal = false): string =>
  new TextDecoder(encoding, { fatal }).decode(bytes);

/**
 * The text of a file.
 * @param wanted as somebody says; null to find out
 */
export function decoded(bytes: Uint8Array, wanted: Encoding | null = null): Decoded {
  if (wanted) return { text: inEncoding(bytes, wanted), encoding: wanted, isGuessed: false };
  const marked = marks.find(([, mark]) => mark.every((byte, i) => bytes[i] === byte));
  if (marked) return { text: inEncoding(bytes, marked[0]), encoding: marked[0], isGuessed: false };
  try {
    return { text: inEncoding(bytes, 'utf-8', true), encoding: 'utf-8', isGuessed: false };
  } catch {
    return { text: inEncoding(bytes, 'windows-1252'), encoding: 'windows-1252', isGuessed: true };
  }
}
