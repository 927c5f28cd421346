import { measuresIn, type Measures } from '../units/quantity'
import type { Metres } from '../units/types'
import type { Mark } from './job'

/** A hole nearer than this to something marked has to be dug with care; a working value. */
export const MARK_REACH: Metres = 1
/** Above the ground these are supported and clipped back; nobody is hurt by them. */
const HARMLESS: readonly (Mark['service'] | undefined)[] = ['water', 'drain', 'telecom']
/** A tree of this trunk at the post stops the ordinary flow. */
const LARGE_TREE: Metres = 0.15

/**
 * How far a mark is from the line at a station, m; of a run the nearest of it.
 *
 * @example distanceOf({ station: 3, offset: 4, … }, 0) // 5
 */
export function distanceOf({ station, to = station, offset = 0 }: Mark, at: Metres): Metres {
  const [from, until] = station <= to ? [station, to] : [to, station]
  return Math.hypot(Math.max(0, from - at, at - until), offset)
}

/** Marks within reach of a hole at a station, nearest first. */
export function marksNear(marks: readonly Mark[] = [], station: Metres): Mark[] {
  return marks
    .filter((mark) => distanceOf(mark, station) <= MARK_REACH)
    .sort((a, b) => distanceOf(a, station) - distanceOf(b, station))
}

/**
 * What the marks near a post ask of whoever digs there, in words.
 *
 * @returns flags that stop the ordinary flow: services that can hurt and that nobody has in hand, trees over 150 mm
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
        if (mark.inHand || (mark.above && HARMLESS.includes(mark.service ?? 'unknown'))) return []
        return [
          mark.above
            ? `A ${serviceWords(mark)} runs on the fence or over the ground ${away} from this post: find out whether it is live, and who may touch it.`
            : `A buried ${serviceWords(mark)} lies ${away} from this post: have it marked, dig by hand, keep clear of it.`,
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

/**
 * What services in hand still ask of whoever works at a post.
 *
 * @returns cautions for every method there
 */
export function markCautions(marks: readonly Mark[]): string[] {
  return marks.flatMap((mark) => {
    if (mark.kind !== 'service') return []
    const name = serviceWords(mark)
    const kept = mark.keep ? ' It stays live.' : ''
    if (mark.above)
      return [
        `A ${name} runs here above the ground: unclip and support it before the post moves, clip it back at the end.${kept}`,
      ]
    return mark.inHand ? [`A ${name} lies here, marked and in hand: dig by hand within half a metre of it.${kept}`] : []
  })
}

function serviceWords({ service = 'unknown' }: Mark): string {
  return service === 'unknown' ? 'service' : service === 'drain' ? 'drain' : `${service} line`
}
