import { arrow, measure, solid, stick } from '~/picture/model/fitted'
import { box, type Point } from '~~/core/repair/solids'
import { number, numbers, type Draw } from './drawnValues'

/* Calculations of a fence: what stands along it, leans, is propped, hangs and is strung. */

export const fenceStretch: Draw = (given, found) => {
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

export const rakingProp: Draw = (given, found) => {
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

export const leaningPost: Draw = (given, found) => {
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

export const postsAlong: Draw = (given, found) => {
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

export const gateOpening: Draw = (given, found) => {
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

export const boardsOver: Draw = (given, found) => {
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

export const sagging: Draw = (given, found) => {
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
