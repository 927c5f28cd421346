import { describe, expect, it } from 'vitest'
import { diagnose } from '../core/cause/diagnose'
import { LOOK_ORDER } from '../core/cause/lookOrder'
import { CAUSES } from '../core/cause/tables'
import { OBSERVATION_KEYS } from '../core/cause/observations'
import { tables } from '../tests/support/builders'
import { heldOut } from './heldOut'
import { flips, scoreOf } from './score'
import { advised, drawPost, inOrder, settle } from './simulate'
import { barelySeen, soundHeldOut, soundTuning } from './sound'
import { tuning } from './tuning'

const all = [...tuning, ...heldOut]
const sound = [...soundTuning, ...soundHeldOut]
/** Of the causes alone, before a sound post was thought of. */
const BRIER_OF_CAUSES = 0.147

describe('trial cases', () => {
  it('are sixty at least, of every cause, in both sets', () => {
    expect(all.length).toBeGreaterThanOrEqual(60)
    expect(new Set(all.map(({ name }) => name)).size).toBe(all.length)
    for (const set of [tuning, heldOut]) expect(new Set(set.flatMap(({ truth }) => truth))).toEqual(new Set(CAUSES))
  })

  it('held out: right first in 85 of 100, among the first two in 97', () => {
    const score = scoreOf([...heldOut, ...soundHeldOut], tables.causes)
    expect(score.first).toBeGreaterThanOrEqual(0.85)
    expect(score.firstTwo).toBeGreaterThanOrEqual(0.97)
    expect(score.brier).toBeLessThanOrEqual(BRIER_OF_CAUSES)
  })

  it('sound posts are called so, and next to nothing sends nobody to mend', () => {
    expect(sound.length).toBeGreaterThanOrEqual(15)
    expect(barelySeen.length).toBeGreaterThanOrEqual(10)
    for (const { name, facts, seen } of sound)
      expect(diagnose(facts, seen, tables.causes).nothingWrong.probability, name).toBeGreaterThan(0.625)
    for (const { name, facts, seen } of barelySeen) {
      const { nothingWrong, causes } = diagnose(facts, seen, tables.causes)
      for (const { cause, probability } of causes)
        expect((1 - nothingWrong.probability) * probability, `${name}: ${cause}`).toBeLessThan(0.25)
    }
  })

  it('failed posts that somebody was called for are called sound only where the post itself is', () => {
    const missed = all.filter(({ facts, seen }) => diagnose(facts, seen, tables.causes).nothingWrong.probability > 0.5)
    for (const { truth } of missed) expect(truth).toEqual(['fixing-failure'])
    expect(missed.length).toBeLessThanOrEqual(3)
  })

  it('no reading left out turns a settled cause into another', () => {
    expect(flips(all, tables.causes)).toEqual([])
  })

  it('scores what was said against what was true', () => {
    const [one] = tuning
    const wrong = { ...one!, truth: ['loose-anchorage'] as const }
    expect(scoreOf([wrong], tables.causes)).toMatchObject({ first: 0, firstTwo: 0 })
    expect(scoreOf([wrong], tables.causes).brier).toBeGreaterThan(1.5)
    const { reliability } = scoreOf(all, tables.causes)
    expect(reliability.reduce((sum, { count }) => sum + count, 0)).toBe(all.length * (CAUSES.length + 1))
  })
})

describe('posts drawn from the model', () => {
  let state = 7
  const chance = () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32
  const facts = { material: 'treated-softwood', duty: 'line', ageYears: 9 }
  const posts = Array.from({ length: 60 }, () => drawPost(facts, tables.causes, chance))

  it('show something for every check, and never rust in timber', () => {
    expect(Object.keys(posts[0]!.all).sort()).toEqual(tables.causes.evidence.map((row) => row.observation).sort())
    expect(posts.map(({ cause }) => cause)).not.toContain('corroded-steel')
  })

  it('are settled sooner by advice than in one fixed order', () => {
    const minutes = (results: { minutes: number }[]) =>
      results.map((each) => each.minutes).sort((a, b) => a - b)[posts.length / 2]!
    const byAdvice = minutes(posts.map((post) => settle(post, tables.causes, advised(facts, tables.causes))))
    const byOrder = minutes(posts.map((post) => settle(post, tables.causes, inOrder(LOOK_ORDER))))
    expect(byAdvice / byOrder).toBeLessThanOrEqual(0.6)
  })

  it('the fixed order asks for everything that there is to see', () => {
    const asked = tables.causes.evidence.map((row) => row.observation)
    expect([...LOOK_ORDER].sort()).toEqual([...asked].sort())
    expect([...OBSERVATION_KEYS].sort()).toEqual([...asked].sort())
  })
})

it('a readings-by-readings judgement is one of every case', () => {
  for (const { facts, seen } of all) {
    const { causes, nextChecks, settled } = diagnose(facts, seen, tables.causes)
    expect(causes).toHaveLength(CAUSES.length)
    // What is settled may leave nothing that is worth a look.
    if (!settled) expect(nextChecks.length).toBeGreaterThan(0)
  }
})
