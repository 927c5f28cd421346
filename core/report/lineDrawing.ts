import type { ResolvedLine } from '../resolve/resolve'
import { leanSlopes } from '../setout/lean'
import { element, textLine } from './svg'

/** Width of a drawing in its own points, and what stands round the fence. */
const WIDTH = 1_000
const ROOM = { side: 30, top: 40, foot: 56 }
/** No line is drawn higher than this: a short fence fills its width. */
const MOST_SCALE = 90

/**
 * Lines in true scale, one over the other: their posts as they stand, those that are worked on marked and named.
 *
 * @param lines  of the posts that are worked on
 * @param worked their names
 * @returns one SVG document
 */
export function linesDrawing(lines: readonly ResolvedLine[], worked: ReadonlySet<string>): string {
  let top = 0
  const drawn = lines.map((line) => {
    const scale = Math.min(MOST_SCALE, (WIDTH - 2 * ROOM.side) / Math.max(1, line.length))
    const ground = top + ROOM.top + line.height * scale
    top = ground + ROOM.foot
    return lineParts(line, worked, { scale, ground })
  })
  return `${element(
    'svg',
    { xmlns: 'http://www.w3.org/2000/svg', viewBox: `0 0 ${WIDTH} ${Math.max(1, Math.round(top))}`, fill: '#22302f' },
    drawn.join(''),
  )}\n`
}

function lineParts(
  line: ResolvedLine,
  worked: ReadonlySet<string>,
  { scale, ground }: { scale: number; ground: number },
) {
  const first = line.posts[0]?.station ?? 0
  const x = (station: number) => ROOM.side + (station - first) * scale
  const last = line.posts.at(-1)?.station ?? 0
  const height = line.height * scale
  const fence = element('rect', {
    x: x(first),
    y: ground - height,
    width: Math.max(1, x(last) - x(first)),
    height: height * 0.95,
    fill: '#efe6cf',
    stroke: '#b9a578',
    'stroke-width': 0.8,
  })
  const posts = line.posts.map((post) => {
    const isWorked = worked.has(post.id)
    const { along = 0 } = leanSlopes(post.observations?.lean)
    const [at, top] = [x(post.station), ground - height - 4]
    return [
      element('line', {
        x1: at,
        y1: ground + (isWorked ? 12 : 4),
        x2: at + along * (height + 4),
        y2: top,
        stroke: isWorked ? '#22302f' : '#8a7a55',
        'stroke-width': isWorked ? 5 : 3,
      }),
      ...(isWorked ? [textLine({ x: at, y: ground + 34, size: 18, text: post.id, bold: true, anchor: 'middle' })] : []),
    ].join('')
  })
  return [
    fence,
    ...posts,
    element('line', { x1: 0, x2: WIDTH, y1: ground, y2: ground, stroke: '#7a5536', 'stroke-width': 2.4 }),
    textLine({ x: ROOM.side, y: ground + 52, size: 15, text: line.name ?? line.id }),
  ].join('')
}
