export type LeastSquares = {
  /** Coefficients, one a column. */
  x: number[];
  /** (AᵀA)⁻¹: times σ² it is the covariance of the coefficients. */
  inverse: number[][];
  /** How well the columns can be told apart: smallest over largest diagonal of R, 1 for an orthogonal set of like length. */
  spread: number;
};

/**
 * Least squares of `rows · x ≈ y` by Householder reflections: `rows` is n × p with n ≥ p. Null where the columns cannot be
 * told apart.
 * Source: any text on numerical linear algebra (Golub & Van Loan).
 *
 * @example leastSquares([[1, 0], [1, 1], [1, 2]], [1, 3, 5])?.x // [1, 2]
 */
export function leastSquares(rows: readonly number[][], y: readonly number[]): LeastSquares | null {
  const n = rows.length;
  const p = rows[0]?.length ?? 0;
  if (p === 0 || n < p) return null;
  const a = rows.map((r) => [...r]);
  const b = [...y];
  for (let k = 0; k < p; k++) {
    const norm = Math.sqrt(sum(n - k, (i) => cell(a, k + i, k) ** 2));
    if (norm === 0) return null;
    const head = cell(a, k, k);
    const alpha = head > 0 ? -norm : norm;
    const v = Array.from({ length: n - k }, (_, i) => cell(a, k + i, k) - (i === 0 ? alpha : 0));
    const vv = v.reduce((s, e) => s + e * e, 0);
    if (vv === 0) continue;
    for (let j = k; j < p; j++) {
      const f = (2 * sum(n - k, (i) => (v[i] ?? 0) * cell(a, k + i, j))) / vv;
      for (let i = k; i < n; i++) (a[i] as number[])[j] = cell(a, i, j) - f * (v[i - k] ?? 0);
    }
    const f = (2 * sum(n - k, (i) => (v[i] ?? 0) * (b[k + i] ?? 0))) / vv;
    for (let i = k; i < n; i++) b[i] = (b[i] ?? 0) - f * (v[i - k] ?? 0);
  }
  const diagonal = Array.from({ length: p }, (_, i) => Math.abs(cell(a, i, i)));
  const spread = Math.min(...diagonal) / Math.max(...diagonal);
  if (!(spread > 1e-9)) return null;
  const x = back(a, b.slice(0, p));
  // R⁻¹ column by column; (AᵀA)⁻¹ = R⁻¹·R⁻ᵀ.
  const columns = Array.from({ length: p }, (_, c) =>
    back(
      a,
      Array.from({ length: p }, (__, i) => (i === c ? 1 : 0)),
    ),
  );
  const inverse = Array.from({ length: p }, (_, i) =>
    Array.from({ length: p }, (__, j) => sum(p, (c) => (columns[c]?.[i] ?? 0) * (columns[c]?.[j] ?? 0))),
  );
  return { x, inverse, spread };
}

const cell = (m: readonly number[][], i: number, j: number): number => m[i]?.[j] ?? 0;
const sum = (count: number, of: (i: number) => number): number => {
  let s = 0;
  for (let i = 0; i < count; i++) s += of(i);
  return s;
};

/** Solve R·x = b, R the upper triangle of the first rows. */
function back(r: readonly number[][], b: readonly number[]): number[] {
  const p = b.length;
  const x = new Array<number>(p).fill(0);
  for (let i = p - 1; i >= 0; i--) {
    const rest = sum(p - 1 - i, (k) => cell(r, i, i + 1 + k) * (x[i + 1 + k] ?? 0));
    x[i] = ((b[i] ?? 0) - rest) / cell(r, i, i);
  }
  return x;
}
