import { OVER_CODE, type TimberPart } from '../../tables/parts'
import { row } from '../../tables/tables'
import type { Metres, Pascals } from '../../units/types'
import type { PostContext } from '../context'
import type { LinkCapacity } from '../links'
import { chosenPart, soldHere } from '../method'

/** Rails by height, one for each so many metres, and at least two; a working value. */
const METRES_A_RAIL = 0.7
const LEAST_RAILS = 2
/** Allowable bending of rails in wet service under gusts; a working value, Pa. */
export const RAIL_BENDING: Pascals = 9e6

/** The rails of a fence: how many, and of what. */
export function railsOf(context: PostContext): TimberPart & { count: number } {
  const { rows } = context.tables.parts.lists.rail
  const part = row(rows, chosenPart(context, 'rail', soldHere(context, rows)[0]!.key))
  return { ...part, count: Math.max(LEAST_RAILS, Math.round(context.line.height / METRES_A_RAIL)) }
}

/**
 * Rails of one bay bent by the wind on it, all of them together.
 *
 * Steady loads count as the wind that turns the post as hard.
 *
 * @param length of the bay, m
 * @source w L²/8 with w the wind on a metre of fence; the wind bends a rail about its upright axis
 * @example 3 rails of 38 × 88 over 2.8 m where the post carries 2.4 m: 63.5 cm³, 0.408 N m for a newton: code 1.40 kN
 */
export function bentRail(context: PostContext, { name, length }: { name: string; length: Metres }): LinkCapacity {
  const { post, links, wind } = context
  const { section, count } = railsOf(context)
  const modulus = (count * section.along * section.across ** 2) / 6
  const carried = Math.max(post.to - post.from, Number.MIN_VALUE)
  const code = RAIL_BENDING * modulus
  return links.proportional('rails', name, {
    code,
    over: code * OVER_CODE,
    perNewton: length ** 2 / 8 / carried,
    used: ({ across, along }) =>
      ((Math.abs(across.moment) + Math.abs(along.moment)) / wind.height) * (length ** 2 / 8 / carried),
  })
}
