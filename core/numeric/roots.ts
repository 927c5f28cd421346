/**
 * Root of a continuous function in a bracket, by false position with the
 * Illinois correction and bisection as the safeguard.
 *
 * @param f     changes its sign between `low` and `high`
 * @param width stop when the bracket is this narrow
 * @returns the point where `f` changes its sign
 * @source Dowell and Jarratt, BIT 11 (1971), 168–174
 * @example bracketedRoot((x) => x * x - 2, 0, 2, 1e-12) // 1.41421356
 */
export function bracketedRoot(f: (x: number) => number, low: number, high: number, width: number): number {
  let a = low
  let b = high
  let fa = f(a)
  let fb = f(b)
  if (fa === 0) return a
  if (fb === 0) return b
  if (fa > 0 === fb > 0) throw new RangeError('bracketedRoot needs a change of sign')
  for (let step = 0; step < 200 && Math.abs(b - a) > width; step++) {
    // Every third step halves the bracket, so the worst case stays logarithmic.
    const x = step % 3 === 2 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa)
    const fx = f(x)
    if (fx === 0) return x
    if (fx > 0 === fb > 0) {
      b = x
      fb = fx
      fa /= 2
    } else {
      a = b
      fa = fb
      b = x
      fb = fx
    }
  }
  return b
}
