/** What a sealed file begins with: one line of JSON that says how to open it, with all but the passphrase. */
interface Head {
  readonly format: 'esmero-sealed';
  readonly version: 1;
  readonly kdf: 'PBKDF2';
  readonly hash: 'SHA-256';
  readonly iterations: number;
  /** Hexadecimal. */
  readonly salt: string;
  readonly cipher: 'AES-256-GCM';
  readonly iv: string;
}

/** As much work as a guess should be (OWASP’s figure for PBKDF2 with SHA-256). */
const ITERATIONS = 600_000;
/** Files of others may ask for less, or more, but not for a minute on a phone. */
const LEAST_ITERATIONS = 1000;
const MOST_ITERATIONS = 2_000_000;
const SALT_BYTES = 16;
const IV_BYTES = 12;
/** A head is far shorter. */
const MOST_HEAD = 1000;
const NEWLINE = 0x0a;
const START = '{"format":"esmero-sealed"';

const hex = (bytes: Uint8Array): string => [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
const bytesOf = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(text.match(/../g) ?? [], (two) => parseInt(two, 16));

async function keyFor(passphrase: string, { salt, iterations }: Head): Promise<CryptoKey> {
  // However it is typed, é is one letter.
  const typed = new TextEncoder().encode(passphrase.normalize('NFC'));
  const material = await crypto.subtle.importKey('raw', typed, 'PBKDF2', false, ['deriveKey']);
  return crypto.subtle.deriveKey(
    { name: 'PBKDF2', hash: 'SHA-256', salt: bytesOf(salt), iterations },
    material,
    { name: 'AES-GCM', length: 256 },
    false,
    ['encrypt', 'decrypt'],
  );
}

/**
 * A file that nobody opens without the passphrase: a line of JSON, then the file encrypted (AES-GCM under a key by PBKDF2); the line is
 * authenticated with it.
 */
export async function sealed(file: Blob, passphrase: string, iterations = ITERATIONS): Promise<Blob> {
  const random = (count: number): string => hex(crypto.getRandomValues(new Uint8Array(count)));
  const head: Head = {
    format: 'esmero-sealed',
    version: 1,
    kdf: 'PBKDF2',
    hash: 'SHA-256',
    iterations,
    salt: random(SALT_BYTES),
    cipher: 'AES-256-GCM',
    iv: random(IV_BYTES),
  };
  const line = new TextEncoder().encode(`${JSON.stringify(head)}\n`);
  const key = await keyFor(passphrase, head);
  const secret = await crypto.subtle.encrypt(
    { name: 'AES-GCM', iv: bytesOf(head.iv), additionalData: line },
    key,
    await file.arrayBuffer(),
  );
  return new Blob([line, secret], { type: 'application/octet-stream' });
}

export const isSealed = async (file: Blob): Promise<boolean> => (await file.slice(0, START.length).text()) === START;

function headIn(text: string): Head | null {
  try {
    const head = JSON.parse(text) as Partial<Head>;
    const isHex = (one: unknown, count: number): boolean =>
      typeof one === 'string' && new RegExp(`^[0-9a-f]{${2 * count}}$`).test(one);
    const { version, iterations, salt, iv } = head;
    const isSound =
      version === 1 &&
      Number.isInteger(iterations) &&
      iterations! >= LEAST_ITERATIONS &&
      iterations! <= MOST_ITERATIONS &&
      isHex(salt, SALT_BYTES) &&
      isHex(iv, IV_BYTES);
    return isSound ? (head as Head) : null;
  } catch {
    return null;
  }
}

/** The file as it was before it was sealed; null where the passphrase is another one, or something was changed in it. Never throws. */
export async function unsealed(file: Blob, passphrase: string): Promise<Blob | null> {
  const first = new Uint8Array(await file.slice(0, MOST_HEAD).arrayBuffer());
  const end = first.indexOf(NEWLINE) + 1;
  const head = end > 0 ? headIn(new TextDecoder().decode(first.slice(0, end))) : null;
  if (!head) return null;
  try {
    const key = await keyFor(passphrase, head);
    const plain = await crypto.subtle.decrypt(
      { name: 'AES-GCM', iv: bytesOf(head.iv), additionalData: first.slice(0, end) },
      key,
      await file.slice(end).arrayBuffer(),
    );
    return new Blob([plain]);
  } catch {
    return null;
  }
}
