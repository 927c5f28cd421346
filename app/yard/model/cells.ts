import type { Currency } from '~~/core/money/money'
import { cellText, readCell } from '~~/core/yard/cell'
import { cellProblem } from '~~/core/yard/check'
import { valueAt, withValue, type YardColumn, type YardRow, type YardTable } from '~~/core/yard/column'
import { isCell, isSame, type YardChange } from '~~/core/yard/change'
import { InputError } from '~~/core/errors'

/** How a person reads and types lengths. */
export interface CellMeasures {
  show: (length: number) => string
  showSmall: (length: number) => string
  parse: (text: string, key?: string) => number
  parseSmall: (text: string, key?: string) => number
}
export interface CellTerms {
  currency: Currency
  measures: CellMeasures
}

/** A cell as it is read. @example shownCell(reach, { key: 'x', reach: 1.2 }, terms) // '1.20 m' */
export function shownCell(column: YardColumn, row: YardRow, { currency, measures }: CellTerms): string {
  const value = valueAt(row, column.path)
  if (value === undefined || value === null) return ''
  if (column.kind === 'length') return (column.isSmall ? measures.showSmall : measures.show)(value as number)
  if (column.kind === 'list') return (value as string[]).join(', ')
  return column.kind === 'text' ? String(value) : cellText(column, row, currency)
}

/**
 * What somebody typed into a cell, and the change that it makes.
 *
 * @returns nothing where the cell stays as it was
 * @throws InputError for what cannot stand there
 */
export function typedChange(
  { key: table }: YardTable,
  column: YardColumn,
  row: YardRow,
  typed: string,
  terms: CellTerms,
): YardChange | undefined {
  if (typed.trim() === shownCell(column, row, terms)) return undefined
  const value = readTyped(column, typed, terms)
  const was = valueAt(row, column.path) ?? null
  if (isSame(value ?? null, was)) return undefined
  const problem = cellProblem(column, withValue(row, column.path, value))
  if (problem) throw problem
  return { table, key: row.key, path: column.path, was, value: value ?? null }
}

export function readTyped(column: YardColumn, typed: string, { currency, measures }: CellTerms): unknown {
  const text = typed.trim()
  if (column.kind !== 'length' || text === '') return readCell(column, text, currency)
  return (column.isSmall ? measures.parseSmall : measures.parse)(text, column.path)
}

/**
 * Cells of a spreadsheet put down from one cell on, to the right and downwards; what is beyond the last row or column
 * is an error, so that nothing gets lost in silence.
 */
export function pastedChanges(
  table: YardTable,
  { rows, at, columns, from }: { rows: readonly YardRow[]; at: number; columns: readonly YardColumn[]; from: number },
  cells: readonly (readonly string[])[],
  terms: CellTerms,
): { changes: YardChange[]; problems: InputError[] } {
  const problems: InputError[] = []
  const changes = cells.flatMap((line, r) => {
    const row = rows[at + r]
    if (!row) {
      problems.push(new InputError(`line ${r + 1}`, line.join(' '), `at most ${rows.length - at} lines from here`))
      return []
    }
    return line.flatMap((cell, c): YardChange[] => {
      const column = columns[from + c]
      try {
        if (!column) throw new InputError(`line ${r + 1}`, cell, `at most ${columns.length - from} columns from here`)
        return [typedChange(table, column, row, cell, terms) ?? []].flat()
      } catch (error) {
        if (!(error instanceof InputError)) throw error
        problems.push(column ? new InputError(`line ${r + 1}, ${column.name}`, error.value, error.range) : error)
        return []
      }
    })
  })
  return { changes, problems }
}

/** A change in words. @example changeWords(change, table, terms) // 'price of a pack: 6.40 → 6.90' */
export function changeWords(change: YardChange, table: YardTable | undefined, terms: CellTerms): string {
  if (!isCell(change)) return change.value === null ? 'taken out' : change.was === null ? 'new' : 'as it was before'
  const column = table?.columns.find(({ path }) => path === change.path)
  const shown = (value: unknown) =>
    (column && shownCell(column, withValue({ key: change.key }, change.path, value), terms)) || 'nothing'
  return `${column?.name ?? change.path}: ${shown(change.was)} → ${shown(change.value)}`
}

/** What a new row is known by, from its name. @example keyFrom('Bank clay, wet') // 'bank-clay-wet' */
export const keyFrom = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40)
