import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { currencies } from '../../data/currencies'
import { InputError } from '../errors'
import { exact, upTo } from '../money/exact'
import { minorOf, moneyWords, roundedOnce, taxOn, type Currency } from '../money/money'
import type { BillLine } from './bill'
import type { CatalogueRow, CostSettings } from './catalogue'
import { lineBill } from './lineBill'
import { mergedBill, spareOf } from './merge'
import { optionCost } from './option'
import type { Total } from './total'

const euro = currencies.find(({ code }) => code === 'EUR')!
const yen = currencies.find(({ code }) => code === 'JPY')!
const plain: CostSettings = {
  currency: 'EUR',
  taxes: { standard: 20, reduced: 8.1, none: 0 },
  markUp: 0,
  waste: 0,
  overhead: 0,
  distance: 24,
}
const row = (key: string, more: Partial<CatalogueRow> = {}): CatalogueRow => ({
  key,
  name: key,
  group: 'part',
  unit: 'each',
  pack: 1,
  price: 100,
  tax: 'standard',
  ...more,
})
const bags = row('mix/post-mix-20', { group: 'mix', unit: 'bag', price: 640 })
const bolts = row('fixing/bolt-12', { group: 'fixing', pack: 10, price: 2_350 })
const spur = row('spur/spur-100', { price: 2_390, tax: 'reduced' })
const hours = row('labour/dig', { group: 'labour', unit: 'h', price: 3_800 })
const spoil = row('disposal/spoil', { group: 'disposal', unit: 'kg', price: 6, tax: 'none' })
const mixer = row('hire/mixer', { group: 'hire', unit: 'day', price: 4_200, deposit: 10_000 })
const km = row('travel/km', { group: 'travel', unit: 'km', price: 55 })
const callOut = row('travel/call-out', { group: 'travel', unit: 'visit', price: 3_500 })
const catalogue = [bags, bolts, spur, hours, spoil, mixer, km, callOut]
const line = (key: string, quantity: number | string, post = 'B/B1'): BillLine => ({
  key,
  quantity: exact(quantity),
  post,
})

describe('money', () => {
  it('is rounded once, half away from zero', () => {
    expect(['12.5', '-12.5', '12.49', '13.5', '0'].map((each) => roundedOnce(exact(each)))).toEqual([
      13n,
      -13n,
      12n,
      14n,
      0n,
    ])
    expect(roundedOnce(exact(1).div(3).mul(100))).toBe(33n)
    expect(upTo(exact('10.1'))).toBe(11n)
    expect(upTo(exact(10))).toBe(10n)
    expect(upTo(exact('-0.5'))).toBe(0n)
  })
  it('is taxed on its sum, to the minor unit', () => {
    // 8.1 % of 100.50 is 8.1405; of 1 005 without minor units 81.405.
    expect(taxOn(10_050n, 8.1, euro)).toBe(814n)
    expect(taxOn(1_005n, 8.1, yen)).toBe(81n)
    expect(taxOn(250n, 20, euro)).toBe(50n)
    // 2.5 minor units: half away from zero.
    expect(taxOn(25n, 10, euro)).toBe(3n)
    expect(taxOn(-25n, 10, euro)).toBe(-3n)
  })
  it('is written and read as people do', () => {
    expect(moneyWords(123_450n, euro, 'en-GB')).toBe('€1,234.50')
    expect(moneyWords(1_234, yen, 'en-GB')).toBe('JP¥1,234')
    expect([minorOf('12.5', euro), minorOf('12,50', euro), minorOf('-3', euro), minorOf('1200', yen)]).toEqual([
      1_250n,
      1_250n,
      -300n,
      1_200n,
    ])
    for (const text of ['12.505', 'x', '', '1e3']) expect(() => minorOf(text, euro)).toThrow(InputError)
    expect(() => minorOf('1.5', yen)).toThrow(/at most 0 decimal places/)
  })
})

describe('packs', () => {
  it('take spares on the exact sum, once: 10.5 bags are 12, not 13', () => {
    const [merged] = mergedBill(
      [line(bags.key, 3.5), line(bags.key, 3.5, 'B/B2'), line(bags.key, 3.5, 'B/B3')],
      catalogue,
    )
    expect(merged).toMatchObject({ packs: 12n, posts: ['B/B1', 'B/B2', 'B/B3'] })
    expect(merged!.exact.valueOf()).toBe(10.5)
    expect(merged!.spares.valueOf()).toBeCloseTo(1.05, 12)
    // Of few bags one more, of many a tenth.
    expect(mergedBill([line(bags.key, 2.1)], catalogue)[0]!.packs).toBe(4n)
    expect(mergedBill([line(bags.key, 40)], catalogue)[0]!.packs).toBe(44n)
  })
  it('take what was learnt in the place of the spares', () => {
    expect(mergedBill([line(bags.key, 10.5)], catalogue, { learnt: 0.04 })[0]!.packs).toBe(11n)
    expect(spareOf(exact(10), bags, { learnt: -0.2 }).valueOf()).toBe(0)
  })
  it('take a tenth more of fixings, none of posts and parts', () => {
    expect(mergedBill([line(bolts.key, 18)], catalogue)[0]!.packs).toBe(2n)
    expect(mergedBill([line(bolts.key, 19)], catalogue)[0]!.packs).toBe(3n)
    expect(mergedBill([line(spur.key, 3)], catalogue)[0]!.packs).toBe(3n)
  })
})

describe('totals worked by hand', () => {
  const total = (lines: BillLine[], settings = plain, currency: Currency = euro, rows = catalogue) =>
    optionCost(lines, rows, settings, currency)
  const sums = ({ net, taxes, gross }: Total) => [net, ...taxes.map(({ amount }) => amount), gross]

  it('one: a spur, its bolts, bags and an hour and twenty', () => {
    // 23.90 at 8.1 %; 2 × 2.35 = 4.70, 3.6 × 6.40 = 23.04, 1⅓ × 38 = 50.67 at 20 %: 78.41, tax 15.68; 23.90, tax 1.94.
    const found = total([
      line(spur.key, 1),
      line(bolts.key, 2),
      line(bags.key, 3.6),
      { ...line(hours.key, 0), quantity: exact(80).div(60) },
    ])
    expect(sums(found)).toEqual([10_231n, 1_568n, 194n, 11_993n])
  })
  it('two: the same with waste 5, overhead 10 and mark-up 15 in a hundred, in each line and rounded once', () => {
    // × 1.265: 23.90 → 30.23 (30.2335), 4.70 → 5.95 (5.9455), 50.6667 → 64.09 (64.0933); bags × 1.05 too: 30.60 (30.60288).
    const found = total(
      [
        line(spur.key, 1),
        line(bolts.key, 2),
        line(bags.key, 3.6),
        { ...line(hours.key, 0), quantity: exact(80).div(60) },
      ],
      { ...plain, waste: 5, overhead: 10, markUp: 15 },
    )
    expect(found.lines.map(({ amount }) => amount)).toEqual([3_023n, 595n, 3_060n, 6_409n])
    expect(sums(found)).toEqual([13_087n, 2_013n, 245n, 15_345n])
  })
  it('three: untaxed disposal, and a deposit that is in no total', () => {
    // 137.4 kg × 0.06 = 8.244; a ninth of a day's hire of 42.00 = 4.6667.
    const found = total([line(spoil.key, 137.4), { ...line(mixer.key, 0), quantity: exact(1).div(9) }])
    expect(sums(found)).toEqual([1_291n, 93n, 0n, 1_384n])
    expect(found.deposits).toBe(10_000n)
  })
  it('four: in a currency without minor units', () => {
    const rows = [row('a', { price: 745 }), row('b', { price: 333, tax: 'reduced' })]
    // 2.5 × 745 = 1 862.5 → 1 863, tax 372.6 → 373; 333, tax 26.97 → 27.
    expect(sums(total([line('a', 2.5), line('b', 1)], plain, yen, rows))).toEqual([2_196n, 373n, 27n, 2_596n])
  })
  it('five: nine posts with packs, hire and two visits counted once', () => {
    const posts = Array.from({ length: 9 }, (_, i) => `B/B${i + 1}`)
    const lines = posts.flatMap((post) => [
      line(bags.key, 3.6, post),
      line(bolts.key, 2, post),
      line(spur.key, 1, post),
    ])
    const { total: found, merged } = lineBill(
      lines,
      { visits: 2, hires: { 'hire/mixer': 1 } },
      { catalogue, settings: plain, currency: euro },
    )
    // 32.4 bags with a tenth: 35.64, so 36 at 6.40 = 230.40; 18 bolts: 19.8, two packs of 23.50 = 47.00; nine spurs 215.10;
    // 48 km × 0.55 = 26.40, two call-outs 70.00, mixer 42.00. At 20 %: 415.80, tax 83.16; spurs' tax 17.42 (17.4231).
    expect(merged.map(({ key, packs }) => [key, packs])).toEqual([
      [bags.key, 36n],
      [bolts.key, 2n],
      [spur.key, 9n],
      [km.key, 48n],
      [callOut.key, 2n],
      [mixer.key, 1n],
    ])
    expect(sums(found)).toEqual([63_090n, 8_316n, 1_742n, 73_148n])
  })
  it('five and a half: hours and kilograms by what they are, whatever bags come in', () => {
    const { total: found } = lineBill(
      [line(hours.key, 1.25), line(spoil.key, 10.5), line(bags.key, 1.2)],
      { visits: 0, hires: {} },
      { catalogue, settings: plain, currency: euro },
    )
    // 1.25 × 38.00 = 47.50; 10.5 × 0.06 = 0.63; 1.2 bags and one to spare: three, 19.20.
    expect(found.lines.map(({ amount }) => amount)).toEqual([4_750n, 63n, 1_920n])
  })
  it('six: in yen, at three rates, with what has no row named and in no sum', () => {
    const rows = [
      row('a', { price: 1_980 }),
      row('b', { price: 777, tax: 'reduced' }),
      row('c', { price: 50, tax: 'none' }),
    ]
    const found = total(
      [line('a', 0.35), line('b', 1.5), line('c', 7), line('unknown', 3)],
      { ...plain, markUp: 10 },
      yen,
      rows,
    )
    // 0.35 × 1 980 × 1.1 = 762.3; 1.5 × 777 × 1.1 = 1 282.05; 7 × 50 × 1.1 = 385. Tax 152.4, 103.8, 0.
    expect(sums(found)).toEqual([2_429n, 152n, 104n, 0n, 2_685n])
    expect(found.unpriced).toEqual(['unknown'])
  })
})

describe('any bill', () => {
  const anyLine = fc.record({
    at: fc.integer({ min: 0, max: catalogue.length - 1 }),
    thousandths: fc.integer({ min: 1, max: 40_000 }),
    post: fc.integer({ min: 1, max: 6 }),
  })
  const terms = { settings: { ...plain, waste: 5, overhead: 10, markUp: 12.5 }, currency: euro, catalogue }
  const linesOf = (of: { at: number; thousandths: number; post: number }[]) =>
    of.map(
      ({ at, thousandths, post }): BillLine => ({
        key: catalogue[at]!.key,
        quantity: exact(thousandths).div(1_000),
        post: `B/B${post}`,
      }),
    )
  property.prop([fc.array(anyLine, { minLength: 1, maxLength: 8 })], {
    numRuns: Number(process.env.VINDEX_BILLS ?? 5_000),
  })('sums its rounded lines, buys packs enough, and goes by no order of its posts', (of) => {
    const lines = linesOf(of)
    const bill = lineBill(lines, { visits: 1, hires: {} }, terms)
    expect(bill.total.net).toBe(bill.total.lines.reduce((sum, { amount }) => sum + amount, 0n))
    expect(bill.total.gross).toBe(bill.total.net + bill.total.taxes.reduce((sum, { amount }) => sum + amount, 0n))
    for (const { row: of, packs, exact: sum } of bill.merged)
      expect(exact(packs).mul(of!.pack).compare(sum)).toBeGreaterThanOrEqual(0)
    const turned = lineBill(lines.toReversed(), { visits: 1, hires: {} }, terms)
    expect(turned.total.gross).toBe(bill.total.gross)
  })
})
