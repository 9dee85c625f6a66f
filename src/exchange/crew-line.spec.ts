import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '@esmero/testing';
import { crewLine } from './crew-line';

const SECRET = 'k3v09a7c2m5x8q1w4e6r';
const both = { 'by the browser': globalThis.crypto.subtle, 'in JavaScript': undefined } as const;

describe.each(Object.entries(both))('what phones say to each other, sealed %s', (_name, subtle) => {
  const line = (code = 'ABC234', secret = SECRET) => crewLine(code, secret, subtle);

  it('comes out as it went in, on either kind of page', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'binary' }), async (text) => {
        const sealed = await (await line()).seal(text);
        const well = new TextDecoder().decode(new TextEncoder().encode(text));
        for (const other of Object.values(both))
          expect(await (await crewLine('ABC234', SECRET, other)).open(sealed)).toBe(well);
      }),
      { numRuns: runs(60) },
    );
  });

  it('shows nothing of what was said, nor of the secret, and never the same twice', async () => {
    const one = await line();
    const text = JSON.stringify({ client: 'Bay Bakery', note: 'the gate is 4711', pad: 'x'.repeat(200) });
    const [first, second] = [await one.seal(text), await one.seal(text)];
    const crossed = [one.token, ...[first, second].map((bytes) => Buffer.from(bytes).toString('latin1'))].join('\n');
    for (const secret of [SECRET, 'Bay Bakery', '4711', 'client', 'xxxx']) expect(crossed).not.toContain(secret);
    expect(Buffer.from(first).equals(Buffer.from(second))).toBe(false);
    expect(one.token).toMatch(/^[\w-]{43}$/);
  });

  it('is opened by nobody with another link, and not once a bit of it was changed', async () => {
    const sealed = await (await line()).seal('the run');
    expect(await (await line('ABC235')).open(sealed)).toBeNull();
    expect(await (await line('ABC234', `${SECRET}x`)).open(sealed)).toBeNull();
    for (let i = 0; i < sealed.length; i++)
      expect(await (await line()).open(sealed.map((byte, at) => (at === i ? byte ^ 1 : byte)))).toBeNull();
    for (const length of [0, 5, 12, 20]) expect(await (await line()).open(sealed.slice(0, length))).toBeNull();
  });
});
