import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** Letters in one picture: a phone reads that at arm’s length (judged). */
const LETTERS = 420;
const MOST_FRAMES = 400;
const HASH_LETTERS = 8;
const FRAME = /^ER1\.([0-9a-f]{8})\.(\d{1,3})\.(\d{1,3})\.([\w-]+)$/;

const hashOf = (text: string): string => bytesToHex(sha256(utf8ToBytes(text))).slice(0, HASH_LETTERS);

async function through(
  bytes: Uint8Array<ArrayBuffer>,
  { readable, writable }: CompressionStream | DecompressionStream,
): Promise<Uint8Array<ArrayBuffer>> {
  const writer = writable.getWriter();
  // What is wrong with it is told where it is read.
  void writer.write(bytes).catch(() => undefined);
  void writer.close().catch(() => undefined);
  return new Uint8Array(await new Response(readable).arrayBuffer());
}

const toLetters = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');
const fromLetters = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text.replace(/-/g, '+').replace(/_/g, '/')), (letter) => letter.charCodeAt(0));

/**
 * A text as pictures to be shown one after the other, packed: each says which text it is of, its number, and how many there are.
 * @throws RangeError for a text that would take more pictures than anybody watches
 */
export async function framesOf(text: string): Promise<readonly string[]> {
  const packed = toLetters(
    await through(utf8ToBytes(text) as Uint8Array<ArrayBuffer>, new CompressionStream('deflate-raw')),
  );
  const count = Math.max(1, Math.ceil(packed.length / LETTERS));
  if (count > MOST_FRAMES) throw new RangeError(`${count} pictures`);
  const hash = hashOf(text);
  return Array.from(
    { length: count },
    (_, i) => `ER1.${hash}.${i}.${count}.${packed.slice(i * LETTERS, (i + 1) * LETTERS)}`,
  );
}

/** Pictures as they are read, in whatever order and however often; those of another text begin anew. */
export class FrameReader {
  private hash = '';
  private count = 0;
  private readonly parts = new Map<number, string>();

  /** How many are there, of how many. */
  get progress(): { readonly read: number; readonly count: number } {
    return { read: this.parts.size, count: this.count };
  }

  /** @returns the text once all of it is there and is what was shown, else null */
  async add(frame: string): Promise<string | null> {
    const [, hash, number, count, part] = FRAME.exec(frame) ?? [];
    if (!hash || !part || Number(count) === 0 || Number(count) > MOST_FRAMES || Number(number) >= Number(count))
      return null;
    if (hash !== this.hash || Number(count) !== this.count) {
      this.hash = hash;
      this.count = Number(count);
      this.parts.clear();
    }
    this.parts.set(Number(number), part);
    return this.parts.size === this.count ? this.whole() : null;
  }

  private async whole(): Promise<string | null> {
    const packed = Array.from({ length: this.count }, (_, i) => this.parts.get(i)!).join('');
    try {
      const text = new TextDecoder().decode(await through(fromLetters(packed), new DecompressionStream('deflate-raw')));
      if (hashOf(text) === this.hash) return text;
    } catch {
      // Read wrongly: once more from the beginning.
    }
    this.parts.clear();
    return null;
  }
}
