import type { Metres, MetresPerSecond, Newtons, Pascals } from '../units/types'
import { meanCoefficient, type Run } from './coefficient'

/** Kd, directionality of walls and fences, ASCE/SEI 7-16 Table 26.6-1. */
const DIRECTIONALITY = 0.85
/** Half the density of air, kg/m³, ASCE/SEI 7-16 eq. 26.10-1 in SI. */
const HALF_DENSITY = 0.613

/**
 * Velocity pressure at fence height. Hills and escarpments are not covered.
 *
 * @param gust     3-second gust at 10 m in open country, m/s
 * @param exposure Kz at fence height, 0.57 to 1.03
 * @param shelter  1 none, 0.7 houses or dense growth upwind, 0.4 a wall of the same height
 * @source ASCE/SEI 7-16 eq. 26.10-1; shelter after EN 1991-1-4 §7.4.2 (working values)
 * @example velocityPressure(40, 0.57, 1) // 475.2 Pa
 */
export function velocityPressure(gust: MetresPerSecond, exposure: number, shelter: number): Pascals {
  return HALF_DENSITY * exposure * DIRECTIONALITY * shelter * gust * gust
}

/** Force coefficient of a small box on a post, a working value. */
const BOX_COEFFICIENT = 1.4

/**
 * Wind on a box or a sign on a single post.
 *
 * @param top of the box above ground, m
 * @source q · c · width · height at the middle of the box, c = 1.4
 * @example boxLoad({ width: 0.35, height: 0.4, top: 1.1, exposure: 0.57, shelter: 1 }, 40).force // 93.1 N at 0.9 m
 */
export function boxLoad(
  box: { width: Metres; height: Metres; top: Metres; exposure: number; shelter: number },
  gust: MetresPerSecond,
): WindLoad {
  const pressure = velocityPressure(gust, box.exposure, box.shelter) * BOX_COEFFICIENT
  return {
    coefficient: BOX_COEFFICIENT,
    force: pressure * box.width * box.height,
    height: Math.max(box.top / 2, box.top - box.height / 2),
    pressure,
  }
}

export interface Stretch extends Run {
  from: Metres
  to: Metres
  /** Open gap under the cladding, m, less than `height`. */
  gap: Metres
  exposure: number
  shelter: number
}

export interface WindLoad {
  coefficient: number
  force: Newtons
  /** Of the load above ground, m. */
  height: Metres
  /** Velocity pressure times coefficient, Pa. */
  pressure: Pascals
}

/**
 * Wind on the stretch of fence that one post carries.
 *
 * @source mean coefficient of EN 1991-1-4 Table 7.9 on the velocity pressure of ASCE/SEI 7-16
 * @example windLoad({ from: 18.78, to: 21.22, length: 40, height: 1.83, gap: 0.05, solidity: 1,
 *   cornerAtStart: false, cornerAtEnd: false, exposure: 0.57, shelter: 1 }, 40)
 *   // force 2477 N at 0.94 m
 */
export function windLoad(stretch: Stretch, gust: MetresPerSecond): WindLoad {
  const coefficient = meanCoefficient(stretch.from, stretch.to, stretch)
  const panel = stretch.height - stretch.gap
  const pressure = velocityPressure(gust, stretch.exposure, stretch.shelter) * coefficient
  return {
    coefficient,
    force: pressure * panel * (stretch.to - stretch.from),
    height: stretch.gap + panel / 2,
    pressure,
  }
}
