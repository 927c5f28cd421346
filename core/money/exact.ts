import Fraction from 'fraction.js'

/** A quantity or an amount as a fraction: nothing that is charged ever passes through floating point. */
export type Exact = Fraction

/** Quantities that come as measures are taken to a millionth. */
const PLACES = 6

/**
 * @param value a measure, a decimal as text, or a whole number
 * @example exact(10.5).mul(3) // 63⁄2; exact('0.003') // 3⁄1000
 */
export const exact = (value: number | string | bigint | Exact): Exact =>
  typeof value === 'number' ? new Fraction(value.toFixed(PLACES)) : new Fraction(value)

export const NONE: Exact = exact(0)
export const ONE: Exact = exact(1)

export const sumExact = (values: readonly Exact[]): Exact => values.reduce((sum, each) => sum.add(each), NONE)

/** A share in hundredths as a factor. @example ofHundred(12.5) // 9⁄8 */
export const ofHundred = (hundredths: number): Exact => exact(hundredths).div(100).add(1)

/** Whole numbers only, the next one up. @example upTo(exact('10.1')) // 11n */
export const upTo = (value: Exact): bigint => {
  const { n, d, s } = value
  const whole = n / d
  return s < 0n ? -whole : n % d === 0n ? whole : whole + 1n
}
