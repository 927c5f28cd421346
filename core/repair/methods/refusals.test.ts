import { describe, expect, it } from 'vitest'
import { plan } from '../../plan/plan'
import type { Line, Post, Site } from '../../document/job'
import { jobOf, runOfPosts, tables } from '../../../tests/support/builders'

/* When each method is open and when it is not: the table of the trade, row by row. */

const sound: Partial<Post> = {
  ageYears: 12,
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  footing: { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.7 },
}
const decayed: Partial<Post> = {
  ...sound,
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily', footingFound: 'adequate' },
}
function methodOf(key: string, post: Partial<Post>, line: Partial<Line> = {}, site: Site = {}) {
  const job = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === 2 ? post : {})), ...line }, site)
  return plan(job, tables).posts[2]!.methods.find(({ method }) => method === key)!
}
/** A low, open fence out of the wind: what a pin is for. */
const low: [Partial<Line>, Site] = [
  { kind: 'picket', height: 0.9 },
  { exposure: 'sheltered', shelter: 0.7 },
]
const wide: Partial<Post> = { ...decayed, section: { shape: 'rectangle', along: 0.125, across: 0.125 }, length: 1.5 }

describe('a steel pin', () => {
  it('is open in a low fence with a wide post on a sound footing', () => {
    const pin = methodOf('steel-pin', wide, ...low)
    expect(pin.reasons).toEqual([])
    expect(pin.links.map(({ link }) => link)).toEqual(['pin', 'wood-round-pin', 'post', 'footing'])
  })

  it.each<[string, Partial<Post>, string]>([
    ['a gate', { ...wide, duty: 'gate-latch' }, 'A gate would work the pin loose.'],
    ['steel', { ...wide, material: 'steel' }, 'A steel post cannot be bored for a pin.'],
    ['soil alone', { ...wide, footing: { kind: 'soil' } }, 'There is no concrete footing to stand the pin in.'],
    [
      'a loose footing',
      { ...wide, observations: { ...wide.observations, pushPivot: 'footing-moves' } },
      'The footing itself is loose.',
    ],
    [
      'a cracked footing',
      { ...wide, observations: { ...wide.observations, footingFound: 'cracked' } },
      'The old footing is not worth standing a pin in.',
    ],
    [
      'a slight post',
      { ...wide, section: { shape: 'rectangle', along: 0.075, across: 0.075 }, repair: { parts: { pin: 'pipe-33' } } },
      'A 33 mm bore leaves too little wood in this post.',
    ],
  ])('not with %s', (_name, post, reason) => {
    expect(methodOf('steel-pin', post, ...low).reasons).toContain(reason)
  })

  it('holds more when it is thicker, until the wood gives way', () => {
    const gust = (pin: string) => {
      const { links } = methodOf('steel-pin', { ...wide, repair: { pin } }, ...low)
      return links.find(({ link }) => link === 'pin')!.over!
    }
    expect(gust('pipe-33')).toBeGreaterThan(gust('conduit-29'))
    expect(gust('pipe-48')).toBeGreaterThan(gust('pipe-33'))
    expect(gust('bar-25')).toBeGreaterThan(gust('bar-20'))
  })

  it('is bent by soil behind the fence alone, wind or none', () => {
    const picket: [Partial<Line>, Site] = [
      { kind: 'picket', height: 1 },
      { exposure: 'sheltered', shelter: 0.7 },
    ]
    const held = (pressure: number) =>
      methodOf('steel-pin', { ...wide, repair: { pin: 'pipe-33' }, steadyLoad: { pressure, height: 0.5 } }, ...picket)
    // 2500 Pa over 0.5 m on 2.4 m of bay: 1500 N, 375 N m at the ground and more at the joint below it. The pin
    // yields at 1.27 · 2177 mm³ · 235 MPa.
    const banked = held(2_500)
    expect(banked.allowed).toBe(false)
    expect(banked.links.find(({ link }) => link === 'pin')).toMatchObject({ code: 0, over: expect.any(Number) })
    expect(banked.holdingGust).toBeLessThan(held(0).holdingGust! / 2)
    const wood = (pressure: number) => held(pressure).links.find(({ link }) => link === 'wood-round-pin')!.over!
    expect(wood(1_000)).toBeLessThan(wood(0))
    expect(held(9_000).holdingGust).toBe(0)
  })

  it('says when the old footing is not measured', () => {
    const unknown = methodOf('steel-pin', { ...wide, footing: { kind: 'unknown' } }, ...low)
    expect(unknown.cautions).toContain('The old footing is not measured: what it holds is not in these figures.')
    expect(unknown.links.map(({ link }) => link)).not.toContain('footing')
  })
})

describe('a larger footing', () => {
  it.each<[string, Partial<Post>, string]>([
    ['a broken post', { ...sound, observations: { breakFace: 'clean-splinters' } }, 'The post is broken.'],
    ['soft wood below', { ...sound, observations: { probeBelow: 0.02 } }, 'The wood at or below ground is gone soft.'],
    ['a plate', { ...sound, footing: { kind: 'plate' } }, 'The post stands on a plate, not in the ground.'],
  ])('not round %s', (_name, post, reason) => {
    expect(methodOf('recast-footing', post).reasons).toContain(reason)
  })

  it('is wider than the old one, and takes it out', () => {
    const { hole, concrete, reasons } = methodOf('recast-footing', sound)
    expect(reasons).toEqual([])
    expect(hole!.diameter).toBeGreaterThanOrEqual(0.4)
    expect(concrete!.oldConcrete!.lifts).toBe(Math.ceil(concrete!.oldConcrete!.mass / 20))
  })
})

describe('a spur', () => {
  it('stands half in the ground, whatever the depth rules allow', () => {
    const { hole, parts } = methodOf('repair-spur', decayed, { height: 0.9 }, { frostDepth: 0, minimumDepth: 1.2 })
    const spur = tables.parts.lists.spur.rows.find(({ key }) => key === parts[0]!.key)!
    expect(hole!.footingBottom).toBe(spur.length / 2)
  })

  it('has the leaf on its fixings too, along the line', () => {
    const gate = (leafMass: number) =>
      methodOf('repair-spur', { ...decayed, duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass, hingeSpacing: 1.1 } })
    const fixing = (leafMass: number, end: string) =>
      gate(leafMass).links.find(({ link }) => link === `${end}-fixing`)!.over!
    for (const end of ['upper', 'lower']) {
      expect(fixing(40, end)).toBeLessThan(fixing(10, end))
      expect(fixing(1_000, end)).toBe(0)
    }
  })

  it('bends later when it is larger', () => {
    const over = (spur: string) =>
      methodOf('repair-spur', { ...decayed, repair: { spur } }).links.find(({ link }) => link === 'spur')!.over!
    expect(over('spur-100') / over('spur-75')).toBeCloseTo(Math.sqrt(2_000 / 900), 6)
  })
})

describe('a new post', () => {
  it('is open nearly always, and says how long the mix can be worked by its kind', () => {
    const open = (mix: string) => methodOf('new-post-concrete', { ...decayed, repair: { mix } })
    expect(open('post-mix-20').reasons).toEqual([])
    // The lorry brings it mixed: nobody stands at the barrow.
    expect(open('mixer-truck').minutes).toBeLessThan(open('hand-batch').minutes)
    expect(open('hand-batch').concrete!.bags.batch!.batches.count).toBeGreaterThan(0)
    expect(open('mixer-truck').concrete!.bags).toMatchObject({ count: 0, water: 0 })
  })

  it('counts in concrete what was chosen as stone, and says so', () => {
    const stone = methodOf('new-post-concrete', { ...decayed, repair: { filling: 'stone' } })
    expect(stone.concrete!.filling).toBe('wet-barrow')
    expect(stone.cautions).toContain('This repair is cast in concrete, and is counted so.')
  })
})

it('making safe is always open, and holds what its props hold by the bare formulas', () => {
  const ROCK = { soil: 'rock' }
  for (const post of [{}, decayed, ROCK, { duty: 'load-bearing' as const }]) {
    const safe = methodOf('make-safe', post)
    expect(safe.allowed).toBe(true)
    // Nobody says what a stake holds in rock; what carries people is propped against its load.
    expect(safe.holdingGust === undefined).toBe(post === ROCK || 'duty' in post)
    for (const { over, bare } of safe.links) expect(over).toBe(bare)
  }
})
