import { BAG_YIELDS } from '../plan/minutes'
import type { Job, Pour } from '../document/job'
import type { Plan, PostPlan } from '../plan/types'
import type { DesignedHole } from '../repair/holeShape'
import type { ResolvedPost } from '../resolve/resolve'
import { carriersOf } from '../setout/topline/lineTops'
import { row, type Tables } from '../tables/tables'
import type { CubicMetres, Minutes } from '../units/types'
import { postKey } from '../document/postKey'

/** What is to be poured at a post, by the repair that was chosen for it. */
export interface PlannedPour {
  line: string
  post: string
  method: string
  /** An end, a corner, a gate post, or one that carries the strings. */
  isFirst: boolean
  /** Of a mix, or of a resin. */
  mix: string
  filling?: string
  /** Bags to open, and the label's water for them; batches by hand, nothing from the lorry or of resin. */
  bags: number
  water: CubicMetres
  concrete: CubicMetres
  hole?: DesignedHole
  /** From the first water to the last of it in the hole, by one barrow. */
  mixing: Minutes
  placing: Minutes
}

const FIRST_DUTIES = ['end', 'corner', 'gate-hinge', 'gate-latch']
/** The mix meets water in the hole: nothing is mixed before. */
const IN_THE_HOLE = ['on-top', 'third-of-hole']
export const isWetInTheHole = (filling: string | undefined, { fillings }: Pick<Tables, 'fillings'>): boolean =>
  filling !== undefined && IN_THE_HOLE.includes(row(fillings, filling).water)

interface Line {
  id: string
  posts: readonly ResolvedPost[]
}

/**
 * Everything that chosen repairs want poured, concrete and resin, in walking order.
 *
 * @param lines as resolved
 */
export function plannedPours(
  lines: readonly Line[],
  { posts: plans }: Pick<Plan, 'posts'>,
  tables: Tables,
): PlannedPour[] {
  const byPost = new Map(plans.map((each) => [postKey(each), each]))
  return lines.flatMap(({ id, posts }) => {
    const carriers = new Set(posts.length > 1 ? carriersOf(posts) : [])
    return posts.flatMap((post) => {
      const plan = byPost.get(postKey({ line: id, post: post.id }))
      const isFirst = carriers.has(post) || post.duties.some((duty) => FIRST_DUTIES.includes(duty))
      const wanted = plan && wantedOf(post, plan, tables)
      return wanted ? [{ line: id, post: post.id, isFirst, ...wanted }] : []
    })
  })
}

function wantedOf(
  post: ResolvedPost,
  { methods }: PostPlan,
  tables: Tables,
): Omit<PlannedPour, 'line' | 'post' | 'isFirst'> | undefined {
  const chosen = methods.find(({ method, allowed }) => allowed && method === post.repair?.method)
  if (!chosen) return undefined
  const { method, concrete, hole } = chosen
  const { resin } = row(tables.parts.methods, method)
  if (!concrete)
    return resin === undefined
      ? undefined
      : { method, mix: resin, bags: 0, water: 0, concrete: 0, mixing: 0, placing: 0 }
  const mix = row(tables.mixes, concrete.mix)
  const { mixingPerBag, placingPerBag } = tables.parts.rates
  const placed = (mix.supply === 'bag' ? concrete.bags.count * mix.yields : concrete.concrete) / BAG_YIELDS
  const isMixed = mix.supply !== 'lorry' && !isWetInTheHole(concrete.filling, tables)
  return {
    method,
    mix: concrete.mix,
    filling: concrete.filling,
    bags: concrete.bags.count,
    water: concrete.bags.water,
    concrete: concrete.concrete,
    ...(hole ? { hole } : {}),
    mixing: isMixed ? placed * mixingPerBag : 0,
    placing: placed * placingPerBag,
  }
}

/** The newest pour at a post: one that was begun anew stands for it. */
export const pourAt = ({ pours = [] }: Pick<Job, 'pours'>, line: string, post: string): Pour | undefined =>
  pours
    .filter((each) => each.line === line && each.post === post)
    .reduce<
      Pour | undefined
    >((newest, each) => (newest && Date.parse(newest.startedAt) > Date.parse(each.startedAt) ? newest : each), undefined)
