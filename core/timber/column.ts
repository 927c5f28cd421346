import { requireNumber } from '../errors'
import type { Metres, Newtons, Pascals } from '../units/types'

export interface Column {
  /** Rectangular, m. */
  section: { along: Metres; across: Metres }
  /** Between its ends, both free to turn, m. */
  length: Metres
  /** Reference compression along the grain and least stiffness, adjusted for wet service, Pa. */
  compression: Pascals
  leastStiffness: Pascals
}

/** Sawn wood. */
const C = 0.8
const EULER = 0.822
/** A stick more slender than this is no prop. */
export const MOST_SLENDER = 50

/**
 * Load along its grain that a wooden prop or post carries.
 *
 * @returns N; 0 for a stick that is more slender than 50
 * @source NDS 2018 eq. 3.7-1: F_cE = 0.822 E_min/(l/d)², C_P = (1 + a)/(2c) − √(((1 + a)/(2c))² − a/c), a = F_cE/F_c
 * @example columnCapacity({ section: { along: 0.1, across: 0.1 }, length: 2, compression: 6e6, leastStiffness: 2.8e9 })
 *   // l/d 20, F_cE 5.754 MPa, a 0.959, C_P 0.676: 40.6 kN
 */
export function columnCapacity({ section, length, compression, leastStiffness }: Column): Newtons {
  requireNumber('length', length, 0, 12, 'm')
  const thin = Math.min(section.along, section.across)
  const slenderness = length / thin
  if (slenderness > MOST_SLENDER) return 0
  const whole = compression * section.along * section.across
  if (slenderness === 0) return whole
  const a = (EULER * leastStiffness) / slenderness ** 2 / compression
  const half = (1 + a) / (2 * C)
  return whole * (half - Math.sqrt(half ** 2 - a / C))
}
