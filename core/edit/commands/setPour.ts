import type { Pour } from '../../document/job'
import { pourSchema } from '../../document/pourSchema'
import { LONGEST } from '../../limits'
import { name } from '../../schema/fields'
import { findPour, mapPour, pourTarget, withKey, type PourAddress } from '../changes'
import { keyWords, oneKeyOf, type CommandKind, type KeyValue } from '../command'

/** What was poured in and read on it joins by itself, each beside the others: see `notePour`. */
const LISTS = ['id', 'lifts', 'checks'] as const

/** One fact of a pour. */
export type SetPour = PourAddress & { name: 'setPour' } & KeyValue<Pour, Exclude<keyof Pour, (typeof LISTS)[number]>>

export const setPour: CommandKind<SetPour> = {
  name: 'setPour',
  fields: { pour: name(LONGEST.identity), ...oneKeyOf(pourSchema, LISTS) },
  target: (command) => [...pourTarget(command), command.key],
  apply: (job, command) => mapPour(job, command, (pour) => withKey(pour, command.key, command.value)),
  inverse: (job, command) => ({ ...command, value: findPour(job, command)?.[command.key] ?? null }) as SetPour,
  says: (command, words) => keyWords(pourSchema, command, words),
}
