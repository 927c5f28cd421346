import type { ResolvedJob } from '../resolve/resolve'
import { fixingFit, type FixingAtHand } from '../repair/fixingFit'
import { placeOnPost } from '../repair/fixingPlace'
import type { FixingPart, SpurPart } from '../tables/parts'
import { row, type Tables } from '../tables/tables'
import type { Measures } from '../units/quantity'
import type { CatalogueRow } from './catalogue'
import type { PostBill } from './jobBills'
import { postKey, readPostKey } from '../document/postKey'

/** A fixing of the yard that does not fit where it is to go. */
export interface Misfit {
  key: string
  name: string
  /** Posts where it does not. */
  posts: string[]
  refusals: string[]
}

const KINDS = ['fixing', 'rail-fixing'] as const

/**
 * Fixings as they really lie in the yard, tried where each goes: a bolt that is too short for its spur is found out
 * before anybody drives off. One whose length nobody has written down is not tried.
 */
export function misfits(
  bills: readonly PostBill[],
  { site, lines }: ResolvedJob,
  catalogue: readonly CatalogueRow[],
  tables: Tables,
  says: Measures,
): Misfit[] {
  const found = new Map<string, Misfit>()
  const posts = lines.flatMap((line) =>
    line.posts.map((post) => ({ address: postKey({ line: line.id, post: post.id }), post })),
  )
  for (const { address, method } of bills) {
    const { post } = posts.find((each) => each.address === address)!
    for (const { kind, key } of method.parts) {
      if (!KINDS.some((each) => each === kind)) continue
      const bought = catalogue.find((each) => each.key === `${kind}/${key}`)
      if (bought?.length === undefined) continue
      const part = row(tables.parts.lists[kind as (typeof KINDS)[number]].rows as readonly FixingPart[], key)
      const refusals = refusalsOf(part, bought, { ...placeOnPost(post, site, method.parts, tables) })
      if (refusals.length === 0) continue
      // The same reason at several posts is said once.
      const known = found.get(`${bought.key} ${refusals.join()}`)
      if (known) known.posts.push(readPostKey(address).post)
      else
        found.set(`${bought.key} ${refusals.join()}`, {
          key: bought.key,
          name: bought.name,
          posts: [readPostKey(address).post],
          refusals,
        })
    }

    function refusalsOf(part: FixingPart, bought: CatalogueRow, place: ReturnType<typeof placeOnPost>): string[] {
      const spur = method.parts.find(({ kind }) => kind === 'spur')
      const made = spur && row(tables.parts.lists.spur.rows as readonly SpurPart[], spur.key)
      const atHand: FixingAtHand = {
        kind: part.kind,
        diameter: part.diameter,
        length: bought.length!,
        coating: bought.coating ?? 'hot-dip',
        ...(part.kind === 'bolt' ? { washer: part.washer } : {}),
      }
      // Where nobody has measured the hole it is taken for one that was made for this fixing.
      const hole = made?.hole ?? part.diameter + (part.kind === 'bolt' ? ROOM_IN_HOLE : 0)
      return fixingFit({ ...place, hole }, atHand, says).refusals
    }
  }
  return [...found.values()]
}
const ROOM_IN_HOLE = 0.001
