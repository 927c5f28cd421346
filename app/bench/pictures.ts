import { ARROW, arrow, measure, solid, stick, type FittedPicture } from '~/picture/model/fitted'
import { box, type Point } from '~~/core/repair/solids'

/*
 * Small drawings of calculations, in metres, from what was given and found: for those that have something to see.
 * Every calculation has the curve of its answer besides.
 */

type Values = Readonly<Record<string, unknown>>
type Draw = (given: Values, found: Values) => FittedPicture

const number = (values: Values, key: string, otherwise = 0): number =>
  typeof values[key] === 'number' && Number.isFinite(values[key]) ? (values[key] as number) : otherwise
const numbers = (values: Values, key: string): number[] => (Array.isArray(values[key]) ? (values[key] as number[]) : [])

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
const inGround: Draw = (given) => buried((given.segments as Segment[] | undefined) ?? [], number(given, 'height', 1))
const byCode: Draw = (given, found) => {
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

const dug: Draw = (given) => {
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

const fenceStretch: Draw = (given, found) => {
  const [height, from, to] = [number(given, 'height', 1.8), number(given, 'from'), number(given, 'to', 2.4)]
  const gap = number(given, 'gap')
  const middle = (from + to) / 2
  const half = Math.max(0.3, (to - from) / 2)
  return {
    hasGround: true,
    solids: [
      solid(
        'cladding',
        'wood',
        box(middle - half, middle + half, gap, height),
        [
          measure('stretch', [middle - half, height + 0.15], [middle + half, height + 0.15], 'above', 'the stretch'),
          measure('top', [middle + half + 0.15, height], [middle + half + 0.15, 0], 'right', 'its top'),
        ],
        'thin',
      ),
      solid('post', 'new-wood', box(middle - 0.05, middle + 0.05, -0.3, height + 0.05)),
      arrow(middle - 0.05, number(found, 'height', height / 2), 0.7),
    ],
  }
}

const rakingProp: Draw = (given, found) => {
  const angle = number(given, 'angle', number(found, 'angle', 1))
  const height = number(given, 'height', number(given, 'head', 1.2))
  const foot = number(found, 'foot', number(given, 'foot', height / Math.tan(angle)))
  return {
    hasGround: true,
    solids: [
      solid('post', 'wood', box(-0.05, 0.05, -0.4, height + 0.3)),
      stick('prop', [foot, 0], [0.05, height], 0.05, 'new-wood'),
      solid(
        'measures',
        'outline',
        [[0, 0]],
        [
          measure('foot', [0, -0.2], [foot, -0.2], 'below', 'from the post to its foot'),
          measure('head', [-0.2, 0], [-0.2, height], 'left', 'the height of its head'),
        ],
        'none',
      ),
    ],
  }
}

const leaningPost: Draw = (given, found) => {
  const height = number(given, 'height', 1.8)
  const off = number(found, 'topOffset', number(found, 'lean') * height)
  return {
    hasGround: true,
    solids: [
      solid('plumb', 'outline', box(-0.05, 0.05, 0, height), [], 'dashed'),
      stick('post', [0, 0], [off, height], 0.1),
      solid(
        'measures',
        'outline',
        [[0, 0]],
        [
          measure('off', [0, height + 0.12], [off, height + 0.12], 'above', 'out of plumb at the top'),
          measure('height', [Math.max(off, 0) + 0.25, height], [Math.max(off, 0) + 0.25, 0], 'right', 'its height'),
        ],
        'none',
      ),
    ],
  }
}

const postsAlong: Draw = (given, found) => {
  const stations = numbers(found, 'stations')
  const avoid = (given.avoid as { at: number; clear: number }[] | undefined) ?? []
  const bays = stations.slice(1).map((station, i) => station - stations[i]!)
  const widest = bays.indexOf(Math.max(...bays))
  return {
    hasGround: true,
    solids: [
      ...stations.map((station, i) => solid(`post-${i}`, 'new-wood', box(station - 0.06, station + 0.06, -0.5, 1.4))),
      ...avoid.map(({ at, clear }, i) =>
        solid(`clear-${i}`, 'outline', box(at - clear, at + clear, -0.6, 0.2), [], 'dashed'),
      ),
      ...(widest >= 0
        ? [
            solid(
              'measures',
              'outline',
              [[0, 0]],
              [measure('bay', [stations[widest]!, 1.8], [stations[widest + 1]!, 1.8], 'above', 'the widest bay')],
              'none',
            ),
          ]
        : []),
    ],
  }
}

const gateOpening: Draw = (given, found) => {
  const [opening, post] = [number(found, 'opening', 1), number(given, 'post', 0.1)]
  const hinge = number(given, 'hingeGap')
  let x = hinge
  const leaves = numbers(given, 'leaves').map((leaf, i) => {
    const at = x
    x += leaf + number(given, 'meetingGap')
    return solid(`leaf-${i}`, 'wood', box(at, at + leaf, 0.08, 1.6))
  })
  return {
    hasGround: true,
    solids: [
      solid('left', 'new-wood', box(-post, 0, -0.5, 1.7)),
      solid('right', 'new-wood', box(opening, opening + post, -0.5, 1.7), [
        measure('opening', [0, 1.85], [opening, 1.85], 'above', 'the clear opening'),
        measure('centres', [-post / 2, -0.65], [opening + post / 2, -0.65], 'below', 'from centre to centre'),
      ]),
      ...leaves,
    ],
  }
}

const boardsOver: Draw = (given, found) => {
  const [width, count, bay] = [number(given, 'width', 0.1), number(found, 'count'), number(given, 'bay', 2)]
  const gap = number(found, 'gap')
  const step = found.cover === undefined ? width + gap : number(found, 'cover', width)
  const start = found.cover === undefined ? gap : 0
  return {
    hasGround: true,
    solids: [
      ...Array.from({ length: Math.min(80, count) }, (_, i) =>
        solid(`board-${i}`, 'wood', box(start + i * step, start + i * step + width, 0.05, 1.5), [], 'thin'),
      ),
      solid('measures', 'outline', [[0, 0]], [measure('bay', [0, 1.7], [bay, 1.7], 'above', 'the bay')], 'none'),
    ],
  }
}

const sagging: Draw = (given, found) => {
  const [span, sag] = [number(given, 'span', 10), number(found, 'sag')]
  // Drawn as much too deep as it takes to be seen.
  const deep = Math.min(span / 6, Math.max(span / 60, sag * 40))
  const points = Array.from({ length: 25 }, (_, i): Point => {
    const t = i / 24
    return [span * t, -4 * deep * t * (1 - t)]
  })
  const thick = span / 200
  return {
    solids: [
      solid(
        'string',
        'steel',
        [...points, ...[...points].reverse().map(([x, y]): Point => [x, y - thick])],
        [measure('span', [0, span / 20], [span, span / 20], 'above', 'the span')],
        'none',
      ),
    ],
  }
}

const squareCorner: Draw = (given, found) => {
  const [a, b] = [number(given, 'a', 3), number(given, 'b', 4)]
  const thick = Math.max(a, b) / 60
  return {
    solids: [
      stick('a', [0, 0], [a, 0], thick),
      stick('b', [0, 0], [0, b], thick),
      stick('diagonal', [a, 0], [0, b], thick / 2, 'steel'),
      solid(
        'measures',
        'outline',
        [[0, 0]],
        [
          measure('a', [0, -thick * 5], [a, -thick * 5], 'below', 'one side'),
          measure('b', [-thick * 5, 0], [-thick * 5, b], 'left', 'the other side'),
          { ...measure('diagonal', [a, 0], [0, b], 'right', 'the diagonal'), length: number(found, 'diagonal') },
        ],
        'none',
      ),
    ],
  }
}

/** The post from above, its soft faces round what is left. */
const crossSection: Draw = (given) => {
  const shape = given.shape as string | undefined
  const soft = number(given, 'soft')
  const wall = number(given, 'wall')
  const [along, across] =
    shape === 'round' || shape === 'tube'
      ? [number(given, 'diameter', 0.1), number(given, 'diameter', 0.1)]
      : [number(given, 'along', 0.1), number(given, 'across', 0.1)]
  const ring = (less: number): Point[] =>
    shape === 'round' || shape === 'tube'
      ? Array.from({ length: 48 }, (_, i): Point => {
          const angle = (2 * Math.PI * i) / 48
          return [(along / 2 - less) * Math.cos(angle), (across / 2 - less) * Math.sin(angle)]
        })
      : box(less - along / 2, along / 2 - less, less - across / 2, across / 2 - less)
  const isMetal = shape === 'tube' || shape === 'hollow'
  const inner = isMetal ? wall : number(given, 'shell', 0)
  return {
    solids: [
      ...(soft > 0 ? [solid('soft', 'decay', ring(0), [], 'dashed')] : []),
      solid('left', isMetal ? 'steel' : 'wood', ring(Math.min(soft, along / 2)), [
        measure('along', [-along / 2, -across * 0.62], [along / 2, -across * 0.62], 'below', 'along the line'),
        measure('across', [along * 0.62, across / 2], [along * 0.62, -across / 2], 'right', 'across the line'),
      ]),
      ...(inner > 0 ? [solid('hollow', isMetal ? 'outline' : 'decay', ring(Math.min(inner, along / 2)))] : []),
    ],
  }
}

const sleeved: Draw = (given, found) => {
  const [insertion, height, clearance] = [
    number(given, 'insertion', 0.5),
    number(given, 'height', 1),
    number(given, 'clearance'),
  ]
  const off = number(found, 'topOffset')
  const half = 0.05 + clearance
  return {
    hasGround: true,
    solids: [
      solid('sleeve', 'steel', box(-half - 0.01, half + 0.01, -insertion, 0.02), [
        measure('insertion', [half + 0.15, 0], [half + 0.15, -insertion], 'right', 'how deep the post goes in'),
      ]),
      solid('straight', 'outline', box(-0.05, 0.05, -insertion, height), [], 'dashed'),
      stick('post', [-off * (insertion / Math.max(0.1, height)), -insertion], [off, height], 0.1),
    ],
  }
}

const cutPost: Draw = (given, found) => {
  const length = number(found, 'length', 2)
  const buy = number(found, 'buy', length)
  return {
    solids: [
      solid('stock', 'outline', box(0, buy, 0, 0.1), [], 'dashed'),
      solid('post', 'new-wood', box(0, length, 0, 0.1), [
        measure('length', [0, -0.15], [length, -0.15], 'below', 'the post'),
      ]),
    ],
  }
}

export const PICTURES: Readonly<Record<string, Draw>> = {
  'wind-force': fenceStretch,
  'wind-coefficient': fenceStretch,
  'code-depth': byCode,
  'code-force': byCode,
  'post-in-ground': inGround,
  'moment-rotation': inGround,
  'pull-test': inGround,
  'find-hole': (given, { best }) =>
    best
      ? dug(
          {
            post: given.post,
            hole: {
              diameter: number(best as Values, 'diameter'),
              depth: number(best as Values, 'depth'),
              stoneBed: number(given, 'stoneBed', 0.1),
              fillTop: number(given, 'fillTop', 0.075),
            },
          },
          {},
        )
      : { solids: [] },
  section: crossSection,
  'hole-volume': dug,
  bags: dug,
  'sleeve-play': sleeved,
  lean: leaningPost,
  'photo-lean': leaningPost,
  'string-sag': sagging,
  beam: sagging,
  spacing: postsAlong,
  'panel-spacing': postsAlong,
  'gate-opening': gateOpening,
  prop: rakingProp,
  'prop-force': rakingProp,
  boards: boardsOver,
  diagonal: squareCorner,
  'cut-length': cutPost,
}
