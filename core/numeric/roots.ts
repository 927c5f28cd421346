/**
 * Root of a continuous function in a bracket: inverse quadratic interpolation where the last three points promise
 * that it falls between them, bisection where they do not.
 *
 * @param f     changes its sign between `low` and `high`
 * @param width stop when the bracket is this narrow
 * @returns the end of the last bracket that is nearer to nothing
 * @source Chandrupatla, Advances in Engineering Software 28 (1997), 145–149
 * @example bracketedRoot((x) => x * x - 2, 0, 2, 1e-12) // 1.41421356
 */
export function bracketedRoot(f: (x: number) => number, low: number, high: number, width: number): number {
  // `a` is the newest point, `b` the other end of the bracket, `c` the one that was left behind.
  let [a, b] = [low, high]
  let [fa, fb] = [f(a), f(b)]
  if (fa === 0) return a
  if (fb === 0) return b
  if (fa > 0 === fb > 0) throw new RangeError('bracketedRoot needs a change of sign')
  let share = 0.5
  for (let step = 0; step < MOST_STEPS; step++) {
    const x = a + share * (b - a)
    const fx = f(x)
    if (fx === 0) return x
    let c = a
    let fc = fa
    if (fx > 0 !== fa > 0) {
      c = b
      fc = fb
      b = a
      fb = fa
    }
    a = x
    fa = fx
    const apart = Math.abs(b - a)
    if (apart <= width || apart <= NEIGHBOURS * Math.abs(a)) break
    share = nextShare(a, fa, b, fb, c, fc)
    // Never nearer to an end than the width asked for, so that the bracket itself closes.
    const least = width / 2 / apart
    share = Math.min(1 - least, Math.max(least, share))
  }
  return Math.abs(fa) < Math.abs(fb) ? a : b
}
const MOST_STEPS = 200
/** Numbers are no nearer to one another. */
const NEIGHBOURS = 4e-16

/** Where to look next, as a share of the way from `a` to `b`. */
function nextShare(a: number, fa: number, b: number, fb: number, c: number, fc: number): number {
  const xi = (a - b) / (c - b)
  const phi = (fa - fb) / (fc - fb)
  const falls = phi * phi < xi && (1 - phi) * (1 - phi) < 1 - xi
  if (!falls) return 0.5
  return (fa / (fb - fa)) * (fc / (fb - fc)) + ((c - a) / (b - a)) * (fa / (fc - fa)) * (fb / (fc - fb))
}
