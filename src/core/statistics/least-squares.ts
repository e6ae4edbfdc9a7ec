export type LeastSquares = {
  /** One per column; null for a column that the ones before it already span. */
  readonly coefficients: readonly (number | null)[];
  readonly residuals: readonly number[];
  readonly ssr: number;
  /** Diagonal of (XᵀWX)⁻¹ for the kept columns, null for the dropped; computed when it is asked for. */
  readonly inverseDiagonal: () => readonly (number | null)[];
};

/**
 * Weighted linear least squares by Gram-Schmidt, each column orthogonalised twice; dependent columns are dropped, which leaves the fitted values unchanged.
 * @param columns design matrix by columns, each as long as `y`
 * @param weights one per row, ≥ 0; absent = 1 each
 * @returns residuals = y − fit, unweighted; ssr = Σ w·residual²
 * @source Björck, Numerical Methods for Least Squares Problems, chapter 2
 */
export function leastSquares(columns: readonly (readonly number[])[], y: readonly number[], weights?: readonly number[]): LeastSquares {
  const root = weights?.map(Math.sqrt);
  const basis: Base[] = [];
  for (const [column, raw] of columns.entries()) {
    const v = scaled(raw, root);
    const size = Math.sqrt(dot(v, v));
    const r = basis.map(() => 0);
    for (let pass = 0; pass < 2; pass++) {
      for (const [k, b] of basis.entries()) {
        const along = dot(b.q, v);
        r[k] = (r[k] ?? 0) + along;
        for (let i = 0; i < v.length; i++) v[i] = (v[i] as number) - along * (b.q[i] as number);
      }
    }
    const norm = Math.sqrt(dot(v, v));
    if (norm > 1e-10 * size) basis.push({ column, q: v.map((e) => e / norm), norm, r });
  }
  const target = scaled(y, root);
  const along = basis.map((b) => dot(b.q, target));
  const coefficients: (number | null)[] = columns.map(() => null);
  const kept = solveUpper(basis, along);
  for (const [k, b] of basis.entries()) coefficients[b.column] = kept[k] as number;
  const residuals = [...y];
  for (const [j, c] of columns.entries()) {
    const b = coefficients[j] ?? 0;
    for (let i = 0; i < y.length; i++) residuals[i] = (residuals[i] as number) - b * (c[i] as number);
  }
  return {
    coefficients,
    residuals,
    ssr: residuals.reduce((s, e, i) => s + (weights?.[i] ?? 1) * e * e, 0),
    inverseDiagonal: () => diagonalOf(basis, columns.length),
  };
}

/** A column made orthogonal to those before it: its direction, its length, and how much of each of those it held. */
type Base = { readonly column: number; readonly q: readonly number[]; readonly norm: number; readonly r: readonly number[] };

const scaled = (values: readonly number[], by: readonly number[] | undefined): number[] =>
  by === undefined ? [...values] : values.map((v, i) => v * (by[i] ?? 0));

/** Columns of R⁻¹ are the solutions of R·x = eⱼ; the diagonal of (RᵀR)⁻¹ is the sum of squares of each of its rows. */
const diagonalOf = (basis: readonly Base[], columns: number): readonly (number | null)[] => {
  const inverse = basis.map((_, j) => solveUpper(basis, unit(basis.length, j)));
  return Array.from({ length: columns }, (_, column) => {
    const k = basis.findIndex((b) => b.column === column);
    return k === -1 ? null : inverse.reduce((sum, x) => sum + (x[k] as number) ** 2, 0);
  });
};

const dot = (a: readonly number[], b: readonly number[]): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number);
  return sum;
};

const unit = (length: number, at: number): number[] => Array.from({ length }, (_, i) => (i === at ? 1 : 0));

/** Back substitution in the triangle that Gram-Schmidt leaves: column j holds r[0..j−1] and its norm. */
const solveUpper = (basis: readonly Base[], right: readonly number[]): number[] => {
  const x = [...right];
  for (let j = basis.length - 1; j >= 0; j--) {
    const b = basis[j] as Base;
    x[j] = (x[j] as number) / b.norm;
    for (let k = 0; k < j; k++) x[k] = (x[k] as number) - (x[j] as number) * (b.r[k] as number);
  }
  return x;
};
