import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { diagnose } from '../cause/diagnose'
import { plan } from '../plan/plan'
import { heardAlong, isAlike } from './alike'
import type { Post } from './job'
import { dutiesOf, observationsOf, postStates } from './postState'

const moved = { pushPivot: 'in-the-soil', onset: 'after-storm' } as const
const lineOf = (changes: Record<number, Partial<Post>>) =>
  jobOf(runOfPosts(6, 2.4, (i) => ({ ageYears: 9, ...changes[i] })))
const postsOf = (changes: Record<number, Partial<Post>>) => lineOf(changes).lines[0]!.posts
const CARRIED = ['footingFound'] as const

describe('posts of one make', () => {
  it('are of one material, one age, and one hand where both are known', () => {
    const [a, b] = postsOf({})
    expect(isAlike(a!, b!)).toBe(true)
    expect(isAlike(a!, { ...b!, ageYears: 11 })).toBe(false)
    expect(isAlike(a!, { ...b!, material: 'oak' })).toBe(false)
    expect(isAlike({ ...a!, make: 'the brothers' }, b!)).toBe(true)
    expect(isAlike({ ...a!, make: 'the brothers' }, { ...b!, make: 'a firm' })).toBe(false)
  })

  it('hear from the nearest that was dug, unless they were dug themselves', () => {
    const posts = postsOf({
      0: { observations: { footingFound: 'adequate' } },
      4: { observations: { footingFound: 'small' } },
      5: { ageYears: 30 },
    })
    const heard = heardAlong(posts, CARRIED)
    expect(heard(posts[3]!)).toEqual([{ observation: 'footingFound', value: 'small', from: 'A5' }])
    expect(heard(posts[1]!)).toEqual([{ observation: 'footingFound', value: 'adequate', from: 'A1' }])
    expect(heard(posts[4]!)).toEqual([])
    expect(heard(posts[5]!)).toEqual([])
  })
})

describe('what is heard from another post', () => {
  const facts = { material: 'treated-softwood', duty: 'line', ageYears: 9, pointedAt: true }
  const of = (heard: Parameters<typeof diagnose>[3], own = {}) =>
    diagnose(facts, { ...moved, ...own }, tables.causes, heard)
  const small = [{ observation: 'footingFound', value: 'small', from: 'A5' }] as const
  const chance = ({ causes }: ReturnType<typeof of>) =>
    causes.find(({ cause }) => cause === 'undersized-footing')!.probability

  it('counts, with its name, and less than a look of its own', () => {
    const own = of([], { footingFound: 'small' })
    expect(chance(of(small))).toBeGreaterThan(chance(of([])))
    expect(chance(of(small))).toBeLessThan(chance(own))
    const said = of(small).causes.flatMap(({ evidence }) => evidence.map(({ says }) => says))
    expect(said).toContain('from A5: the footing is small')
  })

  it('leaves the dig open, and is silent where nothing was seen here', () => {
    const checks = of(small, { probeAtGround: 0 })
    expect(checks.dig).toBeGreaterThan(0)
    expect(of([], { footingFound: 'small' }).dig).toBe(0)
    expect(diagnose(facts, {}, tables.causes, small).leading).toEqual([])
  })

  it('makes the plan and the thin line agree on every state', () => {
    const job = lineOf({
      1: { observations: { ...moved, footingFound: 'small' } },
      2: { observations: moved },
      3: { observations: { tap: 'dull' } },
    })
    const drawn = { unseen: 'not-looked-at', sound: 'nothing-wrong', doubtful: 'unsettled', failed: 'failed' }
    expect(postStates(job.lines[0]!, tables.causes).map((state) => drawn[state])).toEqual(
      plan(job, tables).posts.map(({ diagnosis }) => diagnosis.state),
    )
    const reasons = plan(job, tables).posts[2]!.diagnosis.causes.flatMap(({ evidence }) => evidence)
    expect(reasons.some(({ says }) => says === 'from A2: the footing is small')).toBe(true)
  })
})

describe('the dig that tells most for a line', () => {
  it('is named with the posts that it speaks for, and not where it was made', () => {
    const loose = { observations: { pushPivot: 'footing-moves' as const } }
    const [dig, ...more] = plan(lineOf({ 1: loose, 2: loose, 4: loose }), tables).digs
    expect(more).toEqual([])
    expect([dig!.post, ...dig!.speaksFor].sort()).toEqual(['A2', 'A3', 'A5'])
    expect(dig!.worth).toBeGreaterThan(0.002)
    expect(plan(lineOf({ 1: loose }), tables).digs).toEqual([])
    const dug = { observations: { ...loose.observations, footingFound: 'small' as const } }
    expect(plan(lineOf({ 1: dug, 2: dug }), tables).digs).toEqual([])
  })
})

describe('duties together', () => {
  it('come from what was said and from what the post stands on', () => {
    expect(dutiesOf({ duty: 'gate-hinge', footing: { kind: 'plate' } })).toEqual(['gate-hinge', 'plate-mounted'])
    expect(dutiesOf({ duty: 'line', duties: ['corner', 'line'] })).toEqual(['line', 'corner'])
    expect(dutiesOf({ footing: { kind: 'sleeve' } }, 'end')).toEqual(['end', 'plate-mounted'])
  })

  it('a gate hung on a plate is judged as both, and weighs on its anchors', () => {
    const gate = { leafWidth: 1.1, leafMass: 30 }
    const of = (post: Partial<Post>) =>
      plan(lineOf({ 2: { observations: { pushPivot: 'at-plate' }, pointedAt: true, ...post } }), tables).posts[2]!
    const both = of({ duty: 'gate-hinge', gate, footing: { kind: 'plate' } })
    expect(both.gate!.moment).toBeGreaterThan(0)
    expect(both.diagnosis.inForce[0]).toBe('loose-anchorage')
    expect(both.methods.find(({ method }) => method === 'plate-on-slab')!.reasons.join()).not.toContain('in the ground')
    const ground = of({ duty: 'gate-hinge', gate })
    const chanceOf = ({ diagnosis }: typeof both) =>
      diagnosis.causes.find(({ cause }) => cause === 'loose-anchorage')!.probability
    expect(chanceOf(both)).toBeGreaterThan(chanceOf(ground))
  })
})

it('no footing given as a fact is evidence as much as digging it', () => {
  expect(observationsOf({ footing: { kind: 'none' } })).toEqual({ footingFound: 'none' })
  expect(observationsOf({ footing: { kind: 'none' }, observations: { footingFound: 'small' } })).toEqual({
    footingFound: 'small',
  })
  const { diagnosis } = plan(lineOf({ 2: { footing: { kind: 'none' }, observations: moved, pointedAt: true } }), tables)
    .posts[2]!
  expect(diagnosis.inForce[0]).toBe('no-footing')
})

describe('galleries in the break', () => {
  const of = (observations: Post['observations']) =>
    plan(lineOf({ 2: { observations, pointedAt: true } }), tables).posts[2]!
  it('are nearly decisive for insects', () => {
    const { diagnosis } = of({ breakFace: 'galleries-and-dust' })
    expect(diagnosis.causes[0]).toMatchObject({ cause: 'insect-damage' })
    expect(diagnosis.causes[0]!.probability).toBeGreaterThan(0.75)
  })
  it('with soft wood at the ground are insects and rot, and both are answered', () => {
    const { diagnosis, recommended } = of({ breakFace: 'galleries-and-dust', probeAtGround: 0.03 })
    expect(diagnosis.together).toEqual({ causes: ['insect-damage', 'ground-line-decay'], name: 'Insects and rot' })
    expect([...diagnosis.inForce].sort()).toEqual(['ground-line-decay', 'insect-damage'])
    expect(recommended!.method).toBe('new-post-concrete')
  })
})
