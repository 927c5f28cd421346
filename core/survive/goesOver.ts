import { drawsFrom, normalDraw } from '../numeric/draws'
import { reducedGust } from '../wind/returnPeriod'
import type { MetresPerSecond, Years } from '../units/types'

/** A post that stands: the gust that it goes over at, by experience, m/s; in saturated ground too where that is less. */
export interface StandingPost {
  over: MetresPerSecond
  saturated?: MetresPerSecond
}

export interface GoesOverQuestion {
  gust50: MetresPerSecond
  /** What is left of the fence's life, whole years. */
  years: Years
  lives?: number
  seed?: number
}

const LIVES = 20_000
/** Largest gusts of a year that count, and how many of them come on saturated ground. Working values. */
const GUSTS = 3
const SATURATED = 0.6
/** Scatter of ln soil strength that a line has in common, and of each post by itself. */
const COMMON = 0.271
const OWN = 0.221

/**
 * The chance that each post of a line goes over within the year, and within the years that are left.
 *
 * Every post meets the same years (common random numbers), so that their order is steadier than each figure: the three
 * largest gusts of each year with their directions and their ground, pressure × cos² of the angle, the soil's strength
 * log-normal with a part that the line has in common.
 *
 * @returns for each post its two chances, in their order
 * @source gusts V² = V50² (1 − 0.2 ln Γk)/(1 + 0.2 · 3.902), Γk the sum of the first k of three unit exponentials:
 *   the law of annual maxima of EN 1991-1-4 with the gusts behind them; working values as named
 * @example a post that goes over at the 50-year gust, 38 m/s: 0.04 within the year, 0.22 within fifteen
 */
export function goesOverChances(
  posts: readonly StandingPost[],
  { gust50, years, lives = LIVES, seed = 1 }: GoesOverQuestion,
): { year: number; life: number }[] {
  // The years are the same however many posts there are.
  const [winds, soils] = [drawsFrom(seed), drawsFrom(seed + 1)]
  const counts = posts.map(() => ({ year: 0, life: 0 }))
  for (let life = 0; life < lives; life++) {
    const { drained, wet, firstDrained, firstWet } = yearsOf(years, gust50, winds.share)
    const common = COMMON * normalDraw(soils.share)
    posts.forEach(({ over, saturated = over }, i) => {
      // Strength counts on pressure, so its root on the gust.
      const stronger = Math.exp((common + OWN * normalDraw(soils.share)) / 2)
      const [at, wetAt] = [over * stronger, saturated * stronger]
      if (firstDrained >= at || firstWet >= wetAt) counts[i]!.year++
      if (drained >= at || wet >= wetAt) counts[i]!.life++
    })
  }
  return counts.map(({ year, life }) => ({ year: year / lives, life: life / lives }))
}

/** The worst gusts square to the line of the first year and of all, on drained and on saturated ground. */
function yearsOf(years: Years, gust50: MetresPerSecond, share: () => number) {
  const worst = { drained: 0, wet: 0, firstDrained: 0, firstWet: 0 }
  for (let year = 0; year < years; year++) {
    let sum = 0
    for (let k = 0; k < GUSTS; k++) {
      sum += -Math.log(1 - share())
      const square = reducedGust(sum, gust50) * Math.abs(Math.cos(2 * Math.PI * share()))
      if (share() < SATURATED) worst.wet = Math.max(worst.wet, square)
      else worst.drained = Math.max(worst.drained, square)
    }
    if (year === 0) Object.assign(worst, { firstDrained: worst.drained, firstWet: worst.wet })
  }
  return worst
}
