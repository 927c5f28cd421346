import { logSound, outcomesOf, voiceOf } from '../cause/readings'
import type { Cause, CauseTables, EvidenceRow, PostFacts } from '../cause/tables'
import { exponentsOf, weigh } from '../cause/weigh'
import type { ObservationKey, Observations } from '../cause/observations'
import { holds } from '../rules'
import type { Minutes } from '../units/types'

/* What may be true of a case, and what each check would say: the same model that judges posts, made quick to search. */

/** A cause, by its place among the causes of the tables; after the last of them: nothing has failed. */
export type Truth = number

/** What one check may show. */
export interface Showing {
  value: string
  /** ln of its likelihood under each truth. */
  logs: readonly number[]
  /** The same as shares. */
  shares: readonly number[]
}

export interface Check {
  row: EvidenceRow
  minutes: Minutes
  showings: readonly Showing[]
  /** Whoever complains of its own accord speaks against a sound post; whoever is asked does not. */
  isComplaint: boolean
}

export interface Model {
  tables: CauseTables
  /** ln of the weight of each truth before anything was looked at. */
  prior: readonly number[]
  checks: readonly Check[]
  causes: readonly Cause[]
}

/** Shares of a sound post that come to less than this are of complaints. */
const SAYS_SOMETHING = 0.9

export function modelOf(facts: PostFacts, tables: CauseTables): Model {
  const { logWeights, soundLog, possible } = weigh(facts, [], tables)
  const prior = [...logWeights.map((weight, i) => (possible.includes(i) ? weight : -Infinity)), soundLog]
  return {
    tables,
    prior,
    causes: tables.causes.map(({ key }) => key),
    checks: tables.evidence.map((row) => ({
      row,
      minutes: row.minutes,
      isComplaint: Object.values(row.sound).reduce((sum, share) => sum + share, 0) <= SAYS_SOMETHING,
      showings: outcomesOf(row).map((value) => {
        const logs = [...voiceOf(row, value, tables).column, logSound(row, value)]
        return { value, logs, shares: logs.map(Math.exp) }
      }),
    })),
  }
}

/** What was looked at so far: checks by their place in the model, each with what it showed. */
export type Seen = readonly (readonly [check: number, showing: number])[]

/**
 * Chance of each truth after what was seen: readings that say partly the same thing are tempered together.
 *
 * @example posterior(model, []) // the commonness of each cause, and last that nothing has failed
 */
export function posterior({ prior, checks, tables }: Model, seen: Seen): number[] {
  const logs = [...prior]
  const groups = new Map<string, Showing[]>()
  for (const [check, showing] of seen) {
    const { row, showings } = checks[check]!
    groups.set(row.group, [...(groups.get(row.group) ?? []), showings[showing]!])
  }
  for (const of of groups.values()) {
    const exponents =
      of.length === 1
        ? [1]
        : exponentsOf(
            of.map((each) => columnOf(each)),
            tables,
          )
    of.forEach((each, v) => {
      for (let i = 0; i < logs.length; i++) logs[i]! += exponents[v]! * each.logs[i]!
    })
  }
  const most = Math.max(...logs)
  let sum = 0
  const chances = logs.map((log) => {
    const weight = Math.exp(log - most)
    sum += weight
    return weight
  })
  return chances.map((weight) => weight / sum)
}
/** Of the causes alone, the same list each time. */
const columnOf = (showing: Showing): readonly number[] => {
  const known = columns.get(showing)
  if (known) return known
  const made = showing.logs.slice(0, -1)
  columns.set(showing, made)
  return made
}
const columns = new WeakMap<Showing, readonly number[]>()

/** Chance of each thing that a check may show, as things stand. */
export function chancesOf({ checks }: Model, check: number, now: readonly number[]): number[] {
  const { showings, isComplaint } = checks[check]!
  const sound = now.length - 1
  const chances = showings.map(({ shares }) => {
    let sum = 0
    for (let i = 0; i < sound; i++) sum += now[i]! * shares[i]!
    const ifSound = isComplaint ? sum / Math.max(1e-12, 1 - now[sound]!) : shares[sound]!
    return sum + now[sound]! * ifSound
  })
  const all = chances.reduce((sum, chance) => sum + chance, 0)
  return chances.map((chance) => chance / all)
}

/** Checks that can be made: none twice, and what is asked of something seen only where that was seen. */
export function openChecks({ checks }: Model, seen: Seen, observations: Observations): number[] {
  const done = new Set(seen.map(([check]) => check))
  return checks.flatMap(({ row: { askedWhen } }, i) =>
    !done.has(i) && (!askedWhen || holds(askedWhen, { ...observations })) ? [i] : [],
  )
}

export const checkOf = ({ checks }: Model, observation: ObservationKey): number =>
  checks.findIndex(({ row }) => row.observation === observation)
