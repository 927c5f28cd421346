import type { DaySetup } from '../../document/job'
import { daySchema } from '../../document/daySchema'
import { withKey } from '../changes'
import { keyWords, oneKeyOf, type CommandKind, type KeyValue } from '../command'

/** One thing about the days that the job is worked on. */
export type SetDay = { name: 'setDay' } & KeyValue<DaySetup>

export const setDay: CommandKind<SetDay> = {
  name: 'setDay',
  fields: oneKeyOf(daySchema),
  target: ({ key }) => ['day', key],
  apply(job, { key, value }) {
    const day = withKey((job.day ?? {}) as DaySetup, key, value)
    return withKey(job, 'day', Object.keys(day).length > 0 ? day : null)
  },
  inverse: (job, command) => ({ ...command, value: job.day?.[command.key] ?? null }) as SetDay,
  says: (command, words) => keyWords(daySchema, command, words),
}
