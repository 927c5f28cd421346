import type { SetOutPost } from '~~/core/plan/setOut/line'
import type { Metres } from '~~/core/units/types'
import { nameLabel, type Label } from './labels'
import { px, type Viewport } from './viewport'

/** What is held to at a post, with the rise of its ground over that of the chosen one. */
export interface StringPost extends SetOutPost {
  rise: Metres
}

/** Beside a post, clear of it; over a string; under the ground line, px. */
const [ASIDE, OVER, UNDER] = [14, 8, 44]
const UPPER_DROP = 32

/**
 * The gap at both strings of each post, and its running reading along the ground.
 *
 * @returns the chosen post first: it keeps its words where there is no room for all
 */
export function stringLabels(
  posts: readonly StringPost[],
  chosen: string,
  { pixelsPerMetre, groundY }: Viewport,
  says: { small: (length: Metres) => string; length: (length: Metres) => string },
): Label[] {
  const inOrder = [...posts].sort((a, b) => +(b.post === chosen) - +(a.post === chosen))
  return inOrder.flatMap(({ post, station, rise, upper, lower, gapLow, gapHigh }): Label[] => {
    const x = px(station * pixelsPerMetre)
    const at = (height: Metres) => px(groundY - (rise + height) * pixelsPerMetre)
    const gap = (key: string, length: Metres, height: Metres): Label => ({
      key: `gap-${key}-${post}`,
      text: says.small(length),
      style: 'dimension',
      anchor: 'start',
      x: x + ASIDE,
      y: at(height) - OVER,
      moves: [
        [0, 26],
        [-2 * ASIDE - 44, 0],
      ],
    })
    return [
      // Under its string: over it run the bays.
      gap('high', gapHigh, upper - UPPER_DROP / pixelsPerMetre),
      gap('low', gapLow, lower),
      { ...nameLabel(`tape-${post}`, says.length(station), x, px(groundY - rise * pixelsPerMetre) + UNDER), moves: [] },
    ]
  })
}
