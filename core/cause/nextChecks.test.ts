import { describe, expect, it } from 'vitest'
import type { Observations } from './observations'
import { tables } from '../../tests/support/builders'
import { diagnose } from './diagnose'
import { nextChecks, outlooks, wasteOf } from './nextChecks'
import { logLikelihoods, outcomesOf, readingFor, voicesOf } from './readings'
import { sharesOf } from './reasons'
import type { PostFacts } from './tables'
import { logOddsOf, weigh, type Weighing } from './weigh'

const softwood: PostFacts = { material: 'treated-softwood', duty: 'line', ageYears: 10 }
const causes = tables.causes
const weighed = (seen: Observations) => weigh(softwood, voicesOf(seen, causes), causes)
const ahead = (seen: Observations) => outlooks(weighed(seen), voicesOf(seen, causes), seen, causes)

/** Of every cause, and last that nothing has failed. */
const chancesOf = ({ posterior, sound }: Weighing) => [...posterior.map((p) => (1 - sound) * p), sound]

const SEEN: readonly Observations[] = [
  {},
  { pushPivot: 'in-the-soil' },
  { pushPivot: 'at-ground-line', probeAtGround: 0.012 },
  { groundAround: ['saturated', 'root'], comesUpright: 'with-force', lean: { offset: 0.05, over: 1.2 } },
]

describe('what a check may show', () => {
  it.each(SEEN)('is judged as if it had been seen, after %j', (seen) => {
    for (const { row, outcomes } of ahead(seen)) {
      const values = outcomesOf(row)
      expect(outcomes.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 12)
      // Smooth steps have no reading that is purely low or high.
      if (row.logistic) continue
      for (const [i, { after }] of outcomes.slice(0, values.length).entries()) {
        const then = weighed({ ...seen, [row.observation]: readingFor(row, values[i]!) })
        const causesOf = (all: readonly number[]) => all.slice(0, -1).map((p) => (p / (1 - all.at(-1)!)).toFixed(9))
        expect(causesOf(after)).toEqual(then.posterior.map((p) => p.toFixed(9)))
        // Asking for a complaint is not hearing one.
        const isAnswer = Object.values(row.sound).reduce((sum, share) => sum + share, 0) > 0.9
        if (isAnswer) expect(after.at(-1)).toBeCloseTo(then.sound, 9)
      }
    }
  })

  it('is expected as often as the causes as they stand show it', () => {
    const { posterior, sound } = weighed({})
    const [push] = ahead({})
    const value = outcomesOf(push!.row)[1]!
    const column = logLikelihoods(push!.row, value, causes)
    const failed = posterior.reduce((sum, p, i) => sum + p * Math.exp(column[i]!), 0)
    const chance = (1 - sound) * failed + sound * push!.row.sound[value]!
    expect(push!.outcomes[1]!.chance).toBeCloseTo(chance, 2)
  })
})

describe('the value of a check', () => {
  /** Visits wasted on average by the best choice. */
  const waste = (posterior: readonly number[]) =>
    Math.min(...wasteOf(causes).map((row) => row.reduce((sum, visits, j) => sum + visits * posterior[j]!, 0)))

  it.each(SEEN)('is the fall of the visits wasted, averaged over what it may show, after %j', (seen) => {
    const weighing = weighed(seen)
    const all = ahead(seen)
    for (const { observation, saves } of nextChecks(all, weighing, causes)) {
      const { outcomes } = all.find(({ row }) => row.observation === observation)!
      const after = outcomes.reduce((sum, outcome) => sum + outcome.chance * waste(outcome.after), 0)
      expect(saves).toBeCloseTo(Math.max(0, waste(chancesOf(weighing)) - after), 9)
    }
  })

  it('is never below nothing where the reading stands alone in its group', () => {
    // In company it tempers what was seen before: a second probe makes the first count less, and may cost certainty.
    for (const seen of SEEN) {
      const groups = new Set(voicesOf(seen, causes).map(({ group }) => group))
      for (const { row, outcomes } of ahead(seen).filter((each) => !groups.has(each.row.group))) {
        const after = outcomes.reduce((sum, outcome) => sum + outcome.chance * waste(outcome.after), 0)
        expect(after, row.observation).toBeLessThanOrEqual(waste(chancesOf(weighed(seen))) + 1e-9)
      }
    }
  })
})

describe('shares of what is known', () => {
  const seen: Observations = { pushPivot: 'at-ground-line', probeAtGround: 0.03, onset: 'after-storm' }

  it('of two voices that say the same are the same', () => {
    const [push] = voicesOf({ pushPivot: 'at-ground-line' }, causes)
    const twin = weigh(
      softwood,
      [
        { ...push!, group: 'one' },
        { ...push!, group: 'another' },
      ],
      causes,
    )
    for (const own of sharesOf(twin)) expect(own.at(-1)).toBeCloseTo(own.at(-2)!, 9)
  })

  it('agree with letting the voices in by small steps', () => {
    const weighing = weighed(seen)
    const { base, voices, possible } = weighing
    const shares = sharesOf(weighing)
    const steps = 2_000
    const i = 0
    const slow = voices.map(() => 0)
    for (let step = 0; step < steps; step++) {
      const at = (t: number, more: number) =>
        base.map((weight, c) =>
          voices.reduce((sum, { column }, v) => sum + (t + (v === more ? 1 / steps : 0)) * column[c]!, weight),
        )
      const t = (step + 0.5) / steps
      for (const v of slow.keys()) slow[v]! += logOddsOf(at(t, v), possible, i) - logOddsOf(at(t, -1), possible, i)
    }
    for (const [v, share] of slow.entries()) expect(shares[i]![v]).toBeCloseTo(share, 2)
  })

  it('turn round with the cause: what speaks for one of two speaks against the other', () => {
    const two = { ...causes, causes: causes.causes.slice(0, 2) }
    const weighing = weigh(softwood, voicesOf(seen, two), two)
    const [first, second] = sharesOf(weighing)
    for (const [v, share] of first!.entries()) expect(second![v]).toBeCloseTo(-share, 9)
  })
})

describe('settled', () => {
  it('not while one look may well turn it', () => {
    // Hollow and soft: rot leads by far, and a look at the break would show galleries one time in ten.
    const hollow: Observations = { tap: 'hollow', probeAtGround: 0.012 }
    const oak = { ...softwood, material: 'oak', ageYears: 18 }
    const before = diagnose(oak, hollow, causes)
    expect(before.causes[0]!.probability).toBeGreaterThan(0.6)
    expect(before.settled).toBe(false)
    expect(before.nextChecks.map(({ observation }) => observation)).toContain('breakFace')
    expect(diagnose(oak, { ...hollow, breakFace: 'galleries-and-dust' }, causes)).toMatchObject({
      settled: true,
      leading: ['insect-damage'],
    })
    expect(diagnose(oak, { ...hollow, breakFace: 'brown-and-crumbly' }, causes).leading).toEqual(['ground-line-decay'])
  })
})
