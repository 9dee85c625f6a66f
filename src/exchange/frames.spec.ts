import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import jsQR from 'jsqr';
import qrcode from 'qrcode';
import { runs } from '@esmero/testing';
import { FrameReader, framesOf } from './frames';

/** What a camera sees of a code: squares of some pixels with a white edge. */
function seen(text: string, px = 4, edge = 4): { readonly data: Uint8ClampedArray; readonly size: number } {
  const { size, data } = qrcode.create(text, { errorCorrectionLevel: 'M' }).modules;
  const all = (size + 2 * edge) * px;
  const pixels = new Uint8ClampedArray(all * all * 4).fill(255);
  for (let y = 0; y < size * px; y++)
    for (let x = 0; x < size * px; x++) {
      if (!data[Math.floor(y / px) * size + Math.floor(x / px)]) continue;
      const at = ((y + edge * px) * all + x + edge * px) * 4;
      pixels.fill(0, at, at + 3);
    }
  return { data: pixels, size: all };
}

async function read(frames: readonly string[]): Promise<string | null> {
  const reader = new FrameReader();
  let text: string | null = null;
  for (const frame of frames) text = (await reader.add(frame)) ?? text;
  return text;
}

describe('a text as pictures', () => {
  it('is whole again once each was seen, in any order, with some seen twice', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.string({ unit: 'grapheme', maxLength: 3000 }),
        fc.infiniteStream(fc.nat(1000)),
        async (text, which) => {
          const frames = await framesOf(text);
          const shuffled = [...frames, ...frames.slice(0, 2)]
            .map((frame) => ({ frame, at: which.next().value! }))
            .sort((p, q) => p.at - q.at);
          expect(await read(shuffled.map(({ frame }) => frame))).toBe(text);
          if (frames.length > 1) expect(await read(frames.slice(1))).toBeNull();
        },
      ),
      { numRuns: runs(60) },
    );
  });

  it('is never another text, whatever else is seen in between', async () => {
    const [one, two] = [
      await framesOf('The first run '.repeat(200)),
      await framesOf(JSON.stringify(Array.from({ length: 400 }, (_, i) => i * i))),
    ];
    expect(await read(['hello', ...two.slice(0, 1), ...one, 'ER1.00000000.0.1.AAAA', 'ER1.x'])).toBe(
      'The first run '.repeat(200),
    );
    const reader = new FrameReader();
    expect(await reader.add(two[0]!.replace(/.$/, 'A'))).toBeNull();
    expect(reader.progress).toEqual({ read: 1, count: two.length });
    await fc.assert(
      fc.asyncProperty(fc.string(), async (text) => {
        expect(await new FrameReader().add(text)).toBeNull();
      }),
      { numRuns: runs(200) },
    );
  });

  it('is read off its codes by another reader', async () => {
    const text = JSON.stringify(
      Array.from({ length: 300 }, (_, i) => ({ seq: i, at: 1_900_000_000_000 + i * 977, zone: 'roof' })),
    );
    const frames = await framesOf(text);
    expect(frames.length).toBeGreaterThan(2);
    const decoded = frames.map((frame) => {
      const { data, size } = seen(frame);
      return jsQR(data, size, size)!.data;
    });
    expect(decoded).toEqual(frames);
    expect(await read(decoded)).toBe(text);
  });
});
