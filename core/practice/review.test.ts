import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { drawCase, type PracticeCase } from './case'
import { DRILLS, drillOf, judged } from './drills'
import { checkOf, type Seen } from './model'
import { historyOf, missed, review, type PlayRecord } from './review'
import type { ObservationKey } from '../cause/observations'

const of = drawCase(3, 'easy', tables)
const look = ({ position, shows }: PracticeCase, ...keys: ObservationKey[]): Seen =>
  keys.map((key) => {
    const check = checkOf(position.model, key)
    return [check, shows[check]!]
  })
const best = review(of, [], { cause: 'nothing-wrong', method: 'leave' })

describe('the reckoning after a play', () => {
  it('of the best line loses nothing, and says what each check told and was worth', () => {
    const seen = look(of, ...best.bestLine)
    const told = review(of, seen, { cause: of.truth, method: best.bestMethod })
    expect(told.reckoning.score).toBeCloseTo(1, 2)
    expect(told.mistakes).toEqual([])
    expect(told.wasted).toBe(0)
    expect(told.checks.map(({ observation }) => observation)).toEqual(best.bestLine)
    // An easy case: what was seen speaks for what was true, and was worth its minutes.
    expect(told.checks.reduce((sum, { decibans }) => sum + decibans, 0)).toBeGreaterThan(0)
    expect(told.checks[0]!.worth).toBeGreaterThan(told.checks[0]!.minutes)
    expect(told.checks[0]!.says.length).toBeGreaterThan(5)
  })
  it('knows a play that stopped too early, and one that dug too early', () => {
    expect(best.mistakes).toContain('stopped-too-early')
    const dug = review(of, look(of, 'footingFound'), { cause: of.truth, method: best.bestMethod })
    expect(dug.mistakes).toContain('dug-too-early')
    expect(dug.reckoning.score).toBeLessThan(0.9)
  })
  it('knows a hole that is too small, and a method that leaves the cause as it is', () => {
    const sized = { bags: 2, bagsWanted: 2, holds: 30, target: 38 }
    const small = review(of, look(of, ...best.bestLine), { cause: of.truth, method: best.bestMethod, sized })
    expect(small.mistakes).toEqual(['hole-too-small'])
    expect(small.reckoning.score).toBeLessThan(0.5)
    const wrong = review(of, look(of, ...best.bestLine), { cause: of.truth, method: 'refix-panels' })
    expect(wrong.mistakes).toContain('right-cause-wrong-method')
    expect(wrong.wasted).toBe(1)
  })
  it('is no better for luck: the same play scores the same whatever was true', () => {
    const other = { ...of, truth: 'wind-snap' as const }
    const seen = look(of, ...best.bestLine)
    const commitment = { cause: of.truth, method: best.bestMethod }
    expect(review(other, seen, commitment).reckoning.score).toBe(review(of, seen, commitment).reckoning.score)
  })
})

describe('how often right', () => {
  const play = (truth: string, right: boolean, score = 1): PlayRecord => ({
    at: '2026-11-27T10:00:00Z',
    seed: 1,
    level: 'easy',
    truth,
    said: truth,
    right,
    score,
    mistakes: [],
  })
  it('is counted by what was true, the most missed first', () => {
    const records = [
      play('soft-ground', true),
      play('wind-snap', false, 0.5),
      play('wind-snap', true),
      play('gate-pull', false),
    ]
    expect(historyOf(records)).toEqual([
      { truth: 'gate-pull', played: 1, right: 0, score: 1 },
      { truth: 'wind-snap', played: 2, right: 1, score: 0.75 },
      { truth: 'soft-ground', played: 1, right: 1, score: 1 },
    ])
    expect(missed(records)).toEqual(['gate-pull', 'wind-snap'])
    expect(historyOf([])).toEqual([])
  })
})

describe('drills', () => {
  it.each(DRILLS)('%s asks with all its measures, and knows its own answer', (key) => {
    for (let seed = 1; seed <= 30; seed++) {
      const drill = drillOf(key, seed, tables)
      drill.measures.forEach((_each, i) => expect(drill.asks).toContain(`{${i}}`))
      expect(drill.asks).not.toContain(`{${drill.measures.length}}`)
      expect(drill.answer).toBeGreaterThan(0)
      expect(judged(drill, drill.answer)).toEqual({ isRight: true, off: 0 })
      expect(judged(drill, drill.answer * 1.3 + 1).isRight).toBe(false)
      expect(drillOf(key, seed, tables)).toEqual(drill)
    }
    const asked = new Set(Array.from({ length: 30 }, (_, i) => JSON.stringify(drillOf(key, i + 1, tables).measures)))
    expect(asked.size).toBeGreaterThan(3)
  })
  it('come out as they are worked by hand', () => {
    const reading = drillOf('hole-reading', 1, tables)
    expect(reading.answer).toBeCloseTo(reading.measures[0]!.value + reading.measures[1]!.value, 9)
    const opening = Array.from({ length: 20 }, (_, i) => drillOf('gate-opening', i, tables)).find(({ asks }) =>
      asks.startsWith('One'),
    )!
    expect(opening.answer).toBeCloseTo(
      opening.measures.reduce((sum, { value }) => sum + value, 0),
      9,
    )
  })
})
