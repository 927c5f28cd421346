import type { Mark } from '../../document/job'
import { markSchema } from '../../document/lineSchema'
import { LONGEST } from '../../limits'
import { name } from '../../schema/fields'
import { findLine, lineTarget, mapLine, withItem, withKey, type LineAddress } from '../changes'
import { lineAddress, put, type CommandKind } from '../command'

/** Something along the line, marked or taken away. */
export interface PutMark extends LineAddress {
  name: 'putMark'
  mark: string
  value: Mark | null
}

export const putMark: CommandKind<PutMark> = {
  name: 'putMark',
  fields: { ...lineAddress, mark: name(LONGEST.lineOrPost), ...put(markSchema, 'mark') },
  target: (command) => [...lineTarget(command), 'mark', command.mark],
  apply: (job, command) =>
    mapLine(job, command, (line) => withKey(line, 'marks', withItem(line.marks, command.mark, command.value))),
  inverse: (job, command) => ({
    ...command,
    value: findLine(job, command).marks?.find(({ id }) => id === command.mark) ?? null,
  }),
  says: ({ value }, words) => (value ? `${value.kind} at ${words.length(value.station)}` : 'taken away'),
}
