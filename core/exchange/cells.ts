import { InputError } from '../errors'
import { parseLength } from '../units/length'

/* One cell of a table of text: what a spreadsheet or a CSV file holds. Quoting is left to whoever writes the file. */

/**
 * A spreadsheet evaluates what begins like a formula, in full-width letters and after a line feed too: a name that
 * does is written behind an apostrophe.
 *
 * @example escaped('=1+1') // "'=1+1"
 */
export const escaped = (cell: string): string => (FORMULA.test(cell) ? `'${cell}` : cell)
export const unescaped = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell
/** An apostrophe too, so that what is read is what was written. */
const FORMULA = /^['=+\-@＝＋－＠\t\r\n]/

/** A number without a unit, by point or by comma. */
export const BARE = /^-?\d+(?:[.,]\d+)?(?:e[+-]?\d+)?$/i

/** @throws InputError */
export function readNumber(cell: string, key: string): number {
  const number = Number(cell.replace(',', '.'))
  if (!Number.isFinite(number)) throw new InputError(key, cell, 'a number')
  return number
}

/**
 * @param unit metres of a bare number
 * @throws InputError
 * @example readLengthCell('250', 0.001, 'width') // 0.25
 */
export const readLengthCell = (cell: string, unit: number, key: string): number =>
  BARE.test(cell) ? scaled(Number(cell.replace(',', '.')), unit) : parseLength(cell, 'metric', key)
/** Metres stay as they were written; other units are rounded to where floating point ends. */
const scaled = (number: number, unit: number) => (unit === 1 ? number : Number((number * unit).toPrecision(12)))

/** @throws InputError for neither yes nor no */
export function readFlag(cell: string, key: string): boolean {
  const said = FLAGS.get(cell.toLowerCase())
  if (said === undefined) throw new InputError(key, cell, 'yes or no')
  return said
}
const FLAGS = new Map([
  ...['true', 'yes', 'y', '1', 'x'].map((word) => [word, true] as const),
  ...['false', 'no', 'n', '0'].map((word) => [word, false] as const),
])

/** @throws InputError for none of the values; blanks and letter case do not matter */
export function readChoice(cell: string, values: readonly string[], key: string): string {
  const wanted = cell
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-')
  const found = values.find((value) => value.toLowerCase() === wanted)
  if (found === undefined) throw new InputError(key, cell, `one of ${values.join(', ')}`)
  return found
}
