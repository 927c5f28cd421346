import { number } from 'yup'
import type { Line } from '../../document/job'
import { lineSchema } from '../../document/lineSchema'
import { lineTarget, withItem, type LineAddress } from '../changes'
import { lineAddress, put, type CommandKind } from '../command'

/** A whole line put in, or taken out. */
export interface PutLine extends LineAddress {
  name: 'putLine'
  value: Line | null
  /** Place among the lines, where it is put back. */
  at?: number
}

export const putLine: CommandKind<PutLine> = {
  name: 'putLine',
  fields: { ...lineAddress, ...put(lineSchema, 'line'), at: number().strict().integer().min(0) },
  target: lineTarget,
  apply: (job, { line, value, at }) => ({ ...job, lines: withItem(job.lines, line, value, at) ?? [] }),
  inverse(job, command) {
    const at = job.lines.findIndex(({ id }) => id === command.line)
    return { ...command, value: job.lines[at] ?? null, ...(at < 0 ? {} : { at }) }
  },
  says: ({ value }) => (value ? `a line of ${value.posts.length} posts` : 'taken out'),
}
