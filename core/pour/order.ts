import { minutesUntil, WET_MARKS, type Span } from '../concrete/wetClock'
import { MINUTE_MS, type Moment } from '../weather/forecast'
import type { PourClock } from './clock'
import type { PourSetting } from './setting'

/** A post that waits to be poured. */
export interface Waiting {
  post: string
  /** It carries the string, or a gate hangs on it. */
  isFirst: boolean
}

/**
 * In which order posts are poured: ends, corners and gate posts, from which the string is pulled, then the line posts in
 * walking order.
 *
 * @param posts in walking order
 */
export const pourOrder = <P extends Waiting>(posts: readonly P[]): P[] => [
  ...posts.filter(({ isFirst }) => isFirst),
  ...posts.filter(({ isFirst }) => !isFirst),
]

/** When a wet post wants somebody: read at half, and held to from four fifths until it is left alone. */
export interface Wants {
  half: Moment
  from: Moment
  to: Moment
}

/** @returns undefined for one that nobody has to stay with any more, or that never stiffens */
export function wantsOf({ marks, stage }: Pick<PourClock, 'marks' | 'stage'>): Wants | undefined {
  const [half, from, to] = marks.map(({ at }) => at)
  return stage === 'set' || half == null || from == null || to == null ? undefined : { half, from, to }
}

/**
 * Whether so many people can see to all wet posts: no more last fifths at once than there are people who read a level,
 * and somebody free for each half-way mark.
 */
export function canBeSeenTo(wet: readonly Wants[], people: number): boolean {
  const holding = (at: Moment, except: Wants) =>
    wet.filter((each) => each !== except && each.from <= at && at < each.to).length
  // How many hold at once can only grow where one begins.
  return wet.every((each) => holding(each.from, each) < people && holding(each.half, each) < people)
}

export type Start =
  | { at: Moment; waitsFor: 'nothing' | 'others' }
  | { at: null; because: 'nobody-stays' | 'never-stiffens' }

/** As far as it looks for room. */
const LOOK_AHEAD_MINUTES = 12 * 60

/**
 * When the next pour may start: someone can stay until it can no longer be moved, and it is in no other's way.
 *
 * @param spansFrom temperatures of the mix from a moment on
 * @param until     the last moment that somebody is here
 * @param people    who can read a level
 */
export function nextStart(
  { works, rateOf }: Pick<PourSetting, 'works' | 'rateOf'>,
  wet: readonly Wants[],
  now: Moment,
  { spansFrom, until, people }: { spansFrom: (start: Moment) => readonly Span[]; until: Moment; people: number },
): Start {
  for (let minute = 0; minute <= LOOK_AHEAD_MINUTES; minute++) {
    const start = now + minute * MINUTE_MS
    const spans = spansFrom(start)
    const [half, from, to] = WET_MARKS.map(({ share }) => minutesUntil(share * works, spans, rateOf))
    if (half == null || from == null || to == null) return { at: null, because: 'never-stiffens' }
    const wants: Wants = {
      half: start + half * MINUTE_MS,
      from: start + from * MINUTE_MS,
      to: start + to * MINUTE_MS,
    }
    if (wants.to > until) return { at: null, because: 'nobody-stays' }
    if (canBeSeenTo([...wet, wants], people)) return { at: start, waitsFor: minute === 0 ? 'nothing' : 'others' }
  }
  return { at: null, because: 'nobody-stays' }
}
