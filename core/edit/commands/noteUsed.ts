import { loadedKey, usedFields } from '../../document/loadSchema'
import type { Job } from '../../document/job'
import { record } from '../../schema/fields'
import { withKey } from '../changes'
import type { CommandKind } from '../command'

type Used = NonNullable<NonNullable<Job['load']>['used']>[number]

/** What was used of one thing, bought of it on the way, or missing out there. */
export interface NoteUsed {
  name: 'noteUsed'
  key: string
  /** Null where nothing is to be said of it. */
  value: Omit<Used, 'key'> | null
}

export const noteUsed: CommandKind<NoteUsed> = {
  name: 'noteUsed',
  fields: { key: loadedKey(), value: record(usedFields()).nullable() },
  target: ({ key }) => ['load', 'used', key],
  apply(job, { key, value }) {
    const others = (job.load?.used ?? []).filter((each) => each.key !== key)
    const used = value === null ? others : [...others, { ...value, key }].sort((a, b) => a.key.localeCompare(b.key))
    const load = withKey(job.load ?? {}, 'used', used.length > 0 ? used : null)
    return withKey(job, 'load', Object.keys(load).length > 0 ? load : null)
  },
  inverse(job, command) {
    const found = job.load?.used?.find(({ key }) => key === command.key)
    if (!found) return { ...command, value: null }
    const { key: _key, ...value } = found
    return { ...command, value }
  },
  says: ({ value }) => (value === null ? 'nothing said of its use' : 'what was used of it'),
}
