import type { PostState } from '~~/core/document/postState'
import type { PostSummary } from '~~/core/document/summary'
import type { Metres } from '~~/core/units/types'

export interface OverviewMark {
  state: PostState
  /** Foot and top of the post, px. */
  foot: number
  top: number
}

/** A thin line cannot show a lean of a few centimetres: it is drawn larger than it is. */
const LEAN_LARGER = 3
const MARGIN = 10

/** Whole line in a strip of this width, every post at its station, px. */
export function overviewMarks(
  posts: readonly PostSummary[],
  length: Metres,
  width: number,
  postHeight: number,
): OverviewMark[] {
  const scale = (width - 2 * MARGIN) / Math.max(1e-6, length)
  return posts.map(({ station, state, lean }) => {
    const foot = Math.round((MARGIN + station * scale) * 10) / 10
    return { state, foot, top: Math.round((foot + lean * LEAN_LARGER * postHeight) * 10) / 10 }
  })
}

/** Posts of a long line are drawn thinner, so that gaps stay between them, px. */
export function strokeOf(marks: readonly OverviewMark[], width: number): number {
  const spacing = (width - 2 * MARGIN) / Math.max(1, marks.length - 1)
  return Math.min(3, Math.max(0.8, spacing * 0.4))
}

/** Index of the post nearest to a place on the strip. */
export function nearestPost(marks: readonly OverviewMark[], x: number): number {
  return marks.reduce((best, mark, i) => (Math.abs(mark.foot - x) < Math.abs(marks[best]!.foot - x) ? i : best), 0)
}
