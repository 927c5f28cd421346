import { exact, NONE, upTo, type Exact } from '../money/exact'
import type { BillLine } from './bill'
import { learntSpares, type LearntRow } from '../tables/learnt'
import type { CatalogueRow } from './catalogue'
import type { PostBill } from './jobBills'

/** What is bought of one thing for all posts of a visit. */
export interface MergedLine {
  key: string
  /** Of the catalogue; absent where it has none, and nobody knows its price. */
  row?: CatalogueRow
  /** The exact sum over its posts, and with its spares. */
  exact: Exact
  spares: Exact
  packs: bigint
  posts: string[]
}

/** What is put on top of the exact sum, and why: shown, so that one loss is not allowed for three times. */
export interface Spares {
  /** Share over the sum that this ground took before, as it was learnt: it takes the place of the usual spares. */
  learnt?: number
  /** The same of one thing, by its key. */
  byKey?: Readonly<Record<string, number>>
}

/**
 * What is put on top for a job: what was learnt, thing by thing. Bags that are bought by what nine holes in ten took have
 * their spare in them.
 */
export const sparesFor = (bills: readonly Pick<PostBill, 'method'>[], learnt: readonly LearntRow[]): Spares => ({
  byKey: learntSpares(learnt),
  ...(bills.some(({ method }) => method.concrete?.bagsFrom ?? method.concrete?.overdigFrom) ? { learnt: 0 } : {}),
})

/** Usual spares, by group: working values. */
const BAGS = exact('1.1')
const FIXINGS = exact('1.1')
const ONE_BAG = exact(1)

/**
 * Bills merged over the posts of a visit: spares on the exact sum, then whole packs, once.
 *
 * @example 10.5 bags: the larger of 11.55 and 11.5, so 12 and not 13
 */
export function mergedBill(lines: readonly BillLine[], catalogue: readonly CatalogueRow[], spares: Spares = {}) {
  const rows = new Map(catalogue.map((row) => [row.key, row]))
  const groups = new Map<string, BillLine[]>()
  // What is cut from sticks is bought by the cut list.
  for (const line of lines) if (!line.piece) groups.set(line.key, [...(groups.get(line.key) ?? []), line])
  return [...groups].map(([key, of]): MergedLine => {
    const row = rows.get(key)
    const sum = of.reduce((total, { quantity }) => total.add(quantity), NONE)
    const more = spareOf(sum, row, spares)
    return {
      key,
      ...(row ? { row } : {}),
      exact: sum,
      spares: more,
      packs: upTo(sum.add(more).div(row?.pack ?? 1)),
      posts: [...new Set(of.map(({ post }) => post))],
    }
  })
}

/** @returns what comes on top of a sum */
export function spareOf(sum: Exact, row: CatalogueRow | undefined, { learnt, byKey = {} }: Spares): Exact {
  if (sum.n === 0n || !row) return NONE
  const own = byKey[row.key]
  if (own !== undefined) return sum.mul(exact(Math.max(0, own)))
  if (row.group === 'mix') {
    if (learnt !== undefined) return sum.mul(exact(Math.max(0, learnt)))
    const [share, one] = [sum.mul(BAGS), sum.add(ONE_BAG)]
    return (share.compare(one) > 0 || row.unit !== 'bag' ? share : one).sub(sum)
  }
  return row.group === 'fixing' ? sum.mul(FIXINGS).sub(sum) : NONE
}
