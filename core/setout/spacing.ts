import { InputError } from '../errors'
import { LIMITS } from '../limits'
import { tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'

export interface Obstacle {
  at: Metres
  /** A post keeps at least this far from it, m. */
  clear: Metres
}

interface Interval {
  low: Metres
  high: Metres
}

/** Width to which the best bay is found, m: far below a tape's mark. */
const EXACT = 1e-7
/** What only rounding keeps out of reach, m. */
const REACHED = 1e-9

/**
 * Running tape readings of posts: the fewest bays, the smallest largest bay, then the largest
 * smallest bay, every post clear of the obstacles.
 *
 * For a bay between two bounds the places that each post can reach are intervals; a set of bays
 * exists if the end can be reached. The bounds are found by bisection, so the answer is the best
 * one and not the first one. Each of its 50 odd steps goes once along posts and obstacles: 2000 bays
 * past 100 obstacles take a fraction of a second.
 *
 * @param maxBay largest bay allowed, m
 * @throws InputError when an end is not clear or no bays fit
 * @example spacing(9.6, 2.5, []) // [0, 2.4, 4.8, 7.2, 9.6]
 */
export function spacing(length: Metres, maxBay: Metres, avoid: readonly Obstacle[]): Metres[] {
  if (avoid.length > LIMITS.obstacles) throw new InputError('avoid', avoid.length, `at most ${LIMITS.obstacles}`)
  if (length / maxBay > LIMITS.posts) throw new InputError('maxBay', maxBay, `wide enough for ${LIMITS.posts} bays`)
  const free = freeStretches(length, avoid)
  const bays = fewestBays(maxBay, free, length)
  if (bays === undefined)
    throw new InputError('avoid', avoid, `obstacles that leave room for bays of at most ${maxBay} m`)
  return evened(bays, maxBay, free, length)
}

/** The smallest largest bay, then the largest smallest one. */
function evened(bays: number, most: Metres, free: readonly Interval[], length: Metres): Metres[] {
  const fits = (smallest: Metres, largest: Metres) => reachable(bays, smallest, largest, free, length)
  const equal = length / bays
  const largest = bisect(equal, most, (bay) => fits(0, bay) !== undefined)
  const smallest = bisect(equal, 0, (bay) => fits(bay, largest) !== undefined)
  return traceBack(fits(smallest, largest)!, smallest, largest, length)
}

/**
 * So many bays over a length, shared out as evenly as obstacles let them: what moving one post does to the rest.
 *
 * @param bays how many there are, and stay
 * @throws InputError where that many do not fit
 * @example rebalanced(9.6, 4, [{ at: 4.8, clear: 0.3 }]) // [0, 2.4, 4.5, 7.05, 9.6]
 */
export function rebalanced(length: Metres, bays: number, avoid: readonly Obstacle[]): Metres[] {
  const free = freeStretches(length, avoid)
  if (!reachable(bays, 0, length, free, length))
    throw new InputError('avoid', avoid, `obstacles that leave room for ${bays} bays`)
  return evened(bays, length, free, length)
}

/** Each post as far on as it can: no other way needs fewer. */
function fewestBays(maxBay: Metres, free: readonly Interval[], length: Metres): number | undefined {
  let at = 0
  for (let bays = 1; bays <= LIMITS.posts; bays++) {
    const reach = at + maxBay
    if (reach >= length - REACHED) return bays
    const furthest = free.findLast(({ low }) => low <= reach)!
    const next = Math.min(reach, furthest.high)
    if (next <= at) return undefined
    at = next
  }
  return undefined
}

/** A narrower bay is no bay: two are shared out instead; a working value, m. */
const LEAST_BAY: Metres = 0.3

/**
 * Stations for panels of one width: whole panels, cut short only before an obstacle and at the end. Where what
 * is left would be a sliver, it is shared out with the bay before it.
 *
 * @example panelSpacing(5, 1.83, []) // [0, 1.83, 3.66, 5]
 * @example panelSpacing(3.67, 1.83, []) // [0, 1.83, 2.75, 3.67]
 */
export function panelSpacing(length: Metres, bay: Metres, avoid: readonly Obstacle[]): Metres[] {
  const free = freeStretches(length, avoid)
  const stations = [0]
  while (stations[stations.length - 1]! < length - EXACT) {
    const last = stations[stations.length - 1]!
    const reach = Math.min(length, last + bay)
    const stretch = [...free].reverse().find(({ low }) => low <= reach + EXACT)!
    const next = Math.min(reach, stretch.high)
    if (next <= last + EXACT) throw new InputError('avoid', avoid, `obstacles that a panel of ${bay} m can span`)
    stations.push(next)
  }
  return withoutSlivers(stations, bay, free)
}

/** Moves each post after which a sliver would follow to the clear place nearest the middle of its neighbours. */
function withoutSlivers(stations: readonly Metres[], bay: Metres, free: readonly Interval[]): Metres[] {
  const result = [...stations]
  for (let i = 1; i < result.length - 1; i++) {
    const [before, after] = [result[i - 1]!, result[i + 1]!]
    if (after - result[i]! >= LEAST_BAY) continue
    const middle = (before + after) / 2
    const places = free
      .map(({ low, high }) => tidy(Math.min(high, Math.max(low, middle))))
      .filter((at) => at - before <= bay && Math.min(at - before, after - at) >= LEAST_BAY)
      .sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))
    result[i] = places[0] ?? result[i]!
  }
  return result
}

/** Where a post may stand. */
function freeStretches(length: Metres, avoid: readonly Obstacle[]): Interval[] {
  let free: Interval[] = [{ low: 0, high: length }]
  for (const { at, clear } of avoid) {
    free = free.flatMap(({ low, high }) => [
      { low, high: Math.min(high, at - clear) },
      { low: Math.max(low, at + clear), high },
    ])
    free = free.filter(({ low, high }) => high >= low)
  }
  const ends = [0, length].every((end) => free.some(({ low, high }) => end >= low && end <= high))
  if (!ends) throw new InputError('avoid', avoid, 'obstacles that leave both ends clear')
  return free.filter((each, i) => free.findIndex(({ low, high }) => low === each.low && high === each.high) === i)
}

/** Places that each post can take with bays between the bounds; undefined when the end is out of reach. */
function reachable(
  bays: number,
  smallest: Metres,
  largest: Metres,
  free: readonly Interval[],
  length: Metres,
): Interval[][] | undefined {
  const places: Interval[][] = [[{ low: 0, high: 0 }]]
  for (let post = 1; post <= bays; post++) {
    const moved = merged(places[post - 1]!.map(({ low, high }) => ({ low: low + smallest, high: high + largest })))
    const now = common(moved, free)
    if (now.length === 0) return undefined
    places.push(now)
  }
  const [last] = places[bays]!.slice(-1)
  return last!.high >= length - REACHED ? places : undefined
}

/** Overlapping places are one; otherwise their number would double at every post. */
function merged(ascending: readonly Interval[]): Interval[] {
  const result: Interval[] = []
  for (const each of ascending) {
    const last = result[result.length - 1]
    if (last && each.low <= last.high + DUST) last.high = Math.max(last.high, each.high)
    else result.push({ ...each })
  }
  return result
}
const DUST = 1e-12

/** Where two ascending rows of intervals overlap: one walk along both. */
function common(a: readonly Interval[], b: readonly Interval[]): Interval[] {
  const result: Interval[] = []
  for (let i = 0, j = 0; i < a.length && j < b.length; ) {
    const [one, other] = [a[i]!, b[j]!]
    const low = Math.max(one.low, other.low)
    const high = Math.min(one.high, other.high)
    if (high >= low - DUST) result.push({ low, high })
    if (one.high < other.high) i++
    else j++
  }
  return result
}

/** From the end back, each post as near as it can to an even share of what is left. */
function traceBack(places: Interval[][], smallest: Metres, largest: Metres, length: Metres): Metres[] {
  const stations = [length]
  for (let post = places.length - 2; post >= 0; post--) {
    const next = stations[0]!
    const wish = (next * post) / (post + 1)
    const candidates = places[post]!.map(({ low, high }) => ({
      low: Math.max(low, next - largest - 1e-9),
      high: Math.min(high, next - smallest + 1e-9),
    }))
      // A place that is just reached is one, though its two ends differ by dust.
      .filter(({ low, high }) => high >= low - REACHED)
      .map(({ low, high }) => Math.min(high, Math.max(low, wish)))
    stations.unshift(candidates.reduce((best, each) => (Math.abs(each - wish) < Math.abs(best - wish) ? each : best)))
  }
  return stations.map(tidy)
}

/** The value nearest to `wanted` for which it works; it works at `known`. */
function bisect(wanted: Metres, known: Metres, works: (value: Metres) => boolean): Metres {
  if (works(wanted)) return wanted
  let bad = wanted
  let good = known
  while (Math.abs(good - bad) > EXACT) {
    const middle = (good + bad) / 2
    if (works(middle)) good = middle
    else bad = middle
  }
  return good
}
