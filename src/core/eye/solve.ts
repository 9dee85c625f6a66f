/**
 * Solves a linear system by elimination with row exchange; rows hold the right-hand side last.
 * null where it has no single answer.
 */
export function solved(rows: readonly (readonly number[])[]): readonly number[] | null {
  const m = rows.map((row) => [...row]);
  const n = m.length;
  for (let p = 0; p < n; p++) {
    let pivot = p;
    for (let q = p + 1; q < n; q++) if (Math.abs(m[q]![p]!) > Math.abs(m[pivot]![p]!)) pivot = q;
    if (Math.abs(m[pivot]![p]!) < 1e-12) return null;
    [m[p], m[pivot]] = [m[pivot]!, m[p]!];
    for (let q = p + 1; q < n; q++) {
      const factor = m[q]![p]! / m[p]![p]!;
      if (factor !== 0) for (let k = p; k <= n; k++) m[q]![k]! -= factor * m[p]![k]!;
    }
  }
  const found = new Array<number>(n).fill(0);
  for (let p = n - 1; p >= 0; p--) {
    let value = m[p]![n]!;
    for (let q = p + 1; q < n; q++) value -= m[p]![q]! * found[q]!;
    found[p] = value / m[p]![p]!;
  }
  return found;
}
