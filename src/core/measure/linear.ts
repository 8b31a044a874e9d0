/**
 * Inverse of a small symmetric positive definite matrix, by Cholesky factors.
 * @param matrix square, as rows
 * @throws RangeError where it is not positive definite
 */
export function invertPositive(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length
  const lower = matrix.map(() => new Array<number>(n).fill(0))
  const at = (rows: readonly (readonly number[])[], i: number, j: number): number => rows[i]?.[j] ?? 0
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = at(matrix, i, j)
      for (let k = 0; k < j; k++) sum -= at(lower, i, k) * at(lower, j, k)
      const row = lower[i]
      if (!row || (i === j && !(sum > 0))) throw new RangeError('The matrix is not positive definite.')
      row[j] = i === j ? Math.sqrt(sum) : sum / at(lower, j, j)
    }
  return matrix.map((_, column) => {
    const solved = new Array<number>(n).fill(0)
    for (let i = 0; i < n; i++) {
      let sum = i === column ? 1 : 0
      for (let k = 0; k < i; k++) sum -= at(lower, i, k) * (solved[k] ?? 0)
      solved[i] = sum / at(lower, i, i)
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = solved[i] ?? 0
      for (let k = i + 1; k < n; k++) sum -= at(lower, k, i) * (solved[k] ?? 0)
      solved[i] = sum / at(lower, i, i)
    }
    return solved
  })
}
