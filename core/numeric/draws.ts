import { mersenne } from 'pure-rand/generator/mersenne'

/** Draws that are the same for the same seed, wherever they are made. */
export interface Draws {
  /** A whole number from 0 up to but not with `sides`. */
  below: (sides: number) => number
  /** From 0 up to but not with 1. */
  share: () => number
  one: <T>(of: readonly T[]) => T
}

/**
 * A standard normal draw.
 *
 * @param share from 0 up to but not with 1, drawn twice
 * @source Box and Muller 1958, A note on the generation of random normal deviates
 */
export const normalDraw = (share: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - share())) * Math.cos(2 * Math.PI * share())

/** @example drawsFrom(7).below(6) // 0 to 5 */
export function drawsFrom(seed: number): Draws {
  const random = mersenne(seed)
  const share = () => (random.next() >>> 0) / 2 ** 32
  const below = (sides: number) => Math.floor(share() * sides)
  return { share, below, one: (of) => of[below(of.length)]! }
}
