import type { AnySchema } from 'yup'
import { InputError } from '../errors'
import { LONGEST } from '../limits'
import { choice, flag, listOfAtMost, neededChoice, quantity, text } from '../schema/fields'
import { violationsOf } from '../schema/violations'
import { valueAt, type YardColumn, type YardRow, type YardTable } from './column'

const KEY = /^[a-z0-9][a-z0-9/.-]{0,59}$/
const KEY_SAYS = 'small letters, figures and hyphens, 60 at most, such as bank-clay'

/** Everything that is wrong with a row. */
export function rowProblems({ columns }: YardTable, row: YardRow): InputError[] {
  return columns.flatMap((each) => {
    const error = cellProblem(each, row)
    return error ? [error] : []
  })
}

/** What is wrong with one cell of a row. */
export function cellProblem(column: YardColumn, row: YardRow): InputError | undefined {
  const value = valueAt(row, column.path)
  const isMissing = value === undefined || value === null || value === ''
  if (isMissing) return isNeeded(column, row) ? new InputError(column.path, undefined, saysOf(column)) : undefined
  if (column.path === 'key' && !KEY.test(String(value))) return new InputError('key', value, KEY_SAYS)
  const [wrong] = violationsOf(schemaOf(column), value, column.path)
  return wrong && new InputError(column.path, value, saysOf(column))
}

export const isNeeded = ({ isNeeded: needs }: YardColumn, row: YardRow): boolean =>
  typeof needs === 'function' ? needs(row) : needs === true

function schemaOf({ kind, values = [], range: [least, most] = [-1e12, 1e12] }: YardColumn): AnySchema {
  switch (kind) {
    case 'number':
    case 'length':
      return quantity(least, most)
    case 'money':
      return quantity(least, most).integer('whole minor units')
    case 'choice':
      return choice(values)
    case 'list':
      return listOfAtMost(values.length, 'words', neededChoice(values)) as unknown as AnySchema
    case 'flag':
      return flag()
    case 'text':
      return text(LONGEST.name)
  }
}

/** What a column accepts, in words. @example saysOf(yields) // 'a number from 0.5 to 1000 L' */
export function saysOf({ kind, values, range, per = 1, unit }: YardColumn): string {
  const shown = (value: number) => String(Number((value / per).toPrecision(6)))
  if (kind === 'money') return 'an amount of 0 or more'
  if (kind === 'flag') return 'yes or no'
  if (values) return `${kind === 'list' ? 'some' : 'one'} of ${values.join(', ')}`
  if (kind === 'text') return 'a few words'
  const said = kind === 'length' ? 'm' : unit
  return range
    ? `${kind === 'length' ? 'a length' : 'a number'} from ${shown(range[0])} to ${shown(range[1])}${said ? ` ${said}` : ''}`
    : 'a number'
}
