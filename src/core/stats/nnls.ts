/**
 * Least squares with no negative unknown, `min |A x − b|` with `x ≥ 0`: the active-set method of Lawson and Hanson (1974).
 * @param a rows of A; at most a few dozen unknowns
 * @returns x, and the standard uncertainty of each unknown that is not held at 0, taking the rows as weighted to unit variance
 */
export function nnls(a: readonly (readonly number[])[], b: readonly number[]): { x: number[]; sigma: number[] } {
  const n = a[0]?.length ?? 0;
  const x = new Array<number>(n).fill(0);
  const free = new Set<number>();
  const residual = () => a.map((row, i) => b[i]! - row.reduce((sum, v, j) => sum + v * x[j]!, 0));
  const scale = Math.max(1e-300, ...a.flat().map(Math.abs), ...b.map(Math.abs));
  const solveFree = () => {
    const at = [...free];
    const normal = at.map((j) => at.map((k) => dot(column(a, j), column(a, k))));
    const right = at.map((j) => dot(column(a, j), b));
    return { at, ...solve(normal, right) };
  };
  for (let step = 0; step < 10 * n + 10; step++) {
    const r = residual();
    let best = -1;
    let most = 1e-12 * scale * scale;
    for (let j = 0; j < n; j++) {
      if (free.has(j)) continue;
      const w = dot(column(a, j), r);
      if (w > most) [best, most] = [j, w];
    }
    if (best < 0) break;
    free.add(best);
    for (;;) {
      const { at, x: z } = solveFree();
      if (z.every((v) => v > 0)) {
        x.fill(0);
        at.forEach((j, i) => (x[j] = z[i]!));
        break;
      }
      const shrink = Math.min(...at.map((j, i) => (z[i]! <= 0 ? x[j]! / (x[j]! - z[i]!) : 1)));
      at.forEach((j, i) => (x[j] = x[j]! + shrink * (z[i]! - x[j]!)));
      for (const j of at)
        if (x[j]! <= 1e-14) {
          free.delete(j);
          x[j] = 0;
        }
      if (free.size === 0) break;
    }
  }
  const sigma = new Array<number>(n).fill(0);
  if (free.size > 0) {
    const { at, inverse } = solveFree();
    at.forEach((j, i) => (sigma[j] = Math.sqrt(Math.max(0, inverse[i]![i]!))));
  }
  return { x, sigma };
}

function column(a: readonly (readonly number[])[], j: number): number[] {
  return a.map((row) => row[j]!);
}

function dot(u: readonly number[], v: readonly number[]): number {
  return u.reduce((sum, x, i) => sum + x * v[i]!, 0);
}

/** Gauss–Jordan with pivoting, for a few unknowns; a singular direction is left at nothing. */
function solve(matrix: number[][], right: number[]): { x: number[]; inverse: number[][] } {
  const n = right.length;
  const m = matrix.map((row, i) => [...row, right[i]!, ...Array.from({ length: n }, (_, k) => Number(k === i))]);
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(m[r]![c]!) > Math.abs(m[pivot]![c]!)) pivot = r;
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    const p = m[c]![c]!;
    if (Math.abs(p) < 1e-300) continue;
    m[c] = m[c]!.map((v) => v / p);
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = m[r]![c]!;
      if (f !== 0) m[r] = m[r]!.map((v, k) => v - f * m[c]![k]!);
    }
  }
  return { x: m.map((row) => row[n]!), inverse: m.map((row) => row.slice(n + 1)) };
}
