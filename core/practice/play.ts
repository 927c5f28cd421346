import type { Minutes } from '../units/types'
import { costOf, type Way } from './cost'
import { posterior, type Seen } from './model'
import { bestMove, costOfCheck, LONGEST_LINE, type Found, type Position } from './search'

/** What somebody did: checks in their order with what they showed, and what was committed to. */
export interface Play {
  seen: Seen
  way: Way
  /** Of the hole and the bags, beyond the best. */
  sizeCost?: Minutes
}

/** One step of a play, before what it would show was known. */
export interface Step {
  /** Absent where it is the commitment. */
  check?: number
  /** Expected with the best play from here, and with what was done. */
  best: Minutes
  taken: Minutes
  /** What was best here: a check, or to commit. */
  bestCheck?: number
}

export interface Reckoning {
  steps: Step[]
  /** Least expected cost of the case, and the expected cost of this play. */
  least: Minutes
  cost: Minutes
  /** Least over own: 1 is the best that there is. */
  score: number
}

/** However many checks were made, so many more are looked ahead: nobody loses by the end of a search. */
const LEAST_AHEAD = 2

/**
 * What a play is worth, whatever luck it had: at each step what was given away against the best, expected before the
 * check was made. What a check then showed, and what was true, count for nothing.
 *
 * @source the play's expected cost is the least one with each step's loss added: the differences of backward induction
 * @example the best line throughout: a score of 1
 */
export function reckon(position: Position, { seen, way, sizeCost = 0 }: Play, found: Found = new Map()): Reckoning {
  const steps: Step[] = []
  for (let i = 0; i <= seen.length; i++) {
    const before = seen.slice(0, i)
    const left = Math.max(LEAST_AHEAD, LONGEST_LINE - i)
    const best = bestMove(position, before, left, found)
    const check = seen[i]?.[0]
    const taken =
      check === undefined
        ? costOf(way, posterior(position.model, before)) + sizeCost
        : costOfCheck(position, before, check, Math.max(LEAST_AHEAD + 1, left), found)
    steps.push({
      best: best.cost,
      taken,
      ...(check === undefined ? {} : { check }),
      ...(best.check === undefined ? {} : { bestCheck: best.check }),
    })
  }
  const least = steps[0]!.best
  // A line longer than is searched, or a check that is not tried, may be worth more than was found: it loses nothing.
  const lost = steps.reduce((sum, { best, taken }) => sum + Math.max(0, taken - best), 0)
  const cost = least + lost
  return { steps, least, cost, score: cost > 0 ? least / cost : 1 }
}
