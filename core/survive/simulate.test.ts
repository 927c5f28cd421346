import { fc, test } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { midRun, standardFence, standsNow } from '../../tests/support/stands'
import { drawsFrom } from '../numeric/draws'
import { returnPeriodOfGust } from '../wind/returnPeriod'
import { simulate } from './simulate'
import type { Stand } from './stand'
import { AS_IT_BLOWS, MOST_YEARS, type Drawn } from './winds'
import { medianYears } from './years'
import { cases } from '../../tests/support/cases'

const GUST50 = 38
const YEARS = 10
/** Ground that leaves nothing behind until it goes over. */
const springy = (over: number, saturated = over): Stand => ({
  ground: { drained: { over, left: [0, 0] }, saturated: { over: saturated, left: [0, 0] } },
  parts: [],
})
const PLAIN: Drawn = { saturated: 0, from: 'straight-across', common: 0, own: 0 }

describe('one link in plain years', () => {
  it('goes over as often as the law of annual gusts says, for settings of every kind', () => {
    const { share } = drawsFrom(18)
    for (let i = 0; i < cases(12, 50); i++) {
      const gust50 = 25 + 25 * share()
      // Chances of 0.5 to 30 % a year, spread evenly in their logarithm.
      const chance = 0.005 * 60 ** share()
      const y = -Math.log(-Math.log1p(-chance))
      const over = gust50 * Math.sqrt((1 + 0.2 * y) / 1.7804)
      // As it is asked for: P = 1 − exp(−exp(−y)).
      const asked = ((over / gust50) ** 2 * 1.7804 - 1) / 0.2
      const P = -Math.expm1(-Math.exp(-asked))
      expect(P).toBeCloseTo(chance, 6)
      const [found] = simulate([springy(over)], { gust50, years: YEARS, drawn: PLAIN, seed: i + 1 })
      const plumb = found!.plumb
      // Every year that began is a trial of its own.
      const began = 20_000 * (1 + plumb[0]!.slice(0, -1).reduce((sum, each) => sum + each, 0))
      const ended = 20_000 * (1 - plumb[0]!.at(-1)!)
      const error = Math.sqrt((P * (1 - P)) / began)
      expect(Math.abs(ended / began - P), `setting ${i}: ${P}`).toBeLessThan(3 * error)
    }
  })
})

describe('one link in years as they blow', () => {
  /** Chance over a year's gusts from every side and soil as it scatters, by counting over a fine grid of what is drawn. */
  function byGrid(over: number): number {
    const STEPS = 720
    const sigma = Math.hypot(AS_IT_BLOWS.common, AS_IT_BLOWS.own)
    let [sum, weight] = [0, 0]
    for (let z = -4; z <= 4; z += 0.1) {
      let rate = 0
      for (let i = 0; i < STEPS; i++) {
        const across = Math.abs(Math.cos((2 * Math.PI * (i + 0.5)) / STEPS))
        const asked = (over * Math.exp((sigma * z) / 2)) / Math.max(across, 1e-6)
        rate -= Math.log1p(-1 / returnPeriodOfGust(asked, GUST50)) / STEPS
      }
      const of = Math.exp(-(z ** 2) / 2)
      sum += of * -Math.expm1(-rate)
      weight += of
    }
    return sum / weight
  }
  it.each([30, 36, 42])('at %i m/s is that of the law over directions and soil', (over) => {
    const [found] = simulate([springy(over)], { gust50: GUST50, years: 1 })
    const expected = byGrid(over)
    const error = Math.sqrt((expected * (1 - expected)) / 20_000)
    // Three gusts of a year are drawn, not all: the law has a little more.
    expect(Math.abs(found!.gone[0]! - expected)).toBeLessThan(4 * error + 0.03 * expected)
  })
  it('goes sooner on ground that holds less when it is wet, by six storms in ten', () => {
    const [dry, wet, always] = simulate([springy(40), springy(40, 33), springy(33)], { gust50: GUST50, years: 15 })
    expect(wet!.gone[14]!).toBeGreaterThan(dry!.gone[14]! * 1.3)
    expect(wet!.gone[14]!).toBeLessThan(always!.gone[14]!)
    // Of a rate six tenths come on wet ground.
    const rate = (of: typeof wet) => -Math.log1p(-of!.gone[0]!)
    expect(rate(wet)).toBeCloseTo(0.4 * rate(dry) + 0.6 * rate(always), 2)
  })
  it('is nearer to its middle where a pull has told its soil', () => {
    const told: Stand = { parts: [], ground: { ...springy(48).ground!, common: 0 } }
    const [plain, pulled] = simulate([springy(48), told], { gust50: GUST50, years: 15 })
    expect(pulled!.gone[14]!).toBeLessThan(plain!.gone[14]!)
    const [weak, weakPulled] = simulate([springy(26), { parts: [], ground: { ...springy(26).ground!, common: 0 } }], {
      gust50: GUST50,
      years: 15,
    })
    expect(weakPulled!.gone[14]!).toBeGreaterThan(weak!.gone[14]!)
  })
})

describe('the standard fence', () => {
  const stand = standsNow(midRun(standardFence()))
  const { wood: _wood, ...undecaying } = stand
  const [rots, stays] = simulate([stand, undecaying], { gust50: GUST50, years: 40 })

  it('stands plumb for 12 to 15 years in its median, its wood going and not', () => {
    expect(medianYears(rots!.plumb[0]!)).toBeGreaterThan(12)
    expect(medianYears(rots!.plumb[0]!)).toBeLessThan(15)
    expect(medianYears(stays!.plumb[0]!)).toBeGreaterThan(medianYears(rots!.plumb[0]!)!)
    expect(medianYears(stays!.plumb[0]!)).toBeLessThan(15)
  })
  it('mostly leans, or rots; it seldom goes over as one piece', () => {
    expect(rots!.ends.leans + rots!.ends.wood).toBeGreaterThan(0.9)
    expect(rots!.ends.wood).toBeGreaterThan(0.3)
    expect(Object.values(rots!.ends).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
    expect(stays!.ends.wood).toBe(0)
  })
  it('is the same for the same seed, whatever else is asked and for however long', () => {
    const [alone] = simulate([stand], { gust50: GUST50, years: 5 })
    expect(alone!.plumb[0]).toEqual(rots!.plumb[0]!.slice(0, 5))
    const [other] = simulate([stand], { gust50: GUST50, years: 5, seed: 2 })
    expect(other!.plumb[0]).not.toEqual(alone!.plumb[0])
    // Nor by more than 20 000 lives are out.
    expect(Math.abs(other!.plumb[0]![4]! - alone!.plumb[0]![4]!)).toBeLessThan(4 * Math.sqrt((2 * 0.25) / 20_000))
  })
  it('shares years and soil with the posts of its line, and has ground of its own', () => {
    const at = (post: number): Stand => ({ ...undecaying, post })
    const [one, two] = simulate([at(0), at(1)], { gust50: GUST50, years: 10 })
    expect(one!.plumb[0]).not.toEqual(two!.plumb[0])
    expect(Math.abs(one!.plumb[0]![9]! - two!.plumb[0]![9]!)).toBeLessThan(0.02)
    expect(simulate([at(1)], { gust50: GUST50, years: 10 })[0]!.plumb[0]).toEqual(two!.plumb[0])
  })
  it('ends sooner where it leans already, and from both sides alike', () => {
    const leant = (lean: number) => simulate([{ ...undecaying, lean }], { gust50: GUST50, years: 10 })[0]!.plumb[0]![9]!
    expect(leant(0.01)).toBeLessThan(stays!.plumb[0]![9]! - 0.05)
    expect(leant(-0.01)).toBeCloseTo(leant(0.01), 1)
    expect(leant(0.02)).toBe(0)
  })
  it('says how far it is', () => {
    const seen: number[] = []
    simulate([stand], { gust50: GUST50, years: 2, lives: 3_000, onProgress: (lives) => seen.push(lives) })
    expect(seen).toEqual([1_000, 2_000, 3_000])
  })
})

describe('any stand', () => {
  const stands = fc.record({
    over: fc.double({ min: 15, max: 70, noNaN: true }),
    wet: fc.double({ min: 0.6, max: 1, noNaN: true }),
    left: fc.double({ min: 0, max: 0.03, noNaN: true }),
    wood: fc.double({ min: 15, max: 90, noNaN: true }),
    life: fc.integer({ min: 4, max: 30 }),
    pin: fc.double({ min: 15, max: 90, noNaN: true }),
  })
  const made = ({
    over,
    wet,
    left,
    wood,
    life,
    pin,
  }: typeof stands extends fc.Arbitrary<infer T> ? T : never): Stand => ({
    ground: { drained: { over, left: [left, left] }, saturated: { over: over * wet, left: [left, left] } },
    wood: { over: [wood, wood / 2, 0], life, age: 0 },
    parts: [{ ends: 'pin', over: pin }],
  })
  const asked = { gust50: GUST50, years: 12, lives: 1_000, pressures: [1, 0.5, 2] }
  test.prop([stands])('never rises from the ground again, and more wind never keeps it from going over', (of) => {
    const [{ plumb, gone }] = simulate([made(of)], asked) as [ReturnType<typeof simulate>[number]]
    for (const curve of plumb) {
      expect(curve).toHaveLength(12)
      expect(curve.every((share, year) => share >= 0 && share <= (curve[year - 1] ?? 1))).toBe(true)
    }
    expect(gone.every((share, year) => share >= (gone[year - 1] ?? 0) && share <= 1 - plumb[0]![year]! + 1e-12)).toBe(
      true,
    )
    // Leans of both signs add, so one life in a hundred may be the other way round.
    plumb[0]!.forEach((share, year) => {
      expect(plumb[1]![year]!).toBeGreaterThanOrEqual(share - 0.03)
      expect(plumb[2]![year]!).toBeLessThanOrEqual(share + 0.03)
    })
  })
  test.prop([stands, fc.constantFrom('over', 'wood', 'pin')])(
    'goes over no later where a part of it is weaker',
    (of, key) => {
      const weaker = { ...of, [key]: of[key as 'over'] * 0.8 }
      const [strong, weak] = simulate([made(of), made(weaker)], asked)
      strong!.gone.forEach((share, year) => expect(weak!.gone[year]!).toBeGreaterThanOrEqual(share))
    },
  )
  it('is refused for years that nobody can look at', () => {
    for (const years of [0, 2.5, MOST_YEARS + 1, Number.NaN])
      expect(() => simulate([springy(40)], { gust50: GUST50, years })).toThrow(
        expect.objectContaining({ key: 'years' }),
      )
  })
})
