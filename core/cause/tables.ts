import type { ObservationKey } from '../job/observations'
import type { Metres, Minutes } from '../units/types'

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

export interface CauseRow {
  key: Cause
  name: string
  /** What failed, in one sentence. */
  what: string
  /** Two causes on different parts may be true together. */
  part: 'wood' | 'ground' | 'metal' | 'fixing'
  /** Methods that take the cause away. */
  answeredBy: readonly string[]
  /** Commonness before anything was looked at. */
  prior: number
}

/** Changes a prior by what the post is; a factor of 0 says that it cannot be. */
export interface PriorRule {
  causes: readonly Cause[]
  when: (post: PostFacts) => boolean
  factor: number
  because: string
}

export interface PostFacts {
  material: string
  duty: string
  ageYears: number
}

/** How often a value is seen under a cause: relative weights, normalised when used. */
export interface ValueWeights {
  weights: Readonly<Record<string, number>>
  because: string
}

export interface Band {
  value: string
  /** Largest reading that still counts as this value. */
  upTo: Metres
}

export interface EvidenceRow {
  observation: ObservationKey
  /** Readings of one group say partly the same thing and are tempered together. */
  group: string
  minutes: Minutes
  /** What to do, as an instruction. */
  check: string
  /** A numeric reading is put into the first band that takes it. */
  bands?: readonly Band[]
  /** Values that tell nothing. */
  silent?: readonly string[]
  /** In words, for the reasons. */
  words: Readonly<Record<string, string>>
  usual: Readonly<Record<string, number>>
  byCause: Partial<Record<Cause, ValueWeights>>
}

export interface CauseTables {
  causes: readonly CauseRow[]
  priorRules: readonly PriorRule[]
  evidence: readonly EvidenceRow[]
}
