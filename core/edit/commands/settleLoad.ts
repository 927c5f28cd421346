import type { string } from 'yup'
import { neededTime } from '../../schema/fields'
import { withKey } from '../changes'
import type { CommandKind } from '../command'

/** What was left is back in the yard's list. */
export interface SettleLoad {
  name: 'settleLoad'
  /** Since when; null where it is not. */
  value: string | null
}

export const settleLoad: CommandKind<SettleLoad> = {
  name: 'settleLoad',
  fields: { value: (neededTime() as ReturnType<typeof string>).nullable() },
  target: () => ['load', 'settled'],
  apply(job, { value }) {
    const load = withKey(job.load ?? {}, 'settled', value)
    return withKey(job, 'load', Object.keys(load).length > 0 ? load : null)
  },
  inverse: (job, command) => ({ ...command, value: job.load?.settled ?? null }),
  says: ({ value }) => (value === null ? 'not put back' : 'put back in the yard'),
}
