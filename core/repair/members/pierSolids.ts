import type { Metres } from '../../units/types'
import type { PostContext } from '../context'
import { holeSolids } from '../hole'
import type { DesignedHole } from '../holeShape'
import { box, type Solid } from '../solids'
import { footingSolids, goneSolids } from '../standing'

/** Between the pier and the foot of the post, as a base keeps it, m. */
const CLEAR: Metres = 0.025
/** Half a dowel, and how far it goes either way, m. */
const DOWEL = { half: 0.008, reach: 0.15 }
/** A prop beside the pier, as drawn, m. */
const PROP = { away: 0.45, half: 0.05 }

/** A pier over the ground with its base, the post cut to it, and the props that carry the load meanwhile. */
export function pierSolids(context: PostContext, hole: DesignedHole, { dowels }: { dowels: boolean }): Solid[] {
  const { post, line, along } = context
  const head = -hole.fillTop
  const foot = head + CLEAR
  const old = footingSolids(post, dowels ? 'thin' : 'dashed', 'old-footing')
  const dowel = (side: number): Solid => ({
    key: side > 0 ? 'dowel' : 'dowel-beside',
    matter: 'steel',
    outline: box(
      (side * hole.diameter) / 4 - DOWEL.half,
      (side * hole.diameter) / 4 + DOWEL.half,
      -hole.footingBottom - DOWEL.reach,
      -hole.footingBottom + DOWEL.reach,
    ),
    edge: 'solid',
    ...(side > 0 ? { note: 'dowels into the old pier' } : {}),
  })
  const prop = (side: number): Solid => ({
    key: side > 0 ? 'prop' : 'prop-beside',
    matter: 'new-wood',
    outline: box(side * PROP.away - PROP.half, side * PROP.away + PROP.half, 0, line.height),
    edge: 'thin',
  })
  return [
    ...(dowels ? old : goneSolids(old)),
    ...holeSolids(hole),
    ...(dowels ? [dowel(1), dowel(-1)] : []),
    {
      key: 'base',
      matter: 'steel',
      outline: box(-along / 2, along / 2, head, foot),
      edge: 'solid',
      note: 'base off the ground',
    },
    {
      key: 'post',
      matter: 'wood',
      outline: box(-along / 2, along / 2, foot, line.height),
      edge: 'solid',
      link: 'post',
    },
    prop(1),
    prop(-1),
  ]
}
