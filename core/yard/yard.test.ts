import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { shippedYard, YARD_TABLES } from '../../data/yard'
import { currencies } from '../../data/currencies'
import { tables } from '../../data/tables'
import { InputError } from '../errors'
import { applyChanges } from './apply'
import { backOf, isSame, rowAfter, type CellChange, type YardChange } from './change'
import { rowProblems } from './check'
import { valueAt, withValue, type YardRow } from './column'
import { readTable, tableText } from './csv'
import { readYardBatch } from './readBatch'
import { rowsNow, tablesWith, type OwnRows } from './rows'

const euro = currencies.find(({ code }) => code === 'EUR')!
const yen = currencies.find(({ code }) => code === 'JPY')!
const tableOf = (key: string) => YARD_TABLES.find((each) => each.key === key)!
const KNOWN = { shipped: shippedYard, tables: YARD_TABLES }
const price = (was: number, value: number): CellChange => ({
  table: 'catalogue',
  key: 'mix/post-mix-20',
  path: 'price',
  was,
  value,
})
const bankClay = {
  ...(shippedYard.soils!.find(({ key }) => key === 'firm-clay') as YardRow),
  key: 'bank-clay',
  name: 'Bank clay',
  cohesion: 30_000,
}
const newSoil: YardChange = { table: 'soils', key: 'bank-clay', was: null, value: bankClay }

describe('rows of the yard', () => {
  it.each(YARD_TABLES.map(({ key }) => key))(
    '%s: every shipped row is one that a workspace could have typed',
    (key) => {
      for (const row of shippedYard[key]!) expect([row.key, rowProblems(tableOf(key), row)]).toEqual([row.key, []])
    },
  )

  it('are changed in their place, added behind, and gone where they were taken out', () => {
    const own: OwnRows = { vehicles: { van: null, lorry: { key: 'lorry' }, trailer: { key: 'trailer', payload: 750 } } }
    expect(rowsNow({ vehicles: [{ key: 'van' }, { key: 'trailer', payload: 500 }] }, own).vehicles).toEqual([
      { key: 'trailer', payload: 750 },
      { key: 'lorry' },
    ])
  })

  it('of the ground, mixes, rules and parts are what the core computes with', () => {
    const { own } = applyChanges(
      {},
      [
        newSoil,
        { table: 'mixes', key: 'post-mix-20', path: 'yields', was: 0.01, value: 0.0105 },
        { table: 'parts-spur', key: 'spur-100', path: 'momentCapacity', was: 2_000, value: 2_600 },
      ],
      KNOWN,
    )
    const here = tablesWith(tables, own)
    expect(here.soils.at(-1)).toEqual(bankClay)
    expect(here.mixes[0]).toMatchObject({ key: 'post-mix-20', yields: 0.0105 })
    expect(here.parts.lists.spur.rows.find(({ key }) => key === 'spur-100')!.momentCapacity).toBe(2_600)
    expect(here.localRules).toBe(tables.localRules)
  })
})

describe('a cell', () => {
  it('is found and put at its path; parts are made, and go with the last of them', () => {
    const row = withValue({ key: 'x' }, 'roadside.slot.1', 1.1)
    expect(row).toEqual({ key: 'x', roadside: { slot: [undefined, 1.1] } })
    expect(valueAt(row, 'roadside.slot.1')).toBe(1.1)
    expect(withValue(row, 'roadside.slot.1', null)).toEqual({ key: 'x' })
  })

  it('is another only where nobody was faster', () => {
    const row = { key: 'mix/post-mix-20', price: 640 }
    expect(rowAfter(row, price(640, 690))).toEqual({ ...row, price: 690 })
    expect(rowAfter(row, price(600, 690))).toBeUndefined()
    expect(rowAfter(undefined, price(640, 690))).toBeUndefined()
  })
})

describe('changes', () => {
  it('that others were faster with stand aside, with what is there', () => {
    const first = applyChanges({}, [price(640, 690)], KNOWN)
    const second = applyChanges(first.own, [price(640, 700), newSoil], KNOWN)
    expect(second.conflicts).toEqual([{ mine: price(640, 700), theirs: expect.objectContaining({ price: 690 }) }])
    expect(second.made).toEqual([newSoil])
  })

  it('are refused with table, row, column, value and range', () => {
    const wrong = (change: YardChange) => () => applyChanges({}, [change], KNOWN)
    expect(wrong(price(640, -1))).toThrow('catalogue.mix/post-mix-20.price is -1; it must be an amount of 0 or more')
    expect(wrong(price(640, 6.5))).toThrow(InputError)
    expect(wrong({ ...newSoil, value: { ...bankClay, cohesion: undefined } })).toThrow('from 1 to 500 kPa')
    expect(
      wrong({ table: 'soils', key: 'peat', was: shippedYard.soils!.find(({ key }) => key === 'peat')!, value: null }),
    ).toThrow('jobs may stand on it')
    expect(
      wrong({ table: 'reckoning', key: 'theirs', was: null, value: { ...shippedYard.reckoning![0]!, key: 'theirs' } }),
    ).toThrow('its one row')
    expect(wrong({ table: 'people', key: 'ash', was: null, value: { key: 'oak', name: 'Oak', letter: 'C' } })).toThrow(
      'jobs know it by that',
    )
  })

  it('are taken back to what was', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ row: fc.nat(30), path: fc.constantFrom('price', 'have', 'least'), value: fc.nat(5_000) }),
          {
            minLength: 1,
            maxLength: 20,
          },
        ),
        (wanted) => {
          let own: OwnRows = {}
          const changes = wanted.map(({ row, path, value }) => {
            const { key } = shippedYard.catalogue![row]!
            const now = rowsNow(shippedYard, own).catalogue!.find((each) => each.key === key)!
            const change: YardChange = { table: 'catalogue', key, path, was: valueAt(now, path) ?? null, value }
            own = applyChanges(own, [change], KNOWN).own
            return change
          })
          const back = applyChanges(own, backOf(changes), KNOWN)
          expect(back.conflicts).toEqual([])
          expect(rowsNow(shippedYard, back.own).catalogue).toEqual(shippedYard.catalogue)
        },
      ),
    )
  })

  it('are read as a device sends them', () => {
    const gone: YardChange = { table: 'people', key: 'wren', was: { key: 'wren', name: 'Wren' }, value: null }
    const emptied: YardChange = { ...price(640, 690), path: 'kept', was: 'store', value: null }
    const batch = { id: '12345678', by: 'Wren', changes: [price(640, 690), newSoil, gone, emptied] }
    const sent = JSON.parse(JSON.stringify(batch)) as unknown
    const keys = YARD_TABLES.map((each) => each.key)
    expect(readYardBatch(sent, keys)).toEqual(batch)
  })

  it.each([
    ['nothing', {}, 'changes'],
    ['no table of ours', { id: '12345678', changes: [{ ...price(1, 2), table: 'jobs' }] }, 'changes[0].table'],
    ['no row', { id: '12345678', changes: [{ table: 'soils', key: 'x', was: null, value: 3 }] }, 'changes[0].value'],
  ])('of %s are not read', (_what, body, key) => {
    expect(() =>
      readYardBatch(
        body,
        YARD_TABLES.map((each) => each.key),
      ),
    ).toThrow(key)
  })
})

describe('a file', () => {
  it.each(YARD_TABLES.map(({ key }) => key))('of %s comes back and changes nothing, in two currencies', (key) => {
    for (const currency of [euro, yen]) {
      const rows = shippedYard[key]!
      expect(readTable(tableOf(key), rows, tableText(tableOf(key), rows, currency), currency)).toEqual({
        changes: [],
        problems: [],
      })
    }
  })

  it('of a whole table makes that table anew, row by row the same', () => {
    for (const table of YARD_TABLES) {
      const rows = shippedYard[table.key]!
      const { changes, problems } = readTable(table, [], tableText(table, rows, euro), euro)
      expect(problems).toEqual([])
      changes.forEach(({ value }, i) => {
        for (const { path } of table.columns) {
          const [back, was] = [valueAt(value as YardRow, path), valueAt(rows[i]!, path)]
          if (typeof was === 'number') expect(back).toBeCloseTo(was, 9)
          else expect(back ?? null).toEqual(was ?? null)
        }
      })
    }
  })

  it('changes what is other in it, and nothing else', () => {
    const text = [
      ['key', 'price (EUR)', 'kept in'],
      ['mix/post-mix-20', '6,90', 'bagged goods'],
      ['mix/general-20', '5.20', ''],
    ]
    const { changes, problems } = readTable(tableOf('catalogue'), shippedYard.catalogue!, text, euro)
    expect(problems).toEqual([])
    expect(changes).toEqual([
      { table: 'catalogue', key: 'mix/post-mix-20', path: 'price', was: 640, value: 690 },
      { table: 'catalogue', key: 'mix/general-20', path: 'kept', was: 'bagged goods', value: null },
    ])
  })

  it.each([
    ['no key', [['name'], ['x']], 'key is missing'],
    [
      'another currency',
      [
        ['key', 'price (USD)'],
        ['mix/cement', '1'],
      ],
      'it must be in EUR',
    ],
    [
      'a price of three places',
      [
        ['key', 'price'],
        ['mix/cement', '6.805'],
      ],
      'row 2, price',
    ],
    [
      'a row twice',
      [
        ['key', 'price'],
        ['mix/cement', '6'],
        ['mix/cement', '7'],
      ],
      'row 3, key',
    ],
    [
      'a new row that lacks its unit',
      [
        ['key', 'name', 'price'],
        ['mix/ours', 'ours', '7'],
      ],
      'row 2, unit',
    ],
  ])('with %s is refused there', (_what, text, says) => {
    const { problems } = readTable(tableOf('catalogue'), shippedYard.catalogue!, text, euro)
    expect(problems.map(({ message }) => message).join('\n')).toContain(says)
  })

  it('cannot make a spreadsheet reckon', () => {
    const row = { key: 'x', name: '=1+1', letter: 'X' }
    const [, [, name]] = tableText(tableOf('people'), [row], euro) as [string[], [string, string]]
    expect(name).toBe("'=1+1")
    expect(readTable(tableOf('people'), [row], tableText(tableOf('people'), [row], euro), euro).changes).toEqual([])
  })
})

it('the same is the same, whatever the order of its keys', () => {
  expect(isSame({ a: 1, b: [1, { c: 2 }] }, { b: [1, { c: 2 }], a: 1 })).toBe(true)
  for (const other of [{ a: 1 }, { a: 1, b: [1] }, { a: 1, b: { 0: 1, 1: { c: 2 } } }, null])
    expect(isSame({ a: 1, b: [1, { c: 2 }] }, other)).toBe(false)
})
