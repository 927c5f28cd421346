import { describe, expect, it } from 'vitest'
import { catalogue, costSettings } from '../../data/catalogue'
import { currencies } from '../../data/currencies'
import { fence } from '../../data/demo/days'
import { tables } from '../../data/tables'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { openWays } from './jobBills'
import { optionCost } from './option'
import { postOptions, type OptionTerms } from './options'

const job = fence({ posts: 3 })
const planned = { job, resolved: resolveJob(job, tables), plan: plan(job, tables) }
const ways = openWays(planned, planned.plan.posts[1]!, tables)
const terms: OptionTerms = {
  catalogue,
  settings: costSettings,
  currency: currencies[0]!,
  years: 15,
  lived: new Map(),
}
const options = (more: Partial<OptionTerms> = {}) => postOptions(ways, { ...terms, ...more })
const named = (all: ReturnType<typeof options>, method: string) => all.find(({ plan: each }) => each.method === method)!

describe('ways to mend a post, as they are compared', () => {
  it('cost what their bills come to', () => {
    expect(options()).toHaveLength(ways.length)
    for (const { method, lines } of ways)
      expect(named(options(), method.method).net).toBe(
        Number(optionCost(lines, catalogue, costSettings, terms.currency).net),
      )
  })
  it('stand behind all others where they leave a cause as it is, however cheap; the others by a plumb year', () => {
    const all = options()
    const firstLeaving = all.findIndex(({ leaves }) => leaves.length > 0)
    const solving = firstLeaving < 0 ? all : all.slice(0, firstLeaving)
    expect(solving.length).toBeGreaterThan(1)
    expect(solving.every(({ leaves }) => leaves.length === 0)).toBe(true)
    expect(all.slice(solving.length).every(({ leaves }) => leaves.length > 0)).toBe(true)
    expect(solving.map(({ perYear }) => perYear)).toEqual(solving.map(({ perYear }) => perYear).sort((a, b) => a - b))
  })
  it('cost less a plumb year the longer their lives were reckoned', () => {
    const method = 'new-post-concrete'
    const lived = (share: number) => new Map([[method, new Array<number>(15).fill(share)]])
    const [short, long] = [0.4, 0.9].map((share) => named(options({ lived: lived(share) }), method))
    expect(long!.perYear).toBeLessThan(short!.perYear)
    expect(long!.spent.at(-1)).toBeLessThan(short!.spent.at(-1)!)
    expect(long!.net).toBe(short!.net)
  })
  it('move with one working value at a time', () => {
    const option = named(options(), 'new-post-concrete')
    expect(option.perYearWith('labour', 1)).toBeCloseTo(option.perYear, 9)
    expect(option.perYearWith('labour', 1.2)).toBeGreaterThan(option.perYear)
    expect(option.perYearWith('stands', 2)).toBeLessThan(option.perYear)
    // It stands as long, whatever an hour costs.
    const labour = option.perYearWith('labour', 2) - option.perYear
    expect(option.perYearWith('labour', 3) - option.perYear).toBeCloseTo(2 * labour, 0)
  })
  it('are none where no way is open', () => {
    expect(postOptions([], terms)).toEqual([])
  })
})
