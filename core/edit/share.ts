import type { ObservationKey } from '../cause/observations'
import type { Hole, Job, Post, ReadingNote, RepairChoice } from '../document/job'
import { inverseOf } from './apply'
import { findPost, type PostAddress } from './changes'
import type { Command } from './commands'
import { SHARED_FACTS } from './grow'
import { sameData } from '../sameData'
import { holeEdit, postEdit } from './keyed'

/* Many posts alike: what one post has, given to others at once. */

/** Something that a post has and that may hold for others too. */
export interface SharedThing {
  /** @example 'soil', 'observations.pushPivot', 'repair', 'hole', 'mix' */
  key: string
  kind: 'fact' | 'finding' | 'choice'
  /** The edits that give it to another post. */
  commandsFor: (to: PostAddress, note: () => ReadingNote) => Command[]
}

/** All that a post has to give: its facts, what was seen of it, its repair, the hole of that and its mix. */
export function sharedThings(post: Post): SharedThing[] {
  const facts = SHARED_FACTS.filter((key) => post[key] !== undefined).map(
    (key): SharedThing => ({
      key,
      kind: 'fact',
      commandsFor: (to) => [postEdit(to, key, post[key]!)],
    }),
  )
  const findings = Object.entries(post.observations ?? {}).map(
    ([key, value]): SharedThing => ({
      key: `observations.${key}`,
      kind: 'finding',
      commandsFor: (to, note) => [{ name: 'setReading', ...to, key: key as ObservationKey, value, reading: note() }],
    }),
  )
  return [...facts, ...findings, ...choicesOf(post.repair ?? {})]
}

function choicesOf({ method, parts = {}, holes, hole, mix, filling }: RepairChoice): SharedThing[] {
  const own: Hole = (method === undefined ? undefined : holes?.[method]) ?? hole ?? {}
  const choice = (key: string, isThere: boolean, commandsFor: SharedThing['commandsFor']): SharedThing[] =>
    isThere ? [{ key, kind: 'choice', commandsFor }] : []
  return [
    ...choice('repair', method !== undefined, (to) => [
      { name: 'chooseRepair', ...to, value: method! },
      ...Object.entries(parts).map(([kind, value]): Command => ({ name: 'choosePart', ...to, kind, value })),
    ]),
    ...choice('hole', method !== undefined && Object.keys(own).length > 0, (to) =>
      (Object.keys(own) as (keyof Hole)[]).map((key) => holeEdit(to, method, key, own[key] ?? null)),
    ),
    ...choice('mix', mix !== undefined || filling !== undefined, (to) =>
      Object.entries({ mix, filling }).flatMap(([key, value]): Command[] =>
        value === undefined ? [] : [{ name: 'setRepair', ...to, key: key as 'mix' | 'filling', value }],
      ),
    ),
  ]
}

/** What giving comes to, before it is done. */
export interface Sharing {
  commands: Command[]
  /** What each post gets, by keys of {@link SharedThing}; what it keeps, since it has another of its own. */
  posts: { post: string; gets: string[]; keeps: string[] }[]
}

/**
 * Gives things of one post to others. What others have of their own stays, unless it is to be written over.
 *
 * @param keys of {@link sharedThings}
 * @param to   posts that get it; the one that gives is passed over
 * @param note time and person of a reading, made anew for each
 * @example share(job, B7, ['soil'], everyPost, false, note).commands // one for each post of which nobody told the soil
 */
export function share(
  job: Job,
  from: PostAddress,
  keys: readonly string[],
  to: readonly PostAddress[],
  isOver: boolean,
  note: () => ReadingNote,
): Sharing {
  const things = sharedThings(findPost(job, from)).filter(({ key }) => keys.includes(key))
  const result: Sharing = { commands: [], posts: [] }
  for (const address of to) {
    if (address.post === from.post && address.line === from.line) continue
    const [gets, keeps]: [string[], string[]] = [[], []]
    for (const { key, commandsFor } of things) {
      const wanted = commandsFor(address, note).filter((command) => !isSo(job, command))
      if (wanted.length === 0) continue
      if (!isOver && wanted.some((command) => valueNow(job, command) !== null)) keeps.push(key)
      else {
        gets.push(key)
        result.commands.push(...wanted)
      }
    }
    if (gets.length + keeps.length > 0) result.posts.push({ post: address.post, gets, keeps })
  }
  return result
}

/** What the post has where the command would write: what taking it back would bring. */
const valueNow = (job: Job, command: Command): unknown => (inverseOf(job, command) as { value?: unknown }).value ?? null
const isSo = (job: Job, command: Command): boolean =>
  sameData(valueNow(job, command), (command as { value?: unknown }).value)
