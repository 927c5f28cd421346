import { measure, solid, stick } from '~/picture/model/fitted'
import { box, type Point } from '~~/core/repair/solids'
import { number, type Draw } from './drawnValues'

/* Calculations of one part: a corner, a section, a sleeve, a cut. */

export const squareCorner: Draw = (given, found) => {
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
export const crossSection: Draw = (given) => {
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

export const sleeved: Draw = (given, found) => {
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

export const cutPost: Draw = (given, found) => {
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
