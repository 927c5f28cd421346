import type { string } from 'yup'
import { loadedKey } from '../../document/loadSchema'
import { neededTime } from '../../schema/fields'
import { withKey } from '../changes'
import type { CommandKind } from '../command'

/** One thing is in the van, or taken out again; two people's ticks never meet but on the same thing. */
export interface TickLoaded {
  name: 'tickLoaded'
  key: string
  /** Since when; null where it is not. */
  value: string | null
}

export const tickLoaded: CommandKind<TickLoaded> = {
  name: 'tickLoaded',
  fields: { key: loadedKey(), value: (neededTime() as ReturnType<typeof string>).nullable() },
  target: ({ key }) => ['load', 'loaded', key],
  apply(job, { key, value }) {
    const others = (job.load?.loaded ?? []).filter((each) => each.key !== key)
    const loaded = value === null ? others : [...others, { key, at: value }].sort((a, b) => a.key.localeCompare(b.key))
    const load = withKey(job.load ?? {}, 'loaded', loaded.length > 0 ? loaded : null)
    return withKey(job, 'load', Object.keys(load).length > 0 ? load : null)
  },
  inverse: (job, command) => ({
    ...command,
    value: job.load?.loaded?.find(({ key }) => key === command.key)?.at ?? null,
  }),
  says: ({ value }) => (value === null ? 'not loaded' : 'loaded'),
}
