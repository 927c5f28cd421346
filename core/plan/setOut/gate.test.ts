import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Gate, Post } from '../../document/job'
import { resolveJob } from '../../resolve/resolve'
import { gateSetOut } from './gate'

/** Posts of 100 mm, 2.4 m apart; what hangs between the second and the third. */
function gateAt(id: string, hinge: Partial<Post>, other: Partial<Post> = { duty: 'gate-latch' }, apart = 1.235) {
  const line = runOfPosts(4, 2.4, (i) => (i === 1 ? hinge : i === 2 ? { ...other, station: 2.4 + apart } : {}))
  const job = jobOf({ ...line, height: 1.8, gap: 0.06 })
  return gateSetOut(resolveJob(job, tables).lines[0]!, id)
}
const gate: Gate = { leafWidth: 1.1, hingeGap: 0.02, latchGap: 0.015 }
const hinge = (more: Gate = {}): Partial<Post> => ({ duty: 'gate-hinge', gate: { ...gate, ...more } })

describe('the gate beside a post', () => {
  it('has its opening from the hardware, drawn from the side that it hangs on', () => {
    const found = gateAt('A2', hinge())!
    expect(found).toMatchObject({ posts: ['A2', 'A3'], hinge: 'A2', hangsOn: 'left', leaves: 1 })
    expect(found.wanted).toBeCloseTo(1.135, 9)
    expect(found.centres).toBeCloseTo(1.235, 9)
    expect(found.sum.map(({ says }) => says)).toEqual(['hinge', 'leaf', 'latch'])
    expect(found.sum.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(found.wanted, 9)
    // It is the same gate seen from its latch post; a post beside it has none.
    expect(gateAt('A3', hinge())).toEqual(found)
    expect(gateAt('A1', hinge())).toBeUndefined()
  })
  it('hangs from the right where the latch stands on the left', () => {
    const line = runOfPosts(2, 1.235, (i) => (i === 0 ? { duty: 'gate-latch' } : hinge()))
    const found = gateSetOut(resolveJob(jobOf(line), tables).lines[0]!, 'A1')!
    expect(found).toMatchObject({ hinge: 'A2', hangsOn: 'right' })
    expect(found.sum.map(({ says }) => says)).toEqual(['latch', 'leaf', 'hinge'])
  })
  it('has two leaves between two hinge posts, and one gap between them', () => {
    const found = gateAt('A2', hinge({ meetingGap: 0.01 }), hinge(), 2.35)!
    expect(found.leaves).toBe(2)
    expect(found.wanted).toBeCloseTo(2 * 1.12 + 0.01, 9)
    expect(found.sum).toHaveLength(5)
  })
  it('is ordered to an opening that was measured at foot and top', () => {
    const { order, there, hungBy } = gateAt('A2', hinge({ hung: 'opening', openingBottom: 1.14, openingTop: 1.135 }))!
    expect(hungBy).toBe('opening')
    expect(there.measured).toBe(true)
    expect(order).toEqual({ least: expect.closeTo(1.095, 9), most: expect.closeTo(1.1, 9) })
    expect(gateAt('A2', hinge(), undefined, 0.4)!.order).toBeUndefined()
  })
  it('scrapes on rising ground, is packed where it hangs down, and is out of square by its own measure', () => {
    // 88 mm over a leaf of 1.1 m; sag 22 mm with hinges 0.9 m apart.
    const found = gateAt('A2', hinge({ rise: 0.088, sag: 0.022, hingeSpacing: 0.9, leafTop: 1.11, leafBottom: 1.1 }))!
    expect(found.clearance).toBeCloseTo(0.138, 9)
    expect(found.under).toBeCloseTo(0.06, 9)
    expect(found.packing).toBeCloseTo(0.018, 9)
    expect(found.outOfSquare).toBeCloseTo(0.01, 9)
    expect(gateAt('A2', hinge())!.packing).toBeUndefined()
  })
  it('bores wider for a hinge screw in oak', () => {
    const soft = gateAt('A2', hinge())!.screw
    const hard = gateAt('A2', { ...hinge(), material: 'oak' })!.screw
    expect(soft.pilot).toBeLessThan(hard.pilot)
    expect(hard.pilot).toBeLessThan(hard.diameter)
  })
})
