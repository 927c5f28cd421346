import type { Observations } from '../cause/observations'
import { readingFor } from '../cause/readings'
import type { Minutes } from '../units/types'
import { leastWay, mostWorth, type Way } from './cost'
import { chancesOf, openChecks, posterior, type Model, type Seen } from './model'

/* The best line of play: which check next, or what to commit to, by full search of a few checks that tell most. */

/** So many checks are tried in a line, out of so many. */
export const LONGEST_LINE = 4
export const TRIED_CHECKS = 8

export interface Position {
  model: Model
  ways: readonly Way[]
  /** The checks that are tried, by their place in the model. */
  tried: readonly number[]
}

export interface BestMove {
  /** Expected from here on, with the best play. */
  cost: Minutes
  /** The check to make; none where it is best to commit, to `way`. */
  check?: number
  way: Way
}

/** Values that were found: by what was seen, and how many checks may still be made. */
export type Found = Map<string, BestMove>

const keyOf = (seen: Seen, left: number): string =>
  `${left}|${seen
    .map(([check, showing]) => check * 64 + showing)
    .sort((a, b) => a - b)
    .join()}`

/** What was seen, as readings: what is asked of something seen hangs on them. */
export function readingsOf({ checks }: Model, seen: Seen): Observations {
  return Object.fromEntries(
    seen.map(([check, showing]) => {
      const { row, showings } = checks[check]!
      return [row.observation, readingFor(row, showings[showing]!.value)]
    }),
  )
}

/**
 * The best move after what was seen.
 *
 * A check costs its minutes and is followed by the best of what it may show; the play ends with the way that is then
 * expected to cost least. A check that costs more than the truth itself would save is not tried.
 *
 * @param left checks that may still be made
 * @source backward induction over every line of the tried checks
 */
export function bestMove(position: Position, seen: Seen, left: number, found: Found): BestMove {
  const key = keyOf(seen, left)
  const known = found.get(key)
  if (known) return known
  const { model, ways } = position
  const now = posterior(model, seen)
  const committed = leastWay(ways, now)
  let best: BestMove = committed
  if (left > 0) {
    const worth = mostWorth(ways, now, committed.cost)
    for (const check of openIn(position, seen)) {
      const { minutes } = model.checks[check]!
      if (minutes >= worth) continue
      const cost = costOfCheck(position, seen, check, left, found, { now, under: best.cost })
      if (cost < best.cost) best = { cost, check, way: committed.way }
    }
  }
  found.set(key, best)
  return best
}

function openIn({ model, tried }: Position, seen: Seen): number[] {
  const open = new Set(openChecks(model, seen, readingsOf(model, seen)))
  return tried.filter((check) => open.has(check))
}

/**
 * Expected cost of making a check and going on as well as can be.
 *
 * @param left with this one
 * @param known chances now, and a cost at which it is not worth going on
 */
export function costOfCheck(
  position: Position,
  seen: Seen,
  check: number,
  left: number,
  found: Found,
  { now = posterior(position.model, seen), under = Infinity }: { now?: readonly number[]; under?: Minutes } = {},
): Minutes {
  const { model } = position
  const chances = chancesOf(model, check, now)
  let cost = model.checks[check]!.minutes
  for (let showing = 0; showing < chances.length; showing++) {
    cost += chances[showing]! * bestMove(position, [...seen, [check, showing]], left - 1, found).cost
    if (cost >= under) return cost
  }
  return cost
}

/** The checks that tell most by themselves, for what they cost. */
export function tellingChecks(model: Model, ways: readonly Way[], count = TRIED_CHECKS): number[] {
  const now = posterior(model, [])
  const { cost } = leastWay(ways, now)
  const gains = model.checks.map(({ minutes }, check) => {
    const chances = chancesOf(model, check, now)
    const after = chances.reduce(
      (sum, chance, showing) => sum + chance * leastWay(ways, posterior(model, [[check, showing]])).cost,
      0,
    )
    const told = chances.reduce(
      (sum, chance, showing) => sum + chance * entropy(posterior(model, [[check, showing]])),
      0,
    )
    // Where none changes the choice by itself, what tells most goes first.
    return { check, gain: (cost - after + BIT * (entropy(now) - told)) / minutes }
  })
  return gains
    .sort((a, b) => b.gain - a.gain || a.check - b.check)
    .slice(0, count)
    .map(({ check }) => check)
}
/** Minutes that a bit of entropy is worth where no choice hangs on it. A working value. */
const BIT = 4

const entropy = (chances: readonly number[]): number =>
  chances.reduce((sum, chance) => (chance > 0 ? sum - chance * Math.log2(chance) : sum), 0)
