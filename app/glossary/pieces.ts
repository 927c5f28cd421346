import { measure, solid, stick, type FittedPicture } from '~/picture/model/fitted'
import { box, type Measure, type Point, type Solid } from '~~/core/repair/solids'

/* What the drawings of words are put together from: a fence, a hole, what stands in it. Metres. */

const HIGH = 1.2
const WIDE = 0.1

export const post = (x = 0, foot = 0.6, top = HIGH, key = 'post'): Solid =>
  solid(key, 'wood', box(x - WIDE / 2, x + WIDE / 2, -foot, top))
export const newPost = (x = 0, foot = 0.6, top = HIGH, key = 'post'): Solid =>
  solid(key, 'new-wood', box(x - WIDE / 2, x + WIDE / 2, -foot, top))
export const boards = (from: number, to: number, key = 'boards', bottom = 0.05, top = HIGH - 0.05): Solid =>
  solid(key, 'wood', box(from, to, bottom, top), [], 'thin')
export const concrete = (width = 0.3, top = 0.05, bottom = 0.6, x = 0, key = 'concrete'): Solid =>
  solid(key, 'new-concrete', box(x - width / 2, x + width / 2, -bottom, -top))
export const oldConcrete = (width = 0.3, top = 0.05, bottom = 0.6, x = 0, key = 'old'): Solid =>
  solid(key, 'old-concrete', box(x - width / 2, x + width / 2, -bottom, -top))
export const stone = (width = 0.3, top = 0.6, bottom = 0.7): Solid =>
  solid('stone', 'stone', box(-width / 2, width / 2, -bottom, -top))
export const stringAt = (height: number, from: number, to: number): Solid =>
  solid(`string-${height}`, 'steel', box(from, to, height - 0.008, height + 0.008), [], 'none')
/** Nothing but measures. */
export const measured = (...measures: Measure[]): Solid => solid('measures', 'outline', [[0, 0]], measures, 'none')
export const leaning = (top: number, key = 'leaning'): Solid => stick(key, [0, -0.3], [top, HIGH], WIDE)
export const across = (key: string, from: Point, to: Point, says: string, side: Measure['side'] = 'below'): Measure =>
  measure(key, from, to, side, says)
export const inGround = (...solids: Solid[]): FittedPicture => ({ solids, hasGround: true })
