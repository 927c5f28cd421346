import type { Line } from '../../document/job'
import { lineSchema } from '../../document/lineSchema'
import { findLine, lineTarget, mapLine, withKey, type LineAddress } from '../changes'
import { keyWords, lineAddress, oneKeyOf, type CommandKind, type KeyValue } from '../command'

/** A fact that every post of the line shares. */
export type SetLine = LineAddress & { name: 'setLine' } & KeyValue<Line, Exclude<keyof Line, 'id' | 'posts' | 'marks'>>

export const setLine: CommandKind<SetLine> = {
  name: 'setLine',
  fields: { ...lineAddress, ...oneKeyOf(lineSchema, ['id', 'posts', 'marks']) },
  target: (command) => [...lineTarget(command), command.key],
  apply: (job, command) => mapLine(job, command, (line) => withKey(line, command.key, command.value)),
  inverse: (job, command) => ({ ...command, value: findLine(job, command)[command.key] ?? null }) as SetLine,
  says: (command, words) => keyWords(lineSchema, command, words),
}
