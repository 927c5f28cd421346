import type { Post } from '../document/job'
import type { RAIL_MENDINGS } from '../document/vocabulary'
import { exact } from '../money/exact'
import type { Tables } from '../tables/tables'
import type { Metres, Minutes } from '../units/types'
import type { BillLine } from './bill'

/** What was counted of the rails and boards at one post. */
export type Cladding = NonNullable<Post['cladding']>

/** Of one end: a piece beside the rail, or a new rail of the bay; screws and minutes of each. Working values. */
const SPLICE = { length: 0.6, screws: 6, minutes: 20 }
const NEW_RAIL = { screws: 4, minutes: 15 }
/** More than this torn off, and a splice has nothing left to hold on to, m. Working value. */
const MOST_SPLICED: Metres = 0.45
/** Off carefully, nails drawn, and on again by a spacer; a broken one only on. Working values. */
const BOARD: Record<'off' | 'on', Minutes> = { off: 3, on: 3 }
const NAILS_A_RAIL = 2
/** A higher fence has three. */
const THREE_RAILS_OVER: Metres = 1.5

export type RailMending = (typeof RAIL_MENDINGS)[number]

/**
 * What mending rail ends and boards takes, exactly.
 *
 * @param bay   the longer one beside the post, m
 * @param height of the fence, m
 * @example two ends spliced: 1.2 m of rail, 12 screws, 40 minutes
 */
export function claddingLines(
  { railEnds = 0, salvaged = 0, broken = 0 }: Cladding,
  mending: RailMending,
  { post, bay, height }: { post: string; bay: Metres; height: Metres },
  tables: Tables,
): BillLine[] {
  const rail = `rail/${soldHere(tables, 'rail')}`
  const way = mending === 'splice' ? SPLICE : NEW_RAIL
  const length = mending === 'splice' ? SPLICE.length : bay
  const rails = height > THREE_RAILS_OVER ? 3 : 2
  const boards = salvaged + broken
  const minutes = railEnds * way.minutes + salvaged * (BOARD.off + BOARD.on) + broken * BOARD.on
  const line = (key: string, count: number, piece?: BillLine['piece']): BillLine[] =>
    count === 0
      ? []
      : [{ key, quantity: exact(count), post, goesWith: 'rails and boards', ...(piece ? { piece } : {}) }]
  return [
    ...line(rail, railEnds, { stock: rail, length }),
    ...line(`rail-fixing/${soldHere(tables, 'rail-fixing')}`, railEnds * way.screws),
    ...line(BOARD_STOCK, broken, { stock: BOARD_STOCK, length: height }),
    ...line('fixing/nail-65', boards * rails * NAILS_A_RAIL),
    ...(minutes === 0
      ? []
      : [{ key: 'labour/saw', quantity: exact(minutes).div(60), post, goesWith: 'rails and boards' }]),
  ]
}
const BOARD_STOCK = 'board/feather-edge'

const soldHere = ({ units, parts }: Tables, kind: 'rail' | 'rail-fixing'): string =>
  parts.lists[kind].rows.find(({ soldIn }) => soldIn === undefined || soldIn === units)!.key

/** Whether ends that were torn so far off can be spliced at all. */
export const canSplice = ({ torn = 0 }: Cladding): boolean => torn <= MOST_SPLICED + 1e-9

/** As it was chosen; else the new rail where a splice does not hold, and the splice where it does. */
export const mendingOf = (cladding: Cladding): RailMending =>
  canSplice(cladding) ? (cladding.mend ?? 'splice') : 'new'
