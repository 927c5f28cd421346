import { diagnose } from '../core/cause/diagnose'
import { SOUND, type Sound } from '../core/cause/nextChecks'
import { CAUSES, type Cause, type CauseTables } from '../core/cause/tables'
import type { TrialCase } from './case'

/** What a post may be judged to have: a cause, or nothing. */
export type Judged = Cause | Sound
const JUDGED: readonly Judged[] = [SOUND, ...CAUSES]

export interface CaseResult {
  name: string
  truth: readonly Judged[]
  /** Nothing wrong, and every cause, by probability, the likeliest first. */
  order: { cause: Judged; probability: number }[]
  settled: boolean
}

export interface CauseScore {
  cause: Judged
  cases: number
  first: number
  firstTwo: number
  /** Mean square of what was said against what was true, of this cause: 0 best, 1 worst. */
  brier: number
}

export interface Score {
  cases: number
  /** Shares of cases whose truth was named first, or among the first two. */
  first: number
  firstTwo: number
  /** Sum over causes of the squared difference, mean over cases: 0 best, 2 worst. */
  brier: number
  byCause: CauseScore[]
  /** Said probabilities in tenths, and how often such a cause was true. */
  reliability: { from: number; to: number; said: number; true: number; count: number }[]
  missed: CaseResult[]
}

export function resultOf({ name, truth, facts, seen }: TrialCase, tables: CauseTables): CaseResult {
  const { nothingWrong, causes, settled } = diagnose(facts, seen, tables)
  const failed = 1 - nothingWrong.probability
  const order: CaseResult['order'] = [
    { cause: SOUND, probability: nothingWrong.probability },
    ...causes.map(({ cause, probability }) => ({ cause, probability: failed * probability })),
  ]
  return { name, truth, settled, order: order.sort((a, b) => b.probability - a.probability) }
}

/**
 * How often the diagnosis is right, and whether it knows how sure it may be.
 *
 * Where two causes were true, either of them counts as the right one, and each carries half.
 *
 * @source Brier, Verification of forecasts expressed in terms of probability (1950)
 */
export function scoreOf(cases: readonly TrialCase[], tables: CauseTables): Score {
  const results = cases.map((each) => resultOf(each, tables))
  const isFirst = ({ truth, order }: CaseResult) => truth.includes(order[0]!.cause)
  const isNear = ({ truth, order }: CaseResult) => order.slice(0, 2).some(({ cause }) => truth.includes(cause))
  const target = (truth: readonly Judged[], cause: Judged) => (truth.includes(cause) ? 1 / truth.length : 0)
  const squares = (result: CaseResult) =>
    result.order.reduce((sum, { cause, probability }) => sum + (probability - target(result.truth, cause)) ** 2, 0)
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)
  return {
    cases: results.length,
    first: mean(results.map((each) => Number(isFirst(each)))),
    firstTwo: mean(results.map((each) => Number(isNear(each)))),
    brier: mean(results.map(squares)),
    byCause: JUDGED.map((cause) => {
      const own = results.filter(({ truth }) => truth.includes(cause))
      return {
        cause,
        cases: own.length,
        first: own.filter(isFirst).length,
        firstTwo: own.filter(isNear).length,
        brier: mean(
          results.map(({ truth, order }) => {
            const said = order.find((each) => each.cause === cause)!.probability
            return (said - target(truth, cause)) ** 2
          }),
        ),
      }
    }),
    reliability: reliabilityOf(results),
    missed: results.filter((each) => !isFirst(each)),
  }
}

function reliabilityOf(results: readonly CaseResult[]): Score['reliability'] {
  const said = results.flatMap(({ truth, order }) =>
    order.map(({ cause, probability }) => ({ probability, isTrue: truth.includes(cause) })),
  )
  return Array.from({ length: 10 }, (_, i) => {
    const [from, to] = [i / 10, (i + 1) / 10]
    const inside = said.filter(
      ({ probability }) => probability >= from && (probability < to || (i === 9 && probability <= 1)),
    )
    const share = (of: number) => (inside.length > 0 ? of / inside.length : 0)
    return {
      from,
      to,
      said: share(inside.reduce((sum, { probability }) => sum + probability, 0)),
      true: share(inside.filter(({ isTrue }) => isTrue).length),
      count: inside.length,
    }
  })
}

/**
 * Cases in which one reading left out turns a settled cause into another settled one, although nothing that is left
 * speaks against the first.
 */
export function flips(cases: readonly TrialCase[], tables: CauseTables): string[] {
  return cases.flatMap((each) => {
    const whole = diagnose(each.facts, each.seen, tables)
    if (!whole.settled) return []
    return Object.keys(each.seen).flatMap((key) => {
      const { [key as keyof typeof each.seen]: _left, ...rest } = each.seen
      const part = diagnose(each.facts, rest, tables)
      const before = whole.causes[0]!.cause
      const after = part.causes[0]!.cause
      if (!part.settled || after === before) return []
      const contrary = part.causes
        .find(({ cause }) => cause === before)!
        .evidence.some(({ observation, decibans }) => observation in rest && decibans < 0)
      return contrary ? [] : [`${each.name}: without ${key}, ${before} becomes ${after}`]
    })
  })
}
