import type { Metres } from '../../units/types'
import type { StringHold } from '../stringOver'
import { stringOver } from '../stringOver'
import { followTops, levelTops, steppedTops, straightTops, type TopLine } from './topLine'

interface PostAlong {
  station: Metres
  groundLevel?: Metres | undefined
  carriesString?: boolean | undefined
}

export interface AskedTop {
  top?: TopLine | undefined
  first?: Metres | undefined
  last?: Metres | undefined
  change?: number | undefined
  step?: Metres | undefined
}

export interface LineTops {
  /** Where the upper string is held, over the ground at the first post, by rising station. */
  string: StringHold[]
  /** Where the top of each post comes, over the same datum. */
  tops: Metres[]
}

/**
 * The upper string of a line and the tops of its posts.
 *
 * Where nobody asked for a kind of top, it lies straight from one post that carries it to the next, the fence's height
 * over the ground there; on the first and the last where fewer than two carry it.
 *
 * @param fence `height`, and `gap` under its cladding, m
 */
export function lineTops(
  posts: readonly PostAlong[],
  { height, gap }: { height: Metres; gap: Metres },
  asked: AskedTop = {},
): LineTops {
  const inOrder = posts.every(({ station }, i) => i === 0 || station > posts[i - 1]!.station)
  // Posts on one spot have no slope between them.
  if (!asked.top || posts.length < 2 || !inOrder) return carried(posts, height)
  const stations = posts.map(({ station }) => station)
  const levels = posts.map(({ groundLevel = 0 }) => groundLevel)
  const held = (tops: Metres[]): LineTops => ({
    tops,
    string: tops.map((top, i) => ({ station: stations[i]!, height: top })),
  })
  switch (asked.top) {
    case 'level':
      return held(levelTops(levels, height))
    case 'straight':
      return held(straightTops(stations, levels, asked.first ?? height, asked.last ?? height))
    case 'follow':
      return held(followTops(stations, levels, height, asked.change))
    case 'stepped': {
      const { tops: bays } = steppedTops(levels, height - gap, gap, asked.step)
      return {
        // Level over each bay, a step at each post; each post as tall as its higher side asks.
        string: bays.flatMap((top, i) => [
          { station: stations[i]!, height: top },
          { station: stations[i + 1]!, height: top },
        ]),
        tops: posts.map((_post, i) => Math.max(bays[i - 1] ?? -Infinity, bays[i] ?? -Infinity)),
      }
    }
  }
}

function carried(posts: readonly PostAlong[], height: Metres): LineTops {
  const string = holdsOver(posts, height)
  return { string, tops: posts.map(({ station }) => stringOver(string, station)) }
}

/** A string straight from one post that carries it to the next, so far over the ground there. */
export function holdsOver(posts: readonly PostAlong[], over: Metres): StringHold[] {
  return carriersOf(posts)
    .map(({ station, groundLevel = 0 }) => ({ station, height: groundLevel + over }))
    .sort((a, b) => a.station - b.station)
}

/** The posts chosen to carry the strings; the first and the last where fewer than two are. */
export function carriersOf<P extends PostAlong>(posts: readonly P[]): P[] {
  const chosen = posts.filter(({ carriesString }) => carriesString)
  return chosen.length < 2 ? posts.filter((_post, i) => i === 0 || i === posts.length - 1) : chosen
}
