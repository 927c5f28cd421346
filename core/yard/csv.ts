import { InputError } from '../errors'
import type { Currency } from '../money/money'
import { cellText, readCell } from './cell'
import { cellProblem } from './check'
import { valueAt, withValue, type YardColumn, type YardRow, type YardTable } from './column'
import { isSame, type YardChange } from './change'

/** A column's heading in a file. @example headingOf(price, euro) // 'price (EUR)' */
export function headingOf({ path, kind, unit }: YardColumn, { code }: Currency): string {
  const said = kind === 'money' ? code : kind === 'length' ? 'm' : unit
  return said ? `${path} (${said})` : path
}

/** Headings and rows of a table, for a file or a spreadsheet. */
export const tableText = ({ columns }: YardTable, rows: readonly YardRow[], currency: Currency): string[][] => [
  columns.map((each) => headingOf(each, currency)),
  ...rows.map((row) => columns.map((each) => cellText(each, row, currency))),
]

export interface TableRead {
  changes: YardChange[]
  /** Everything that is wrong, each with its row and column; nothing is taken over while there is any. */
  problems: InputError[]
}

/**
 * What a table that somebody brought changes: rows by their key, cells that are other than they were; a column that is
 * not in it stays as it is, and so does a row. New keys are new rows.
 *
 * @param headings as `headingOf` writes them, or the columns' names or paths alone
 */
export function readTable(
  table: YardTable,
  now: readonly YardRow[],
  [headings = [], ...cells]: readonly (readonly string[])[],
  currency: Currency,
): TableRead {
  const columns = headings.map((heading) => columnOf(table, heading))
  const problems: InputError[] = []
  const at = columns.findIndex((each) => each?.path === 'key')
  if (at < 0) return { changes: [], problems: [new InputError('key', undefined, 'one of the headings')] }
  const foreign = headings.find((heading) => heading.includes('(') && wrongCurrency(heading, currency))
  if (foreign) return { changes: [], problems: [new InputError('heading', foreign, `in ${currency.code}`)] }
  const seen = new Set<string>()
  const changes = cells.flatMap((row, r): YardChange[] => {
    const key = (row[at] ?? '').trim()
    if (row.every((cell) => cell.trim() === '')) return []
    const where = (path: string) => `row ${r + 2}, ${path}`
    if (key === '' || seen.has(key)) {
      problems.push(new InputError(where('key'), key, 'one word for this row alone'))
      return []
    }
    seen.add(key)
    const before = now.find((each) => each.key === key)
    let after: YardRow = before ?? { key }
    columns.forEach((column, c) => {
      const cell = (row[c] ?? '').trim()
      // What stands there as it was is what it was, to its last place.
      if (!column || (before && cellText(column, before, currency) === cell)) return
      try {
        after = withValue(after, column.path, readCell(column, cell, currency))
      } catch (error) {
        if (!(error instanceof InputError)) throw error
        problems.push(new InputError(where(column.path), error.value, error.range))
      }
    })
    for (const column of table.columns) {
      const problem = cellProblem(column, after)
      if (problem) problems.push(new InputError(where(column.path), problem.value, problem.range))
    }
    return changesBetween(table, before, after)
  })
  return { changes, problems: withoutTwice(problems) }
}

/** What makes one row of another: the row itself where it is new, else its cells. */
export function changesBetween(table: YardTable, before: YardRow | undefined, after: YardRow): YardChange[] {
  const { key } = after
  if (!before) return [{ table: table.key, key, was: null, value: after }]
  return table.columns.flatMap(({ path }) => {
    const [was, value] = [valueAt(before, path) ?? null, valueAt(after, path) ?? null]
    return isSame(was, value) ? [] : [{ table: table.key, key, path, was, value }]
  })
}

const plain = (words: string) =>
  words
    .toLowerCase()
    .replace(/\s*\([^)]*\)\s*$/, '')
    .replace(/[^a-z0-9.]/g, '')
function columnOf({ columns }: YardTable, heading: string): YardColumn | undefined {
  const wanted = plain(heading)
  return columns.find(({ path }) => plain(path) === wanted) ?? columns.find(({ name }) => plain(name) === wanted)
}
/** Prices of another currency are not taken for ours. */
const wrongCurrency = (heading: string, { code }: Currency) =>
  /^(price|deposit)/i.test(heading) && !heading.includes(`(${code})`)

const withoutTwice = (problems: readonly InputError[]): InputError[] =>
  [...new Map([...problems].reverse().map((each) => [each.key, each])).values()].reverse()
