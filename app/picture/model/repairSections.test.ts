import { describe, expect, it } from 'vitest'
import { resolveJob } from '~~/core/resolve/resolve'
import { plan } from '~~/core/plan/plan'
import type { Post } from '~~/core/document/job'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import { job, repairOf, rotted } from '~~/tests/device/rottedPost'
import { extentOf, type Solid } from '~~/core/repair/solids'
import { sectionModel } from './sectionModel'

describe('sections of every repair', () => {
  const planned = plan(job, tables).posts[2]!
  const model = (method: string, of: Partial<Post> = {}) => {
    const changed = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === 2 ? { ...rotted, ...of } : {})), height: 1.8 })
    const [resolved] = resolveJob(changed, tables).lines
    return sectionModel(resolved!, resolved!.posts[2]!, repairOf(method, changed))
  }
  /** As it is planned where somebody chose it: what cannot be done is not sized otherwise. */
  const methodIn = (key: string) => {
    const chosen = { ...rotted, repair: { method: key } }
    const of = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === 2 ? chosen : {})), height: 1.8 })
    return plan(of, tables).posts[2]!.methods.find(({ method }) => method === key)
  }
  const lowest = (shapes: readonly Solid[]) => Math.min(...shapes.map(({ outline }) => extentOf(outline).bottom))

  it.each(['repair-spur', 'new-post-concrete', 'recast-footing'])('%s is drawn to the bottom of its hole', (method) => {
    const { shapes, dimensions } = model(method)
    const hole = methodIn(method)!.hole!
    // What stands of the old footing may reach deeper.
    expect(lowest(shapes.filter(({ key }) => !key.startsWith('old') && key !== 'post'))).toBeCloseTo(-hole.depth, 6)
    expect(dimensions.find(({ key }) => key === 'depth')!.length).toBe(hole.depth)
    expect(dimensions.find(({ key }) => key === 'diameter')!.length).toBe(hole.diameter)
  })

  it('a spur stands half out of the ground and holds the post by two fixings', () => {
    const { shapes, notes } = model('repair-spur')
    const spur = shapes.find(({ key }) => key === 'spur')!
    const taken = planned.methods.find(({ method }) => method === 'repair-spur')!.parts[0]!.key
    const spurAbove = tables.parts.lists.spur.rows.find(({ key }) => key === taken)!.length / 2
    expect(Math.max(...spur.outline.map(([, y]) => y))).toBeCloseTo(spurAbove, 9)
    expect(shapes.filter(({ key }) => key.endsWith('fixing'))).toHaveLength(2)
    // It is seen from its own side: in front of the post, and what is gone is an outline.
    expect(extentOf(spur.outline).left).toBeCloseTo(-extentOf(spur.outline).right, 9)
    expect(shapes.find(({ key }) => key === 'old-stump')).toMatchObject({ matter: 'outline', edge: 'dashed' })
    expect(notes.map(({ text }) => text)).toContain('cut back to sound wood')
  })

  it('a pin stands in the old footing and goes up into the post', () => {
    const { shapes, dimensions } = model('steel-pin')
    const pin = shapes.find(({ key }) => key === 'pin')!
    expect(Math.max(...pin.outline.map(([, y]) => y))).toBeCloseTo(0.3, 9)
    expect(Math.min(...pin.outline.map(([, y]) => y))).toBeLessThan(0)
    expect(dimensions.map(({ key }) => key)).toEqual(['pin'])
  })

  it('making safe leaves the post as it stands, leaning', () => {
    const { plumb, dimensions } = model('make-safe')
    expect(plumb).toBeDefined()
    expect(dimensions.find(({ key }) => key === 'lean')!.length).toBeCloseTo((0.06 / 1.2) * 1.8, 9)
  })

  it('decay is drawn as deep as it was probed, no deeper than the post', () => {
    const soft = (probeAtGround: number) =>
      model('make-safe', { observations: { probeAtGround } }).shapes.filter(({ key }) => key.startsWith('decay'))
    expect(soft(0)).toEqual([])
    const [left] = soft(0.2)
    expect(Math.max(...left!.outline.map(([x]) => x))).toBeCloseTo(0, 9)
  })
})
