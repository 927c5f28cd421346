import { escaped, readChoice, readFlag, readLengthCell, readNumber, unescaped } from '../exchange/cells'
import { minorOf, toDecimal, type Currency } from '../money/money'
import { valueAt, type YardColumn, type YardRow } from './column'

/**
 * A cell as it stands in a file: numbers in the unit of their heading, lengths in metres, prices by their decimal point.
 *
 * @example cellText(priceColumn, { key: 'x', price: 640 }, euro) // '6.40'
 */
export function cellText({ path, kind, per = 1 }: YardColumn, row: YardRow, currency: Currency): string {
  const value = valueAt(row, path)
  if (value === undefined || value === null) return ''
  switch (kind) {
    case 'money':
      return toDecimal(BigInt(value as number), currency)
    case 'number':
      return String(per === 1 ? value : Number(((value as number) / per).toPrecision(12)))
    case 'length':
      return String(value)
    case 'list':
      return (value as string[]).join(' ')
    case 'flag':
      return value ? 'yes' : 'no'
    case 'choice':
      return String(value)
    case 'text':
      return escaped(String(value))
  }
}

/**
 * What somebody typed or brought into a cell; undefined where it is empty.
 *
 * @throws InputError for what the kind of the column cannot read; its range is checked with the row
 * @example readCell(priceColumn, '6,40', euro) // 640
 */
export function readCell({ path, kind, values = [], per = 1 }: YardColumn, text: string, currency: Currency): unknown {
  const cell = text.trim()
  if (cell === '') return undefined
  switch (kind) {
    case 'money':
      return Number(minorOf(cell, currency))
    case 'number': {
      const number = readNumber(cell, path)
      return per === 1 ? number : Number((number * per).toPrecision(12))
    }
    case 'length':
      return readLengthCell(cell, 1, path)
    case 'list':
      return [...new Set(cell.split(/[\s;,]+/).map((each) => readChoice(each, values, path)))]
    case 'flag':
      return readFlag(cell, path)
    case 'choice':
      return readChoice(cell, values, path)
    case 'text':
      return unescaped(cell)
  }
}
