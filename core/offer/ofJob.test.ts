import { describe, expect, it } from 'vitest'
import { catalogue, costSettings } from '../../data/catalogue'
import { currencies } from '../../data/currencies'
import { tables } from '../../data/tables'
import { stormFence } from '../../tests/support/someOffer'
import { optionOfJob, USUAL_SENTENCES, type OfferTerms } from './ofJob'

const { job, methods } = stormFence()
const terms: OfferTerms = {
  hires: {},
  catalogue,
  settings: costSettings,
  currency: currencies.find(({ code }) => code === costSettings.currency)!,
  tables,
  show: (gust) => `${gust.toFixed(0)} m/s`,
}
const option = (method: string, more: Partial<OfferTerms> = {}) =>
  optionOfJob(job, 'For good', methods(method), { ...terms, ...more })

describe('an option of a job', () => {
  it('has each post with its way and what it stands', () => {
    const { name, posts } = option('new-post-concrete')
    expect(name).toBe('For good')
    expect(posts.map(({ post }) => post)).toEqual(['B4', 'B7', 'B8', 'B13', 'B17'])
    for (const each of posts) {
      expect(each.method).toBe('New post, concrete')
      expect(each.stands).toMatch(/leans from \d+ m\/s.* goes over at \d+ m\/s/)
    }
  })
  it('adds up, tax and all', () => {
    const { lines, net, taxes, gross } = option('new-post-concrete')
    expect(lines.length).toBeGreaterThan(5)
    expect(net + taxes.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(gross, 6)
    expect(taxes.reduce((sum, each) => sum + each.net, 0)).toBeCloseTo(net, 6)
  })
  it('comes twice where concrete is poured and once where none is, unless somebody says otherwise', () => {
    expect(option('new-post-concrete').visits).toBe(2)
    expect(option('make-safe').visits).toBe(1)
    expect(option('make-safe', { visits: 3 }).visits).toBe(3)
    expect(option('make-safe', { visits: 3 }).net).toBeGreaterThan(option('make-safe').net)
  })
  it('costs more with a day of hire', () => {
    expect(option('new-post-concrete', { hires: { 'hire/mixer': 1 } }).net).toBeGreaterThan(
      option('new-post-concrete').net,
    )
  })
})

describe('what a customer has to know beside the figures', () => {
  it('is in whole sentences, with what is left out and what is to be careful with', () => {
    const all = Object.values(USUAL_SENTENCES).flat()
    expect(Object.values(USUAL_SENTENCES).every((each) => each.length >= 2)).toBe(true)
    for (const each of all) expect(each).toMatch(/^[A-Z].+\.$/)
  })
})
