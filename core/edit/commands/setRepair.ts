import type { RepairChoice } from '../../document/job'
import { repairSchema } from '../../document/repairSchema'
import { findPost, mapPost, postTarget, withPart, type PostAddress } from '../changes'
import { keyWords, oneKeyOf, postAddress, type CommandKind } from '../command'

/** A part or a mix of the repair in hand. */
export interface SetRepair extends PostAddress {
  name: 'setRepair'
  key: Exclude<keyof RepairChoice, 'method' | 'hole' | 'holes' | 'parts'>
  value: unknown
}

export const setRepair: CommandKind<SetRepair> = {
  name: 'setRepair',
  fields: { ...postAddress, ...oneKeyOf(repairSchema, ['method', 'hole', 'holes', 'parts']) },
  target: (command) => [...postTarget(command), 'repair', command.key],
  apply: (job, command) => mapPost(job, command, (post) => withPart(post, 'repair', command.key, command.value)),
  inverse: (job, command) => ({ ...command, value: findPost(job, command).repair?.[command.key] ?? null }),
  says: (command, words) => keyWords(repairSchema, command, words),
}
