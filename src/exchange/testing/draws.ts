/** Random numbers that are the same for the same seed. */
export function draws(seed: number) {
  let state = (seed * 2654435761 + 1) >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return { below: (n: number): number => Math.floor(next() * n) };
}
