import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { lengthsInInches } from '../../data/customs'
import { tablesIn } from '../../data/tables'
import { INCH } from '../units/constants'
import { measuresIn } from '../units/quantity'
import { itemsOf, itemWords } from '../items/items'
import { assumptionWords } from '../resolve/assumptionWords'
import type { Post } from '../document/job'
import { plan } from './plan'
import { depthReason } from './recommend'

/* What is planned where people build in feet and inches: their tools, their bags, their words. */

const HERE = tablesIn['feet-inches']
const SAYS = measuresIn('feet-inches')

const POSTS: Partial<Post>[] = [
  { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 } },
  {
    footing: { kind: 'concrete', diameter: 0.2, top: 0, bottom: 0.4 },
    observations: { pushPivot: 'footing-moves', footingFound: 'small' },
  },
  { duty: 'gate-hinge', observations: { pushPivot: 'in-the-soil', lean: { offset: 0.05, over: 1.2 } } },
  { observations: { pushPivot: 'panel-only', fixings: 'loose-rails' } },
  { duty: 'plate-mounted', footing: { kind: 'plate' }, observations: { pushPivot: 'at-plate' } },
]
const job = {
  ...jobOf({
    ...runOfPosts(POSTS.length, 2.4384, (i) => POSTS[i]!),
    marks: [{ id: 'g', kind: 'service', service: 'gas', station: 2.6, offset: 0.4 }],
  }),
}
const { posts, assumed } = plan(job, HERE)

/** A figure in metres or what follows from them. */
const METRIC = /\d\s?(m|mm|cm|kg|L|m\/s|MPa)\b/

describe('a job in feet and inches', () => {
  it('has its holes on the inch, in widths that its tools dig', () => {
    const holes = posts.flatMap(({ methods }) => methods.flatMap(({ hole }) => hole ?? []))
    expect(holes.length).toBeGreaterThan(10)
    for (const { depth, diameter } of holes) {
      expect(HERE.digging.toolWidths).toContain(diameter)
      expect(Math.abs(depth / INCH - Math.round(depth / INCH))).toBeLessThan(1e-4)
    }
  })

  it('is dug no shallower than the same job in metres, nor an inch and a step deeper', () => {
    const metric = plan(job, { ...HERE, units: 'metric', digging: tables.digging })
    const depths = ({ methods }: (typeof posts)[number]) =>
      methods.filter(({ method }) => method === 'new-post-concrete').map(({ hole }) => hole!.footingBottom)
    posts.forEach((post, i) => {
      const [mine, theirs] = [depths(post)[0]!, depths(metric.posts[i]!)[0]!]
      expect(Math.abs(mine - theirs)).toBeLessThanOrEqual(0.05 + 1e-6)
    })
  })

  it('says every figure so: verdicts, cautions, flags, depths, what to bring and what was assumed', () => {
    const words = posts.flatMap(({ methods, diagnosis, depthRules, recommended, post, standing }) => [
      ...diagnosis.redFlags,
      standing.says ?? '',
      recommended?.because ?? '',
      ...depthRules.flatMap(({ name, assumes }) => [name, assumes]),
      ...methods.flatMap((method) => [
        ...method.reasons,
        ...method.cautions,
        ...(method.hole ? [depthReason(method.hole, depthRules, 'feet-inches')] : []),
        ...itemsOf(post, method, HERE).map((item) => itemWords(item, SAYS)),
      ]),
    ])
    const notes = assumed.map((each) => assumptionWords(each, SAYS, HERE))
    expect(words.length).toBeGreaterThan(80)
    for (const each of [...words, ...notes]) expect(each).not.toMatch(METRIC)
    expect(words).toContain('Always 2 ft')
    expect(words.some((each) => /mph/.test(each))).toBe(true)
    expect(words.some((each) => /lb fast-setting mix/.test(each))).toBe(true)
  })

  it('knows the parts of the other market where a job names them', () => {
    const ours = jobOf(runOfPosts(1, 2, () => ({ ...POSTS[0], repair: { parts: { spur: 'spur-75' } } })))
    const spur = plan(ours, HERE).posts[0]!.methods.find(({ method }) => method === 'repair-spur')!
    expect(spur.parts[0]!.key).toBe('spur-75')
  })

  it('says the steps, conditions and field tests of its tables so', () => {
    const texts = JSON.stringify([HERE.parts.methods, HERE.conditions, HERE.soils.map(({ fieldTest }) => fieldTest)])
    expect(texts).not.toMatch(METRIC)
    expect(texts).toContain('Check 2 in of cover')
    expect(lengthsInInches('a 12 mm bar, under 1 m of it, 30 mm per blow')).toBe(
      'a 1⁄2 in bar, under 3 ft of it, 1 1⁄4 in per blow',
    )
    // No figure is touched.
    expect(HERE.soils.map(({ key }) => key)).toEqual(tables.soils.map(({ key }) => key))
    expect(HERE.materials).toEqual(tables.materials)
    expect(HERE.causes).toEqual(tables.causes)
  })

  it('proposes what is sold there', () => {
    const all = posts.flatMap(({ methods }) => methods.flatMap(({ parts }) => parts))
    for (const { kind, key } of all) {
      const { soldIn = 'feet-inches' } = HERE.parts.lists[kind]!.rows.find((each) => each.key === key)!
      expect([key, soldIn]).toEqual([key, 'feet-inches'])
    }
  })
})
