import { ARROW, arrow, measure, solid, type FittedPicture } from '~/picture/model/fitted'
import { box, type Point } from '~~/core/repair/solids'
import { number, type Draw, type Values } from './drawnValues'

/* Calculations of the ground: what bears in it, and what is dug. */

interface Segment {
  top: number
  bottom: number
  width: number
}
/** What bears in the ground, the post above it, and the load at its height. */
function buried(segments: readonly Segment[], height: number): FittedPicture {
  const wide = segments[0]?.width ?? 0.1
  const post = Math.min(0.1, wide)
  const bottom = Math.max(...segments.map((each) => each.bottom))
  return {
    hasGround: true,
    solids: [
      ...segments.map((each, i) =>
        solid(`segment-${i}`, 'concrete', box(-each.width / 2, each.width / 2, -each.bottom, -each.top), [
          measure(
            `width-${i}`,
            [-each.width / 2, -each.bottom - 0.08],
            [each.width / 2, -each.bottom - 0.08],
            'below',
            'its width',
          ),
        ]),
      ),
      solid('post', 'new-wood', box(-post / 2, post / 2, -bottom, height + 0.2), [
        measure('depth', [wide / 2 + 0.12, 0], [wide / 2 + 0.12, -bottom], 'right', 'how deep it stands'),
        measure('height', [wide / 2 + 0.12, height], [wide / 2 + 0.12, 0], 'right', 'the height of the load'),
      ]),
      arrow(-post / 2, height, ARROW),
    ],
  }
}
export const inGround: Draw = (given) =>
  buried((given.segments as Segment[] | undefined) ?? [], number(given, 'height', 1))
export const byCode: Draw = (given, found) => {
  const bottom = number(given, 'depth', number(found, 'depth', 0.6))
  return buried([{ top: 0, bottom, width: number(given, 'width', 0.25) }], number(given, 'height', 1))
}

type Hole = Values & { shape?: string }
const widthsOf = (hole: Hole): [top: number, foot: number] =>
  hole.shape === 'tapered'
    ? [number(hole, 'topDiameter', 0.3), number(hole, 'bottomDiameter', 0.3)]
    : hole.shape === 'belled'
      ? [number(hole, 'diameter', 0.3), number(hole, 'bellDiameter', 0.4)]
      : hole.shape === 'square'
        ? [number(hole, 'side', 0.3), number(hole, 'side', 0.3)]
        : [number(hole, 'diameter', 0.3), number(hole, 'diameter', 0.3)]

export const dug: Draw = (given) => {
  const hole = (given.hole as Hole | undefined) ?? {}
  const [top, foot] = widthsOf(hole)
  const depth = number(hole, 'depth', 0.6)
  const stone = depth - number(hole, 'stoneBed')
  const fill = Math.max(0, number(hole, 'fillTop'))
  const bell = hole.shape === 'belled' ? depth - number(hole, 'bellHeight', 0.2) : 0
  const half = (z: number) =>
    hole.shape === 'tapered' ? (top + ((foot - top) * z) / depth) / 2 : (z > bell && bell > 0 ? foot : top) / 2
  const layer = (from: number, to: number): Point[] => {
    const steps = bell > from && bell < to ? [from, bell, bell + 1e-6, to] : [from, to]
    return [...steps.map((z): Point => [half(z), -z]), ...[...steps].reverse().map((z): Point => [-half(z), -z])]
  }
  const post = given.post as Values | undefined
  const wide = post ? number(post, 'along', number(post, 'diameter', 0.1)) : 0
  return {
    hasGround: true,
    solids: [
      solid('stone', 'stone', layer(stone, depth)),
      solid('concrete', 'new-concrete', layer(fill, stone), [
        measure('depth', [top / 2 + 0.1, 0], [top / 2 + 0.1, -depth], 'right', 'how deep it is dug'),
        measure('width', [-foot / 2, -depth - 0.08], [foot / 2, -depth - 0.08], 'below', 'its width at the foot'),
      ]),
      ...(fill > 0 ? [solid('topping', 'topping', layer(0, fill))] : []),
      ...(wide > 0 ? [solid('post', 'new-wood', box(-wide / 2, wide / 2, -stone, 0.4))] : []),
    ],
  }
}
