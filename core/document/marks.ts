import { measuresIn, type Measures } from '../units/quantity'
import type { Metres } from '../units/types'
import type { Mark } from './job'

/** A hole nearer than this to something marked has to be dug with care; a working value. */
export const MARK_REACH: Metres = 1
/** A tree of this trunk at the post stops the ordinary flow. */
const LARGE_TREE: Metres = 0.15

/** How far a mark is from the line at a station, m. @example distanceOf({ station: 3, offset: 4, … }, 0) // 5 */
export const distanceOf = ({ station, offset = 0 }: Mark, at: Metres): Metres => Math.hypot(station - at, offset)

/** Marks within reach of a hole at a station, nearest first. */
export function marksNear(marks: readonly Mark[] = [], station: Metres): Mark[] {
  return marks
    .filter((mark) => distanceOf(mark, station) <= MARK_REACH)
    .sort((a, b) => distanceOf(a, station) - distanceOf(b, station))
}

/**
 * What the marks near a post ask of whoever digs there, in words.
 *
 * @returns flags that stop the ordinary flow: services, and trees over 150 mm
 */
export function markFlags(
  marks: readonly Mark[],
  station: Metres,
  { length, small }: Pick<Measures, 'length' | 'small'> = measuresIn('metric'),
): string[] {
  return marks.flatMap((mark) => {
    const away = length(Math.round(distanceOf(mark, station) * 20) / 20)
    switch (mark.kind) {
      case 'service':
        return [
          `A buried ${serviceWords(mark)} lies ${away} from this post: have it marked, dig by hand, keep clear of it.`,
        ]
      case 'tree':
        return (mark.size ?? 0) > LARGE_TREE
          ? [`A tree of ${small(mark.size!)} stands ${away} away: ask about tree protection first.`]
          : []
      default:
        return []
    }
  })
}

function serviceWords({ service = 'unknown' }: Mark): string {
  return service === 'unknown' ? 'service' : service === 'drain' ? 'drain' : `${service} line`
}
