import { describe, expect, it } from 'vitest'
import { measuresIn } from '../units/quantity'
import type { CustomerPage } from '../record/customerQuestion'
import { customerSheets } from './customerSheet'
import { ESTIMATE } from './pages'

const page = (more: Partial<CustomerPage> = {}) =>
  ({
    title: 'B7: a new post in concrete',
    place: 'Bank side',
    parts: [],
    stands: [],
    others: [],
    ...more,
  }) as unknown as CustomerPage
const sheetsOf = (more?: Partial<CustomerPage>, paper: 'A4' | 'letter' = 'A4') =>
  customerSheets(page(more), paper, measuresIn('metric'))
const part = (title: string, count: number) => ({
  title,
  says: Array.from({ length: count }, (_, i) => `${title} number ${i + 1} in some words.`),
})
const years = {
  years: {
    says: ['Nine in ten stand.'],
    curve: { plumb: [1, 0.9, 0.8], low: [1, 0.8, 0.6], high: [1, 0.95, 0.9], median: 14 },
    from: 2026,
    fenceYears: 2,
  },
} as unknown as Partial<CustomerPage>
const letters = (svg: string) => svg.replaceAll(/<[^>]+>/g, ' ').replaceAll(/\s+/g, ' ')

describe('the customer’s page on paper', () => {
  it('is one sheet for an ordinary post, and says at its foot what its figures are', () => {
    const [only, ...more] = sheetsOf({ parts: [part('What failed', 3), part('What was done', 4)] as never })
    expect(more).toEqual([])
    expect(letters(only!)).toContain('B7: a new post in concrete')
    expect(letters(only!)).toContain(ESTIMATE)
    expect(letters(only!)).not.toContain('1 of 1')
  })
  it('goes on to the next where it is long, each numbered, and loses no word', () => {
    const sheets = sheetsOf({ parts: [part('Step', 90)] as never })
    expect(sheets.length).toBeGreaterThan(1)
    sheets.forEach((svg, i) => expect(letters(svg)).toContain(`${i + 1} of ${sheets.length}`))
    const all = sheets.map(letters).join(' ')
    for (let i = 1; i <= 90; i++) expect(all).toContain(`Step number ${i} in some words.`)
  })
  it('draws its years where there is room for them, and says them in any case', () => {
    const roomy = sheetsOf(years)
    expect(roomy).toHaveLength(1)
    expect(letters(roomy[0]!)).toContain('of ten such posts, still plumb')
    const full = sheetsOf({ ...years, parts: [part('Step', 39)] as never })
    expect(letters(full.join(' '))).not.toContain('of ten such posts, still plumb')
    expect(letters(full.join(' '))).toContain('Nine in ten stand.')
  })
  it('has what else was possible, each with its price at the edge', () => {
    const others = [{ name: 'Steel pin', price: '€180.00', stands: 'leans from 30 m/s' }]
    const [svg] = sheetsOf({ others } as never, 'letter')
    expect(letters(svg!)).toContain('Steel pin: leans from 30 m/s.')
    expect(svg).toMatch(/text-anchor="end"[^>]*>€180\.00</)
  })
})
