import type { Entry, Job, Reading } from '../document/job'
import { escaped } from './cells'

/* What was read and worked as tables of text, one row each: what a CSV file holds. */

const cell = (value: unknown): string => {
  if (value === undefined || value === null) return ''
  if (typeof value === 'object') return JSON.stringify(value)
  return typeof value === 'string' ? escaped(value) : String(value as number | boolean)
}

/**
 * Every reading of a job, those taken back with it.
 *
 * @example readingsTable(job)[0] // ['line', 'post', 'at', 'by', 'with', 'read', 'value', 'taken back']
 */
export function readingsTable({ lines }: Job): string[][] {
  const rows = lines.flatMap((line) =>
    line.posts.flatMap((post) =>
      (post.readings ?? []).map(({ at, by, instrument, observation, value, withdrawn }: Reading) =>
        [line.id, post.id, at, by, instrument, observation, value, withdrawn ? 'yes' : ''].map(cell),
      ),
    ),
  )
  return [['line', 'post', 'at', 'by', 'with', 'read', 'value', 'taken back'], ...rows]
}

/** What steps took, as it was entered. */
export function hoursTable({ entries = [] }: Job): string[][] {
  const corrected = new Set(entries.flatMap(({ corrects }) => (corrects === undefined ? [] : [corrects])))
  const rows = entries
    .filter(({ kind, withdrawn, id }) => kind === 'minutes' && !withdrawn && !corrected.has(id))
    .map(({ line, post, at, by, value }: Entry) => {
      const { step, minutes } = value as { step: string; minutes: number }
      return [line, post, at, by, step, minutes].map(cell)
    })
  return [['line', 'post', 'at', 'by', 'step', 'minutes'], ...rows]
}

/** A line of a bill, by what is printed of it. */
export interface BillRow {
  key: string
  name: string
  quantity: string
  unit: string
  /** In words of the currency, without its sign. */
  amount: string
}

/** A bill as it is charged. */
export const billTable = (rows: readonly BillRow[], currency: string): string[][] => [
  ['thing', 'name', 'quantity', 'unit', `amount (${currency})`],
  ...rows.map(({ key, name, quantity, unit, amount }) => [key, name, quantity, unit, amount].map(cell)),
]
