import { layerAt } from '../../ground/strata'
import { row } from '../../tables/tables'
import { columnCapacity } from '../../timber/column'
import type { Metres, Newtons, SquareMetres } from '../../units/types'
import type { PostContext } from '../context'
import type { Check, Choice, Verdict } from '../method'
import { soldHere, verdictOf } from '../method'
import { carriedLoad } from './carried'
import { pierBearing } from './pier'
import { propTimber } from './props'

/* What every repair of a post that carries a load shares: its load, its props, its base, and who decides. */

/** Over the load while it stands on props. */
const PROP_FACTOR = 1.5
export const PROPS = 2
/** Under a jack, over what was measured: it is lowered on to the base, m. */
export const OVER_LIFT: Metres = 0.006
/** Finished pier over the ground, m. */
export const PIER_ABOVE: Metres = 0.15

/** What rests on the post, N; none where nobody said. */
export const loadOn = ({ post, tables }: PostContext): Newtons =>
  post.carries ? carriedLoad(post.carries, tables.parts.carried).all : 0

/** What presses on the ground under a round pier; ground without a figure bears nothing that anybody can say. */
export function bearingCheck(context: PostContext, check: string, diameter: Metres, foot: Metres): Check {
  const base = (Math.PI * diameter ** 2) / 4
  const { earth } = context
  // What stands at the foot of it bears it.
  const { pressure, allowable } = earth
    ? pierBearing(loadOn(context), base, layerAt(earth, foot).soil)
    : { pressure: loadOn(context) / base, allowable: null }
  return { check, demand: pressure, capacity: allowable ?? 0, unit: 'Pa' }
}

/** Each prop carries its share with half as much again. */
export const propLoad = (context: PostContext): Newtons => (PROP_FACTOR * loadOn(context)) / PROPS

/** The smallest prop and base that carry it; the stoutest where none does. */
export function loadBearingParts(context: PostContext): Choice {
  const props = soldHere(context, context.tables.parts.lists.prop.rows)
  const bases = context.tables.parts.lists['stand-off'].rows
  const prop = props.find(({ section }) => propCapacity(context, section) >= propLoad(context)) ?? props.at(-1)!
  const base = bases.find(({ compression }) => compression >= loadOn(context)) ?? bases.at(-1)!
  return { prop: prop.key, 'stand-off': base.key }
}

const propCapacity = ({ line }: PostContext, section: { along: Metres; across: Metres }): Newtons =>
  columnCapacity({ section, length: line.height, ...propTimber })

/** Props in compression, the base under the load and under the wind. */
export function loadBearingChecks(context: PostContext, choice: Choice): Check[] {
  const { lists } = context.tables.parts
  const prop = row(lists.prop.rows, choice.prop!)
  const base = row(lists['stand-off'].rows, choice['stand-off']!)
  const { force } = context.wind
  return [
    { check: 'load on each prop', demand: propLoad(context), capacity: propCapacity(context, prop.section), unit: 'N' },
    { check: 'load on the stand-off base', demand: loadOn(context), capacity: base.compression, unit: 'N' },
    { check: 'wind on the stand-off base', demand: force, capacity: base.lateral, unit: 'N' },
  ]
}

/** Ground that each prop has to be spread over, m². */
export const spreadUnder = (context: PostContext): SquareMetres | undefined =>
  context.soil?.bearing ? propLoad(context) / context.soil.bearing : undefined

/** Reasons against, whatever it is made with. */
export function loadBearingRefusals({ post, noFigure }: PostContext): string[] {
  if (noFigure) return [noFigure.advice]
  return post.duties.includes('load-bearing') ? [] : ['This post carries nothing: a fence post needs no pier.']
}

/** A check that fails, and who decides: all figures stand, and nothing is chosen without a name. */
export function loadBearingVerdict({ post }: PostContext, checks: readonly Check[] = []): Verdict {
  if (!post.carries)
    return { verdict: 'not-known', reasons: ['Say first what rests on it: how much floor or roof, in Walk.'] }
  const failed = checks.filter(({ demand, capacity }) => demand > capacity).map(({ check }) => FAILS[check] ?? check)
  const named = post.repair?.licensed?.name
  return verdictOf([...failed, ...(named ? [] : ['A licensed builder or engineer decides: enter the name.'])])
}

const FAILS: Record<string, string> = {
  'load on each prop': 'No prop that is listed carries this load: the licensed person says which.',
  'load on the stand-off base': 'No stand-off base that is listed carries this load.',
  'wind on the stand-off base': 'The stand-off base does not hold the wind on it: its maker says which does.',
  'pressure under the old pier': 'The old pier is too small for its load on this soil: a new one.',
  'pressure under the pier': 'No pier that is dug here is wide enough for its load on this soil.',
  'shear in the dowels': 'The dowels do not hold the wind on it.',
}

/** Cautions with this post's own figures. */
export function loadBearingCautions(context: PostContext): string[] {
  const { says } = context
  const spread = spreadUnder(context)
  const side = spread === undefined ? undefined : Math.sqrt(spread)
  return [
    `Two props, each for ${says.force(propLoad(context))}${side === undefined ? '' : ` on a spread of ${says.length(side)} square at least`}; never at an angle.`,
    `Jack ${says.small(OVER_LIFT)} over, and lower it when the concrete is hard.`,
  ]
}
