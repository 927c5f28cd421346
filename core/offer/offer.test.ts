import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { costSettings } from '../../data/catalogue'
import { someOffer, someOption, stormFence } from '../../tests/support/someOffer'
import { amountOf } from '../cost/frozen'
import { InputError } from '../errors'
import { offerChanges } from './changes'
import { readAnswer, stateOf } from './answer'
import { offerPages } from './offerSheet'
import { readOffer } from './readOffer'

const draft = someOffer()
const copy = () => structuredClone(draft)

describe('an offer', () => {
  it('comes to what its lines come to, in every currency and at every rate', () => {
    for (const currency of ['EUR', 'JPY'])
      for (const standard of [8.1, 20, 25]) {
        const settings = { ...costSettings, taxes: { ...costSettings.taxes, standard } }
        const offer = someOffer({}, { currency, settings })
        expect(readOffer(structuredClone(offer))).toEqual(offer)
        for (const { lines, gross, net, taxes } of offer.options) {
          expect(lines.reduce((sum, { amount }) => sum + amount, 0)).toBe(net)
          expect(taxes.reduce((sum, { amount }) => sum + amount, net)).toBe(gross)
        }
      }
  })

  it('works a line out as by hand: 3.6 bags at 6.40, with 20 on it, is 27.65', () => {
    const line = { key: 'x', name: 'x', unit: 'bag', tax: 20, amount: 0 }
    expect(amountOf({ ...line, quantity: '18/5', price: 640, pack: 1, factor: '6/5' })).toBe(2_765n)
    expect(amountOf({ ...line, quantity: '12', price: 2_350, pack: 10, factor: '1' })).toBe(2_820n)
  })

  it('is refused where any amount is another than its parts make', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), fc.integer({ min: 1, max: 900 }), (which, more) => {
        const offer = copy()
        const option = offer.options[which % offer.options.length]!
        const places: { amount?: number; net?: number; gross?: number }[] = [option, ...option.taxes, ...option.lines]
        const place = places[which % places.length]!
        const key = place === option ? (which % 2 ? 'gross' : 'net') : 'amount'
        place[key] = place[key]! + more
        expect(() => readOffer(offer)).toThrow(InputError)
      }),
    )
  })

  it.each([
    ['over before it is made', (offer: ReturnType<typeof copy>) => (offer.validUntil = '2026-11-01'), 'validUntil'],
    ['of no options', (offer: ReturnType<typeof copy>) => (offer.options = []), 'options'],
    [
      'of a quantity that is no fraction',
      (offer: ReturnType<typeof copy>) => (offer.options[0]!.lines[0]!.quantity = '1e3'),
      'quantity',
    ],
    ['that leaves a rate out', (offer: ReturnType<typeof copy>) => (offer.options[0]!.taxes = []), 'taxes'],
  ])('%s is refused there', (_what, spoil, key) => {
    const offer = copy()
    spoil(offer)
    expect(() => readOffer(offer)).toThrow(key)
  })
})

describe('a new offer', () => {
  it('says what is other, and nothing where nothing is', () => {
    expect(offerChanges(draft, copy())).toEqual([])
    const { job, methods } = stormFence()
    const now = {
      ...copy(),
      options: [
        someOption(job, 'For good', methods('new-post-stone')),
        draft.options[1]!,
        someOption(job, 'Spurs', methods('repair-spur')),
      ],
      validUntil: '2026-12-30',
    }
    const said = offerChanges(draft, now)
    expect(said.at(0)).toMatch(/^For good: EUR [\d.]+, before it was EUR [\d.]+\.$/)
    expect(said).toContain('Spurs: new.')
    expect(said.at(-1)).toBe('It holds until 2026-12-30.')
    expect(offerChanges(now, draft)).toContain('Spurs: not offered any more.')
  })
})

describe('pages of an offer', () => {
  it('name every option, post and sum, and how long it holds', () => {
    const pages = offerPages({ ...draft, number: 3 }, ['For good: EUR 1.00, before it was EUR 2.00.'])
    const text = pages.join('').replace(/<[^>]+>/g, ' ')
    for (const words of [
      'Offer 3',
      'For good',
      'Propped for now',
      'until 2026-12-23',
      'before it was EUR 2.00',
      'local codes',
    ])
      expect(text).toContain(words)
    for (const { posts } of draft.options) for (const { post } of posts) expect(text).toContain(`${post}:`)
    const { gross } = draft.options[0]!
    expect(text).toContain(`EUR ${(gross / 100).toFixed(2)}`)
    pages.forEach((page, i) => expect(page).toContain(`page ${i + 1} of ${pages.length}`))
  })

  it('keep what a customer is called as text', () => {
    expect(offerPages({ ...draft, number: 1, customer: '<b>&' }).join('')).toContain('&lt;b&gt;&amp;')
  })
})

describe('an answer', () => {
  it('makes of an offer what it is now', () => {
    const answer = readAnswer({
      isAccepted: true,
      option: 'For good',
      name: 'Rowan',
      checksum: 'a'.repeat(64),
      at: '2026-11-24T09:00:00Z',
    })
    expect(answer.way).toBe('device')
    const when = (today: string, isReplaced = false) => ({ today, isReplaced })
    expect(stateOf(draft, undefined, when('2026-12-23'))).toBe('sent')
    expect(stateOf(draft, undefined, when('2026-12-24'))).toBe('over')
    expect(stateOf(draft, undefined, when('2026-12-01', true))).toBe('replaced')
    expect(stateOf(draft, answer, when('2027-01-01', true))).toBe('accepted')
    expect(stateOf(draft, { ...answer, isAccepted: false }, when('2026-12-01'))).toBe('declined')
  })
  it.each([
    [{}, 'at is missing'],
    [{ isAccepted: true, name: 'x', checksum: 'zz', at: '2026-11-24T09:00:00Z' }, 'checksum'],
    [{ isAccepted: true, name: ' ', checksum: 'a'.repeat(64), at: '2026-11-24T09:00:00Z' }, 'name'],
  ])('%j is none', (body, key) => {
    expect(() => readAnswer(body)).toThrow(key)
  })
})
