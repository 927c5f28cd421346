// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./jstat.d.ts" />
import jStat from 'jstat'

/**
 * The chance that a standard normal draw is at most x.
 *
 * @returns 0 to 1, within 1e-7
 * @source complementary error function by a Chebyshev fit: Press et al. 1992, Numerical Recipes in C, section 6.2
 * @example normalShare(1.96) // 0.975
 */
export function normalShare(x: number): number {
  return erfcOf(-x / Math.SQRT2) / 2
}

/**
 * The point of the standard normal law under which a share of it lies.
 *
 * @param share 0 to 1, without them
 * @example normalPoint(0.975) // 1.96
 */
export const normalPoint = (share: number): number => jStat.normal.inv(share, 0, 1)

const FIT = [
  -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587, -0.82215223,
  0.17087277,
]

function erfcOf(x: number): number {
  const t = 1 / (1 + 0.5 * Math.abs(x))
  const sum = FIT.reduceRight((total, factor) => total * t + factor, 0)
  const tail = t * Math.exp(-x * x + sum)
  return x >= 0 ? tail : 2 - tail
}
