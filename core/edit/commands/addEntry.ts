import type { Entry, Job } from '../../document/job'
import { entrySchema } from '../../document/recordSchema'
import { LONGEST } from '../../limits'
import { flag, name } from '../../schema/fields'
import { withKey } from '../changes'
import { put, valueWords, type CommandKind } from '../command'

/** An entry of the record, for good; `back` marks one as taken back by whoever made it. */
export interface AddEntry {
  name: 'addEntry'
  entry: string
  value: Entry | null
  back?: boolean
}

export const addEntry: CommandKind<AddEntry> = {
  name: 'addEntry',
  fields: { entry: name(LONGEST.identity), ...put(entrySchema, 'entry'), back: flag() },
  target: ({ entry }) => ['entry', entry],
  apply(job, { entry, value, back }) {
    const known = job.entries ?? []
    const at = known.findIndex(({ id }) => id === entry)
    if (back || value === null) return at < 0 ? job : withKey(job, 'entries', known.with(at, withdrawn(known[at]!)))
    // What was taken back may come again; what stands is never written over.
    if (at >= 0) return known[at]!.withdrawn ? withKey(job, 'entries', known.with(at, value)) : job
    return withKey(job, 'entries', [...known, value])
  },
  inverse(job, command) {
    const known = found(job, command.entry)
    if (!command.back && command.value !== null) return known && !known.withdrawn ? command : { ...command, back: true }
    if (!known) return command
    const { withdrawn: _mark, ...value } = known
    return { name: 'addEntry', entry: command.entry, value }
  },
  says: ({ value, back }, words) =>
    back || value === null ? 'taken back' : `${value.kind.replaceAll('-', ' ')}: ${valueWords(value.value, words)}`,
}

const found = (job: Job, entry: string): Entry | undefined => job.entries?.find(({ id }) => id === entry)

const withdrawn = (entry: Entry): Entry => ({
  ...entry,
  withdrawn: { why: WITHDRAWN, ...(entry.by === undefined ? {} : { by: entry.by }) },
})
const WITHDRAWN = 'taken back by whoever made it'
