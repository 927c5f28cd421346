import { diagnose } from '../core/cause/diagnose'
import { logLikelihoods, outcomesOf, readingFor } from '../core/cause/readings'
import type { Cause, CauseTables, PostFacts } from '../core/cause/tables'
import { weigh } from '../core/cause/weigh'
import type { ObservationKey, Observations } from '../core/cause/observations'
import type { Minutes } from '../core/units/types'

/** A post drawn from the model itself: its cause, and what every check would show. */
export interface DrawnPost {
  facts: PostFacts
  cause: Cause
  all: Observations
}

/** Draws from 0 to 1, given by whoever simulates: the core has no chance of its own. */
export type Chance = () => number

export function drawPost(facts: PostFacts, tables: CauseTables, chance: Chance): DrawnPost {
  const { posterior } = weigh(facts, [], tables)
  const i = drawIndex(posterior, chance)
  const all = Object.fromEntries(
    tables.evidence.map((row) => {
      const values = outcomesOf(row)
      const weights = values.map((value) => Math.exp(logLikelihoods(row, value, tables)[i]!))
      return [row.observation, readingFor(row, values[drawIndex(weights, chance)]!)]
    }),
  )
  return { facts, cause: tables.causes[i]!.key, all }
}

function drawIndex(weights: readonly number[], chance: Chance): number {
  let left = chance() * weights.reduce((sum, weight) => sum + weight, 0)
  const found = weights.findIndex((weight) => (left -= weight) < 0)
  return found < 0 ? weights.length - 1 : found
}

export interface Settling {
  minutes: Minutes
  settled: boolean
  /** Whether the settled cause is the one that was drawn. */
  right: boolean
}

/** Checks until the cause is settled, or until there is nothing left to look at. */
export function settle(
  post: DrawnPost,
  tables: CauseTables,
  choose: (seen: Observations) => ObservationKey | undefined,
): Settling {
  const seen: Observations = {}
  let minutes = 0
  for (;;) {
    const { settled, causes } = diagnose(post.facts, seen, tables)
    if (settled) return { minutes, settled, right: causes[0]!.cause === post.cause }
    const next = choose(seen)
    if (!next) return { minutes, settled: false, right: false }
    minutes += tables.evidence.find((row) => row.observation === next)!.minutes
    Object.assign(seen, { [next]: post.all[next] })
  }
}

/** The next check that the diagnosis advises. */
export const advised =
  (facts: PostFacts, tables: CauseTables) =>
  (seen: Observations): ObservationKey | undefined =>
    diagnose(facts, seen, tables).nextChecks[0]?.observation

/** Every check in one order, whatever was seen. */
export const inOrder =
  (order: readonly ObservationKey[]) =>
  (seen: Observations): ObservationKey | undefined =>
    order.find((key) => !(key in seen))
