import { describe, expect, it } from 'vitest'
import { InputError } from '../errors'
import { tables } from '../../tests/support/builders'
import { calculate, calculations } from './registry'

/** Four figures, as they were worked; of what is small, to the tenth of a millimetre. */
const digitsOf = (value: number) =>
  value === 0 ? 4 : Math.abs(value) < 1e-3 ? 9 : Math.min(4, Math.max(0, 3 - Math.floor(Math.log10(Math.abs(value)))))
function near(value: unknown): unknown {
  if (typeof value === 'number') return expect.closeTo(value, digitsOf(value))
  if (Array.isArray(value)) return value.map(near)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, near(each)]))
}

const run = (name: string, input: unknown) => calculate(name, input, tables)

describe('named calculations', () => {
  it('gives the worked post in the ground', () => {
    const input = {
      soil: 'firm-clay',
      saturated: false,
      ignoredTop: 0,
      segments: [{ top: 0, bottom: 0.6, width: 0.25 }],
      height: 0.94,
      tolerance: 0.008333,
    }
    const { over, lean, code } = run('post-in-ground', input) as Record<string, number>
    expect(Math.abs(over! / 1737 - 1)).toBeLessThan(0.005)
    expect(Math.abs(lean! / 1052 - 1)).toBeLessThan(0.005)
    expect(Math.abs(code! / 149 - 1)).toBeLessThan(0.005)
    expect(run('post-in-ground', { ...input, force: 1800 })).toMatchObject({
      groundMovement: null,
      rotation: null,
      residual: null,
    })
    expect(run('post-in-ground', { ...input, force: 1000 }).groundMovement).toBeCloseTo(0.0038, 4)
  })

  it('gives the worked wind', () => {
    const stretch = {
      from: 18.78,
      to: 21.22,
      length: 40,
      height: 1.83,
      solidity: 1,
      cornerAtStart: false,
      cornerAtEnd: false,
    }
    expect(run('wind-coefficient', stretch).coefficient).toBeCloseTo(1.2, 12)
    const { force, height } = run('wind-force', {
      ...stretch,
      gap: 0.05,
      gust: 40,
      exposure: 'sheltered',
      shelter: 1,
    }) as Record<string, number>
    expect(force).toBeCloseTo(2477, 0)
    expect(height).toBeCloseTo(0.94, 9)
  })

  it('gives return periods both ways', () => {
    const { gust } = run('return-period', { returnYears: 10, gust50: 38 }) as { gust: number }
    expect(gust / 38).toBeCloseTo(0.902, 3)
    expect(run('return-period', { gust, gust50: 38 }).returnYears).toBeCloseTo(10, 9)
  })

  it('gives the code formula both ways', () => {
    const post = { height: 0.914, width: 0.254, lateral: 15_709, isolated: true }
    expect(run('code-depth', { force: 2544, ...post }).depth).toBeCloseTo(1.855, 3)
    expect(run('code-force', { depth: 1.8547, ...post }).force).toBeCloseTo(2544, -1)
  })

  it('gives section, hole, bags and lean', () => {
    const { modulus } = run('section', { shape: 'tube', diameter: 0.0334, wall: 0.00338 }) as { modulus: number }
    expect(modulus * 1e9).toBeCloseTo(2177, -0.5)
    const hole = { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.075 }
    const post = { shape: 'rectangle', along: 0.1, across: 0.1 }
    const { concrete } = run('hole-volume', { hole, post }) as { concrete: number }
    expect(concrete * 1e3).toBeCloseTo(34.89, 2)
    expect(run('bags', { concrete, mix: 'post-mix-20', filling: 'wet-barrow', hole, post })).toMatchObject({ count: 4 })
    expect(run('lean', { offset: 0.03, over: 0.6, height: 1.8 }).topOffset).toBeCloseTo(0.09, 12)
    expect(run('lean', { offset: 0.03, over: 1, second: { offset: 0.04, over: 1 }, height: 2 })).toMatchObject({
      topOffset: expect.closeTo(0.1, 12),
      direction: expect.closeTo(Math.atan2(4, 3), 12),
    })
  })

  it('gives the diagnosis', () => {
    const { causes } = run('diagnose', {
      material: 'oak',
      duty: 'line',
      ageYears: 9,
      observations: { pushPivot: 'panel-only' },
    }) as { causes: { cause: string }[] }
    expect(causes[0]!.cause).toBe('fixing-failure')
  })

  it.each([
    ['no-such', {}, 'name'],
    ['code-force', {}, 'depth'],
    ['code-force', [], 'input'],
    ['code-force', { depth: 1, height: 1, width: 0.3, lateral: 20_000, hieght: 2 }, 'hieght'],
    ['wind-force', { from: 2, to: 1, length: 9, height: 1.8, solidity: 1, gap: 0, gust: 30, exposure: 'open' }, 'to'],
    ['post-in-ground', { soil: 'rock', segments: [], height: 1 }, 'soil'],
    [
      'post-in-ground',
      { soil: 'gravel', segments: [{ top: 0, bottom: 0.5, width: Number.NaN }], height: 1 },
      'segments[0].width',
    ],
    ['section', { shape: 'hollow', along: 0.1, across: 0.1 }, 'section.wall'],
    ['return-period', { gust50: 38 }, 'gust'],
    [
      'diagnose',
      { material: 'oak', duty: 'line', ageYears: 9, observations: { pushPivot: 'sideways' } },
      'observations.pushPivot',
    ],
  ])('%s %j is refused by key', (name, input, key) => {
    expect(() => run(name, input)).toThrow(InputError)
    expect(() => run(name, input)).toThrow(expect.objectContaining({ key }))
  })

  it('turns map figures into the 50-year gust', () => {
    expect(run('gust50', { figure: 'gust-700', speed: 48 }).gust50).toBeCloseTo(37.97, 2)
  })

  it('gives sections with soft faces, a rotten heart or a bore', () => {
    const post = { shape: 'rectangle', along: 0.1, across: 0.1 }
    const faces = { start: 0, end: 0, front: 0.02, back: 0 }
    expect(run('section', { ...post, soft: faces }).modulus).toBeCloseTo((0.1 * 0.08 ** 2) / 6, 12)
    expect(run('section', { ...post, shell: 0.02 }).area).toBeCloseTo(0.01 - 0.06 ** 2, 12)
    expect(run('section', { ...post, bore: 0.012 }).modulus).toBeCloseTo((0.088 * 0.1 ** 2) / 6, 12)
    expect(() => run('section', { ...post, bore: 0.012, soft: 0.01 })).toThrow(InputError)
    expect(() => run('section', { ...post, soft: { ...faces, back: -1 } })).toThrow('soft.back is -1')
  })

  it('finds the cheapest hole and draws the curve of the ground', () => {
    const found = run('find-hole', {
      soil: 'firm-clay',
      force: 1200,
      height: 0.94,
      post: { shape: 'rectangle', along: 0.1, across: 0.1 },
      frostDepth: 0.45,
      minimumDepth: 0.6,
      diameters: [0.3, 0.25, 0.4],
      reach: 1.2,
    }) as { best: { cost: number }; curve: { cost: number; outOfReach: boolean }[] }
    expect(found.curve).toHaveLength(3)
    expect(found.best.cost).toBe(Math.min(...found.curve.filter((hole) => !hole.outOfReach).map((hole) => hole.cost)))
    const { points } = run('moment-rotation', {
      soil: 'firm-clay',
      segments: [{ top: 0, bottom: 0.6, width: 0.25 }],
      height: 0.94,
      points: 12,
    }) as { points: { moment: number; rotation: number }[] }
    expect(points).toHaveLength(12)
    expect(points.at(-1)!.moment).toBeCloseTo(0.98 * 1737 * 0.94, -1)
    for (const [i, point] of points.entries())
      if (i > 0) expect(point.rotation).toBeGreaterThan(points[i - 1]!.rotation)
  })

  it('answers for sleeves, plates, piers, fixings and the supply of concrete', () => {
    expect(run('sleeve-play', { clearance: 0.001, insertion: 0.5, height: 1 })).toEqual({
      rotation: 0.004,
      topOffset: 0.004,
    })
    const plate = { moment: 1000, anchors: 4, anchorsInTension: 2, edgeToAnchors: 0.15, concrete: 25e6, depth: 0.08 }
    expect(run('base-plate', plate).tension).toBeCloseTo(3704, 0)
    expect(run('base-plate', plate).over).toBeCloseTo(25_044, 0)
    expect(run('pier', { load: 6000, base: 0.0707, soil: 'firm-clay', formDepth: 0.6, taperArea: 0.05 })).toMatchObject(
      {
        holds: true,
        uplift: 720,
      },
    )
    const spur = { kind: 'bolt', diameter: 0.01, length: 0.2, hole: 0.008, part: 0.075, wood: 0.1 }
    expect(run('fixing-fit', spur)).toMatchObject({ fits: false, refusals: [expect.stringMatching('3 mm too small')] })
    expect(run('supply', { volume: 0.4 }).options).toHaveLength(3)
  })

  it.each(calculations.map(({ name, example }) => [name, example] as const))(
    '%s comes out as worked',
    (name, [given, found]) => {
      expect(run(name, given)).toMatchObject(near(found) as Record<string, unknown>)
    },
  )

  it('lists inputs and outputs of every one', () => {
    for (const { name, says, inputs, outputs } of calculations) {
      expect(says, name).toBeTruthy()
      expect(Object.keys(inputs).length, name).toBeGreaterThan(0)
      expect(Object.keys(outputs).length, name).toBeGreaterThan(0)
    }
  })
})
