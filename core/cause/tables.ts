import type { Rule } from '../rules'
import type { ObservationKey } from './observations'
import type { Minutes } from '../units/types'

export const CAUSES = [
  'ground-line-decay',
  'buried-decay',
  'insect-damage',
  'wind-snap',
  'undersized-footing',
  'no-footing',
  'soft-ground',
  'side-load',
  'gate-pull',
  'frost-heave',
  'bad-concrete',
  'corroded-steel',
  'loose-anchorage',
  'fixing-failure',
  'buried-base',
] as const
export type Cause = (typeof CAUSES)[number]

/** Two causes on different parts may be true together. */
export const CAUSE_PARTS = ['wood', 'ground', 'metal', 'fixing'] as const
export type CausePart = (typeof CAUSE_PARTS)[number]

export interface CauseRow {
  key: Cause
  name: string
  /** In the middle of a sentence. */
  short: string
  /** What failed, in one sentence. */
  what: string
  part: CausePart
  /** Methods that take the cause away. */
  answeredBy: readonly string[]
  /** Commonness before anything was looked at, and why. */
  prior: number
  because: string
}

/** Duty of a post that stands on a plate. */
export const ON_PLATE = 'plate-mounted'
export const isOnPlate = ({ duty }: Pick<PostFacts, 'duty'>): boolean =>
  duty === ON_PLATE || (Array.isArray(duty) && duty.includes(ON_PLATE))

/** What is known of a post before it is looked at. */
export const POST_FACTS = ['material', 'duty', 'ageYears'] as const
export type PostFact = (typeof POST_FACTS)[number]

/** Changes a prior by what the post is; a factor of 0 says that it cannot be. */
export interface PriorRule {
  fact: PostFact
  causes: readonly Cause[]
  when: Rule
  factor: number
  because: string
}

export interface PostFacts {
  material: string
  /** Several where duties come together: a gate on a plate. */
  duty: string | readonly string[]
  ageYears: number
  /** The post that somebody was called for. */
  pointedAt?: boolean
}

/** How often a value is seen under a cause: relative weights, normalised when used. */
export interface ValueWeights {
  weights: Readonly<Record<string, number>>
  because: string
}

export interface Band {
  value: string
  /** Largest reading that still counts as this value; the last band takes all that is left. */
  upTo?: number
}

export interface EvidenceRow {
  observation: ObservationKey
  /** Readings of one group say partly the same thing and are tempered together. */
  group: string
  minutes: Minutes
  /** What to do, as an instruction, and as the beginning of a sentence. */
  check: string
  doing: string
  /** A numeric reading is put into the first band that takes it. */
  bands?: readonly Band[]
  /** Or it counts for `low` and `high` by a smooth step: half and half at the middle. */
  logistic?: { middle: number; width: number }
  /** It can only be looked at where this was seen; always when absent. */
  askedWhen?: Rule
  /** Weight of the reading for other posts of the same age and make; it speaks for its own alone when absent. */
  carries?: number
  /** Least share of a value that can be, where one is rarer than others are. */
  floor?: number
  /** Values that tell nothing. */
  silent?: readonly string[]
  /** In words, for the reasons. */
  words: Readonly<Record<string, string>>
  usual: Readonly<Record<string, number>>
  /** How often it is seen on a post in which nothing has failed: shares of 1, of a complaint how often one is made. */
  sound: Readonly<Record<string, number>>
  byCause: Partial<Record<Cause, ValueWeights>>
}

/** Visits wasted by repairing for the wrong cause. */
export interface WastedVisits {
  /** Part repaired, then part that had failed. */
  byPart: Readonly<Record<CausePart, Readonly<Record<CausePart, number>>>>
  /** Within one part, where some of the repairs answer both causes, or none does. */
  samePart: { someRepairsShared: number; noRepairShared: number }
  because: string
}

/** What is thought of a post in which nothing has failed. */
export interface SoundRow {
  /** Odds that nothing has failed, of a post on a line that somebody was called to, and of the one that was meant. */
  odds: { onTheLine: number; pointedAt: number }
  /** Visits wasted by leaving a failed post, and by mending a sound one. */
  visits: { leftFailed: number; mendedSound: number }
  /** Lean of sound and of failed posts, as densities, metres for each metre. */
  lean: { sound: number; failedSound: number; failedMedian: number; failedScatter: number }
  /** What a post on a plate shows in place of the usual. */
  onPlate: { observation: ObservationKey; value: string; share: number; instead: readonly string[] }
  because: string
}

/** Two causes of the same part that are both at work when this was seen. */
export interface TogetherRow {
  causes: readonly [Cause, Cause]
  name: string
  when: Rule
}

export interface CauseTables {
  sound: SoundRow
  /** Causes of one part that are true together. */
  together: readonly TogetherRow[]
  causes: readonly CauseRow[]
  priorRules: readonly PriorRule[]
  evidence: readonly EvidenceRow[]
  wasted: WastedVisits
}
