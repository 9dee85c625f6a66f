import { describe, expect, it } from 'vitest';
import { type Grey, corners } from './align';
import { linesIn } from './lines';

const [WIDTH, HEIGHT] = [320, 240];

/** A dark panel with a little noise that repeats, and something drawn onto it. */
function panel(draw: (put: (x: number, y: number, light: number) => void) => void): Grey {
  let state = 7;
  const noise = (): number => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32 - 0.5;
  const values = Float32Array.from({ length: WIDTH * HEIGHT }, () => 0.22 + 0.012 * noise());
  draw((x, y, light) => {
    for (let dy = -1; dy <= 1; dy++) {
      for (let dx = -1; dx <= 1; dx++) {
        const at = (Math.round(y) + dy) * WIDTH + Math.round(x) + dx;
        const off = (Math.round(x) + dx - x) ** 2 + (Math.round(y) + dy - y) ** 2;
        values[at] = Math.max(values[at] ?? 0, 0.22 + light * Math.exp(-off / 0.6));
      }
    }
  });
  return { width: WIDTH, height: HEIGHT, values };
}

const arc = (
  put: (x: number, y: number, light: number) => void,
  cx: number,
  cy: number,
  radius: number,
  length: number,
  light = 0.2,
): void => {
  for (let t = 0; t < length; t += 0.3)
    put(cx + radius * Math.cos(t / radius), cy + radius * Math.sin(t / radius), light);
};
const streak = (
  put: (x: number, y: number, light: number) => void,
  x: number,
  y: number,
  turn: number,
  length: number,
): void => {
  for (let t = 0; t < length; t += 0.3) put(x + t * Math.cos(turn), y + t * Math.sin(turn), 0.2);
};
const anywhere = (): boolean => false;

describe('fine lines', () => {
  it('are none on a panel that has none', () => {
    expect(
      linesIn(
        panel(() => undefined),
        anywhere,
      ),
    ).toEqual([]);
  });

  it('are told apart: arcs are bent, streaks are not', () => {
    const found = linesIn(
      panel((put) => (arc(put, 100, 100, 40, 50), streak(put, 200, 60, 0.4, 60), streak(put, 60, 200, 0, 40))),
      anywhere,
    );
    expect(found).toHaveLength(3);
    expect(found.filter(({ isArc }) => isArc)).toHaveLength(1);
    for (const { length } of found) expect(length).toBeGreaterThan(30);
  });

  it('stay two where they cross', () => {
    expect(
      linesIn(
        panel((put) => (streak(put, 100, 100, 0.2, 70), streak(put, 130, 80, 1.5, 60))),
        anywhere,
      ),
    ).toHaveLength(2);
  });

  it('are neither specks, nor steps, nor tape, nor what is masked', () => {
    const speck = panel((put) => streak(put, 100, 100, 0, 5));
    expect(linesIn(speck, anywhere)).toHaveLength(0);
    const step = panel(() => undefined);
    for (let at = 0; at < step.values.length; at++) if (at % WIDTH > 160) step.values[at]! += 0.3;
    expect(linesIn(step, anywhere)).toHaveLength(0);
    const tape = panel(() => undefined);
    for (let y = 100; y < 120; y++) for (let x = 100; x < 130; x++) tape.values[y * WIDTH + x] = 0.7;
    expect(linesIn(tape, anywhere)).toHaveLength(0);
    const lined = panel((put) => streak(put, 100, 100, 0.3, 60));
    expect(linesIn(lined, () => true)).toHaveLength(0);
    expect(linesIn(lined, anywhere)).toHaveLength(1);
  });

  it('are fewer the stricter one looks', () => {
    const faint = panel((put) => {
      for (let i = 0; i < 8; i++) arc(put, 60 + 25 * i, 120, 30, 30, 0.03 + 0.02 * i);
    });
    const counts = [0.8, 1, 1.5, 3].map((times) => linesIn(faint, anywhere, times).length);
    expect(counts).toEqual([...counts].sort((p, q) => q - p));
    expect(counts[0]).toBeGreaterThan(counts[3]!);
  });
});

describe('corners', () => {
  it('are where brightness changes both ways, and not along an edge', () => {
    const box = panel(() => undefined);
    for (let y = 90; y < 150; y++) for (let x = 120; x < 200; x++) box.values[y * WIDTH + x] = 0.8;
    const found = corners(box).slice(0, 4);
    for (const [x, y] of [
      [120, 90],
      [199, 90],
      [120, 149],
      [199, 149],
    ])
      expect(found.some((one) => Math.hypot(one.x - x!, one.y - y!) < 4)).toBe(true);
  });
});
