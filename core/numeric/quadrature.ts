/**
 * Nodes and weights of the 6-point Gauss–Legendre rule on (0, 1): exact for polynomials up to the
 * eleventh degree.
 *
 * @source Abramowitz and Stegun, Handbook of Mathematical Functions (1964), Table 25.4
 * @example GAUSS_NODES.reduce((sum, x, i) => sum + GAUSS_WEIGHTS[i]! * x * x, 0) // 1/3
 */
export const GAUSS_NODES: readonly number[] = [
  -0.932469514203152, -0.661209386466265, -0.238619186083197, 0.238619186083197, 0.661209386466265, 0.932469514203152,
].map((x) => (1 + x) / 2)
export const GAUSS_WEIGHTS: readonly number[] = [
  0.17132449237917, 0.360761573048139, 0.467913934572691, 0.467913934572691, 0.360761573048139, 0.17132449237917,
].map((w) => w / 2)
