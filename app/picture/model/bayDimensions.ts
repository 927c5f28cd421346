import type { ResolvedLine } from '~~/core/resolve/resolve'
import type { Snapped } from '~~/core/setout/snap'
import type { Metres } from '~~/core/units/types'
import type { Measure } from '~~/core/repair/solids'
import type { Viewport } from './viewport'

/** Room over the fence that a dimension with its figure takes, px. */
const ROOM = 60

/** Over the tops where there is room for words, else just under them: height over the ground, m. */
export function heightOfBays(fence: Metres, { groundY, pixelsPerMetre }: Viewport): Metres {
  return groundY - fence * pixelsPerMetre > ROOM ? fence + 0.16 : fence - 0.3
}

/**
 * The bays on both sides of a post.
 *
 * @param y  height over the ground at which they are drawn, m
 * @param to what a post that is being pulled has snapped to
 */
export function bayDimensions(line: ResolvedLine, id: string, y: Metres, to?: Snapped['to']): Measure[] {
  const i = line.posts.findIndex((post) => post.id === id)
  return [line.posts[i - 1], line.posts[i + 1]].flatMap((other, side): Measure[] => {
    if (i < 0 || !other) return []
    const [left, right] = [line.posts[i]!.station, other.station].sort((a, b) => a - b) as [Metres, Metres]
    // The same bay as before is the one on the left; equal ones are both.
    const words = to && (side === 0 || to === 'equal bays') ? { words: to } : {}
    return [
      {
        key: `bay-${side}`,
        says: 'bay',
        from: [left, y],
        to: [right, y],
        side: 'over',
        length: right - left,
        ...words,
      },
    ]
  })
}
