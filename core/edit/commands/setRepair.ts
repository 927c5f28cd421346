import type { RepairChoice } from '../../document/job'
import { repairSchema } from '../../document/repairSchema'
import { findPost, mapPost, postTarget, withPart, type PostAddress } from '../changes'
import { keyWords, oneKeyOf, postAddress, type CommandKind, type KeyValue } from '../command'

/** A part or a mix of the repair in hand. */
export type SetRepair = PostAddress & { name: 'setRepair' } & KeyValue<
    RepairChoice,
    Exclude<keyof RepairChoice, 'method' | 'hole' | 'holes' | 'parts'>
  >

export const setRepair: CommandKind<SetRepair> = {
  name: 'setRepair',
  fields: { ...postAddress, ...oneKeyOf(repairSchema, ['method', 'hole', 'holes', 'parts']) },
  target: (command) => [...postTarget(command), 'repair', command.key],
  apply: (job, command) => mapPost(job, command, (post) => withPart(post, 'repair', command.key, command.value)),
  inverse: (job, command) => ({ ...command, value: findPost(job, command).repair?.[command.key] ?? null }) as SetRepair,
  says: (command, words) => keyWords(repairSchema, command, words),
}
