import type { WorkQuantities } from './minutes'
import type { PostContext } from '../repair/context'
import { methodRow, type Design, type RepairMethod } from '../repair/method'
import { overDepth } from '../ground/strata'
import { row, type Tables } from '../tables/tables'
import type { CubicMetres } from '../units/types'
import type { ConcretePlan, PackedPlan } from './types'

/** What of one method on one post is worked through by quantity. */
export function workOf(
  { key }: RepairMethod,
  { earthwork }: Design,
  context: PostContext,
  concrete: ConcretePlan | undefined,
  packed: PackedPlan | undefined,
): WorkQuantities {
  const { mixed, placed } = pouredOf(concrete, context.tables)
  return {
    fixedMinutes: methodRow(key, context).fixedMinutes,
    dug: (concrete?.hole ?? 0) + (packed?.hole ?? 0),
    layers: packed?.fill.layers ?? 0,
    diggingFactor: diggingOf(context, earthwork?.holes[0]?.depth),
    oldConcrete: earthwork?.oldConcrete ?? 0,
    mixed,
    placed,
  }
}

/** How hard it digs, each layer by its thickness. */
const diggingOf = ({ earth }: PostContext, depth: number = 0): number =>
  earth ? overDepth(earth, depth, ({ digging }) => digging) : 1

/** Whole bags are mixed and placed; the lorry brings it mixed. */
function pouredOf(concrete: ConcretePlan | undefined, tables: Tables): { mixed: CubicMetres; placed: CubicMetres } {
  if (!concrete) return { mixed: 0, placed: 0 }
  const mix = row(tables.mixes, concrete.mix)
  const placed = mix.supply === 'bag' ? concrete.bags.count * mix.yields : concrete.concrete
  return { mixed: mix.supply === 'lorry' ? 0 : placed, placed }
}
