/** Quantities that differ by less are the same: what floating point adds to a sum. */
const DUST = 1e-9

/**
 * A length without the dust of floating point: to the micrometre, far below any tape's mark.
 *
 * @example tidy(0.1 + 0.2) // 0.3
 */
export const tidy = (length: number): number => Math.round(length * 1e6) / 1e6

/**
 * The next step at or above a length, as a handle or a tool is marked.
 *
 * @example roundUpTo(0.71, 0.05) // 0.75
 */
export const roundUpTo = (length: number, step: number): number => tidy(Math.ceil(length / step - 1e-6) * step)

/** Whole things that cover a count: bags, batches, layers. @example wholeUp(3.0000000001) // 3 */
export const wholeUp = (count: number): number => Math.max(0, Math.ceil(count - DUST))

/**
 * Orders the greater before the less; what differs by no more than dust keeps its order, so that every engine, whatever
 * it makes of a power's last digit, says the same.
 *
 * @example [1, 2, 2 + 1e-15].sort(greaterFirst) // [2, 2 + 1e-15, 1]
 */
export const greaterFirst = (a: number, b: number): number =>
  Math.abs(b - a) <= RELATIVE_DUST * Math.max(Math.abs(a), Math.abs(b)) ? 0 : b - a
const RELATIVE_DUST = 1e-12
