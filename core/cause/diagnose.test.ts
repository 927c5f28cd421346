import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import type { Observations } from '../job/observations'
import { tables } from '../testing'
import { diagnose } from './diagnose'
import { CAUSES, type PostFacts } from './tables'

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
  const readings = fc.record(
    Object.fromEntries(
      tables.causes.evidence.map((row) => [
        row.observation,
        row.bands ? fc.double({ min: 0, max: 0.06, noNaN: true }) : fc.constantFrom(...Object.keys(row.usual)),
      ]),
    ),
    { requiredKeys: [] },
  )

  property.prop([readings])('probabilities add up to one', (observations) => {
    const total = see(observations).causes.reduce((sum, cause) => sum + cause.probability, 0)
    expect(total).toBeCloseTo(1, 12)
  })

  property.prop([readings])('the order of readings does not matter', (observations) => {
    const turned = Object.fromEntries(Object.entries(observations).reverse())
    expect(see(turned).causes).toEqual(see(observations).causes)
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
