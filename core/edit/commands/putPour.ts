import type { Pour } from '../../document/job'
import { pourSchema } from '../../document/pourSchema'
import { LONGEST } from '../../limits'
import { name } from '../../schema/fields'
import { findPour, pourTarget, withItem, withKey, type PourAddress } from '../changes'
import { put, type CommandKind } from '../command'

/** A pour begun, or taken out as one that never was. */
export interface PutPour extends PourAddress {
  name: 'putPour'
  value: Pour | null
}

export const putPour: CommandKind<PutPour> = {
  name: 'putPour',
  fields: { pour: name(LONGEST.identity), ...put(pourSchema, 'pour') },
  target: pourTarget,
  apply: (job, { pour, value }) => withKey(job, 'pours', withItem(job.pours, pour, value)),
  inverse: (job, command) => ({ ...command, value: findPour(job, command) ?? null }),
  says: ({ value }) => (value ? `poured at ${value.post}` : 'taken out'),
}
