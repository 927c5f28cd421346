import { lazy, type mixed } from 'yup'
import type { Lift, PourCheck } from '../../document/job'
import { liftSchema, pourCheckSchema } from '../../document/pourSchema'
import { LONGEST } from '../../limits'
import { name, neededChoice, neededTime } from '../../schema/fields'
import { findPour, mapPour, pourTarget, withKey, type PourAddress } from '../changes'
import { valueWords, type CommandKind } from '../command'

const LISTS = ['lifts', 'checks'] as const

/** One thing more of a pour: bags and water that went in, or a check; two people's never meet. */
export interface NotePour extends PourAddress {
  name: 'notePour'
  list: (typeof LISTS)[number]
  /** When it was noted: its name in the list. */
  at: string
  value: Lift | PourCheck | null
}

const schemaOf = (list: NotePour['list']) => (list === 'lifts' ? liftSchema : pourCheckSchema)
const entryOf = (list: NotePour['list']) =>
  (schemaOf(list) as { nullable(): unknown } as { nullable(): ReturnType<typeof mixed> })
    .nullable()
    .test('same', 'of the time that it is noted under', function (value: unknown) {
      return value === null || (value as Lift | undefined)?.at === (this.parent as NotePour).at
    })

export const notePour: CommandKind<NotePour> = {
  name: 'notePour',
  fields: {
    pour: name(LONGEST.identity),
    list: neededChoice(LISTS),
    at: neededTime(),
    value: lazy((_value: unknown, { parent }) => entryOf((parent as NotePour).list)),
  },
  target: (command) => [...pourTarget(command), command.list, command.at],
  apply: (job, command) =>
    mapPour(job, command, (pour) => withKey(pour, command.list, noted(pour[command.list], command))),
  inverse: (job, command) => ({ ...command, value: found(job, command) }),
  says: ({ list, value }, words) => valueWords(value, words, schemaOf(list)),
}

/** In the order of their times. */
function noted(known: readonly { at: string }[] = [], { at, value }: NotePour): { at: string }[] | null {
  const others = known.filter((each) => each.at !== at)
  const all = value === null ? others : [...others, value].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
  return all.length > 0 ? all : null
}

function found(job: Parameters<typeof findPour>[0], command: NotePour): NotePour['value'] {
  const known: readonly (Lift | PourCheck)[] = findPour(job, command)?.[command.list] ?? []
  return known.find(({ at }) => at === command.at) ?? null
}
