/**
 * A symmetric positive definite matrix with two bands beside its diagonal: `diagonal[i]` at (i, i), `first[i]` at
 * (i, i + 1), `second[i]` at (i, i + 2).
 */
export interface Pentadiagonal {
  diagonal: readonly number[]
  first: readonly number[]
  second: readonly number[]
}

/**
 * Solves M x = b in one sweep down and one up.
 *
 * @param matrix n × n, positive definite
 * @param right  n values
 * @returns n values
 * @source LDLᵀ of a banded matrix
 * @example solvePentadiagonal({ diagonal: [2, 2], first: [1], second: [] }, [3, 3]) // [1, 1]
 */
export function solvePentadiagonal({ diagonal, first, second }: Pentadiagonal, right: readonly number[]): number[] {
  const n = diagonal.length
  const pivot: number[] = []
  const below: number[] = []
  const belowThat: number[] = []
  const x: number[] = []
  for (let i = 0; i < n; i++) {
    const [one, two] = [below[i - 1] ?? 0, belowThat[i - 2] ?? 0]
    const [pivotBefore, pivotTwoBefore] = [pivot[i - 1] ?? 0, pivot[i - 2] ?? 0]
    pivot[i] = diagonal[i]! - one ** 2 * pivotBefore - two ** 2 * pivotTwoBefore
    below[i] = ((first[i] ?? 0) - one * (belowThat[i - 1] ?? 0) * pivotBefore) / pivot[i]!
    belowThat[i] = (second[i] ?? 0) / pivot[i]!
    x[i] = right[i]! - one * (x[i - 1] ?? 0) - two * (x[i - 2] ?? 0)
  }
  for (let i = n - 1; i >= 0; i--)
    x[i] = x[i]! / pivot[i]! - below[i]! * (x[i + 1] ?? 0) - belowThat[i]! * (x[i + 2] ?? 0)
  return x
}
