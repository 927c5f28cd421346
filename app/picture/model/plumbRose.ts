import type { SetOutPost } from '~~/core/plan/setOut/line'
import { leanSlopes, type LeanReading } from '~~/core/setout/lean'
import type { Metres } from '~~/core/units/types'

type Spot = readonly [x: number, y: number]

export interface PlumbRoseModel {
  /** In the units of the drawing, the middle of the foot at 0, 0; up is away. */
  top?: Spot
  match?: Spot
  live?: Spot
  /** Side of the foot's square. */
  foot: number
  /** What the outer circle stands for. */
  reach: string
  words: string
}

/** Radius of the outer circle, and what it stands for at least, m. */
const RADIUS = 80
const REACHES: readonly Metres[] = [0.025, 0.05, 0.1, 0.2, 0.4, 0.8, 1.6]
const FOOT = 22

/**
 * A post seen from above: where its top lies over its foot, and where it should.
 *
 * @param lean as recorded
 * @param live what a level shows now, m per m
 * @returns everything within one circle, whose radius is a round measure
 */
export function plumbRose(
  post: SetOutPost,
  lean: LeanReading | LeanReading[] | undefined,
  live: { direction: 'along' | 'across'; slope: number } | undefined,
  show: (length: Metres) => string,
): PlumbRoseModel {
  const slopes = leanSlopes(lean)
  const offsets = { along: slopes.along * post.upper, across: slopes.across * post.upper }
  const held = live && { ...offsets, [live.direction]: live.slope * post.upper }
  const match = post.weighed?.match
  const most = Math.max(
    Math.hypot(offsets.along, offsets.across),
    Math.abs(match ?? 0),
    held ? Math.hypot(held.along, held.across) : 0,
  )
  const reach = REACHES.find((each) => each >= most) ?? REACHES[REACHES.length - 1]!
  const spot = ({ along, across }: typeof offsets): Spot => [
    Math.round((along / reach) * RADIUS * 10) / 10,
    Math.round((-across / reach) * RADIUS * 10) / 10,
  ]
  return {
    ...(lean === undefined ? {} : { top: spot(offsets) }),
    ...(match === undefined || match === 0 ? {} : { match: spot({ along: 0, across: match }) }),
    ...(held ? { live: spot(held) } : {}),
    foot: FOOT,
    reach: show(reach),
    words: wordsOf(lean === undefined ? undefined : offsets, match, show),
  }
}

function wordsOf(
  offsets: { along: Metres; across: Metres } | undefined,
  match: Metres | undefined,
  show: (length: Metres) => string,
): string {
  const away = (length: Metres) => `${show(Math.abs(length))} ${length < 0 ? 'towards you' : 'away from you'}`
  const top = offsets
    ? `its top lies ${away(offsets.across)} and ${show(Math.abs(offsets.along))} to the ${offsets.along < 0 ? 'left' : 'right'}`
    : 'its lean was not measured'
  return `The post from above: ${top}${match ? `; its neighbours ask for ${away(match)}` : ''}`
}
