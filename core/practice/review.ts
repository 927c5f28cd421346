import type { Cause } from '../cause/tables'
import type { ObservationKey } from '../cause/observations'
import type { Minutes } from '../units/types'
import type { PracticeCase } from './case'
import { leastWay, sizeCost, type Sized, type Way } from './cost'
import { chancesOf, posterior, type Seen } from './model'
import { reckon, type Reckoning } from './play'
import { bestMove, LONGEST_LINE, type Found } from './search'

/* After a play: what it was, what each check said and was worth, the best line, and what kind of mistake was made. */

export const MISTAKES = ['dug-too-early', 'stopped-too-early', 'hole-too-small', 'right-cause-wrong-method'] as const
export type Mistake = (typeof MISTAKES)[number]

/** What somebody committed to. */
export interface Commitment {
  cause: Cause | 'nothing-wrong'
  method: string
  /** Where the method digs. */
  sized?: Sized
}

export interface CheckReport {
  observation: ObservationKey
  check: string
  minutes: Minutes
  /** What it showed. */
  says: string
  /** For (+) or against (−) what was true, 10 log10 of the odds. */
  decibans: number
  /** Expected to save before it was made, min. */
  worth: Minutes
}

export interface Review {
  truth: PracticeCase['truth']
  checks: CheckReport[]
  /** The best line as this case would have shown it, and what it ends with. */
  bestLine: ObservationKey[]
  bestMethod: string
  /** Visits that the commitment wastes, now that the truth is known. */
  wasted: number
  reckoning: Reckoning
  mistakes: Mistake[]
}

/** A loss under this is no mistake, min. */
const MATTERS: Minutes = 3
/** A check that takes so long is a dig. */
const DIG: Minutes = 10
/** Under the target by more than this it is too small, m/s. */
const SHORT = 0.5

/**
 * @param seen checks in the order in which they were made
 * @param found values of the case that were searched already
 */
export function review(of: PracticeCase, seen: Seen, commitment: Commitment, found: Found = new Map()): Review {
  const { position, truth } = of
  const { model, ways } = position
  const i = truth === 'nothing-wrong' ? model.causes.length : model.causes.indexOf(truth)
  const way = wayOf(ways, commitment.method)
  const { sized } = commitment
  const reckoning = reckon(position, { seen, way, ...(sized ? { sizeCost: sizeCost(sized) } : {}) }, found)
  const line = bestLineOf(of, found)
  const wasted = way.wasted[i]!
  return {
    truth,
    checks: seen.map(([check, showing], at) => reportOf(of, seen.slice(0, at), check, showing, i)),
    bestLine: line.checks.map((check) => model.checks[check]!.row.observation),
    bestMethod: line.way.method,
    wasted,
    reckoning,
    mistakes: mistakesOf(of, seen, commitment, reckoning, wasted),
  }
}

/** The best line as this case would have shown it. */
function bestLineOf({ position, shows }: PracticeCase, found: Found): { checks: number[]; way: Way } {
  const checks: number[] = []
  for (;;) {
    const seen = checks.map((check) => [check, shows[check]!] as const)
    const move = bestMove(position, seen, LONGEST_LINE - checks.length, found)
    if (move.check === undefined) return { checks, way: move.way }
    checks.push(move.check)
  }
}

export const wayOf = (ways: readonly Way[], method: string): Way =>
  ways.find((each) => each.method === method) ?? ways[0]!

function reportOf(
  { position: { model, ways } }: PracticeCase,
  before: Seen,
  check: number,
  showing: number,
  truth: number,
): CheckReport {
  const { row, minutes, showings } = model.checks[check]!
  const now = posterior(model, before)
  const after = posterior(model, [...before, [check, showing]])
  const expected = chancesOf(model, check, now).reduce(
    (sum, chance, each) => sum + chance * leastWay(ways, posterior(model, [...before, [check, each]])).cost,
    0,
  )
  const { value } = showings[showing]!
  return {
    observation: row.observation,
    check: row.check,
    minutes,
    says: row.words[value] ?? value,
    decibans: 10 * Math.log10(oddsOf(after[truth]!) / oddsOf(now[truth]!)),
    worth: Math.max(0, leastWay(ways, now).cost - expected),
  }
}

const ALL_BUT = 1e-12
const oddsOf = (chance: number): number => {
  const within = Math.min(1 - ALL_BUT, Math.max(ALL_BUT, chance))
  return within / (1 - within)
}

function mistakesOf(
  { position: { model }, truth }: PracticeCase,
  seen: Seen,
  { cause, sized }: Commitment,
  { steps }: Reckoning,
  wasted: number,
): Mistake[] {
  const lost = (at: number) => steps[at]!.taken - steps[at]!.best
  const dug = seen.some(([check], at) => model.checks[check]!.minutes >= DIG && lost(at) > MATTERS)
  const last = steps.length - 1
  const stopped = steps[last]!.bestCheck !== undefined && lost(last) > MATTERS
  return MISTAKES.filter(
    (each) =>
      (each === 'dug-too-early' && dug) ||
      (each === 'stopped-too-early' && stopped) ||
      (each === 'hole-too-small' && sized !== undefined && sized.holds < sized.target - SHORT) ||
      (each === 'right-cause-wrong-method' && cause === truth && wasted > 0),
  )
}

/** One play as it is kept: no more than a plain table of how often right needs. */
export interface PlayRecord {
  at: string
  seed: number
  level: string
  truth: string
  said: string
  /** Cause and method were right. */
  right: boolean
  score: number
  mistakes: Mistake[]
}

/** How often right, by what was true: the causes that were missed most stand first. */
export function historyOf(
  records: readonly PlayRecord[],
): { truth: string; played: number; right: number; score: number }[] {
  const truths = [...new Set(records.map(({ truth }) => truth))]
  return truths
    .map((truth) => {
      const of = records.filter((each) => each.truth === truth)
      return {
        truth,
        played: of.length,
        right: of.filter(({ right }) => right).length,
        score: of.reduce((sum, { score }) => sum + score, 0) / of.length,
      }
    })
    .sort((a, b) => a.right / a.played - b.right / b.played || b.played - a.played || a.truth.localeCompare(b.truth))
}

/** What was missed: the next case leans towards it. */
export const missed = (records: readonly PlayRecord[]): string[] =>
  historyOf(records)
    .filter(({ right, played }) => right < played)
    .map(({ truth }) => truth)
