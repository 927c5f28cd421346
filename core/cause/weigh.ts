import { holds } from '../rules'
import type { CauseTables, PostFacts } from './tables'
import type { Voice } from './readings'

/** Exponent of each of several readings that tell as much as one another of partly the same thing. */
const TEMPERED = 0.6

export interface Weighing {
  /** Indices of the causes that can be. */
  possible: number[]
  /** Why the others cannot. */
  impossible: (string | undefined)[]
  /** ln of the commonness of each cause before anything is known. */
  base: number[]
  /** What the post is, then what was seen, each already tempered. */
  voices: Voice[]
  /** ln of the weight of each cause after everything. */
  logWeights: number[]
  /** By cause, of posts that have failed; 0 where it cannot be. */
  posterior: number[]
  /** ln of the weight of a post in which nothing has failed, on the scale of `logWeights`. */
  soundLog: number
  /** Chance that nothing has failed. */
  sound: number
}

/**
 * Naive Bayes with groups: ln P(cause | seen) = ln prior + Σ exponent · ln P(value | cause).
 *
 * @param seen readings as voices; several of one group are tempered, whatever their order
 */
export function weigh(facts: PostFacts, seen: readonly Voice[], tables: CauseTables): Weighing {
  const impossible: (string | undefined)[] = tables.causes.map(
    ({ key }) =>
      tables.priorRules.find((rule) => rule.factor === 0 && rule.causes.includes(key) && holds(rule.when, { ...facts }))
        ?.because,
  )
  const possible = tables.causes.flatMap((_cause, i) => (impossible[i] === undefined ? [i] : []))
  const base = tables.causes.map(({ prior }) => Math.log(prior))
  const known = factVoices(facts, tables)
  const voices = [...known, ...tempered(seen, tables)]
  const logsAfter = (heard: readonly Voice[]) =>
    base.map((weight, i) => heard.reduce((sum, { column }) => sum + column[i]!, weight))
  const logWeights = logsAfter(voices)
  const failed = logSum(logsAfter(known), possible)
  const { onTheLine, pointedAt } = tables.sound.odds
  const odds = facts.pointedAt ? pointedAt : onTheLine
  const soundLog = voices.reduce((sum, { sound }) => sum + sound, Math.log(odds) + failed)
  return {
    possible,
    impossible,
    base,
    voices,
    logWeights,
    posterior: normalised(logWeights, possible),
    soundLog,
    sound: 1 / (1 + Math.exp(logSum(logWeights, possible) - soundLog)),
  }
}

/** ln of a sum of weights given by their logarithms. */
function logSum(logWeights: readonly number[], of: readonly number[]): number {
  const largest = largestOf(logWeights, of)
  let sum = 0
  for (const i of of) sum += Math.exp(logWeights[i]! - largest)
  return largest + Math.log(sum)
}

function largestOf(logWeights: readonly number[], of: readonly number[]): number {
  let largest = -Infinity
  for (const i of of) largest = Math.max(largest, logWeights[i]!)
  return largest
}

function factVoices(facts: PostFacts, tables: CauseTables): Voice[] {
  return tables.priorRules
    .filter((rule) => rule.factor > 0 && holds(rule.when, { ...facts }))
    .map(({ fact, causes, factor, because }) => ({
      source: fact,
      says: because,
      column: tables.causes.map(({ key }) => (causes.includes(key) ? Math.log(factor) : 0)),
      // What the post is tells one failure from another; it says nothing of whether there is one.
      sound: 0,
    }))
}

/**
 * Exponents of the readings of one group, which say partly the same thing. Of readings that tell as much, each counts
 * 0.6; one that tells next to nothing takes nothing from another.
 *
 * @param columns of the group, in any order
 */
export function exponentsOf(columns: readonly (readonly number[])[], { causes }: CauseTables): number[] {
  if (columns.length < 2) return columns.map(() => 1)
  const tells = columns.map((column) => spreadOf(column, causes))
  const all = tells.reduce((sum, each) => sum + each, 0)
  return tells.map((own) => {
    if (own === 0) return TEMPERED
    return TEMPERED + (1 - TEMPERED) * Math.max(0, 1 - (all - own) / own)
  })
}

/** How far a reading parts the causes: variance of its logarithm over them, by their commonness. */
function spreadOf(column: readonly number[], causes: CauseTables['causes']): number {
  // Columns of the tables are the same lists each time: next checks ask for them hundreds of times.
  const known = spreads.get(column)
  if (known !== undefined) return known
  const made = spreadIn(column, causes)
  spreads.set(column, made)
  return made
}
const spreads = new WeakMap<readonly number[], number>()

function spreadIn(column: readonly number[], causes: CauseTables['causes']): number {
  let [weight, sum, squares] = [0, 0, 0]
  for (let i = 0; i < causes.length; i++) {
    const { prior } = causes[i]!
    weight += prior
    sum += prior * column[i]!
    squares += prior * column[i]! ** 2
  }
  return Math.max(0, squares / weight - (sum / weight) ** 2)
}

/** Readings in company of their group weigh less. */
export function tempered(seen: readonly Voice[], tables: CauseTables): Voice[] {
  if (seen.length < 2) return [...seen]
  const groups = new Map<string | undefined, Voice[]>()
  for (const voice of seen) groups.set(voice.group, [...(groups.get(voice.group) ?? []), voice])
  const exponents = new Map<Voice, number>()
  for (const voices of groups.values()) {
    const found = exponentsOf(
      voices.map(({ column }) => column),
      tables,
    )
    voices.forEach((voice, i) => exponents.set(voice, found[i]!))
  }
  return seen.map((voice) => {
    const exponent = exponents.get(voice)!
    if (exponent === 1) return voice
    return { ...voice, column: voice.column.map((each) => exponent * each), sound: exponent * voice.sound }
  })
}

/** Probabilities out of logarithms of weights; 0 where a cause cannot be. */
export function normalised(logWeights: readonly number[], possible: readonly number[]): number[] {
  const all = logSum(logWeights, possible)
  const chances = new Array<number>(logWeights.length).fill(0)
  for (const i of possible) chances[i] = Math.exp(logWeights[i]! - all)
  return chances
}

/** ln of the odds of one cause against all others. */
export function logOddsOf(logWeights: readonly number[], possible: readonly number[], i: number): number {
  const others = possible.filter((j) => j !== i)
  return others.length === 0 ? Infinity : logWeights[i]! - logSum(logWeights, others)
}
