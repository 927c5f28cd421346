import { fillingSteps } from '../concrete/fillingSteps'
import { takesFilling, type Filling } from '../concrete/bags'
import { tidy } from '../numeric/rounding'
import type { MethodPlan } from '../plan/types'
import { row } from '../tables/tables'
import type { CubicMetres, Pascals } from '../units/types'
import type { HoleBench } from './bench'

/** One way of filling this hole: what it takes, what it comes to, and step by step. */
export interface FillingSchool {
  filling: Filling
  /** The method that fills so. */
  method: string
  plan: MethodPlan
  steps: string[]
  water?: CubicMetres
  strength?: Pascals
  /** Why it is not for this post; nothing where it is. */
  because?: string
}

/** Methods that fill with what is no concrete. */
const PACKED_BY: Readonly<Record<string, string>> = { stone: 'new-post-stone', 'tamped-soil': 'new-post-keyed' }

/** Every way of filling, each planned for this hole, side by side. */
export function fillingSchools(bench: HoleBench): FillingSchool[] {
  const { tables, says } = bench.context
  return tables.fillings.flatMap((filling) => {
    const method = PACKED_BY[filling.key] ?? bench.method
    const plan = PACKED_BY[filling.key] ? bench.with({}, method) : bench.filled(filling.key)
    const { concrete, packed, hole } = plan
    if (!hole || !(filling.water === 'none' ? packed : concrete)) return []
    const height = tidy(hole.footingBottom - hole.fillTop)
    const mix = concrete && row(tables.mixes, concrete.mix)
    const steps =
      filling.water === 'none'
        ? fillingSteps({ filling, fill: packed!.fill, volume: packed!.volume, height }, says)
        : fillingSteps(
            {
              filling,
              fill: concrete!.fill,
              volume: concrete!.concrete,
              height,
              poured: { mix: mix!, bags: concrete!.bags },
            },
            says,
          )
    const because = against(filling, bench, plan)
    return [
      {
        filling,
        method,
        plan,
        steps,
        ...(filling.water === 'none' || !concrete
          ? {}
          : { water: concrete.bags.ruleWater, strength: concrete.bags.strength }),
        ...(because ? { because } : {}),
      },
    ]
  })
}

function against(filling: Filling, { context, now }: HoleBench, plan: MethodPlan): string | undefined {
  const { tables, post } = context
  if (filling.water === 'none') return plan.reasons[0]
  const mix = now.concrete && row(tables.mixes, now.concrete.mix)
  if (mix && !takesFilling(mix, filling)) return `${mix.name} has to be mixed.`
  const isHeavy = filling.water === 'on-top' && (post.duty !== 'line' || post.duties.length > 1)
  return isHeavy ? 'For light line posts only.' : undefined
}
