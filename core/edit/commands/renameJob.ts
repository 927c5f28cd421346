import { name } from '../../schema/fields'
import { LONGEST } from '../../limits'
import type { CommandKind } from '../command'

export interface RenameJob {
  name: 'renameJob'
  value: string
}

export const renameJob: CommandKind<RenameJob> = {
  name: 'renameJob',
  fields: { value: name(LONGEST.name) },
  target: () => ['name'],
  apply: (job, { value }) => ({ ...job, name: value }),
  inverse: (job, command) => ({ ...command, value: job.name }),
  says: ({ value }) => value,
}
