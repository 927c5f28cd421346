import type { Sound } from '../core/cause/nextChecks'
import type { Cause, PostFacts } from '../core/cause/tables'
import type { Observations } from '../core/cause/observations'

/**
 * An invented post with its right answer. Cases of the `tuning` set were looked at while the numbers of the diagnosis
 * were chosen; those `held out` were written down first and never used for that. Figures are quoted of the latter.
 */
export interface TrialCase {
  name: string
  set: 'tuning' | 'held out'
  facts: PostFacts
  seen: Observations
  /** What had failed; two where both were true. */
  truth: readonly (Cause | Sound)[]
}

/** Material, duty and age in the order in which people say them. */
export const post = (material: string, duty: string, ageYears: number): PostFacts => ({ material, duty, ageYears })

/** A post that somebody was called for. */
export const called = ({ facts, ...row }: Omit<TrialCase, 'set'>, set: TrialCase['set']): TrialCase => ({
  ...row,
  set,
  facts: { ...facts, pointedAt: true },
})

/** An offset at the end of a level of 1.2 m, along the line. */
export const lean = (offset: number) => ({ offset, over: 1.2, direction: 0 })
