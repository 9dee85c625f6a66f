import { type Migration, migrate } from '@esmero/migrations';
import type { Read, Unreadable } from './fault';
import { isPlain } from './nested';

/** A family of files: its name, its newest version, and the steps that lead there. */
export interface Format {
  readonly name: string;
  readonly version: number;
  /** Largest file that is read, bytes. */
  readonly most: number;
  /** Under which key the content stands. */
  readonly key: string;
  /** migrations[n] turns version n + 1 into version n + 2. */
  readonly migrations: readonly Migration[];
}

const no = (why: Unreadable): Read<never> => ({ ok: false, why });

/** A file that was cut off is sound up to its end; engines say so in words or by position. */
function isCut(text: string, detail: string): boolean {
  if (/end of (JSON|data|input)|unterminated/i.test(detail)) return true;
  const position = /position (\d+)/.exec(detail)?.[1];
  return position !== undefined && Number(position) >= text.trimEnd().length;
}

/** Nothing of ours is nested nearly as deep. */
const MOST_DEPTH = 5000;
/** Lists and objects take the time, not letters; ours have more than twice as many letters each. */
const LEAST_LETTERS_EACH = 25;
const SMALL = 100_000;
const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const [LIST, CLOSED_LIST, OBJECT, CLOSED_OBJECT] = [0x5b, 0x5d, 0x7b, 0x7d];

/** Is it made of more, or deeper, lists and objects than any file of ours? Such a text takes a browser half a minute to read. */
function isTangled(text: string): boolean {
  let [depth, count] = [0, 0];
  const most = Math.max(SMALL, text.length / LEAST_LETTERS_EACH);
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i);
    if (letter === QUOTE) i = endOfString(text, i);
    else if (letter === CLOSED_LIST || letter === CLOSED_OBJECT) depth--;
    else if ((letter === LIST || letter === OBJECT) && (++depth > MOST_DEPTH || ++count > most)) return true;
  }
  return false;
}

/** Where the string that begins here ends. */
function endOfString(text: string, from: number): number {
  for (let i = from + 1; i < text.length; i++) {
    const letter = text.charCodeAt(i);
    if (letter === BACKSLASH) i++;
    else if (letter === QUOTE) return i;
  }
  return text.length;
}

function parse(text: string): Read<unknown> {
  if (isTangled(text))
    return no({
      code: 'not-json',
      detail: 'It is made of far more lists and objects than any file of Esmero.',
      cut: false,
    });
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return no({ code: 'not-json', detail, cut: isCut(text, detail) });
  }
}

/** What a file holds, and what else its envelope says. */
export interface Opened {
  readonly content: unknown;
  readonly around: Readonly<Record<string, unknown>>;
}

/**
 * Opens a file of a format: size, JSON, format name, version, migrations. What it returns is of the
 * newest version but has not been validated.
 */
export function openEnvelope(text: string, format: Format): Read<Opened> {
  if (text.length > format.most) return no({ code: 'too-large', bytes: text.length, most: format.most });
  const parsed = parse(text);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  if (!isPlain(value) || value['format'] !== format.name)
    return no({
      code: 'other-format',
      format: isPlain(value) ? String(value['format'] ?? '') : '',
      wanted: format.name,
    });
  const { version } = value;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return no({ code: 'no-version' });
  if (version > format.version) return no({ code: 'newer-version', version, newest: format.version });
  const { [format.key]: content, ...around } = value;
  return { ok: true, value: { content: migrate(content, version, format.migrations), around } };
}

/**
 * The text of a file, with a line feed at the end.
 * @param indent 2 for people to read; 0 where thousands of them are packed
 */
export const writeEnvelope = (format: Format, content: object, around: object = {}, indent: 0 | 2 = 2): string =>
  `${JSON.stringify({ format: format.name, version: format.version, ...around, [format.key]: content }, null, indent)}\n`;
