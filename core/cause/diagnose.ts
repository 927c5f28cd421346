import type { ObservationKey, Observations } from '../job/observations'
import { remembered } from '../numeric/remember'
import type { Cause, CauseTables, EvidenceRow, PostFacts } from './tables'

/** Exponent of a group in which more than one reading says partly the same thing. */
const TEMPERED = 0.6
/** Below this the leading cause is not settled. */
const SETTLED_AT = 0.6
/** Two leaders within this factor, with different repairs, are not settled either. */
const WITHIN_FACTOR = 2
/** Two causes on different parts that both pass this are both true. */
const BOTH_AT = 0.25
/** Least likelihood of a value that is physically possible. */
const FLOOR = 0.01

export interface Evidence {
  observation: ObservationKey
  /** For (+) or against (−) the cause, 10 log10 of the likelihood ratio to the other causes. */
  decibans: number
  says: string
}

export interface CauseProbability {
  cause: Cause
  name: string
  probability: number
  evidence: Evidence[]
  /** Why it cannot be, when it cannot. */
  impossible?: string
}

export interface NextCheck {
  observation: ObservationKey
  check: string
  minutes: number
  /** Expected fall of the entropy, bits per minute. */
  gain: number
}

export interface Diagnosis {
  causes: CauseProbability[]
  settled: boolean
  /** Leading cause, and a second one on another part that is likely true as well. */
  leading: Cause[]
  nextChecks: NextCheck[]
}

/**
 * Probability of every cause with its reasons, and the checks that would tell most.
 *
 * Naive Bayes with groups: prior · Π likelihood, tempered within a group. Every call starts
 * from the readings alone, so their order never matters.
 *
 * @source P(cause | seen) ∝ P(cause | material, duty, age) Π P(value | cause)
 * @example a ten-year softwood post that hinges at the ground line with 30 mm soft wood:
 *   ground-line-decay over 0.9, settled
 */
export function diagnose(
  facts: PostFacts,
  observations: Observations,
  tables: CauseTables,
  withNextChecks = true,
): Diagnosis {
  const priors = priorsOf(facts, tables)
  const seen = seenValues(observations, tables)
  const posterior = normalised(posteriorWeights(priors.weights, seen, tables))
  const causes = tables.causes
    .map(
      (row, i): CauseProbability => ({
        cause: row.key,
        name: row.name,
        probability: posterior[i]!,
        evidence: priors.weights[i] === 0 ? [] : evidenceFor(i, seen, priors.weights, tables),
        ...(priors.impossible[i] ? { impossible: priors.impossible[i] } : {}),
      }),
    )
    .sort((a, b) => b.probability - a.probability)
  const anySeen = seen.length > 0
  return {
    causes,
    settled: anySeen && isSettled(causes, tables),
    leading: anySeen ? leadingCauses(causes, tables) : [],
    nextChecks: withNextChecks ? nextChecks(priors.weights, seen, posterior, tables) : [],
  }
}

interface Seen {
  row: EvidenceRow
  value: string
}

function priorsOf(facts: PostFacts, tables: CauseTables) {
  const impossible: (string | undefined)[] = []
  const weights = tables.causes.map((row, i) => {
    let weight = row.prior
    for (const rule of tables.priorRules) {
      if (!rule.causes.includes(row.key) || !rule.when(facts)) continue
      weight *= rule.factor
      if (rule.factor === 0) impossible[i] ??= rule.because
    }
    return weight
  })
  return { weights: normalised(weights), impossible }
}

function seenValues(observations: Observations, tables: CauseTables): Seen[] {
  return tables.evidence.flatMap((row) => {
    const value = valueOf(observations[row.observation], row)
    return value === undefined || row.silent?.includes(value) ? [] : [{ row, value }]
  })
}

function valueOf(reading: unknown, row: EvidenceRow): string | undefined {
  if (row.bands && typeof reading === 'number') {
    return (row.bands.find((band) => reading <= band.upTo) ?? row.bands[row.bands.length - 1]!).value
  }
  return typeof reading === 'string' ? reading : undefined
}

/**
 * ln P(value | cause) for every cause in the tables' order, never quite nothing. Worked out once
 * for each value: next checks ask for the same columns hundreds of times.
 */
function logLikelihoods(row: EvidenceRow, value: string, tables: CauseTables): readonly number[] {
  const ofTables = remembered(columnsOf, tables, () => new Map<EvidenceRow, Map<string, readonly number[]>>())
  const ofRow = remembered(ofTables, row, () => new Map<string, readonly number[]>())
  return remembered(ofRow, value, () =>
    tables.causes.map(({ key }) => {
      const weights = row.byCause[key]?.weights ?? row.usual
      const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0)
      return Math.log(Math.max(FLOOR, (weights[value] ?? 0) / total))
    }),
  )
}

const columnsOf = new WeakMap<CauseTables, Map<EvidenceRow, Map<string, readonly number[]>>>()

/** Exponent of each seen value: readings in company of their group are tempered. */
function exponentOf(reading: Seen, seen: readonly Seen[]): number {
  const company = seen.filter((other) => other.row.group === reading.row.group).length
  return company > 1 ? TEMPERED : 1
}

function posteriorWeights(priors: readonly number[], seen: readonly Seen[], tables: CauseTables): number[] {
  const logarithms = new Array<number>(priors.length).fill(0)
  for (const reading of seen) {
    const exponent = exponentOf(reading, seen)
    const column = logLikelihoods(reading.row, reading.value, tables)
    for (let i = 0; i < logarithms.length; i++) logarithms[i]! += exponent * column[i]!
  }
  return priors.map((prior, i) => prior * Math.exp(logarithms[i]!))
}

/** Weight of evidence of each reading against the other causes, strongest first. */
function evidenceFor(index: number, seen: readonly Seen[], priors: readonly number[], tables: CauseTables): Evidence[] {
  return seen
    .map((reading): Evidence => {
      const exponent = exponentOf(reading, seen)
      const column = logLikelihoods(reading.row, reading.value, tables).map((each) => Math.exp(exponent * each))
      let others = 0
      let share = 0
      priors.forEach((prior, i) => {
        if (i === index) return
        others += prior * column[i]!
        share += prior
      })
      const own = column[index]!
      return {
        observation: reading.row.observation,
        decibans: share > 0 ? 10 * Math.log10(own / (others / share)) : 0,
        says: reading.row.words[reading.value] ?? reading.value,
      }
    })
    .sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans))
}

function isSettled(causes: readonly CauseProbability[], tables: CauseTables): boolean {
  const [first, second] = causes
  if (!first || first.probability < SETTLED_AT) return false
  if (!second || first.probability >= WITHIN_FACTOR * second.probability) return true
  return sameRepairs(first.cause, second.cause, tables)
}

function sameRepairs(a: Cause, b: Cause, tables: CauseTables): boolean {
  const of = (cause: Cause) => tables.causes.find((row) => row.key === cause)!.answeredBy
  return of(a).length === of(b).length && of(a).every((method) => of(b).includes(method))
}

function leadingCauses(causes: readonly CauseProbability[], tables: CauseTables): Cause[] {
  const first = causes[0]!
  const part = (cause: Cause) => tables.causes.find((row) => row.key === cause)!.part
  const second = causes
    .slice(1)
    .find((other) => other.probability >= BOTH_AT && part(other.cause) !== part(first.cause))
  return second && first.probability >= BOTH_AT ? [first.cause, second.cause] : [first.cause]
}

/** Unseen readings by the entropy that they are expected to take away per minute; the best three. */
function nextChecks(
  priors: readonly number[],
  seen: readonly Seen[],
  posterior: readonly number[],
  tables: CauseTables,
): NextCheck[] {
  const before = entropy(posterior)
  return tables.evidence
    .filter((row) => !seen.some((reading) => reading.row === row))
    .map((row) => {
      let after = 0
      for (const value of Object.keys(row.usual)) {
        if (row.silent?.includes(value)) continue
        const column = logLikelihoods(row, value, tables)
        const chance = posterior.reduce((sum, p, i) => sum + p * Math.exp(column[i]!), 0)
        after += chance * entropy(normalised(posteriorWeights(priors, [...seen, { row, value }], tables)))
      }
      const gain = Math.max(0, before - after) / row.minutes
      return { observation: row.observation, check: row.check, minutes: row.minutes, gain }
    })
    .sort((a, b) => b.gain - a.gain)
    .slice(0, 3)
}

function entropy(probabilities: readonly number[]): number {
  return probabilities.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)
}

function normalised(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return weights.map((weight) => weight / total)
}
