import { describe, expect, it } from 'vitest'
import { catalogue, costSettings } from '../../data/catalogue'
import { currencies } from '../../data/currencies'
import { fence } from '../../data/demo/days'
import { tables } from '../../data/tables'
import { dayPosts } from '../day/posts'
import { USUAL_SETUP } from '../day/setup'
import { tasksOf } from '../day/tasks'
import { SKILLS } from '../document/vocabulary'
import type { Job } from '../document/job'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { billOf } from './bill'
import { CATALOGUE_GROUPS, CATALOGUE_UNITS, TAX_KEYS } from './catalogue'
import { lineBill, piecesOf } from './lineBill'
import { optionCost, rowOf } from './option'

const euro = currencies[0]!
const billsOf = (job: Job) => {
  const resolved = resolveJob(job, tables)
  const plans = plan(job, tables)
  return dayPosts({ prefix: '', job, resolved, plan: plans }, tables).map((post, i) => {
    const method = plans.posts[i]!.methods.find((each) => each.method === post.method)!
    const { section } = resolved.lines[0]!.posts[i]!
    return { method, lines: billOf(method, post, { ...USUAL_SETUP, section }, tables) }
  })
}
const amount = (lines: { key: string; quantity: { valueOf: () => number } }[], key: string) =>
  lines.filter((each) => each.key === key).reduce((sum, { quantity }) => sum + quantity.valueOf(), 0)

describe('what a repair takes', () => {
  it('is its bags by measure, its parts, its hours, and what is taken away', () => {
    const [{ method, lines }] = billsOf(fence({ posts: 2, method: 'repair-spur' })) as [ReturnType<typeof billsOf>[0]]
    expect(amount(lines, 'mix/post-mix-20')).toBeCloseTo(method.concrete!.bags.exactCount, 5)
    for (const { kind, key, count } of method.parts) expect(amount(lines, `${kind}/${key}`)).toBe(count)
    // Loose spoil at 1 300 kg for each m³.
    expect(amount(lines, 'disposal/spoil')).toBeCloseTo(method.concrete!.spoil * 1_300, 3)
    const hours = lines
      .filter(({ key }) => key.startsWith('labour/'))
      .reduce((sum, { quantity }) => sum + quantity.valueOf(), 0)
    expect(hours * 60).toBeGreaterThan(method.minutes * 0.8)
    expect(hours * 60).toBeLessThan(method.minutes * 2)
    expect(lines.every(({ post }) => post === 'B/B1')).toBe(true)
  })
  it('has its post from the stick on sale that is as the old one, long enough', () => {
    const [{ method, lines }] = billsOf(fence({ posts: 2 })) as [ReturnType<typeof billsOf>[0]]
    const stick = lines.find(({ piece }) => piece)!
    expect(stick.piece).toEqual({ stock: 'post/post-100', length: method.newPost!.length })
    const row = rowOf(stick, catalogue)!
    expect(row.length).toBeGreaterThanOrEqual(method.newPost!.length)
    expect(row.length).toBe(method.newPost!.stock)
    // The middle one of three stands 50 mm deeper: out of a longer stick.
    expect(piecesOf(billsOf(fence({ posts: 3 })).flatMap((each) => each.lines))).toEqual({
      'post/post-100': [2.4, 2.45, 2.4].map((length) => ({ length, count: 1 })),
    })
  })
  it('finds the post on sale whatever the order of its keys in the document', () => {
    const job = fence({ posts: 2 })
    const turned = structuredClone(job)
    for (const post of turned.lines[0]!.posts) post.section = { across: 0.1, along: 0.1, shape: 'rectangle' }
    const priced = (each: Job) =>
      optionCost(
        billsOf(each).flatMap(({ lines }) => lines),
        catalogue,
        costSettings,
        euro,
      )
    expect(priced(turned).unpriced).toEqual([])
    expect(priced(turned).net).toBe(priced(job).net)
  })
  it('pays all hands while concrete is placed, and one of them until it can no longer be moved', () => {
    const crew = [1, 2].map((n) => ({ id: `P${n}`, name: `P${n}`, skills: [...SKILLS] }))
    const job = fence({ posts: 2, mix: 'general-20' })
    const resolved = resolveJob(job, tables)
    const plans = plan(job, tables)
    const [post] = dayPosts({ prefix: '', job, resolved, plan: plans }, tables)
    const method = plans.posts[0]!.methods.find((each) => each.method === post!.method)!
    const means = { ...USUAL_SETUP, crew, section: resolved.lines[0]!.posts[0]!.section }
    const tasks = tasksOf(post!, means, tables)
    const minutes = tasks.reduce(
      (sum, { hands, minutes: all, pour }) =>
        sum + (pour ? pour.placing * hands + (pour.works - pour.placing) : all * hands),
      0,
    )
    const pour = tasks.find((each) => each.pour)!
    expect(pour.pour!.works).toBeGreaterThan(pour.pour!.placing)
    const hours = billOf(method, post!, means, tables).filter(({ key }) => key.startsWith('labour/'))
    expect(hours.reduce((sum, { quantity }) => sum + quantity.valueOf(), 0) * 60).toBeCloseTo(minutes, 0)
  })
  it('takes stone by its mass where no concrete goes in', () => {
    const [{ method, lines }] = billsOf(fence({ posts: 2, method: 'new-post-stone' })) as [
      ReturnType<typeof billsOf>[0],
    ]
    expect(amount(lines, 'stone/graded')).toBeCloseTo(method.packed!.fill.mass!, 5)
    expect(amount(lines, 'mix/post-mix-20')).toBe(0)
  })
  it('costs as an option its shares, and as a line its packs, with sticks from the cut list', () => {
    const bills = billsOf(fence({ posts: 3 }))
    const options = bills.map(({ lines }) => optionCost(lines, catalogue, costSettings, euro))
    expect(options.every(({ unpriced }) => unpriced.length === 0)).toBe(true)
    const all = bills.flatMap(({ lines }) => lines)
    const terms = { catalogue, settings: costSettings, currency: euro }
    const whole = lineBill(all, { visits: 2, hires: {} }, terms)
    expect(whole.total.net).toBeGreaterThan(options.reduce((sum, { net }) => sum + net, 0n))
    expect(whole.sticks.map(({ row, count }) => [row.length, count])).toEqual([
      [2.4, 2],
      [2.7, 1],
    ])
    const cuts = { 'post/post-100': { bars: [{ stock: 3.6, pieces: [], offcut: 0 }], price: 0, exact: true } }
    expect(lineBill(all, { visits: 2, hires: {} }, { ...terms, cuts }).sticks).toEqual([
      { row: expect.objectContaining({ length: 3.6 }) as unknown, count: 1 },
    ])
  })
})

describe('the list that ships', () => {
  it('has a row for every mix and part, each key once, in known groups, units and rates', () => {
    const keys = catalogue.map(({ key }) => key)
    expect(new Set(keys).size).toBe(keys.length)
    const wanted = [
      ...tables.mixes.filter(({ supply }) => supply !== 'batch').map(({ key }) => `mix/${key}`),
      ...Object.entries(tables.parts.lists).flatMap(([kind, { rows }]) =>
        // The same section as the old one is sold by that section.
        rows.filter(({ key }) => key !== 'as-it-was').map(({ key }) => `${kind}/${key}`),
      ),
    ]
    const sold = new Set([...keys, ...catalogue.map(({ stockOf }) => stockOf)])
    expect(wanted.filter((key) => !sold.has(key))).toEqual([])
    for (const { group, unit, tax, price, pack } of catalogue) {
      expect(CATALOGUE_GROUPS).toContain(group)
      expect(CATALOGUE_UNITS).toContain(unit)
      expect(TAX_KEYS).toContain(tax)
      expect(Number.isSafeInteger(price) && price >= 0 && Number.isSafeInteger(pack) && pack > 0).toBe(true)
    }
  })
})
