import { drawsFrom, normalDraw, type Draws } from '../numeric/draws'
import { reducedGust } from '../wind/returnPeriod'
import type { Years } from '../units/types'

/** What is drawn of the wind and of the ground. All working values; a test of the law itself asks for plainer years. */
export interface Drawn {
  /** Share of the large gusts that come on saturated ground. */
  saturated: number
  /** Wind from every side, or straight across the line. */
  from: 'every-side' | 'straight-across'
  /** Scatter of ln soil strength that a line has in common, and of each post by itself. */
  common: number
  own: number
}
export const AS_IT_BLOWS: Drawn = { saturated: 0.6, from: 'every-side', common: 0.271, own: 0.221 }

/** Largest gusts of a year that count. */
export const GUSTS = 3
/** No life is looked at for longer: a life draws so many years whatever is asked, so that it stays the same life. */
export const MOST_YEARS: Years = 50

/** The years of one life: gust by gust in order, `GUSTS` to each year. Filled anew for each life. */
export interface LifeOfWind {
  /** Pressure square to the line, as a share of that of the 50-year gust. */
  pressure: Float64Array
  /** To which side: 1 or −1. */
  side: Int8Array
  saturated: Uint8Array
}

/**
 * Years of wind, one life after the other. The same seed has the same years, however many of them are asked for.
 *
 * @returns a function that fills `life` with the next one
 * @source V² = V50² (1 − 0.2 ln Γk)/(1 + 0.2 · 3.902), Γk the sum of the first k of three unit exponentials: the law of
 *   annual maxima of EN 1991-1-4 with the gusts behind them; each with its own direction, pressure × cos²
 */
export function livesOfWind(seed: number, years: Years, { saturated, from }: Drawn): [LifeOfWind, () => void] {
  const { share } = drawsFrom(seed)
  const count = years * GUSTS
  const life: LifeOfWind = {
    pressure: new Float64Array(count),
    side: new Int8Array(count),
    saturated: new Uint8Array(count),
  }
  const isAcross = from === 'straight-across'
  function next(): void {
    for (let year = 0; year < years; year++) {
      let rate = 0
      for (let k = 0; k < GUSTS; k++) {
        const i = year * GUSTS + k
        rate -= Math.log(1 - share())
        const towards = share()
        const across = isAcross ? (towards < 0.5 ? 1 : -1) : Math.cos(2 * Math.PI * towards)
        life.pressure[i] = (reducedGust(rate, 1) * across) ** 2
        life.side[i] = across < 0 ? -1 : 1
        life.saturated[i] = share() < saturated ? 1 : 0
      }
    }
    for (let unused = (MOST_YEARS - years) * GUSTS * DRAWS_A_GUST; unused > 0; unused--) share()
  }
  return [life, next]
}
const DRAWS_A_GUST = 3

/** What is a post's own in each life: how strong its ground is beside its neighbours', and how long its wood lasts. */
export interface OwnDraws {
  ground: number
  wood: number
}

/**
 * The ground of a line and of each of its posts, life after life, in standard deviations. Each has its own stream, so
 * that a post beside fewer others stays the same post.
 *
 * @param posts by their place in the draws
 */
export function livesOfGround(
  seed: number,
  posts: readonly number[],
): () => { line: number; own: Map<number, OwnDraws> } {
  const line = drawsFrom(seed + 1)
  const streams = new Map<number, Draws>(posts.map((post) => [post, drawsFrom(seed + 2 + post)]))
  const own = new Map<number, OwnDraws>(posts.map((post) => [post, { ground: 0, wood: 0 }]))
  return () => {
    for (const [post, { share }] of streams) {
      const each = own.get(post)!
      each.ground = normalDraw(share)
      each.wood = share()
    }
    return { line: normalDraw(line.share), own }
  }
}
