import { describe, expect, it } from 'vitest'
import { midRun, standardFence, standsNow } from '../../tests/support/stands'
import type { Post } from '../document/job'
import { groundResponse } from '../ground/postInGround'
import { tables } from '../../tests/support/builders'
import { designMethod } from '../plan/design'
import { postInHand } from '../plan/inHand'
import { repairMethods } from '../repair/methods'
import { standingSegments } from '../repair/standing'
import { row } from '../tables/tables'
import { woodLife, serviceYears } from './serviceLife'
import { leftByShare, standOf } from './standOf'
import { materials } from '../../data/materials'

const madeWith = (method: string, post: Partial<Post> = {}) => {
  const context = midRun(standardFence({ post }))
  const { design } = designMethod(row(repairMethods, method), context)
  return standOf(context, design.links, design)
}

describe('what the years see of a post', () => {
  it('is the gusts of both states of its ground', () => {
    const { ground } = standsNow(midRun(standardFence()))
    // By experience: 48 m/s, saturated 41.
    expect(ground!.drained.over).toBeCloseTo(48.3, 1)
    expect(ground!.saturated.over).toBeCloseTo(41.5, 1)
    // What was said of the water of that day changes neither.
    expect(standsNow(midRun(standardFence({ post: { saturated: true } }))).ground).toEqual(ground)
  })
  it('leaves what single loads leave', () => {
    const context = midRun(standardFence())
    const post = { ...context.buried(standingSegments(context)!, true)!, height: context.wind.height }
    const left = leftByShare(post)
    const over = context.ground('footing', '', standingSegments(context)!, true).over!
    for (const share of [0.05, 0.137, 0.33, 0.5, 0.61, 0.777, 0.9]) {
      const place = share * (left.length - 1)
      const below = Math.floor(place)
      const read = left[below]! + (place - below) * (left[below + 1]! - left[below]!)
      const found = (read * share ** 2) / (1 - share)
      expect(Math.abs(found / groundResponse(post, share * over)!.residual - 1)).toBeLessThan(0.002)
    }
  })
  it('is wood that breaks sooner the softer it is, by what is left of its section', () => {
    const { wood } = standsNow(midRun(standardFence()))
    const [sound] = wood!.over
    // 10 mm of each face of 100 mm gone: 0.8³ of the modulus; the wind's force goes with the gust squared.
    expect(wood!.over[8]! / sound!).toBeCloseTo(Math.sqrt(0.8 ** 3), 6)
    expect(wood!.over.at(-1)).toBe(0)
    expect(wood).toMatchObject({ life: 15, age: 0 })
  })
  it('begins where it was found: soft wood tells when it began', () => {
    const found = (probe: number) =>
      standsNow(midRun(standardFence({ post: { ageYears: 18, observations: { probeAtGround: probe } } })))
    const { wood } = found(0.01)
    expect(wood!.soft).toBeCloseTo(0.2, 9)
    // What stands now is what the plan says of it; sound wood would stand more.
    expect(wood!.over[8]! / wood!.over[0]!).toBeCloseTo(Math.sqrt(0.8 ** 3), 6)
    expect(wood!.over[0]!).toBeCloseTo(found(0).wood!.over[0]!, 6)
    expect(found(0).wood!.soft).toBe(0)
    expect(standsNow(midRun(standardFence({ post: { ageYears: 18 } }))).wood!.soft).toBeUndefined()
  })
  it.each([
    ['new-post-concrete', 15, ['wood', 'ground']],
    ['new-post-stone', 17, ['wood', 'ground']],
    ['new-post-keyed', 10, ['wood', 'ground']],
    ['recast-footing', 15, ['wood', 'ground']],
  ])('%s has a post that lasts %i years in its median', (method, life, has) => {
    const stand = madeWith(method)
    expect(stand.wood!.life).toBe(life)
    expect(stand.wood!.age).toBe(0)
    expect(has.every((part) => part in stand)).toBe(true)
  })
  it('knows the fixings of a spur, the pin and its wood, and what carries no post through the ground', () => {
    const rotten: Partial<Post> = { ageYears: 12, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.04 } }
    const spur = madeWith('repair-spur', rotten)
    expect(spur.parts.map(({ ends }) => ends).sort()).toEqual(['fixings', 'fixings', 'part', 'wood'])
    expect(spur.wood).toBeUndefined()
    expect(
      madeWith('steel-pin', rotten)
        .parts.map(({ ends }) => ends)
        .sort(),
    ).toEqual(['pin', 'wood', 'wood'])
  })
  it('counts what a pull said of the scatter of its ground', () => {
    const pull = { force: 200, height: 1.2, at: 1.2, movement: 0.009, held: true, saturated: true }
    const job = standardFence({ post: { pulls: [pull] } })
    const { context } = postInHand(job, tables, job.lines[0]!.posts[8]!.id)!
    const { low, high } = context.line.measured['firm-clay']!
    expect(standsNow(context).ground!.common).toBeCloseTo(Math.log(high / low) / 3.29, 9)
    expect(standsNow(midRun(standardFence())).ground!.common).toBeUndefined()
  })
})

describe('service life', () => {
  it('is read off the log-normal law', () => {
    expect(woodLife({ life: 15, age: 0 }, 0.5)).toBeCloseTo(15, 6)
    expect(woodLife({ life: 15, age: 0 }, 0.975)).toBeCloseTo(15 * Math.exp(0.35 * 1.96), 2)
  })
  it('of wood that was found hard has lasted to its age at least', () => {
    for (const draw of [0, 0.1, 0.5, 0.9, 0.999999])
      expect(woodLife({ life: 15, age: 20, soft: 0 }, draw)).toBeGreaterThanOrEqual(20)
    expect(woodLife({ life: 15, age: 20, soft: 0 }, 0.5)).toBeCloseTo(23.4, 1)
    expect(woodLife({ life: 5, age: 90, soft: 0 }, 0.5)).toBe(90)
  })
  it('of wood that was found soft began when that says', () => {
    expect(woodLife({ life: 15, age: 18, soft: 0.2 }, 0.9)).toBeCloseTo(15, 9)
  })
  it('goes by material, setting, wrap and a plate that stands clear', () => {
    const treated = materials['treated-softwood']
    expect(serviceYears(treated, 'crowned', 'tight')).toBeCloseTo(21, 9)
    expect(serviceYears(treated, 'dished', 'gaping')).toBeCloseTo(7.7, 9)
    expect(serviceYears(treated, 'plate')).toBeCloseTo(27, 9)
    expect(serviceYears(materials.oak, 'soil', 'none')).toBe(12)
  })
})
