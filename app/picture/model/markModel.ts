import type { Mark } from '~~/core/document/job'
import type { Metres } from '~~/core/units/types'
import { box, type Matter, type Point } from '~~/core/repair/solids'

export interface MarkModel {
  key: string
  /** Filled outline, m, x counted from the start of the line. */
  points: Point[]
  matter: Matter
  label: string
  /** Where the words point to. */
  at: Point
  /** It goes on along the line: no peg marks it. */
  isRun?: true
}

/** Depth at which what lies buried is drawn where nobody measured it, m. */
const BURIED: Metres = 0.45
const ROOT_DEPTH: Metres = 0.25
const SHOWN_HEIGHT: Metres = 1.2
/** What hangs on the fence is drawn at this height, a run of it this thick, m. */
const HUNG: Metres = 0.55
const RUN: Metres = 0.035
const MATTERS = { service: 'steel', root: 'decay', downpipe: 'steel', wall: 'stone', tree: 'topping' } as const

const NAMES = { service: 'service', root: 'root', downpipe: 'downpipe', wall: 'wall', tree: 'tree' } as const

/**
 * What lies along the line, as it is drawn: services and roots below the ground, the rest above it.
 *
 * @param rise of the ground there over the ground of the chosen post, m
 */
export function markModel(mark: Mark, rise: Metres, show: (length: Metres) => string): MarkModel {
  const { station, kind, size } = mark
  const shape = (half: Metres, bottom: Metres, top: Metres) =>
    box(station - half, station + half, rise + bottom, rise + top)
  const model = (points: Point[], matter: Matter, y: Metres): MarkModel => ({
    key: mark.id,
    points,
    matter,
    label: markWords(mark, show),
    at: [station, rise + y],
  })
  if (mark.above || mark.to !== undefined) {
    const [from, to] = [station, mark.to ?? station].sort((a, b) => a - b) as [Metres, Metres]
    const y = mark.above ? HUNG : -BURIED
    return {
      ...model(box(from - RUN / 2, to + RUN / 2, rise + y - RUN / 2, rise + y + RUN / 2), MATTERS[kind], y),
      isRun: true,
    }
  }
  switch (kind) {
    case 'service':
      return model(diamond(station, rise - BURIED, 0.09), 'steel', -BURIED)
    case 'root':
      return model(
        shape(Math.max(0.12, (size ?? 0.05) * 2), -ROOT_DEPTH - (size ?? 0.05), -ROOT_DEPTH),
        'decay',
        -ROOT_DEPTH,
      )
    case 'downpipe':
      return model(shape(0.04, -0.2, SHOWN_HEIGHT), 'steel', 0.5)
    case 'wall':
      return model(shape(0.11, -0.3, SHOWN_HEIGHT), 'stone', 0.5)
    case 'tree':
      return model(shape((size ?? 0.3) / 2, -0.1, SHOWN_HEIGHT), 'topping', 0.7)
  }
}

const diamond = (x: Metres, y: Metres, half: Metres): Point[] => [
  [x - half, y],
  [x, y + half],
  [x + half, y],
  [x, y - half],
]

/** @example markWords({ kind: 'service', service: 'gas', offset: -0.4, … }, show) // 'gas, 0.40 m to the left' */
export function markWords(mark: Mark, show: (length: Metres) => string): string {
  const { kind, service, offset = 0, above, to, station } = mark
  const name = kind === 'service' && service && service !== 'unknown' ? service : NAMES[kind]
  const until = to === undefined ? '' : `, from ${show(Math.min(station, to))} to ${show(Math.max(station, to))}`
  if (above && offset === 0) return `${name}, on the fence${until}`
  if (until) return `${name}, ${offset === 0 ? 'under the line' : aside(offset, show)}${until}`
  if (offset === 0) return `${name}, under the line`.replace(/^(downpipe|wall|tree), under/, '$1, on')
  return `${name}, ${aside(offset, show)}`
}
const aside = (offset: Metres, show: (length: Metres) => string) =>
  `${show(Math.abs(offset))} to the ${offset < 0 ? 'left' : 'right'}`
