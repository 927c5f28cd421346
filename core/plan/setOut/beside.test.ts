import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Line, Post } from '../../document/job'
import { resolveJob } from '../../resolve/resolve'
import { plan } from '../plan'
import { boxAt, jackAt, meshAt, pavingAt, plateAt, propsAt, WORKING_GUST } from './beside'

function postWith(facts: Partial<Post>, line: Partial<Line> = {}) {
  const job = jobOf({ ...runOfPosts(3, 2.4, (i) => (i === 1 ? facts : {})), height: 1.8, ...line })
  const resolved = resolveJob(job, tables).lines[0]!
  return { line: resolved, post: resolved.posts[1]!, plan: plan(job, tables).posts[1]! }
}

describe('round a post', () => {
  it('props hold the wind on a loose panel at the working gust, or what was weighed', () => {
    const blown = postWith({})
    const props = propsAt(blown.line, blown.post, blown.plan)
    const { force, gust, height } = blown.plan.wind
    expect(props.of).toBe('wind')
    expect(props.head).toBeCloseTo(1.2, 9)
    expect(props.horizontal).toBeCloseTo((force * (WORKING_GUST / gust) ** 2 * height) / 1.2, 6)
    expect(props.force).toBeCloseTo(props.horizontal * Math.SQRT2, 6)
    expect(props.foot).toBeCloseTo(1.2, 9)
    const weighed = postWith({ propped: { mass: 60, offset: 0.12, head: 1.2, angle: Math.PI / 3 } })
    // 60 kg with its centre 0.12 m out: 58.8 N at the head, twice that along the prop.
    const leaning = propsAt(weighed.line, weighed.post, weighed.plan)
    expect(leaning.of).toBe('weight')
    expect(leaning.horizontal).toBeCloseTo(58.84, 2)
    expect(leaning.force).toBeCloseTo(117.68, 2)
  })
  it('a plate goes over old holes, and is no other plate when it is turned into itself', () => {
    const hole = (x: number, y: number) => ({ at: [x, y] as [number, number], diameter: 0.01, sound: true })
    const old = [hole(-0.02, -0.04), hole(0.06, -0.04), hole(0.06, 0.04), hole(-0.02, 0.04)]
    const found = plateAt(postWith({ plate: { old, thickness: 0.008, shims: 0.004 } }).post, 0.08)
    expect(found.poses[0]).toMatchObject({ reused: 4, rotation: 0 })
    const places = found.poses.map(({ x, y, reused }) => `${x.toFixed(4)} ${y.toFixed(4)} ${reused}`)
    expect(new Set(places).size).toBe(places.length)
    expect(found.drill).toBeCloseTo(0.09, 12)
    expect(found.shorter).toBeCloseTo(0.012, 12)
    // One hole of no use just beside the wanted middle of another.
    const inTheWay = plateAt(
      postWith({ plate: { old: [{ ...hole(0.045, 0.04), sound: false }], shift: 0.005 } }).post,
      0.08,
    )
    expect(inTheWay.poses).toEqual([])
    expect(inTheWay.leastShift).toBeGreaterThan(0.005)
  })
  it('a box needs its four measures', () => {
    const roadside = { setBack: 0.18, faceToPost: 0.25, slot: 1.1, slotAbovePlate: 0.12 }
    expect(boxAt(postWith({ roadside }).post)!.postAboveGround).toBeCloseTo(0.98, 9)
    expect(boxAt(postWith({ roadside: { ...roadside, higher: 0.1 } }).post)!.postAboveGround).toBeCloseTo(0.88, 9)
    expect(boxAt(postWith({ roadside: { setBack: 0.18 } }).post)).toBeUndefined()
    expect(boxAt(postWith({ roadside: { ...roadside, higher: 1.2 } }).post)).toBeUndefined()
  })
  it('paving is cut for the post and what stays free round it', () => {
    const { units, standing } = pavingAt(postWith({ paving: { along: 0.4, x: 0.2, y: 0.4 } }).post)!
    expect(standing.size).toBeCloseTo(0.12, 9)
    expect(units).toHaveLength(2)
    expect(pavingAt(postWith({}).post)).toBeUndefined()
    expect(
      pavingAt(postWith({ paving: { along: 0.4 }, section: { shape: 'round', diameter: 0.1 } }).post)!.standing.shape,
    ).toBe('round')
  })
  it('mesh takes the line’s height where no line post was measured', () => {
    const { line, post } = postWith({ mesh: { opening: 2.9, diamond: 0.06, fitting: 0.05 } })
    expect(meshAt(post, line)!.post).toBeCloseTo(1.85, 9)
    expect(meshAt(postWith({ mesh: { opening: 2.9 } }).post, line)).toBeUndefined()
  })
  it('a jack lifts what rests on the post, spread over ground that has a figure', () => {
    const carries = { area: 4, from: 'deck' } as const
    const { post } = postWith({ duty: 'load-bearing', carries, soil: 'firm-clay' })
    const found = jackAt(post, 0.6, tables)!
    expect(found.propsAway).toBeCloseTo(0.6, 12)
    expect(found.area * 100_000).toBeCloseTo(found.load, 6)
    expect(jackAt({ ...post, carries: undefined }, 0.6, tables)).toBeUndefined()
    expect(jackAt({ ...post, soil: 'peat' }, 0.6, tables)).toBeUndefined()
  })
})
