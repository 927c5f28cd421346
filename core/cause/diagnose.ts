import { greaterFirst } from '../numeric/rounding'
import type { ObservationKey, Observations } from './observations'
import { digWorth, nextChecks, outlooks, type NextCheck, type Outlook } from './nextChecks'
import { voicesOf, type Heard } from './readings'
import { holds } from '../rules'
import { sharesOf } from './reasons'
import { isOnPlate, POST_FACTS, type Cause, type CauseTables, type PostFact, type PostFacts } from './tables'
import { logOddsOf, weigh, type Weighing } from './weigh'

/** Below this the leading cause is not settled. */
const SETTLED_AT = 0.6
/** Two leaders within this factor, with different repairs, are not settled either. */
const WITHIN_FACTOR = 2
/** A single check that turns the judgement this often is worth making before it is called settled; a working value. */
const TURN_CHANCE = 0.03
/** Two causes on different parts that both pass this are both true. */
const BOTH_AT = 0.25

export interface Evidence {
  observation: ObservationKey | PostFact
  /** For (+) or against (−) the cause, 10 log10 of the odds. */
  decibans: number
  says: string
}

export interface CauseProbability {
  cause: Cause
  name: string
  probability: number
  /** Odds for the cause, 10 log10: `start` and all the evidence add up to it. −∞ where it cannot be. */
  decibans: number
  /** Odds by commonness alone, before anything was known of the post. */
  start: number
  /** What the post is and what was seen, strongest first. */
  evidence: Evidence[]
  /** Why it cannot be, when it cannot. */
  impossible?: string
}

export interface Diagnosis {
  /** Chance that nothing has failed, with what speaks for (+) and against it. */
  nothingWrong: { probability: number; evidence: Evidence[] }
  /** Of a post that has failed: these chances are of 1 less that of {@link Diagnosis.nothingWrong}. */
  causes: CauseProbability[]
  settled: boolean
  /** Leading cause, and a second one on another part that is likely true as well. */
  leading: Cause[]
  nextChecks: NextCheck[]
  /** What a check that speaks for other posts too is worth, in visits: 0 where it is made. */
  dig: number
  /** Two causes of one part that are both at work, and what that is called. */
  together?: { causes: readonly Cause[]; name: string }
}

const DECIBANS = 10 / Math.LN10

/**
 * Probability of every cause with its reasons, and the checks that would tell most.
 *
 * Naive Bayes with groups: prior · Π likelihood, tempered within a group. Every call starts from the readings alone,
 * so their order never matters, and a reading taken back leaves no trace.
 *
 * @param heard what was seen at other posts of the same age and make
 * @source P(cause | seen) ∝ P(cause | material, duty, age) Π P(value | cause)
 * @example a ten-year softwood post that hinges at the ground line with 30 mm soft wood:
 *   ground-line-decay over 0.9, settled
 */
export function diagnose(
  facts: PostFacts,
  observations: Observations,
  tables: CauseTables,
  heard: readonly Heard[] = [],
): Diagnosis {
  const seen = voicesOf(observations, tables, isOnPlate(facts), heard)
  const weighing = weigh(facts, seen, tables)
  const causes = causesOf(weighing, tables)
  const anySeen = seen.some(({ from }) => from === undefined)
  const ahead = outlooks(weighing, seen, observations, tables)
  return {
    nothingWrong: { probability: weighing.sound, evidence: soundEvidence(weighing) },
    causes,
    settled: anySeen && isSettled(weighing.posterior, tables) && !mayTurn(weighing.posterior, ahead, tables),
    leading: anySeen ? leadingCauses(causes, tables) : [],
    nextChecks: nextChecks(ahead, weighing, tables),
    dig: digWorth(ahead, weighing, tables),
    ...togetherOf(observations, tables),
  }
}

function togetherOf(observations: Observations, { together }: CauseTables): Pick<Diagnosis, 'together'> {
  const found = together.find(({ when }) => holds(when, { ...observations }))
  return found ? { together: { causes: found.causes, name: found.name } } : {}
}

/** Each voice for a sound post against failed ones as they are thought of now. */
function soundEvidence({ voices, posterior, possible }: Weighing): Evidence[] {
  return voices
    .map(({ source, says, column, sound }) => {
      const failed = possible.reduce((sum, i) => sum + posterior[i]! * column[i]!, 0)
      return { observation: source, decibans: DECIBANS * (sound - failed), says }
    })
    .filter(({ observation }) => !(POST_FACTS as readonly string[]).includes(observation))
    .sort((a, b) => greaterFirst(Math.abs(a.decibans), Math.abs(b.decibans)))
}

function causesOf(weighing: Weighing, tables: CauseTables): CauseProbability[] {
  const { possible, impossible, base, voices, logWeights, posterior } = weighing
  const shares = sharesOf(weighing)
  return tables.causes
    .map(({ key, name }, i): CauseProbability => {
      const probability = posterior[i]!
      if (impossible[i] !== undefined)
        return {
          cause: key,
          name,
          probability,
          decibans: -Infinity,
          start: -Infinity,
          evidence: [],
          impossible: impossible[i],
        }
      const evidence = voices
        .map(({ source, says }, v) => ({ observation: source, decibans: DECIBANS * shares[i]![v]!, says }))
        .sort((a, b) => greaterFirst(Math.abs(a.decibans), Math.abs(b.decibans)))
      return {
        cause: key,
        name,
        probability,
        decibans: DECIBANS * logOddsOf(logWeights, possible, i),
        start: DECIBANS * logOddsOf(base, possible, i),
        evidence,
      }
    })
    .sort((a, b) => greaterFirst(a.probability, b.probability))
}

function isSettled(posterior: readonly number[], tables: CauseTables): boolean {
  const [first, second] = byProbability(posterior)
  if (posterior[first]! < SETTLED_AT) return false
  if (posterior[first]! >= WITHIN_FACTOR * posterior[second]!) return true
  return sameRepairs(first, second, tables)
}

/** The likeliest cause and the next. */
function byProbability(posterior: readonly number[]): [number, number] {
  let first = 0
  let second = -1
  for (let i = 1; i < posterior.length; i++) {
    if (posterior[i]! > posterior[first]!) {
      second = first
      first = i
    } else if (second < 0 || posterior[i]! > posterior[second]!) second = i
  }
  return [first, second]
}

/** Whether one look that was not taken yet may well turn the judgement to other repairs. */
function mayTurn(posterior: readonly number[], ahead: readonly Outlook[], tables: CauseTables): boolean {
  const [now] = byProbability(posterior)
  return ahead.some(({ outcomes }) =>
    outcomes.some(({ chance, after }) => {
      if (chance < TURN_CHANCE) return false
      const failed = 1 - after[posterior.length]!
      // What a sound post would show turns no cause into another.
      if (failed < TURN_CHANCE) return false
      const causes = after.slice(0, posterior.length).map((each) => each / failed)
      const [then] = byProbability(causes)
      return then !== now && !sameRepairs(then, now, tables) && isSettled(causes, tables)
    }),
  )
}

function sameRepairs(a: number, b: number, { causes }: CauseTables): boolean {
  const [mine, other] = [causes[a]!.answeredBy, causes[b]!.answeredBy]
  return mine.length === other.length && mine.every((method) => other.includes(method))
}

function leadingCauses(causes: readonly CauseProbability[], tables: CauseTables): Cause[] {
  const first = causes[0]!
  const part = (cause: Cause) => tables.causes.find((row) => row.key === cause)!.part
  const second = causes
    .slice(1)
    .find((other) => other.probability >= BOTH_AT && part(other.cause) !== part(first.cause))
  return second && first.probability >= BOTH_AT ? [first.cause, second.cause] : [first.cause]
}
