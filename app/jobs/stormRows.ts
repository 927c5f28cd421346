import type { StormPost } from '~~/core/storm/watch'

export interface StormRow {
  key: string
  posts: string[]
  chance: string
  says: string
  todo: string
}

const WHY: Record<StormPost['why'], string> = {
  green: 'its concrete is green',
  propped: 'green, on its props',
  gone: 'has given way already',
  standing: 'as it stands',
}
/** B9 before B10. */
const byName = new Intl.Collator('en', { numeric: true })
/** From here on it is called sure. */
const SURE = 0.95

/**
 * Posts of a job of which the same is to be done for the same reason in the same hour stand in one row.
 *
 * @param show a gust and a time in the words of the reader
 * @example stormRows(posts, show)[0] // L1, L5: '77 to 91 in 100', 'Tue 01:00: 21 m/s against 15 to 18 m/s, as it stands'
 */
export function stormRows(
  posts: readonly StormPost[],
  show: { gust: (gust: number) => string; time: (at: number) => string },
): StormRow[] {
  const groups = new Map<string, StormPost[]>()
  for (const post of posts) {
    const key = `${post.at} ${post.why} ${todoOf(post)}`
    groups.set(key, [...(groups.get(key) ?? []), post])
  }
  return [...groups].map(([key, all]) => {
    const [{ at, gust, why }] = all as [StormPost]
    const holds = [
      ...new Set(
        all
          .map(({ over }) => over)
          .sort((a, b) => a - b)
          .map(show.gust),
      ),
    ]
    const against = why === 'gone' ? '' : ` against ${[...new Set([holds[0], holds.at(-1)])].join(' to ')}`
    return {
      key,
      posts: all.map(({ post }) => post).sort(byName.compare),
      chance: chanceWords(all.map(({ chance }) => chance)),
      says: `${show.time(at)}: ${show.gust(gust)}${against}, ${WHY[why]}`,
      todo: todoOf(all[0]!),
    }
  })
}

function todoOf({ chance, why }: StormPost): string {
  if (why === 'green' || why === 'propped') return 'prop both faces, tie it back, panels off until it is hard'
  return chance > 0.5 ? 'take the panels out, tie them down, warn the owner' : 'prop it and tie it back'
}

function chanceWords(chances: readonly number[]): string {
  const [least, most] = [Math.min(...chances), Math.max(...chances)]
  if (least > SURE) return 'almost surely'
  const [from, to] = [least, Math.min(most, 0.99)].map((chance) => `${Math.round(chance * 100)}`)
  return from === to ? `${from} in 100` : `${from} to ${to} in 100`
}
