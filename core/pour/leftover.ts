import type { Pour } from '../document/job'
import { row, type Tables } from '../tables/tables'
import type { CubicMetres } from '../units/types'
import type { PlannedPour } from './planned'

/** What is less than this stays in the barrow, m³. Working value. */
const WORTH_IT: CubicMetres = 0.002

export interface Leftover {
  volume: CubicMetres
  /** The next post that takes the same mix. */
  post?: string
}

/**
 * What opened bags leave over once the hole is full, and where it can go while it can still be placed.
 *
 * @param waiting posts that are still to be poured, in their order
 * @returns nothing of a hole that is not full by the plan, or where it is not worth the way
 */
export function leftoverOf(
  pour: Pick<Pour, 'mix' | 'lifts'>,
  planned: Pick<PlannedPour, 'concrete' | 'bags'> | undefined,
  waiting: readonly Pick<PlannedPour, 'post' | 'mix'>[],
  { mixes }: Pick<Tables, 'mixes'>,
): Leftover | undefined {
  const mix = row(mixes, pour.mix)
  const bags = (pour.lifts ?? []).reduce((sum, each) => sum + each.bags, 0)
  if (mix.supply !== 'bag' || !planned || planned.bags === 0 || bags < planned.bags) return undefined
  const volume = bags * mix.yields - planned.concrete
  if (volume < WORTH_IT) return undefined
  const next = waiting.find((each) => each.mix === pour.mix)
  return next ? { volume, post: next.post } : { volume }
}
