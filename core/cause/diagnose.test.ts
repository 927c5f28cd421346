import { MATERIALS } from '../timber/materials'
import { DUTIES } from '../document/vocabulary'
import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { SEEN_TOGETHER, type Observations } from './observations'
import { tables } from '../../tests/support/builders'
import { diagnose, type Evidence } from './diagnose'
import { wasteOf } from './nextChecks'
import { CAUSES, type EvidenceRow, type PostFacts } from './tables'

const softwood: PostFacts = { material: 'treated-softwood', duty: 'line', ageYears: 10 }
const see = (observations: Observations, facts = softwood) => diagnose(facts, observations, tables.causes)

describe('causes', () => {
  it.each<[string, Observations, PostFacts, string]>([
    ['a hinge at the ground', { pushPivot: 'at-ground-line', probeAtGround: 0.03 }, softwood, 'ground-line-decay'],
    [
      'sound above, soft below',
      { pushPivot: 'post-loose-in-concrete', probeAtGround: 0, probeBelow: 0.04 },
      softwood,
      'buried-decay',
    ],
    [
      'clean splinters after a storm',
      { breakFace: 'clean-splinters', onset: 'after-storm', probeAtGround: 0 },
      softwood,
      'wind-snap',
    ],
    [
      'a small footing that moves',
      { pushPivot: 'footing-moves', comesUpright: 'will-not', footingFound: 'small' },
      softwood,
      'undersized-footing',
    ],
    ['no footing', { pushPivot: 'in-the-soil', footingFound: 'none' }, softwood, 'no-footing'],
    [
      'dry pockets',
      { pushPivot: 'post-loose-in-concrete', footingFound: 'dry-pockets', probeAtGround: 0, probeBelow: 0 },
      softwood,
      'bad-concrete',
    ],
    [
      'a footing that stands proud after frost',
      { footingFound: 'stands-proud', onset: 'after-frost' },
      softwood,
      'frost-heave',
    ],
    ['galleries', { breakFace: 'galleries-and-dust', probeAtGround: 0.02 }, softwood, 'insect-damage'],
    ['a swinging panel', { pushPivot: 'panel-only', probeAtGround: 0 }, softwood, 'fixing-failure'],
    [
      'a rusted tube',
      { pushPivot: 'at-ground-line', breakFace: 'rust-flakes' },
      { ...softwood, material: 'steel' },
      'corroded-steel',
    ],
    ['a loose plate', { pushPivot: 'at-plate' }, { ...softwood, duty: 'plate-mounted' }, 'loose-anchorage'],
    [
      'a gate since it was hung',
      { pushPivot: 'footing-moves', onset: 'after-gate-hung' },
      { ...softwood, duty: 'gate-hinge' },
      'gate-pull',
    ],
  ])('%s', (_name, observations, facts, cause) => {
    expect(see(observations, facts).causes[0]!.cause).toBe(cause)
  })

  it('knows what cannot be, and why', () => {
    const steel = see({ pushPivot: 'at-ground-line' }, { ...softwood, material: 'steel' }).causes
    expect(steel.find((cause) => cause.cause === 'ground-line-decay')).toMatchObject({
      probability: 0,
      impossible: 'only timber rots or is eaten',
    })
    expect(see({}).causes.find((cause) => cause.cause === 'corroded-steel')).toMatchObject({
      probability: 0,
      impossible: 'only steel rusts',
    })
  })

  it('is settled by plain readings and not by one weak one', () => {
    expect(see({ pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' }).settled).toBe(true)
    expect(see({ onset: 'slowly' }).settled).toBe(false)
    expect(see({}).leading).toEqual([])
  })

  it('takes a blank answer for no answer', () => {
    expect(see({ onset: 'unknown', footingFound: 'not-dug' }).causes).toEqual(see({}).causes)
  })

  it('advises the check that tells most per minute', () => {
    const { nextChecks } = see({ pushPivot: 'at-ground-line', breakFace: 'none' })
    expect(nextChecks).toHaveLength(3)
    expect(nextChecks[0]!.observation).toBe('probeAtGround')
    expect(nextChecks.map((check) => check.gain)).toEqual(nextChecks.map((check) => check.gain).sort((a, b) => b - a))
  })
})

describe('weighing: properties', () => {
  const valueOf = (row: EvidenceRow): fc.Arbitrary<unknown> => {
    if (row.observation === 'lean')
      return fc.record({ offset: fc.double({ min: -0.2, max: 0.2, noNaN: true }), over: fc.constant(1.2) })
    if (row.logistic) return fc.double({ min: 0, max: 60, noNaN: true })
    if (row.bands) return fc.double({ min: 0, max: 0.06, noNaN: true })
    if (row.observation === 'groundAround') return fc.subarray([...SEEN_TOGETHER.groundAround])
    return fc.constantFrom(...Object.keys(row.usual))
  }
  const readings = fc.record(Object.fromEntries(tables.causes.evidence.map((row) => [row.observation, valueOf(row)])), {
    requiredKeys: [],
  }) as fc.Arbitrary<Observations>
  const facts = fc.record({
    material: fc.constantFrom(...MATERIALS),
    duty: fc.constantFrom(...DUTIES),
    ageYears: fc.integer({ min: 0, max: 40 }),
  })

  property.prop([readings, facts])('probabilities add up to one', (observations, post) => {
    const total = see(observations, post).causes.reduce((sum, cause) => sum + cause.probability, 0)
    expect(total).toBeCloseTo(1, 12)
  })

  property.prop([readings, facts])('reasons add up to the odds of every cause', (observations, post) => {
    for (const { probability, decibans, start, evidence, impossible } of see(observations, post).causes) {
      if (impossible) {
        expect([probability, decibans]).toEqual([0, -Infinity])
        continue
      }
      const added = evidence.reduce((sum, reason) => sum + reason.decibans, start)
      // In ln odds, as the odds are kept: 1e-9 of them.
      expect(Math.abs(added - decibans) * (Math.LN10 / 10)).toBeLessThan(1e-9)
      const odds = 10 ** (decibans / 10)
      expect(odds / (1 + odds)).toBeCloseTo(probability, 9)
    }
  })

  property.prop([readings, facts])('the order of readings does not matter', (observations, post) => {
    const turned = Object.fromEntries(Object.entries(observations).reverse())
    const [there, back] = [see(observations, post), see(turned, post)]
    for (const { cause, probability, evidence } of there.causes) {
      const same = back.causes.find((each) => each.cause === cause)!
      expect(same.probability).toBeCloseTo(probability, 12)
      const share = (all: Evidence[], of: Evidence) => all.find(({ says }) => says === of.says)!.decibans
      for (const reason of evidence) expect(share(same.evidence, reason)).toBeCloseTo(share(evidence, reason), 9)
    }
  })

  property.prop([readings, facts])('a reading made and taken back leaves the same numbers', (observations, post) => {
    const before = see(observations, post)
    const { tap: _tap, ...rest } = { ...observations, tap: 'hollow' }
    if (observations.tap === undefined) expect(see(rest as Observations, post)).toEqual(before)
  })
})

describe('what a voice counts', () => {
  const share = (observations: Observations, cause: string, source: string) =>
    see(observations)
      .causes.find((each) => each.cause === cause)!
      .evidence.filter(({ observation }) => observation === source)
      .reduce((sum, { decibans }) => sum + decibans, 0)

  it('one reading alone counts as its likelihood against the others', () => {
    // Nothing else seen: the share is the whole change of the odds.
    const { decibans, start, evidence } = see({ wrap: 'gaping' }).causes.find(
      ({ cause }) => cause === 'ground-line-decay',
    )!
    const facts = evidence.filter(({ observation }) => observation !== 'wrap')
    const before = facts.reduce((sum, reason) => sum + reason.decibans, start)
    expect(share({ wrap: 'gaping' }, 'ground-line-decay', 'wrap')).toBeCloseTo(decibans - before, 9)
    expect(share({ wrap: 'gaping' }, 'ground-line-decay', 'wrap')).toBeGreaterThan(2)
  })

  it('a moisture or a lean counts by a smooth step', () => {
    const counts = [10, 20, 24, 28, 40].map((percent) =>
      share({ moisturePercent: percent }, 'ground-line-decay', 'moisturePercent'),
    )
    expect(counts).toEqual([...counts].sort((a, b) => a - b))
    expect(counts[0]).toBeLessThan(-3)
    expect(counts[4]).toBeGreaterThan(2)
    const far = { offset: 0.12, over: 1.2 }
    expect(share({ lean: far }, 'fixing-failure', 'lean')).toBeLessThan(-5)
    expect(share({ lean: [far, { ...far, direction: 0 }] }, 'fixing-failure', 'lean')).toBeLessThan(
      share({ lean: { offset: 0.03, over: 1.2 } }, 'fixing-failure', 'lean'),
    )
  })

  it('everything seen round the foot counts, and so does nothing', () => {
    const both = see({ groundAround: ['heaped-soil', 'water-holding-top'] }).causes[0]!
    expect(both.evidence.filter(({ observation }) => observation === 'groundAround')).toHaveLength(2)
    expect(share({ groundAround: [] }, 'soft-ground', 'groundAround')).toBeLessThan(-3)
  })
})

describe('the next check', () => {
  it('says what it tells apart, how long it takes and what it saves', () => {
    const { nextChecks } = see({ pushPivot: 'in-the-soil' })
    for (const { why, minutes, saves, gain } of nextChecks) {
      expect(why).toMatch(/^[A-Z].* tells .* from .*: \d+ minutes?/)
      expect(minutes).toBeGreaterThan(0)
      expect(saves).toBeGreaterThanOrEqual(0)
      expect(gain).toBeGreaterThanOrEqual(saves / minutes)
    }
    expect(nextChecks.some(({ saves }) => saves > 0.01)).toBe(true)
  })

  it('is one that has not been made', () => {
    const observations: Observations = { pushPivot: 'in-the-soil', groundAround: [], lean: { offset: 0.1, over: 1 } }
    const asked = see(observations).nextChecks.map(({ observation }) => observation)
    for (const key of Object.keys(observations)) expect(asked).not.toContain(key)
  })

  it('counts visits: none for one set of repairs, one for the wrong part', () => {
    const waste = wasteOf(tables.causes)
    const at = (a: string, b: string) =>
      waste[CAUSES.indexOf(a as (typeof CAUSES)[number])]![CAUSES.indexOf(b as (typeof CAUSES)[number])]
    expect(at('undersized-footing', 'no-footing')).toBe(0)
    expect(at('ground-line-decay', 'buried-decay')).toBe(0.3)
    expect(at('ground-line-decay', 'undersized-footing')).toBe(1)
    expect(at('loose-anchorage', 'fixing-failure')).toBe(0.8)
  })
})

describe('the tables', () => {
  it('hold every cause once, and no likelihood without a reason', () => {
    expect(tables.causes.causes.map((cause) => cause.key)).toEqual([...CAUSES])
    for (const row of tables.causes.evidence) {
      for (const [cause, { weights, because }] of Object.entries(row.byCause)) {
        expect(because.length, `${row.observation} ${cause}`).toBeGreaterThan(8)
        expect(Object.keys(weights), `${row.observation} ${cause}`).toEqual(Object.keys(row.usual))
      }
      for (const value of Object.keys(row.usual)) expect(row.words[value], `${row.observation} ${value}`).toBeTruthy()
    }
  })
})
