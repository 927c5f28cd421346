import type { Grip } from '~~/core/hole/pull'
import { px, type Viewport } from './viewport'

/** A grip as it lies on the screen: a thumb wide, beside what it pulls, with a line to it. */
export interface GripOnScreen extends Grip {
  /** Middle of the grip and the place that it pulls, px in the frame. */
  x: number
  y: number
  toX: number
  toY: number
}

/** A glove needs so much, px. */
export const GRIP = 48
/** Clear of the edge that it pulls, px. */
const OFF = 14
/** Clear of the width's figure under the hole, px. */
const UNDER_FIGURE = 52

/**
 * Grips beside the hole, none over another and none over the edge of the drawing.
 *
 * @param shift of the drawing's origin, px
 * @param station of the post, m
 */
export function gripsOnScreen(
  grips: readonly Grip[],
  { pixelsPerMetre, groundY, width, height }: Viewport,
  shift: number,
  station: number,
): GripOnScreen[] {
  const placed: GripOnScreen[] = []
  for (const grip of grips) {
    const toX = px((grip.at[0] + station) * pixelsPerMetre + shift)
    const toY = px(groundY - grip.at[1] * pixelsPerMetre)
    const [dx, dy] = ASIDE[grip.side]
    const step = GRIP + 2
    const off = GRIP / 2 + (grip.side === 'below' ? UNDER_FIGURE : OFF)
    let [x, y] = [toX + dx * off, toY + dy * off]
    x = Math.min(width - GRIP / 2, Math.max(GRIP / 2, x))
    y = Math.min(height - GRIP / 2, Math.max(GRIP / 2, y))
    // What would lie over another goes further out.
    while (placed.some((each) => Math.abs(each.x - x) < GRIP && Math.abs(each.y - y) < GRIP)) {
      if (dx === 0) x += step
      else x += dx * step
      if (x < GRIP / 2 || x > width - GRIP / 2) break
    }
    placed.push({ ...grip, x: px(x), y: px(y), toX, toY })
  }
  return placed
}

const ASIDE = { left: [-1, 0], right: [1, 0], below: [0, 1], above: [-1, 0] } as const
