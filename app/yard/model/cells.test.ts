import { describe, expect, it } from 'vitest'
import { InputError } from '~~/core/errors'
import { parseLength, parseSmall, showLength, showSmall, type LengthSystem } from '~~/core/units/length'
import type { YardRow } from '~~/core/yard/column'
import { currencies } from '~~/data/currencies'
import { shippedYard, YARD_TABLES } from '~~/data/yard'
import { changeWords, keyFrom, pastedChanges, shownCell, typedChange, type CellTerms } from './cells'

const terms = (system: LengthSystem, code = 'EUR'): CellTerms => ({
  currency: currencies.find((each) => each.code === code)!,
  measures: {
    show: (length) => showLength(length, system),
    showSmall: (length) => showSmall(length, system),
    parse: (text, key) => parseLength(text, system, key),
    parseSmall: (text, key) => parseSmall(text, system, key),
  },
})
const metric = terms('metric')
const tableOf = (key: string) => YARD_TABLES.find((each) => each.key === key)!
const cellOf = (table: string, path: string) => tableOf(table).columns.find((each) => each.path === path)!
const rowOf = (table: string, key: string) => shippedYard[table]!.find((each) => each.key === key) as YardRow
const catalogue = tableOf('catalogue')

describe('a cell on the screen', () => {
  it('is shown in the units of whoever reads', () => {
    const van = rowOf('vehicles', 'van')
    expect(shownCell(cellOf('vehicles', 'bed'), van, metric)).toBe('3.20 m')
    expect(shownCell(cellOf('vehicles', 'bed'), van, terms('feet-inches'))).toContain("10'")
    expect(shownCell(cellOf('soils', 'cohesion'), rowOf('soils', 'firm-clay'), metric)).toBe('40')
    expect(shownCell(cellOf('people', 'skills'), rowOf('people', 'alder'), metric)).toBe('dig, mix, lift')
    expect(shownCell(cellOf('catalogue', 'price'), rowOf('catalogue', 'mix/cement'), terms('metric', 'JPY'))).toBe(
      '680',
    )
  })

  it('typed as it stands, in whatever words, changes nothing', () => {
    const [row, price] = [rowOf('catalogue', 'mix/cement'), cellOf('catalogue', 'price')]
    for (const typed of ['6.80', '6,80', '6,8', ' 6.8 '])
      expect(typedChange(catalogue, price, row, typed, metric)).toBeUndefined()
    expect(typedChange(catalogue, price, row, '7', metric)).toMatchObject({ path: 'price', was: 680, value: 700 })
    const van = rowOf('vehicles', 'van')
    expect(typedChange(tableOf('vehicles'), cellOf('vehicles', 'bed'), van, '3200 mm', metric)).toBeUndefined()
  })

  it.each([
    ['price', 'much'],
    ['price', '6.805'],
    ['price', ''],
    ['unit', 'crate'],
    ['pack', '0'],
  ])('%s refuses %j', (path, typed) => {
    const row = rowOf('catalogue', 'mix/cement')
    expect(() => typedChange(catalogue, cellOf('catalogue', path), row, typed, metric)).toThrow(InputError)
  })
})

describe('a block of a spreadsheet', () => {
  const rows = shippedYard.catalogue!.slice(0, 3)
  const place = (at: number, path: string) => ({
    rows,
    at,
    columns: catalogue.columns,
    from: catalogue.columns.findIndex((each) => each.path === path),
  })

  it('goes to the right and downwards from where it was put', () => {
    const { changes, problems } = pastedChanges(
      catalogue,
      place(1, 'have'),
      [
        ['4', '1'],
        ['12', ''],
      ],
      metric,
    )
    expect(problems).toEqual([])
    expect(changes.map(({ key, ...rest }) => [key, 'path' in rest && rest.path, rest.value])).toEqual([
      [rows[1]!.key, 'have', 4],
      [rows[1]!.key, 'onVan', 1],
      [rows[2]!.key, 'have', 12],
    ])
  })

  it('says what of it has no room, and what cannot stand there', () => {
    const { problems } = pastedChanges(catalogue, place(2, 'price'), [['dear'], ['7']], metric)
    expect(problems.map(({ message }) => message)).toEqual([
      'line 1, price of a pack is "dear"; it must be an amount in EUR with at most 2 decimal places',
      'line 2 is "7"; it must be at most 1 lines from here',
    ])
  })
})

it('says a change as people read it', () => {
  const change = { table: 'catalogue', key: 'mix/cement', path: 'price', was: 680, value: 700 }
  expect(changeWords(change, catalogue, metric)).toBe('price of a pack: 6.80 → 7.00')
  expect(changeWords({ ...change, path: 'have', was: null, value: 3 }, catalogue, metric)).toBe(
    'lying there: nothing → 3',
  )
  const row = rowOf('people', 'wren')
  expect(changeWords({ table: 'people', key: 'wren', was: row, value: null }, tableOf('people'), metric)).toBe(
    'taken out',
  )
})

it.each([
  ['Bank clay, wet', 'bank-clay-wet'],
  ['  75 × 75 Pfähle', '75-75-pfa-hle'],
  ['!!', ''],
])('%j is known as %j', (name, key) => {
  expect(keyFrom(name)).toBe(key)
})
