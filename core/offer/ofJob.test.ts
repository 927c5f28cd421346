import { describe, expect, it } from 'vitest'
import { catalogue, costSettings } from '../../data/catalogue'
import { currencies } from '../../data/currencies'
import { tables } from '../../data/tables'
import type { Job } from '../document/job'
import { postKey } from '../document/postKey'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { stormFence } from '../../tests/support/someOffer'
import {
  methodsWith,
  offerDraft,
  optionWork,
  pricedOption,
  Unpriced,
  USUAL_SENTENCES,
  waysOfPosts,
  type OfferTerms,
} from './ofJob'

const { job, methods } = stormFence()
const terms: OfferTerms = {
  hires: {},
  catalogue,
  settings: costSettings,
  currency: currencies.find(({ code }) => code === costSettings.currency)!,
  show: (gust) => `${gust.toFixed(0)} m/s`,
}
const option = (method: string, more: Partial<OfferTerms> = {}) =>
  pricedOption('For good', optionWork(job, methods(method), tables), { ...terms, ...more })

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

describe('an option that takes what nobody has priced', () => {
  it('is not made, and names the things', () => {
    const without = catalogue.filter(({ key }) => key !== 'mix/post-mix-20')
    const make = () => option('new-post-concrete', { catalogue: without })
    expect(make).toThrow(Unpriced)
    expect(make).toThrow('For good: without a price in the yard: mix post mix 20. Put it there first.')
  })
})

describe('ways for all posts that are worked on', () => {
  const planned = plan(job, tables)
  const worked = methods('new-post-concrete')
  it('are those that one of them allows, with how many do', () => {
    const ways = waysOfPosts(planned, worked)
    expect(ways.find(({ method }) => method === 'new-post-concrete')).toEqual({
      method: 'new-post-concrete',
      name: 'New post, concrete',
      posts: Object.keys(worked).length,
    })
    expect(waysOfPosts(planned, {})).toEqual([])
    const allowed = planned.posts.flatMap((post) =>
      postKey(post) in worked ? post.methods.filter((each) => each.allowed && !each.unsuited) : [],
    )
    expect(ways.reduce((sum, { posts }) => sum + posts, 0)).toBe(allowed.length)
  })
  it('take the place of what was chosen where they are allowed, and nowhere else', () => {
    const [first, ...others] = Object.keys(worked)
    const spurred = methodsWith('repair-spur', planned, worked)
    expect(Object.keys(spurred)).toEqual([first, ...others])
    for (const post of planned.posts.filter((each) => postKey(each) in worked)) {
      const isAllowed = post.methods.some(({ method, allowed }) => method === 'repair-spur' && allowed)
      expect(spurred[postKey(post)]).toBe(isAllowed ? 'repair-spur' : 'new-post-concrete')
    }
    expect(methodsWith('no-such-way', planned, worked)).toEqual(worked)
  })
})

describe('the draft of an offer', () => {
  const words = { validUntil: '2026-12-24', included: ['a'], excluded: ['b'], cautions: ['c'] }
  const draft = (of: Job, worked: Record<string, string>) =>
    offerDraft({ job: of, resolved: resolveJob(of, tables) }, worked, {
      id: 'offer-1',
      jobVersion: 3,
      madeAt: '2026-11-24T09:10:00Z',
      currency: terms.currency,
      options: [option('make-safe')],
      ...words,
    })
  it('names job and place, and draws the lines that are worked on alone', () => {
    const two: Job = {
      ...job,
      lines: [
        ...job.lines,
        { ...job.lines[0]!, id: 'Z', posts: job.lines[0]!.posts.map((post) => ({ ...post, id: `Z${post.id}` })) },
      ],
    }
    const made = draft(two, { 'B/B4': 'make-safe' })
    expect(made).toMatchObject({ format: 'vindex-offer', job: job.name, site: job.site!.name, jobVersion: 3, ...words })
    expect(made.drawing).toBe(draft(job, { 'B/B4': 'make-safe' }).drawing)
    expect(made.drawing).not.toBe(draft(two, { 'B/B4': 'make-safe', 'Z/ZB4': 'make-safe' }).drawing)
    expect(draft({ ...job, site: {} }, {}).site).toBe('')
  })
  it('goes by names with a slash in them', () => {
    const slashed: Job = { ...job, lines: job.lines.map((line) => ({ ...line, id: 'B/2' })) }
    expect(draft(slashed, { [postKey({ line: 'B/2', post: 'B4' })]: 'make-safe' }).drawing).toContain('B4')
  })
})

describe('what a customer has to know beside the figures', () => {
  it('is in whole sentences, with what is left out and what is to be careful with', () => {
    const all = Object.values(USUAL_SENTENCES).flat()
    expect(Object.values(USUAL_SENTENCES).every((each) => each.length >= 2)).toBe(true)
    for (const each of all) expect(each).toMatch(/^[A-Z].+\.$/)
  })
})
