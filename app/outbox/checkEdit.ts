import { InputError } from '~~/core/errors'
import { applyCommands, type Command } from '~~/core/job/commands'
import { knownKeys } from '~~/core/job/knownKeys'
import { checkJob } from '~~/core/job/schema'
import type { Job } from '~~/core/job/types'
import { tables } from '~~/data/tables'

const known = knownKeys(tables)

/**
 * What is wrong with an edit, before it is made: the server would refuse it for the same reason.
 * Only the posts that the commands touch are checked, so that long lines answer at once.
 *
 * @returns an error whose key is the last part of the path, for the field
 */
export function checkEdit(job: Job, commands: readonly Command[]): InputError | undefined {
  const touched = new Set(commands.flatMap((command) => ('post' in command ? [command.post] : [])))
  const edited = applyCommands(job, commands)
  const part = touched.size === 0 ? edited : onlyPosts(edited, touched)
  const [first] = checkJob(part, known)
  return first && new InputError(first.key.split('.').pop()!, first.value, first.range)
}

function onlyPosts(job: Job, ids: ReadonlySet<string>): Job {
  const lines = job.lines.map((line) => ({ ...line, posts: line.posts.filter((post) => ids.has(post.id)) }))
  return { ...job, lines: lines.filter((line) => line.posts.length > 0) }
}
