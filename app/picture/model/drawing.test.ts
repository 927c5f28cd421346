import { describe, expect, it } from 'vitest'
import { resolveJob } from '~~/core/resolve/resolve'
import { plan } from '~~/core/plan/plan'
import type { Line, Post } from '~~/core/document/job'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { job, line, repairOf } from '~~/tests/device/rottedPost'
import { describeSection } from './describe'
import { extentOf, type Point } from '~~/core/repair/solids'
import { groundLine, stringKnots, stringLine } from './groundModel'
import { methodRow, standingRow } from '~/gust/gustRows'
import { gustScaleModel } from '~/gust/gustScaleModel'
import { lineModel } from './lineModel'
import { lineStrips } from './lineStrips'
import { markModel } from './markModel'
import { nearestPost, overviewMarks } from './overviewModel'
import { sectionModel } from './sectionModel'
import { fitViewport, svgPoints } from './viewport'

const post = line.posts[2]!
const postPlan = plan(job, tables).posts[2]!
const methodOf = (key: string) => postPlan.methods.find((method) => method.method === key)!

describe('the section', () => {
  it('leans the post as measured and says by how much', () => {
    const section = sectionModel(line, post)
    const shape = section.shapes.find((each) => each.key === 'post')!
    expect(shape.edge).toBe('broken')
    expect(extentOf(shape.outline)).toMatchObject({ bottom: 0, top: 1.8 })
    expect(extentOf(shape.outline).left).toBeCloseTo(-0.05 - 0.05 * 1.8, 9)
    expect(section.dimensions.find((each) => each.key === 'lean')!.length).toBeCloseTo(0.09, 9)
    expect(section.plumb).toBeDefined()
    expect(section.shapes.filter((each) => each.matter === 'decay')).toHaveLength(2)
  })

  it('draws the hole of a repair in its own measures', () => {
    const method = methodOf('repair-spur')
    const section = sectionModel(line, post, repairOf('repair-spur'))
    const { hole } = method
    const fill = extentOf(section.shapes.find((each) => each.key === 'fill')!.outline)
    expect(fill.right - fill.left).toBeCloseTo(hole!.diameter, 9)
    expect(fill.bottom).toBeCloseTo(-hole!.footingBottom, 9)
    expect(section.dimensions.map((each) => each.key)).toEqual(
      expect.arrayContaining(['depth', 'diameter', 'spur-above']),
    )
    expect(section.shapes.filter((each) => each.key.endsWith('fixing'))).toHaveLength(2)
  })

  it.each(['recast-footing', 'new-post-concrete', 'steel-pin'])('draws %s with the post upright', (key) => {
    const section = sectionModel(line, post, repairOf(key))
    const upright = extentOf(section.shapes.find((each) => each.key === 'post')!.outline)
    expect(upright.right + upright.left).toBeCloseTo(0, 9)
    expect(upright.top).toBe(1.8)
  })

  it('stands in words too', () => {
    const words = describeSection(post, sectionModel(line, post), (length) => `${length.toFixed(2)} m`)
    expect(words).toBe('Post A3, failed; as it stands; off plumb 0.09 m; footing down to 0.60 m; soft wood')
  })
})

describe('the line', () => {
  it('draws what is in sight, and cuts the cladding away beside the chosen post', () => {
    const model = lineModel(line, 'A3', 3, 7, false)
    expect(model.posts.map((each) => each.id)).toEqual(['A2', 'A4'])
    const before = model.bays.find((bay) => bay.key === 'A2-A3')!
    expect(extentOf(before.area).bottom).toBe(line.gap)
    expect(Math.max(...before.area.filter(([, y]) => y === line.gap).map(([x]) => x))).toBeLessThan(4.8 - 0.25)
  })

  it('stands the boards plumb beside a repair', () => {
    const corner = (repaired: boolean) => lineModel(line, 'A3', 3, 7, repaired).bays[0]!.area
    const lean = (area: readonly Point[]) => area[2]![0] - area[1]![0]
    expect(lean(corner(false))).toBeLessThan(-0.05)
    expect(lean(corner(true))).toBeCloseTo(0, 9)
  })
})

describe('what the bays are made of', () => {
  const bayOf = (posts: Partial<Post>[], of: Partial<Line> = {}) => {
    const line = resolveJob(jobOf({ ...runOfPosts(posts.length, 1.2, (i) => posts[i]!), ...of }), tables).lines[0]!
    return lineModel(line, 'none', -1, 9, false).bays
  }
  it('a leaf hangs between its posts, braced from the foot of its hinge side', () => {
    const [fence, gate] = bayOf([{}, { duty: 'gate-hinge' }, { duty: 'gate-latch' }])
    expect(fence!.rails).toHaveLength(3)
    const brace = gate!.rails[2]!
    expect(brace[0]![0]).toBeLessThan(brace[2]![0])
    expect(brace[0]![1]).toBeLessThan(brace[2]![1])
    const [back] = bayOf([{ duty: 'gate-latch' }, { duty: 'gate-hinge' }])
    expect(back!.rails[2]![0]![0]).toBeGreaterThan(back!.rails[2]![2]![0])
  })
  it('two leaves meet in the middle of a double gate; wire is wire', () => {
    const [double] = bayOf([{ duty: 'gate-hinge' }, { duty: 'gate-hinge' }])
    expect(double!.rails).toHaveLength(6)
    const [wire] = bayOf([{}, {}], { kind: 'mesh' })
    expect([wire!.isMesh, wire!.joints.length, wire!.area.length]).toEqual([true, 0, 4])
  })
  it('a post on a plate stands on its slab, not in the ground', () => {
    const line = resolveJob(jobOf(runOfPosts(2, 1.2, () => ({ footing: { kind: 'plate' as const } }))), tables)
      .lines[0]!
    const { shapes } = sectionModel(line, line.posts[0]!)
    expect(shapes.map(({ key }) => key)).toEqual(['slab', 'plate', 'post'])
  })
})

describe('scale', () => {
  it('is the same in both directions', () => {
    const viewport = fitViewport(760, 620, 1.8)
    expect(viewport.pixelsPerMetre).toBeGreaterThanOrEqual(100)
    expect(viewport.pixelsPerMetre).toBeLessThanOrEqual(160)
    const [a, b] = svgPoints(
      [
        [0, 0],
        [1, 1],
      ],
      viewport,
      2,
    )
      .split(' ')
      .map((pair) => pair.split(',').map(Number))
    expect(b![0]! - a![0]!).toBeCloseTo(viewport.pixelsPerMetre, 0)
    expect(a![1]! - b![1]!).toBeCloseTo(viewport.pixelsPerMetre, 0)
  })

  it('shows the whole hole on a low screen', () => {
    const { pixelsPerMetre, groundY, height } = fitViewport(360, 206, 1.8, { hole: 0.9 })
    expect(groundY + (0.9 + 0.3) * pixelsPerMetre).toBeLessThanOrEqual(height)
  })

  it('finds the post under a finger on the overview', () => {
    const marks = overviewMarks(
      [0, 2.4, 4.8].map((station) => ({ station, state: 'sound' as const, lean: 0 })),
      4.8,
      500,
      40,
    )
    expect(marks.map((mark) => mark.foot)).toEqual([10, 250, 490])
    expect(nearestPost(marks, 260)).toBe(1)
  })
})

describe('the gust scale', () => {
  it('puts target, ticks and return periods in order', () => {
    const model = gustScaleModel([{ over: 44 }], 38, 38)
    expect(model.end).toBe(50)
    expect(model.ticks.map((tick) => tick.words)).toEqual(['10', '20', '30', '40', '50'])
    expect(model.target).toBeCloseTo(38 / 50, 9)
    expect(model.years.map((year) => year.at)).toEqual([...model.years.map((year) => year.at)].sort())
    expect(model.place(Infinity)).toBe(1)
  })

  it('is marked in the unit of the reader', () => {
    const { ticks } = gustScaleModel([{ over: 44 }], 38, 38, 0.44704)
    expect(ticks.map(({ words }) => words)).toEqual(['20', '40', '60', '80', '100'])
    expect(ticks[4]!.at).toBeCloseTo(44.704 / 50, 9)
  })

  it('takes its rows from the plan as they are', () => {
    const spur = methodOf('repair-spur')
    expect(methodRow(spur)).toMatchObject({ key: 'repair-spur', over: spur.holdingGust })
    expect(methodRow(methodOf('recast-footing')).refused).toContain('soft')
    expect(standingRow(postPlan, String).over).toBe(postPlan.standing.holdingGust)
  })
})

describe('the line on paper', () => {
  it('is cut into strips of one scale that cover it', () => {
    expect(lineStrips(30)).toEqual([
      { from: 0, to: 12 },
      { from: 12, to: 24 },
      { from: 24, to: 36 },
    ])
    expect(lineStrips(12)).toHaveLength(1)
    expect(lineStrips(0.3)).toHaveLength(1)
    expect(lineStrips(238).at(-1)).toEqual({ from: 216, to: 240 })
  })
})

describe('ground that falls along the line', () => {
  const line = resolveJob(jobOf(runOfPosts(3, 2, (i) => ({ groundLevel: -0.5 * i }))), tables).lines[0]!

  it('is drawn from the chosen post, straight between posts and level beyond them', () => {
    expect(groundLine(line, 'A2', -1, 5)).toEqual([
      [-1, 0.5],
      [0, 0.5],
      [2, 0],
      [4, -0.5],
      [5, -0.5],
    ])
    expect(groundLine(line, 'A2', 1, 3)[0]).toEqual([1, 0.25])
    expect(stringLine(line, 'A1', 0, 4)[0]).toEqual([0, line.height])
  })

  it('has the string over it straight between the posts that carry it, whatever the ground does between', () => {
    const dip = (carriers: readonly number[]) =>
      resolveJob(
        jobOf(
          runOfPosts(5, 2, (i) => ({
            groundLevel: i === 2 ? -0.4 : 0,
            ...(carriers.includes(i) ? { carriesString: true } : {}),
          })),
        ),
        tables,
      ).lines[0]!
    const ends = dip([])
    expect(ends.posts[2]!.top).toBeCloseTo(ends.height + 0.4, 12)
    expect(stringLine(ends, 'A1', -1, 9).map(([, y]) => y)).toEqual(Array<number>(4).fill(ends.height))
    const three = dip([0, 2, 4])
    expect(three.posts[2]!.top).toBeCloseTo(three.height, 12)
    expect(three.posts[1]!.top).toBeCloseTo(three.height - 0.2, 12)
    expect(stringKnots(three, 'A1', -1, 9).map(([x]) => x)).toEqual([0, 4, 8])
    // One alone carries nothing: the ends do.
    expect(dip([2]).string).toEqual(ends.string)
  })

  it('carries posts and cladding with it', () => {
    const { posts, bays } = lineModel(line, 'A2', -1, 5, false)
    const post = posts[0]!.shapes.find(({ key }) => key === 'post')!
    expect(post.outline.map(([, y]) => y)).toEqual([0.5, 0.5, 0.5 + line.height, 0.5 + line.height])
    const [left, right] = bays[0]!.area
    expect(left![1]).toBeGreaterThan(right![1])
  })
})

describe('what is marked along the line', () => {
  it('is drawn where it lies and says how far', () => {
    const gas = markModel(
      { id: 'g', kind: 'service', service: 'gas', station: 3, offset: -0.4 },
      0.2,
      (length) => `${length} m`,
    )
    expect(gas.label).toBe('gas, 0.4 m to the left')
    expect(gas.at[0]).toBe(3)
    expect(Math.max(...gas.points.map(([, y]) => y))).toBeLessThan(0.2)
    const wall = markModel({ id: 'w', kind: 'wall', station: 1 }, 0, String)
    expect(wall.label).toBe('wall, on the line')
  })
})
