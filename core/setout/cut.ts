import { InputError } from '../errors'
import type { Metres, Radians } from '../units/types'

export interface CutLength {
  length: Metres
  /** The shortest stock length that does; null where none is long enough. */
  buy: Metres | null
  offcut: Metres | null
}

const DUST = 1e-9

/**
 * Length of a post from its foot to its top, and what to buy for it.
 *
 * @param string    height above the ground at the post, m
 * @param topDetail how far the post's top ends under the string, negative above it, m
 * @param setDepth  of the foot below the ground; negative where it stands on grout above it, m
 * @param stock     lengths that are sold, m
 * @throws InputError when nothing is left of the post
 * @example cutLength(1.85, 0.05, 0.6, [2.1, 2.4, 3]) // 2.4 long: buy 2.4, no offcut
 */
export function cutLength(
  string: Metres,
  topDetail: Metres,
  setDepth: Metres,
  stock: readonly Metres[] = [],
): CutLength {
  const length = string - topDetail + setDepth
  if (length <= 0) throw new InputError('setDepth', setDepth, `over ${topDetail - string} m: something has to be left`)
  const buy = Math.min(...stock.filter((each) => each >= length - DUST))
  if (!Number.isFinite(buy)) return { length, buy: null, offcut: null }
  return { length, buy, offcut: Math.max(0, buy - length) }
}

export interface WeatheringCut {
  /** Of the long side over the short one, m. */
  rise: Metres
  long: Metres
  /** Length of the sloping face, m. */
  cut: Metres
}

/**
 * A top that is cut sloping, so that it sheds water.
 *
 * @param width along the slope, m
 * @param angle from level, rad
 * @param short side of the post, m
 * @example weatheringCut(0.1, Math.PI / 6, 2.4) // rises 0.058, long side 2.458
 */
export function weatheringCut(width: Metres, angle: Radians, short: Metres): WeatheringCut {
  const rise = width * Math.tan(angle)
  return { rise, long: short + rise, cut: width / Math.cos(angle) }
}

/**
 * Diagonal of a square corner, and the angle that it really has where its diagonal was measured.
 *
 * @param a, b legs from the corner, m
 * @throws InputError when no triangle has such sides
 * @source √(a² + b²); the angle by the law of cosines
 * @example diagonal(3, 4) // { diagonal: 5 }
 */
export function diagonal(a: Metres, b: Metres, measured?: Metres): { diagonal: Metres; angle?: Radians } {
  const square = Math.hypot(a, b)
  if (measured === undefined) return { diagonal: square }
  if (measured > a + b || measured < Math.abs(a - b))
    throw new InputError('measured', measured, `between ${Math.abs(a - b)} and ${a + b} m`)
  return { diagonal: square, angle: Math.acos((a * a + b * b - measured * measured) / (2 * a * b)) }
}

/**
 * The longest 3-4-5 that fits between two legs, whole steps of a tape's mark.
 *
 * @returns the two legs and their diagonal, m; undefined where not even one step of each fits
 * @example threeFourFive(2.4, 5, 0.1) // { a: 2.4, b: 3.2, diagonal: 4 }
 */
export function threeFourFive(
  a: Metres,
  b: Metres,
  step: Metres,
): { a: Metres; b: Metres; diagonal: Metres } | undefined {
  const best = Math.max(unit(a, b, step), unit(b, a, step))
  if (best <= 0) return undefined
  const isShortFirst = unit(a, b, step) >= best
  const [short, long] = [3 * best * step, 4 * best * step]
  return { a: isShortFirst ? short : long, b: isShortFirst ? long : short, diagonal: 5 * best * step }
}
const unit = (short: Metres, long: Metres, step: Metres) => Math.floor(Math.min(short / 3, long / 4) / step + DUST)
