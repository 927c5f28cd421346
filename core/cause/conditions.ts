import { holds, type Rule } from '../rules'
import type { Observations } from './observations'
import type { Metres } from '../units/types'

/** What of a post and its line bears on how it failed. */
export interface ConditionFacts {
  observations: Observations
  saturated: boolean
  /** Stretch of fence that the post carries, m. */
  bay: Metres
  /** Under the cladding, m. */
  gap: Metres
  solidity: number
  /** The line stands in the open or by water, without shelter. */
  exposed: boolean
  /** What is marked within reach of the post. */
  near: readonly string[]
  /** Kinds of repair chosen along the line. */
  repairKinds: number
}

/** Something that helped the failure along, and must not be built again. */
export interface ConditionRow {
  key: string
  name: string
  /** What to do otherwise this time. */
  advice: string
  /** What of {@link ConditionFacts} and the observations shows it; some only a person sees. */
  when?: Rule
}

export interface Condition {
  condition: string
  name: string
  advice: string
  /** By the readings, or ticked by a person. */
  from: 'readings' | 'person'
}

/** Contributing conditions: those that the readings show, and those that somebody ticked. */
export function conditionsOf(
  rows: readonly ConditionRow[],
  facts: ConditionFacts,
  ticked: readonly string[] = [],
): Condition[] {
  const { observations, ...rest } = facts
  const known = { ...observations, ...rest }
  return rows.flatMap(({ key, name, advice, when }): Condition[] => {
    if (when && holds(when, known)) return [{ condition: key, name, advice, from: 'readings' }]
    return ticked.includes(key) ? [{ condition: key, name, advice, from: 'person' }] : []
  })
}
