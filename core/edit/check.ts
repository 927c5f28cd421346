import { InputError } from '../errors'
import { checkJob, checkOrder } from '../document/check'
import type { Job } from '../document/job'
import type { Tables } from '../tables/tables'
import { applyCommands, targetOf } from './apply'
import type { Command } from './commands'

/**
 * What is wrong with an edit, before it is made: the server would refuse it for the same reason.
 * Only what the commands touch is checked whole, so that long lines answer at once.
 *
 * @returns an error whose key is the last part of the path, for the field
 */
export function checkEdit(job: Job, commands: readonly Command[], tables: Tables): InputError | undefined {
  try {
    const edited = applyCommands(job, commands)
    const [first] = [
      ...checkJob(touchedPart(withTouchedEntries(edited, commands), commands), tables),
      ...checkOrder(edited),
    ]
    return first && new InputError(first.key.split('.').pop()!, first.value, first.range)
  } catch (error) {
    // A post or line that somebody else took out.
    if (error instanceof InputError) return error
    throw error
  }
}

const BESIDE = ['pour', 'entry', 'visit']

/** Of a record only what the commands put there: a long one is not read anew for each entry. */
function withTouchedEntries(job: Job, commands: readonly Command[]): Job {
  if (!job.entries) return job
  const ids = new Set(commands.flatMap((command) => (command.name === 'addEntry' ? [command.entry] : [])))
  return { ...job, entries: job.entries.filter(({ id }) => ids.has(id)) }
}

/** The job with only the posts that are touched, and what stands beside the lines only where that is. */
function touchedPart(job: Job, commands: readonly Command[]): Job {
  const part = touchedLines(job, commands)
  const isOfLines = part !== job && commands.every((command) => targetOf(command)[0] === 'line')
  return isOfLines ? { format: job.format, version: job.version, name: job.name, lines: part.lines } : part
}

/** Of a line whose own facts are touched its first post. */
function touchedLines(job: Job, commands: readonly Command[]): Job {
  const whole = new Set<string>()
  const facts = new Set<string>()
  const posts = new Set<string>()
  for (const target of commands.map(targetOf)) {
    const [part, line, inside, post] = target
    if (part !== 'line') continue
    if (target.length === 2) whole.add(line!)
    else if (inside === 'post') posts.add(post!)
    else facts.add(line!)
  }
  const lines = job.lines
    .map((line) => {
      if (whole.has(line.id)) return line
      return { ...line, posts: line.posts.filter(({ id }, i) => posts.has(id) || (i === 0 && facts.has(line.id))) }
    })
    .filter((line) => line.posts.length > 0)
  // Pours and entries stand beside the lines: one post stands for all of them.
  const isBeside = commands.every((command) => BESIDE.includes(targetOf(command)[0]!))
  if (isBeside) return { ...job, lines: [{ ...job.lines[0]!, posts: job.lines[0]!.posts.slice(0, 1) }] }
  // A part without a line is no job: an edit of the job itself, or the last post of a line taken out.
  return lines.length > 0 && job.lines.every((line) => line.posts.length > 0) ? { ...job, lines } : job
}
