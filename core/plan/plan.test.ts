import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { gustFor } from '../repair/links'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { plan, planner } from './plan'
import type { PostPlan } from './types'
import { depthReason } from './recommend'
import type { Post, Site } from '../document/job'

/** Plan of the middle post of a run of nine. */
function planOf(post: Partial<Post>, site: Site = {}): PostPlan {
  const job = jobOf(
    runOfPosts(9, 2.44, (i) => (i === 4 ? post : {})),
    { exposure: 'sheltered', gust50: 40, ...site },
  )
  return plan(job, tables).posts[4]!
}
const method = (of: PostPlan, key: string) => of.methods.find((each) => each.method === key)!
const rotted: Partial<Post> = {
  observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03 },
}

const inFairFooting: Partial<Post> = { footing: { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.6 } }
const sheltered: Site = { shelter: 0.7, gust50: 38 }

describe('the gust that a post holds', () => {
  it('puts the worked hole where the worked load says', () => {
    // 2477 N at 40 m/s against over 1263 N and lean 606 N.
    expect(gustFor(1263, 2477 / 1600)).toBeCloseTo(28.6, 1)
    expect(gustFor(606, 2477 / 1600)).toBeCloseTo(19.8, 1)
    expect(gustFor(1000, 0)).toBe(Infinity)
  })

  it('puts the standing footing on the same scale, dry season, nothing ignored', () => {
    const { standing, wind } = planOf(
      { soil: 'medium-sand', footing: { kind: 'concrete', diameter: 0.25, top: 0, bottom: 0.76 } },
      { season: 'dry' },
    )
    const footing = standing.links.find((link) => link.link === 'footing')!
    // The panel is 1.8 m here, so load and arm are a little smaller than in the worked figure.
    expect(wind.height).toBeCloseTo(0.925, 9)
    // Apparent cohesion lends a little; experience of the ground is on top of it.
    expect(footing.bare).toBeGreaterThan(28.6)
    expect(footing.bare).toBeLessThan(36)
    expect(footing.over! / footing.bare!).toBeCloseTo(Math.sqrt(1 / tables.experience.ground), 9)
    expect(footing.lean!).toBeLessThan(footing.over!)
  })

  it('takes the weakest link as what gives way', () => {
    const { standing } = planOf({
      observations: { probeAtGround: 0.035 },
      footing: { kind: 'concrete', diameter: 0.4, top: 0, bottom: 1 },
    })
    expect(standing.weakest).toBe('post')
    expect(standing.holdingGust).toBe(standing.links[0]!.over)
  })

  it('gives a broken post nothing to hold', () => {
    const { standing } = planOf({ observations: { breakFace: 'clean-splinters' } })
    expect(standing).toMatchObject({ state: 'given-way', says: 'it is broken' })
    expect(standing).not.toHaveProperty('holdingGust')
  })

  it('says which footing it does not know', () => {
    const job = jobOf(runOfPosts(3))
    expect(plan(job, tables).assumed).toContainEqual(expect.objectContaining({ post: 'A2', key: 'footing' }))
    expect(plan(job, tables).posts[1]!.standing.links.map((link) => link.link)).toEqual(['post'])
  })
})

describe('methods', () => {
  it('answers decay with a spur, and will not keep the rotten post', () => {
    const decayed = planOf({ ...rotted, ...inFairFooting }, sheltered)
    expect(decayed.diagnosis.leading).toEqual(['ground-line-decay'])
    expect(['repair-spur', 'steel-pin']).toContain(decayed.methods[0]!.method)
    expect(method(decayed, 'repair-spur').allowed).toBe(true)
    expect(method(decayed, 'repair-spur').leavesUnsolved).toEqual([])
    const recast = method(decayed, 'recast-footing')
    expect(recast.allowed).toBe(false)
    expect(recast.reasons).toContain('The wood at or below ground is gone soft.')
  })

  it('answers a small footing under sound wood with a larger one', () => {
    const small = planOf({
      ageYears: 3,
      footing: { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.4 },
      observations: { pushPivot: 'footing-moves', footingFound: 'small', probeAtGround: 0, comesUpright: 'will-not' },
    })
    expect(small.diagnosis.leading[0]).toBe('undersized-footing')
    expect(small.methods[0]!.method).toBe('recast-footing')
    expect(method(small, 'repair-spur').leavesUnsolved).toContain('Footing too small')
    expect(method(small, 'steel-pin').reasons).toContain('The footing itself is loose.')
    expect(method(small, 'recast-footing').concrete!.oldConcrete!.mass).toBeGreaterThan(10)
  })

  it('bends a pin under a tall solid panel', () => {
    const pin = method(
      planOf({ ...rotted, section: { shape: 'rectangle', along: 0.12, across: 0.12 } }, { exposure: 'open' }),
      'steel-pin',
    )
    expect(pin.allowed).toBe(false)
    expect(pin.reasons.join()).toMatch(/The wind on this fence bends the pin at \d+ m\/s\./)
  })

  it.each([
    [
      'soft wood above',
      { ...rotted, observations: { ...rotted.observations, probeAbove: 0.02 } },
      'The wood is soft where the fixings would go.',
    ],
    ['steel', { ...rotted, material: 'steel' as const }, 'A steel post takes no fixings for a spur.'],
    [
      'a heavy gate',
      { ...rotted, duty: 'gate-hinge' as const, gate: { leafWidth: 3.6, leafMass: 150 } },
      'The leaf pulls harder than the spur can bend.',
    ],
  ])('refuses a spur on %s', (_name, post, reason) => {
    expect(method(planOf(post), 'repair-spur').reasons).toContain(reason)
  })

  it('leaves only making safe where an engineer decides', () => {
    for (const post of [
      { soil: 'peat' },
      { duty: 'load-bearing' as const, observations: { pushPivot: 'at-ground-line' as const } },
    ]) {
      const stopped = planOf(post)
      expect(stopped.methods.filter((each) => each.allowed).map((each) => each.method)).toEqual(['make-safe'])
      expect(stopped.diagnosis.redFlags).toHaveLength(1)
    }
  })

  it('warns of thin cover', () => {
    const thin = planOf({ ...rotted, repair: { method: 'new-post-concrete', hole: { diameter: 0.2 } } })
    expect(method(thin, 'new-post-concrete').cautions).toContain(
      'Only 29 mm of concrete at the corners: 50 mm is the least.',
    )
  })
})

describe('the recommended hole', () => {
  it('holds the target, and says what rules', () => {
    const { recommended, methods, depthRules } = planOf(rotted)
    const chosen = methods[0]!
    expect(chosen.holdingGust!).toBeGreaterThanOrEqual(40 * 0.999)
    expect(recommended!.because).toBe(depthReason(chosen.hole!, depthRules, 'metric'))
    expect(recommended!.because).toMatch(
      /^0\.\d+ m deep\. Staying plumb rules; frost asks 0\.60 m, the local minimum is 0\.60 m, not to go over asks 0\.\d+ m\.$/,
    )
  })

  it('has no measures where none that can be dug holds, and says so', () => {
    const { recommended, methods } = planOf({
      ...rotted,
      soil: 'loose-sand',
      saturated: true,
      steadyLoad: { pressure: 9_000, height: 1.5 },
    })
    const { method } = recommended!
    expect(method).toBe('make-safe')
    expect(methods.find((each) => each.method === 'new-post-concrete')!.hole!.noHoleHolds).toBe(true)
    expect(recommended).not.toHaveProperty('depth')
    expect(recommended).not.toHaveProperty('diameter')
  })

  it('is never one that is refused, whoever chose it', () => {
    const { recommended, methods } = planOf({ ...rotted, repair: { method: 'recast-footing' } })
    expect(methods.find(({ method }) => method === 'recast-footing')!.allowed).toBe(false)
    expect(recommended!.method).toBe('new-post-concrete')
  })

  it('is the deeper of frost and gust', () => {
    const { methods } = planOf(rotted, { frostDepth: 1.2 })
    expect(methods[0]!.hole).toMatchObject({ rule: 'frost', footingBottom: 1.35, depth: 1.35 })
  })

  it('is the technician’s own when it was set', () => {
    const { methods } = planOf({ ...rotted, repair: { method: 'repair-spur', hole: { depth: 0.7 } } })
    expect(methods.find((each) => each.method === 'repair-spur')!.hole).toMatchObject({ depth: 0.7, rule: 'chosen' })
  })

  it('puts every school of depth on the scale', () => {
    const { depthRules } = planOf(rotted)
    expect(depthRules.map((rule) => rule.rule)).toEqual([
      'third-of-post',
      'fixed-600',
      'trade-750',
      'frost',
      'local-minimum',
      'target-gust',
      'target-lean',
      'code-formula',
    ])
    const byDepth = [...depthRules].sort((a, b) => a.depth! - b.depth!)
    expect(byDepth.map((rule) => rule.over)).toEqual(byDepth.map((rule) => rule.over).sort((a, b) => a! - b!))
  })
})

describe('planner', () => {
  it('gives the same figures from memory as afresh', () => {
    const job = demoJobs().at(-1)!
    const remembering = planner(tables)
    const first = remembering(job)
    const edited = structuredClone(job)
    edited.lines[0]!.posts[6]!.observations = { pushPivot: 'nothing-moves' }
    expect(remembering(edited)).toEqual(plan(edited, tables))
    expect(remembering(job)).toEqual(first)
  })

  it('forgets nothing that the figures rest on when the site changes', () => {
    const job = demoJobs().at(-1)!
    const remembering = planner(tables)
    remembering(job)
    for (const site of [
      { frostDepth: 1.2 },
      { minimumDepth: 1.1 },
      { season: 'dry' as const },
      { gust50: 45 },
      { targetReturnYears: 10 },
    ]) {
      const changed = { ...job, site: { ...job.site, ...site } }
      expect(remembering(changed)).toEqual(plan(changed, tables))
    }
  })

  it('leaves the job as it was', () => {
    const job = demoJobs().at(-1)!
    const before = structuredClone(job)
    plan(job, tables)
    expect(job).toEqual(before)
  })

  it('has no figure that is not a number', () => {
    for (const job of demoJobs())
      expect(JSON.stringify(plan(job, tables), (_key, value) => (Number.isNaN(value) ? 'NaN!' : value))).not.toContain(
        'NaN!',
      )
  })
})

describe('hole and scale', () => {
  it('layers fill the hole from its stone bed to the top of the fill', () => {
    const post = { ...rotted, repair: { method: 'new-post-concrete', filling: 'layered' } }
    const { hole, concrete } = method(planOf(post), 'new-post-concrete')
    const { layers = 0, layerThickness = 0 } = concrete!.fill
    expect(layers).toBeGreaterThan(2)
    expect(layers * layerThickness).toBeCloseTo(hole!.depth - hole!.stoneBed - hole!.fillTop, 9)
    expect(hole!.fillTop).toBeGreaterThan(0)
  })

  it('every depth rule that can be dug stands on the scale, the deeper the further on', () => {
    const rules = planOf(rotted).depthRules.filter(({ depth }) => depth !== null && depth > 0.3 && depth < 2)
    expect(rules.length).toBeGreaterThan(3)
    const byDepth = [...rules].sort((a, b) => a.depth! - b.depth!)
    const gusts = byDepth.map(({ over }) => over!)
    expect(gusts.every((over, i) => over > 0 && (i === 0 || over >= gusts[i - 1]!))).toBe(true)
    for (const { lean, over } of rules) expect(lean!).toBeLessThan(over!)
  })

  it('warns of dry bags where more than a light line post stands, and there only', () => {
    const warned = (duty: 'line' | 'corner') => {
      const post = { ...rotted, duty, repair: { method: 'new-post-concrete', filling: 'dry-pour' } }
      return method(planOf(post), 'new-post-concrete').cautions.some((words) => words.includes('light line posts only'))
    }
    expect([warned('line'), warned('corner')]).toEqual([false, true])
  })
})
