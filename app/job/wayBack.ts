import type { Job, Line, Post } from '~~/core/document/job'
import { applyCommand, inverseOf, inverseOfAll, subjectWords } from '~~/core/edit/apply'
import type { Command } from '~~/core/edit/commands'
import { InputError } from '~~/core/errors'
import type { Step } from '~/sync/storage'
import { sameData } from '~~/core/sameData'

/** What a step back can do now, and what others have changed since, in words. */
export interface TakenBack {
  commands: Command[]
  left: string[]
}

export const stepOf = (before: Job, commands: readonly Command[]): Step => ({
  back: inverseOfAll(before, commands),
  made: [...commands],
})

/**
 * The edits that take a step back on the job as it is now. What others have written since is left as it is, and a post
 * that holds what somebody has read or photographed is not taken away.
 */
export function takeBack(now: Job, { back, made }: Step): TakenBack {
  const result: TakenBack = { commands: [], left: [] }
  let at = now
  for (const [i, command] of back.entries()) {
    // The way back begins with the last edit; of older steps it is not known what they made.
    const forward = made.length === back.length ? made[made.length - 1 - i] : undefined
    if (forward && !isAsMade(at, forward)) result.left.push(subjectWords(command))
    else {
      result.commands.push(command)
      // What was written twice is looked at as it was after the first time.
      at = forward ? applyCommand(at, command) : at
    }
  }
  return result
}

function isAsMade(now: Job, made: Command): boolean {
  try {
    // Entries of a set: taking one back touches no other.
    if (made.name === 'setReading' && (made.reading || made.without)) return inverseOf(now, made) !== undefined
    const { value } = inverseOf(now, made) as { value?: unknown }
    if ((made.name === 'putPost' || made.name === 'putLine') && made.value && value)
      return !holdsMore(value as Post | Line, made.value)
    return sameData(value ?? null, made.value ?? null)
  } catch (error) {
    if (error instanceof InputError) return false
    throw error
  }
}

/** Whether somebody has read, said or photographed something since it was put in. */
function holdsMore(thing: Post | Line, made: Post | Line): boolean {
  if ('posts' in thing) return thing.posts.some((post) => holdsMore(post, madePost(made as Line, post.id)))
  const post = made as Post
  const standing = ({ readings = [] }: Post) => readings.filter(({ withdrawn }) => !withdrawn).length
  return (
    standing(thing) > standing(post) ||
    (thing.photographs?.length ?? 0) > (post.photographs?.length ?? 0) ||
    !sameData(thing.judgement, post.judgement)
  )
}

const madePost = ({ posts }: Line, id: string): Post => posts.find((post) => post.id === id) ?? { id, station: 0 }
