import { createDecipheriv, pbkdf2Sync } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { isSealed, sealed, unsealed } from './sealed';

/** Less work than a real file: the same way. */
const FEW = 1000;
const bytesIn = async (file: Blob): Promise<Uint8Array> => new Uint8Array(await file.arrayBuffer());
const some = fc.uint8Array({ maxLength: 3000 }) as fc.Arbitrary<Uint8Array<ArrayBuffer>>;
const words = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 });

describe('a sealed file', () => {
  it('comes back byte for byte with its passphrase, and with no other', async () => {
    await fc.assert(
      fc.asyncProperty(some, words, words, async (bytes, passphrase, other) => {
        const file = await sealed(new Blob([bytes]), passphrase, FEW);
        expect(await isSealed(file)).toBe(true);
        expect(await bytesIn((await unsealed(file, passphrase))!)).toEqual(bytes);
        if (other.normalize('NFC') !== passphrase.normalize('NFC')) expect(await unsealed(file, other)).toBeNull();
      }),
      { numRuns: runs(60) },
    );
  });

  it('is refused once a single byte of it is another, its head as well', async () => {
    const file = await sealed(new Blob(['What nobody else is to read']), 'harbour light', FEW);
    const bytes = await bytesIn(file);
    await fc.assert(
      fc.asyncProperty(fc.nat(bytes.length - 1), fc.integer({ min: 1, max: 255 }), async (at, by) => {
        const changed = Uint8Array.from(bytes, (one, i) => (i === at ? one ^ by : one));
        expect(await unsealed(new Blob([changed]), 'harbour light')).toBeNull();
      }),
      { numRuns: runs(80) },
    );
    expect(await unsealed(file.slice(0, file.size - 1), 'harbour light')).toBeNull();
    expect(await unsealed(new Blob(['PK']), 'x')).toBeNull();
    expect(await isSealed(new Blob(['{"format":"esmero-job"}']))).toBe(false);
  });

  it('never is the same twice, and shows nothing of what is in it', async () => {
    const plain = new Blob(['Household on Lantern Steps']);
    const [one, two] = await Promise.all([sealed(plain, 'x', FEW), sealed(plain, 'x', FEW)]);
    expect(await bytesIn(one)).not.toEqual(await bytesIn(two));
    expect(await one.text()).not.toContain('Lantern');
  });

  it('is opened by another program that knows the passphrase and reads the first line', async () => {
    const file = Buffer.from(await bytesIn(await sealed(new Blob(['all of it']), 'harbour light')));
    const end = file.indexOf('\n') + 1;
    const { salt, iv, iterations } = JSON.parse(file.subarray(0, end).toString()) as {
      salt: string;
      iv: string;
      iterations: number;
    };
    expect(iterations).toBeGreaterThanOrEqual(600_000);
    const key = pbkdf2Sync('harbour light', Buffer.from(salt, 'hex'), iterations, 32, 'sha256');
    const decipher = createDecipheriv('aes-256-gcm', key, Buffer.from(iv, 'hex'));
    decipher.setAAD(file.subarray(0, end));
    decipher.setAuthTag(file.subarray(-16));
    expect(Buffer.concat([decipher.update(file.subarray(end, -16)), decipher.final()]).toString()).toBe('all of it');
  });
});
