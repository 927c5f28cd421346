import { holds } from '../rules'
import type { CauseTables, PostFacts } from './tables'
import type { Voice } from './readings'

/** Exponent of a group in which more than one reading says partly the same thing. */
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
  /** By cause; 0 where it cannot be. */
  posterior: number[]
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
  const voices = [...factVoices(facts, tables), ...tempered(seen)]
  const logWeights = base.map((weight, i) => voices.reduce((sum, { column }) => sum + column[i]!, weight))
  return { possible, impossible, base, voices, logWeights, posterior: normalised(logWeights, possible) }
}

function factVoices(facts: PostFacts, tables: CauseTables): Voice[] {
  return tables.priorRules
    .filter((rule) => rule.factor > 0 && holds(rule.when, { ...facts }))
    .map(({ fact, causes, factor, because }) => ({
      source: fact,
      says: because,
      column: tables.causes.map(({ key }) => (causes.includes(key) ? Math.log(factor) : 0)),
    }))
}

/** Exponent of each of so many readings of one group. */
export const exponentOf = (company: number): number => (company > 1 ? TEMPERED : 1)

/** Readings in company of their group weigh less. */
function tempered(seen: readonly Voice[]): Voice[] {
  return seen.map((voice) => {
    const exponent = exponentOf(seen.filter((other) => other.group === voice.group).length)
    return exponent === 1 ? voice : { ...voice, column: voice.column.map((each) => exponent * each) }
  })
}

/** Probabilities out of logarithms of weights; 0 where a cause cannot be. */
export function normalised(logWeights: readonly number[], possible: readonly number[]): number[] {
  const largest = Math.max(...possible.map((i) => logWeights[i]!))
  const weights = new Array<number>(logWeights.length).fill(0)
  let total = 0
  for (const i of possible) total += weights[i] = Math.exp(logWeights[i]! - largest)
  return weights.map((weight) => weight / total)
}

/** ln of the odds of one cause against all others. */
export function logOddsOf(logWeights: readonly number[], possible: readonly number[], i: number): number {
  const others = possible.filter((j) => j !== i)
  if (others.length === 0) return Infinity
  const largest = Math.max(...others.map((j) => logWeights[j]!))
  const sum = others.reduce((total, j) => total + Math.exp(logWeights[j]! - largest), 0)
  return logWeights[i]! - largest - Math.log(sum)
}
