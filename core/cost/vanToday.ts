import { exact, NONE, type Exact } from '../money/exact'
import type { MetresPerSecond } from '../units/types'
import { SERVICES, type CatalogueRow } from './catalogue'
import type { PostBill } from './jobBills'
import type { VanStock } from './vanStock'

/** A post with the ways that it could be mended. */
export interface WaysOfPost {
  /** Line and post, as `B/B4`. */
  address: string
  /** The gust that it holds as it stands; 0 where it has given way. */
  standing: MetresPerSecond
  ways: PostBill[]
}

export interface TodayPost {
  address: string
  standing: MetresPerSecond
  /** The best way that what is on the van allows, and the gust that it then holds; absent where it allows none. */
  way?: { method: string; name: string; gust: MetresPerSecond }
}

export interface VanToday {
  /** The weakest first. */
  posts: TodayPost[]
  /** The fewest things to be bought that raise the post which is then the weakest. */
  shopping?: {
    address: string
    from: MetresPerSecond
    to: MetresPerSecond
    name: string
    items: { row: CatalogueRow; count: number }[]
  }
}

const isGoods = ({ group }: CatalogueRow) => !SERVICES.includes(group) && group !== 'hire'
const gustOf = ({ method }: PostBill) => method.holdingGust ?? 0

/**
 * What can be done with what is on the van: the weakest post is served first, each by the way that holds most of
 * those for which everything is there.
 *
 * @param onVan what is on the van
 */
export function vanToday(posts: readonly WaysOfPost[], catalogue: readonly CatalogueRow[], onVan: VanStock): VanToday {
  const left = new Map(catalogue.map(({ key }) => [key, exact(onVan.get(key) ?? 0)]))
  const served = [...posts]
    .sort((a, b) => a.standing - b.standing)
    .map(({ address, standing, ways }): TodayPost & { of: WaysOfPost } => {
      const best = [...ways]
        .filter((way) => gustOf(way) > standing && missing(way, left, catalogue, onVan)?.length === 0)
        .sort((a, b) => gustOf(b) - gustOf(a))[0]
      const of = { address, standing, ways }
      if (!best) return { address, standing, of }
      for (const [key, quantity] of needs(best, catalogue, onVan) ?? []) left.set(key, left.get(key)!.sub(quantity))
      return { address, standing, of, way: { method: best.method.method, name: best.method.name, gust: gustOf(best) } }
    })
  const now = ({ way, standing }: TodayPost) => way?.gust ?? standing
  const shopping = [...served]
    .sort((a, b) => now(a) - now(b))
    .flatMap((post) => shoppingFor(post, now(post), left, catalogue, onVan) ?? [])[0]
  return {
    posts: served.map(({ of: _of, ...post }) => post),
    ...(shopping ? { shopping } : {}),
  }
}

/** Units by row; undefined where the yard's list has none of something. */
function needs(
  { lines }: PostBill,
  catalogue: readonly CatalogueRow[],
  onVan: VanStock,
): Map<string, Exact> | undefined {
  const sums = new Map<string, Exact>()
  for (const { key, quantity, piece } of lines) {
    const row = piece ? stickFor(piece, catalogue, onVan) : catalogue.find((each) => each.key === key)
    if (!row) return undefined
    if (isGoods(row)) sums.set(row.key, (sums.get(row.key) ?? NONE).add(quantity))
  }
  return sums
}
/** The one that is there before the one that would be bought; then the cheapest. */
function stickFor(
  { stock, length }: { stock: string; length: number },
  catalogue: readonly CatalogueRow[],
  onVan: VanStock,
): CatalogueRow | undefined {
  const isThere = ({ key }: CatalogueRow) => (onVan.get(key) ?? 0) > 0
  return catalogue
    .filter((row) => row.stockOf === stock && (row.length ?? 0) >= length - 1e-9)
    .sort((a, b) => Number(isThere(b)) - Number(isThere(a)) || a.price - b.price)[0]
}

function missing(
  way: PostBill,
  left: ReadonlyMap<string, Exact>,
  catalogue: readonly CatalogueRow[],
  onVan: VanStock,
): { row: CatalogueRow; count: number }[] | undefined {
  const wanted = needs(way, catalogue, onVan)
  if (!wanted) return undefined
  return [...wanted].flatMap(([key, quantity]) => {
    const short = quantity.sub(left.get(key) ?? NONE)
    const row = catalogue.find((each) => each.key === key)!
    return short.s > 0n && short.n > 0n ? [{ row, count: Math.ceil(short.div(row.pack).valueOf() - 1e-9) }] : []
  })
}

/** The fewest different things, then the least money. */
function shoppingFor(
  { address, of }: TodayPost & { of: WaysOfPost },
  from: MetresPerSecond,
  left: ReadonlyMap<string, Exact>,
  catalogue: readonly CatalogueRow[],
  onVan: VanStock,
): VanToday['shopping'] {
  const lists = of.ways
    .filter((way) => gustOf(way) > from + 0.5 && way.method.leavesUnsolved.length === 0)
    .flatMap((way) => {
      const items = missing(way, left, catalogue, onVan)
      return items && items.length > 0
        ? [{ way, items, price: items.reduce((sum, { row, count }) => sum + row.price * count, 0) }]
        : []
    })
    .sort((a, b) => a.items.length - b.items.length || a.price - b.price)
  const best = lists[0]
  return best && { address, from, to: gustOf(best.way), name: best.way.method.name, items: best.items }
}
