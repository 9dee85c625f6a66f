/** A covariance matrix, lower half, in its Cholesky factor L: A = L·Lᵀ. */
type Factor = readonly (readonly number[])[];

function factorOf(covariance: readonly (readonly number[])[]): Factor {
  const rows: number[][] = [];
  covariance.forEach((own, i) => {
    const row: number[] = [];
    for (let j = 0; j <= i; j++) {
      const above = rows[j] ?? row;
      let sum = own[j]!;
      for (let k = 0; k < j; k++) sum -= row[k]! * above[k]!;
      row.push(i === j ? Math.sqrt(Math.max(1e-12, sum)) : sum / above[j]!);
    }
    rows.push(row);
  });
  return rows;
}

/** Solves L·x = b. */
function solvedBelow(factor: Factor, b: readonly number[]): readonly number[] {
  const x: number[] = [];
  factor.forEach((row, i) => {
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= row[k]! * x[k]!;
    x.push(sum / row[i]!);
  });
  return x;
}

const dot = (p: readonly number[], q: readonly number[]): number => p.reduce((sum, one, i) => sum + one * q[i]!, 0);

/** What is told of one figure by others that vary with it. */
interface Told {
  readonly mean: number;
  readonly variance: number;
}

/** Figures that vary together about 0, of which some have been seen. */
export interface Seen {
  /** Logarithm of how likely it was to see these. */
  readonly logLikelihood: number;
  /** Another, of its own variance, that varies with each of the seen so much. */
  readonly tell: (withSeen: readonly number[], variance: number) => Told;
}

/** Conditions a joint normal distribution (Rasmussen and Williams 2006, algorithm 2.1). */
export function given(values: readonly number[], covariance: readonly (readonly number[])[]): Seen {
  const factor = factorOf(covariance);
  const whitened = solvedBelow(factor, values);
  const logDeterminant = factor.reduce((sum, row) => sum + Math.log(row.at(-1)!), 0);
  return {
    logLikelihood: -0.5 * dot(whitened, whitened) - logDeterminant,
    tell: (withSeen, variance) => {
      const part = solvedBelow(factor, withSeen);
      return { mean: dot(part, whitened), variance: Math.max(0, variance - dot(part, part)) };
    },
  };
}
