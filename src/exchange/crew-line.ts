import { hkdf } from '@noble/hashes/hkdf.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { concatBytes, utf8ToBytes } from '@noble/hashes/utils.js';

type Bytes = Uint8Array<ArrayBuffer>;
/** As whatever runs this has it. */
type Subtle = typeof globalThis.crypto.subtle;

/** What phones of one car say to each other, as it crosses the line. */
export interface CrewLine {
  /** Lets a phone into the room. Nothing can be opened with it. */
  readonly token: string;
  seal(text: string): Promise<Bytes>;
  /** @returns null for what was sealed for another car, or changed on its way */
  open(sealed: Uint8Array): Promise<string | null>;
}

const KEY_BYTES = 32;
/** A fresh one for each message, chosen by chance (NIST SP 800-38D, 8.2.2). */
const NONCE_BYTES = 12;

const base64url = (bytes: Uint8Array): string =>
  btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '');

interface Cipher {
  encrypt(nonce: Bytes, plain: Bytes): Promise<Uint8Array>;
  /** @throws where it was not sealed under this key */
  decrypt(nonce: Bytes, sealed: Bytes): Promise<Uint8Array>;
}

/** The browser’s own AES-GCM, which it has on https and on this device itself. */
async function browserCipher(subtle: Subtle, key: Bytes, additionalData: Bytes): Promise<Cipher> {
  const imported = await subtle.importKey('raw', key, 'AES-GCM', false, ['encrypt', 'decrypt']);
  const under = (iv: Bytes) => ({ name: 'AES-GCM', iv, additionalData });
  return {
    encrypt: async (nonce, plain) => new Uint8Array(await subtle.encrypt(under(nonce), imported, plain)),
    decrypt: async (nonce, sealed) => new Uint8Array(await subtle.decrypt(under(nonce), imported, sealed)),
  };
}

/** The same in JavaScript, for pages on plain http. */
async function plainCipher(key: Bytes, additional: Bytes): Promise<Cipher> {
  const { gcm } = await import('@noble/ciphers/aes.js');
  return {
    encrypt: async (nonce, plain) => gcm(key, nonce, additional).encrypt(plain),
    decrypt: async (nonce, sealed) => gcm(key, nonce, additional).decrypt(sealed),
  };
}

/**
 * The line of a car. Token and key both follow from the secret that stands behind the # of its link (HKDF with SHA-256, RFC 5869), so
 * the relay, which is given the token, learns nothing of the key. Messages are sealed by AES-256-GCM, bound to the car’s code.
 * @param subtle the browser’s cryptography; undefined on plain http
 */
export async function crewLine(
  code: string,
  secret: string,
  subtle: Subtle | undefined = globalThis.crypto.subtle,
): Promise<CrewLine> {
  const derived = (what: string): Bytes =>
    hkdf(sha256, utf8ToBytes(secret), utf8ToBytes(code), utf8ToBytes(`esmero crew ${what}`), KEY_BYTES) as Bytes;
  const bound = utf8ToBytes(`esmero crew ${code}`) as Bytes;
  const cipher = subtle ? await browserCipher(subtle, derived('key'), bound) : await plainCipher(derived('key'), bound);
  return {
    token: base64url(derived('token')),
    async seal(text) {
      const nonce = crypto.getRandomValues(new Uint8Array(NONCE_BYTES));
      return concatBytes(nonce, await cipher.encrypt(nonce, utf8ToBytes(text) as Bytes)) as Bytes;
    },
    async open(sealed) {
      const bytes = Uint8Array.from(sealed);
      return cipher.decrypt(bytes.slice(0, NONCE_BYTES), bytes.slice(NONCE_BYTES)).then(
        (plain) => new TextDecoder().decode(plain),
        () => null,
      );
    },
  };
}
