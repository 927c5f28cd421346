import type { AsBuilt } from '../document/job'
import type { DesignedHole } from '../repair/holeShape'
import type { Measure, Solid } from '../repair/solids'
import type { Metres } from '../units/types'
import { meanDepth } from './asBuilt'

/** What a method draws of its hole: these give way to what was dug. */
const OF_THE_HOLE = ['fill', 'stone', 'topping']
/** Between planned and built that anybody sees, m. */
const SEEN: Metres = 0.005

/**
 * As built over as planned: what stands in the ground as it came, the planned hole as a dashed outline over it, and
 * what differs with both figures.
 *
 * @param stands of the method, as planned
 * @returns the planned solids where nothing of the hole was measured
 */
export function builtSolids(stands: readonly Solid[], hole: DesignedHole | undefined, built: AsBuilt): Solid[] {
  const depth = meanDepth(built)
  if (!hole || (depth === undefined && built.width === undefined)) return [...stands]
  const width = built.width ?? hole.diameter
  const { start = depth ?? hole.depth, end = depth ?? hole.depth } = built.depths ?? {}
  const shift = hole.shift ?? 0
  const [left, right] = [-width / 2 - shift, width / 2 - shift]
  const top = -Math.max(0, hole.fillTop)
  const bed = hole.stoneBed
  const dug = (key: string, matter: Solid['matter'], from: [Metres, Metres], to: [Metres, Metres]): Solid => ({
    key,
    matter,
    outline: [
      [left, from[0]],
      [right, from[1]],
      [right, to[1]],
      [left, to[0]],
    ],
    edge: 'solid',
  })
  const others = stands.filter(({ key }) => !OF_THE_HOLE.includes(key))
  const planned: Solid = {
    key: 'planned',
    matter: 'outline',
    outline: [
      [-hole.diameter / 2 - shift, 0],
      [hole.diameter / 2 - shift, 0],
      [hole.diameter / 2 - shift, -hole.depth],
      [-hole.diameter / 2 - shift, -hole.depth],
    ],
    edge: 'dashed',
    measures: measuresOf(hole, { depth, width: built.width, left, right }),
  }
  return [
    ...(hole.fillTop > 0 ? [{ ...dug('topping', 'topping', [0, 0], [top, top]), edge: 'none' as const }] : []),
    dug('fill', 'new-concrete', [top, top], [-start + bed, -end + bed]),
    ...(bed > 0 ? [dug('stone', 'stone', [-start + bed, -end + bed], [-start, -end])] : []),
    ...others,
    planned,
  ]
}

function measuresOf(
  hole: DesignedHole,
  {
    depth,
    width,
    left,
    right,
  }: { depth?: Metres | undefined; width?: Metres | undefined; left: Metres; right: Metres },
): Measure[] {
  const below = -Math.max(depth ?? hole.depth, hole.depth) - 0.09
  const depths: Measure[] =
    depth === undefined
      ? []
      : [
          {
            key: 'depth',
            says: 'deep as built',
            words: 'deep',
            from: [right + 0.06, 0],
            to: [right + 0.06, -depth],
            side: 'right',
            length: Math.round(depth * 100) / 100,
          },
          ...(Math.abs(depth - hole.depth) > SEEN
            ? [
                {
                  key: 'depth-off',
                  says: depth > hole.depth ? 'deeper than planned' : 'less deep than planned',
                  words: depth > hole.depth ? 'deeper' : 'less',
                  from: [left - 0.06, -Math.min(depth, hole.depth)] as const,
                  to: [left - 0.06, -Math.max(depth, hole.depth)] as const,
                  side: 'left' as const,
                  length: Math.round(Math.abs(depth - hole.depth) * 100) / 100,
                },
              ]
            : []),
        ]
  const widths: Measure[] =
    width === undefined
      ? []
      : [
          {
            key: 'width',
            says: 'wide as built',
            from: [left, below],
            to: [right, below],
            side: 'below',
            length: width,
            words: Math.abs(width - hole.diameter) > SEEN ? 'wide as built' : 'wide',
          },
        ]
  return [...depths, ...widths]
}
