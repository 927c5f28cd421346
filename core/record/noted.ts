import type { Entry, Job } from '../document/job'
import type { Command } from '../edit/commands'
import { entriesAt } from './entries'
import { sameData } from '../sameData'

type Met = NonNullable<Job['lines'][number]['posts'][number]['met']>[number]

/** Who enters it, when, and under which identity. */
export interface Signed {
  at: string
  by?: string
}

/**
 * Entries of the record that belong to edits: a repair that was chosen, something that was met in a hole and what was
 * decided on it. A decision that is changed stands in the place of the one before.
 *
 * @param job      before the edits
 * @param identity makes a name for each entry
 */
export function notedWith(job: Job, commands: readonly Command[], signed: Signed, identity: () => string): Command[] {
  const add = (entry: Omit<Entry, 'id' | 'at' | 'by'>): Command => {
    const value: Entry = { id: identity(), ...signed, ...entry }
    return { name: 'addEntry', entry: value.id, value }
  }
  return commands.flatMap((command): Command[] => {
    if (command.name === 'chooseRepair' && command.value !== null) {
      const from = postOf(job, command)?.repair?.method
      if (from === command.value) return []
      const value = { method: command.value, ...(from === undefined ? {} : { from }) }
      return [add({ line: command.line, post: command.post, kind: 'choice', value })]
    }
    if (command.name !== 'setPost' || command.key !== 'met') return []
    const before = postOf(job, command)?.met ?? []
    const known = entriesAt(job, command, 'met')
    const now = (command.value as Met[] | null) ?? []
    return now
      .filter((met) => !before.some((each) => sameData(each, met)))
      .map((met) => {
        const same = known.find(({ value }) => value.kind === met.kind && value.depth === met.depth)
        return add({
          line: command.line,
          post: command.post,
          kind: 'met',
          value: met,
          ...(same ? { corrects: same.id } : {}),
        })
      })
  })
}

const postOf = (job: Job, { line, post }: { line: string; post: string }) =>
  job.lines.find(({ id }) => id === line)?.posts.find(({ id }) => id === post)
