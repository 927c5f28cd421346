import { requireNumber } from '../errors'
import type { Metres, Newtons, Pascals } from '../units/types'

export interface Beam {
  /** Load along it, N/m. */
  load: number
  /** As it stands, m. */
  section: { width: Metres; depth: Metres }
  /** Between the posts that carry it, m. */
  span: Metres
  /** Allowable bending and mean stiffness of its wood, Pa. */
  bending: Pascals
  stiffness: Pascals
}

export interface BeamAnswer {
  sag: Metres
  /** Bending stress in the middle, Pa. */
  stress: Pascals
  holds: boolean
  /** Push on a post between two such spans, N. */
  onPost: Newtons
  /** Posts to add between the two, evenly, until it holds and sags no more than a 360th of its span. */
  postsToAdd: number
}

/** Of the span: more is seen, and felt underfoot. The usual residential limit. */
const MOST_SAG = 1 / 360
const MOST_POSTS = 50

/**
 * A simple beam under an even load: how far it sags, whether it holds, and how many posts it wants between.
 *
 * @throws InputError when a figure leaves its range, or no number of posts would do
 * @source simple span: M = w L²/8, sag = 5 w L⁴/(384 E I); spans between added posts counted as simple ones, which is
 *   on the safe side; L/360 the usual residential limit
 * @example beam({ load: 2400, section: { width: 0.1, depth: 0.2 }, span: 3.6, bending: 7e6, stiffness: 8e9 })
 *   // sag 9.8 mm of 10 allowed, 5.83 MPa of 7: holds, 0 to add
 */
export function beam(question: Beam): BeamAnswer {
  const { load, section, span, bending, stiffness } = question
  requireNumber('load', load, 0, 1e5, 'N/m')
  requireNumber('section.width', section.width, 0.01, 1, 'm')
  requireNumber('section.depth', section.depth, 0.01, 1.5, 'm')
  requireNumber('span', span, 0.1, 20, 'm')
  requireNumber('bending', bending, 1e5, 1e9, 'Pa')
  requireNumber('stiffness', stiffness, 1e8, 1e12, 'Pa')
  const inertia = (section.width * section.depth ** 3) / 12
  const sagOf = (over: Metres) => (5 * load * over ** 4) / (384 * stiffness * inertia)
  const stressOf = (over: Metres) => (load * over ** 2) / 8 / ((section.width * section.depth ** 2) / 6)
  const isEnough = (over: Metres) => stressOf(over) <= bending && sagOf(over) <= MOST_SAG * over
  let postsToAdd = 0
  while (postsToAdd < MOST_POSTS && !isEnough(span / (postsToAdd + 1))) postsToAdd += 1
  return {
    sag: sagOf(span),
    stress: stressOf(span),
    holds: stressOf(span) <= bending,
    onPost: load * span,
    postsToAdd,
  }
}
