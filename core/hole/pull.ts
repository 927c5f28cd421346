import { LEAST_COVER } from '../concrete/cover'
import { tidy } from '../numeric/rounding'
import { footWidth, USUAL_BELL, type DesignedHole } from '../repair/holeShape'
import type { Metres } from '../units/types'
import type { HoleChange } from './bench'

/** A measure of a hole that can be pulled on in its section. */
export type Pulled =
  | 'depth'
  | 'diameter'
  | 'stoneBed'
  | 'fillTop'
  | 'bottomDiameter'
  | 'bellDiameter'
  | 'bellHeight'
  | 'shift'

export interface Grip {
  measure: Pulled
  /** Where it takes hold, m from the post's foot at the ground. */
  at: readonly [x: Metres, y: Metres]
  /** In which direction it is pulled, and how much of the measure a metre of pull is. */
  way: 'down' | 'across'
  per: number
  /** On which side of the hole there is room for a thumb. */
  side: 'left' | 'right' | 'below' | 'above'
  value: Metres
  least: Metres
  most: Metres
}

const LEAST_FILL: Metres = 0.15

/** What of a hole can be pulled on, by its shape; each within what can be dug. */
export function gripsOf(hole: DesignedHole, isFilled: boolean): Grip[] {
  const { shape, diameter, depth, stoneBed, fillTop, footingBottom, shift = 0 } = hole
  const middle = -shift
  const half = diameter / 2
  const top = Math.max(0, fillTop)
  const grips: Grip[] = [
    {
      measure: 'depth',
      at: [middle, -depth],
      way: 'down',
      per: 1,
      side: 'below',
      value: depth,
      least: Math.max(0.2, top + stoneBed + LEAST_FILL),
      most: 2,
    },
    // Both sides go out together.
    {
      measure: 'diameter',
      at: [middle + half, -depth / 3],
      way: 'across',
      per: 2,
      side: 'right',
      value: diameter,
      least: 0.1,
      most: 1.2,
    },
    {
      measure: 'stoneBed',
      at: [middle - footWidth(hole) / 2, -footingBottom],
      way: 'down',
      per: -1,
      side: 'left',
      value: stoneBed,
      least: 0,
      most: Math.max(0, depth - top - LEAST_FILL),
    },
  ]
  if (isFilled)
    grips.push({
      measure: 'fillTop',
      at: [middle - half, -fillTop],
      way: 'down',
      per: 1,
      side: 'left',
      value: fillTop,
      least: -0.1,
      most: Math.max(0, depth - stoneBed - LEAST_FILL),
    })
  if (shape === 'tapered')
    grips.push({
      measure: 'bottomDiameter',
      at: [middle + footWidth(hole) / 2, -depth],
      way: 'across',
      per: 2,
      side: 'right',
      value: footWidth(hole),
      least: 0.1,
      most: 1.2,
    })
  if (shape === 'belled') {
    const { bellHeight = USUAL_BELL } = hole
    grips.push({
      measure: 'bellDiameter',
      at: [middle + footWidth(hole) / 2, -depth + bellHeight / 2],
      way: 'across',
      per: 2,
      side: 'right',
      value: footWidth(hole),
      least: diameter,
      most: 1,
    })
  }
  const room = Math.max(0, half - LEAST_COVER)
  grips.push({
    measure: 'shift',
    at: [0, SHIFT_AT],
    way: 'across',
    per: 1,
    side: 'above',
    value: shift,
    least: -room,
    most: room,
  })
  return grips
}
/** The post is taken hold of just above the ground, m. */
const SHIFT_AT: Metres = 0.12

/** Marks that a pulled measure keeps to. */
export interface Marks {
  /** m. */
  step: Metres
  /** Widths of tools, depths of rules: they draw a little further. */
  strong?: readonly Metres[]
  /** How near a strong mark draws, m. */
  reach: Metres
}

/**
 * A pulled measure on its mark: on a tool's width or a rule's depth where it is near, else on the step.
 *
 * @example onMark(0.263, { step: 0.01, strong: [0.25, 0.3], reach: 0.02 }) // 0.25
 */
export function onMark(value: Metres, { step, strong = [], reach }: Marks): Metres {
  const near = strong.reduce<Metres | undefined>(
    (best, mark) =>
      Math.abs(mark - value) <= reach && (best === undefined || Math.abs(mark - value) < Math.abs(best - value))
        ? mark
        : best,
    undefined,
  )
  return tidy(near ?? Math.round(value / step) * step)
}

/** The hole after a pull of so many metres on one of its grips. */
export function pulledTo({ measure, per, value, least, most }: Grip, metres: Metres, marks: Marks): HoleChange {
  const to = Math.min(most, Math.max(least, onMark(value + metres * per, marks)))
  return { [measure]: tidy(to) }
}
