import { InputError } from '~~/core/errors'
import { applyCommands, type Command } from '~~/core/edit/commands'
import { knownKeys } from '~~/core/document/knownKeys'
import { checkJob, checkOrder } from '~~/core/document/schema'
import type { Job } from '~~/core/document/job'
import { tables } from '~~/data/tables'

const known = knownKeys(tables)

/**
 * What is wrong with an edit, before it is made: the server would refuse it for the same reason.
 * Only what the commands touch is checked whole, so that long lines answer at once.
 *
 * @returns an error whose key is the last part of the path, for the field
 */
export function checkEdit(job: Job, commands: readonly Command[]): InputError | undefined {
  try {
    const edited = applyCommands(job, commands)
    const [first] = [...checkJob(touchedPart(edited, commands), known), ...checkOrder(edited)]
    return first && new InputError(first.key.split('.').pop()!, first.value, first.range)
  } catch (error) {
    // A post or line that somebody else took out.
    if (error instanceof InputError) return error
    throw error
  }
}

function touchedPart(job: Job, commands: readonly Command[]): Job {
  const posts = new Set(commands.flatMap((command) => ('post' in command ? [command.post] : [])))
  const whole = new Set(
    commands.flatMap((command) => ('line' in command && !('post' in command) ? [command.line] : [])),
  )
  const lines = job.lines
    .map((line) => (whole.has(line.id) ? line : { ...line, posts: line.posts.filter((post) => posts.has(post.id)) }))
    .filter((line) => line.posts.length > 0)
  // A part without a line is no job: an edit of the job itself, or the last post of a line taken out.
  return lines.length > 0 && job.lines.every((line) => line.posts.length > 0) ? { ...job, lines } : job
}
