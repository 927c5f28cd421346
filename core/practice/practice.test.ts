import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { drawsFrom, type Draws } from '../numeric/draws'
import { diagnose } from '../cause/diagnose'
import { adviceFor } from './advice'
import { drawCase, LEVELS, levelOf, type PracticeCase } from './case'
import { costOf, LEAVE, leastWay, sizeCost, VISIT } from './cost'
import { chancesOf, modelOf, openChecks, posterior, type Seen } from './model'
import { reckon } from './play'
import { bestMove, LONGEST_LINE, readingsOf, type Found } from './search'
import { cases } from '../../tests/support/cases'

/** Cases that begin alike are searched once. */
const searched = new Map<string, Found>()
const foundOf = ({ facts, job }: PracticeCase): Found => {
  const key = JSON.stringify([facts, job.name])
  const known = searched.get(key) ?? new Map()
  searched.set(key, known)
  return known
}
const seenAll = ({ shows }: PracticeCase): Seen => shows.map((showing, check) => [check, showing])
const truthOf = ({ truth, position: { model } }: PracticeCase) =>
  truth === 'nothing-wrong' ? model.causes.length : model.causes.indexOf(truth)

/** A play at random: so many checks, whatever they show, and then any way. */
function randomPlay({ position }: PracticeCase, { below, one }: Draws, from: 'tried' | 'all') {
  const { model, ways, tried } = position
  let seen: Seen = []
  for (let left = below(from === 'tried' ? LONGEST_LINE + 1 : 9); left > 0; left--) {
    const open = openChecks(model, seen, readingsOf(model, seen)).filter(
      (check) => from === 'all' || tried.includes(check),
    )
    if (open.length === 0) break
    const check = one(open)
    seen = [...seen, [check, below(model.checks[check]!.showings.length)]]
  }
  return { seen, way: one(ways) }
}

describe('the model of a case', () => {
  it('is that by which posts are judged', () => {
    const facts = { material: 'treated-softwood', duty: ['line'], ageYears: 14, pointedAt: true }
    const model = modelOf(facts, tables.causes)
    const seen: Seen = [0, 4, 7].map((check) => [check, 1])
    const { nothingWrong, causes } = diagnose(facts, readingsOf(model, seen), tables.causes)
    const chances = posterior(model, seen)
    expect(chances.at(-1)).toBeCloseTo(nothingWrong.probability, 9)
    for (const { cause, probability } of causes)
      expect(chances[model.causes.indexOf(cause)]! / (1 - chances.at(-1)!)).toBeCloseTo(probability, 9)
  })
  it('has chances that add up, whatever was seen', () => {
    const { position } = drawCase(5, 'ordinary', tables)
    const { model } = position
    for (const seen of [
      [],
      [[0, 0]],
      [
        [0, 1],
        [4, 0],
      ],
    ] as Seen[]) {
      const now = posterior(model, seen)
      expect(now.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9)
      model.checks.forEach((_each, check) =>
        expect(chancesOf(model, check, now).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9),
      )
    }
  })
})

describe('500 cases that are drawn', () => {
  const all = Array.from({ length: 500 }, (_, i) => drawCase(i + 1, LEVELS[i % LEVELS.length]!, tables))
  it('can each be solved: whoever has looked at everything knows what to do, and can do it', () => {
    for (const each of all) {
      const { model, ways } = each.position
      const chances = posterior(model, seenAll(each))
      expect(chances[truthOf(each)], `seed ${each.seed}`).toBeGreaterThanOrEqual(0.5)
      expect(leastWay(ways, chances).way.wasted[truthOf(each)], `seed ${each.seed}`).toBe(0)
      expect(ways.some(({ method }) => method === LEAVE)).toBe(true)
    }
  })
  it('are of the level that was asked for, of many causes, and some of nothing', () => {
    for (const each of all) expect(levelOf(each.position.model, truthOf(each), each.shows)).toBe(each.level)
    const truths = new Set(all.map(({ truth }) => truth))
    expect(truths.size).toBeGreaterThan(9)
    expect(truths).toContain('nothing-wrong')
  })
  it('are the same for the same seed', () => {
    const { position: _position, planned: _planned, ...again } = drawCase(17, all[16]!.level, tables)
    expect(all[16]).toMatchObject(again)
    expect(all[17]!.shows).not.toEqual(all[16]!.shows)
  })
  it('lean towards what was missed', () => {
    const leaning = Array.from({ length: 40 }, (_, i) => drawCase(i + 1, 'ordinary', tables, ['wind-snap']))
    const plain = Array.from({ length: 40 }, (_, i) => drawCase(i + 1, 'ordinary', tables))
    const snapped = (of: PracticeCase[]) => of.filter(({ truth }) => truth === 'wind-snap').length
    expect(snapped(leaning)).toBeGreaterThan(snapped(plain) + 8)
  })
})

describe('the best line', () => {
  it('is never beaten in random plays', () => {
    const draws = drawsFrom(18)
    const drawn = [3, 8, 21, 34].map((seed) => drawCase(seed, LEVELS[seed % 3]!, tables))
    let least = Infinity
    let least1 = Infinity
    for (let i = 0; i < cases(800, 10_000); i++) {
      const of = drawn[i % drawn.length]!
      const { score, steps } = reckon(of.position, randomPlay(of, draws, 'tried'), foundOf(of))
      expect(score).toBeLessThanOrEqual(1)
      // Not by the count alone: no first step of any play is expected to cost less than the best line.
      least = Math.min(least, steps[0]!.taken - steps[0]!.best)
      least1 = Math.min(least1, score)
    }
    expect(least).toBeGreaterThanOrEqual(-1e-9)
    expect(least1).toBeLessThan(0.6)
  })
  it('is never beaten by longer lines of any checks by more than they are looked ahead', () => {
    const draws = drawsFrom(19)
    const of = drawCase(8, 'misleading', tables)
    for (let i = 0; i < cases(25, 100); i++)
      expect(reckon(of.position, randomPlay(of, draws, 'all'), foundOf(of)).score).toBeLessThanOrEqual(1)
  })
  it('scores 1, step by step, whatever luck it has', () => {
    for (const seed of [2, 5, 9, 14]) {
      const of = drawCase(seed, LEVELS[seed % 3]!, tables)
      const found = foundOf(of)
      let seen: Seen = []
      for (;;) {
        const move = bestMove(of.position, seen, LONGEST_LINE - seen.length, found)
        if (move.check === undefined) {
          expect(reckon(of.position, { seen, way: move.way }, found).score).toBeCloseTo(1, 2)
          break
        }
        seen = [...seen, [move.check, of.shows[move.check]!]]
      }
      expect(seen.length).toBeGreaterThan(0)
    }
  })
  it('is that of all orders tried one by one, where two checks may be made', () => {
    const { position } = drawCase(4, 'easy', tables)
    const two = { ...position, tried: position.tried.slice(0, 3) }
    const byHand = (seen: Seen, left: number): number => {
      const now = posterior(two.model, seen)
      const committed = Math.min(...two.ways.map((way) => costOf(way, now)))
      if (left === 0) return committed
      const done = seen.map(([check]) => check)
      const open = openChecks(two.model, seen, readingsOf(two.model, seen)).filter(
        (check) => two.tried.includes(check) && !done.includes(check),
      )
      return Math.min(
        committed,
        ...open.map((check) =>
          chancesOf(two.model, check, now).reduce(
            (sum, chance, showing) => sum + chance * byHand([...seen, [check, showing]], left - 1),
            two.model.checks[check]!.minutes,
          ),
        ),
      )
    }
    expect(bestMove(two, [], 2, new Map()).cost).toBeCloseTo(byHand([], 2), 9)
  })
})

describe('a trainee who follows the advice', () => {
  it('is within a tenth of the best on nine cases in ten', () => {
    const scores = Array.from({ length: cases(20, 60) }, (_, i) => {
      const of = drawCase(i + 101, LEVELS[i % LEVELS.length]!, tables)
      let seen: Seen = []
      for (;;) {
        const advice = adviceFor(of, seen)
        if ('way' in advice) return reckon(of.position, { seen, way: advice.way }, foundOf(of)).score
        seen = [...seen, [advice.check, of.shows[advice.check]!]]
      }
    })
    expect(scores.filter((score) => score >= 0.9).length).toBeGreaterThanOrEqual(0.9 * scores.length)
  })
})

describe('what a play costs', () => {
  it('is minutes, visits for nothing, bags and metres per second', () => {
    const way = { method: 'new-post-concrete', minutes: 100, wasted: [0, 1, 0.6] }
    expect(costOf(way, [0.5, 0.25, 0.25])).toBeCloseTo(100 + VISIT * (0.25 + 0.15), 9)
    expect(sizeCost({ bags: 5, bagsWanted: 2.4, holds: 40, target: 38 })).toBe(20)
    expect(sizeCost({ bags: 3, bagsWanted: 2.4, holds: 36.5, target: 38 })).toBe(30)
    expect(sizeCost({ bags: 1, bagsWanted: 2.4, holds: 38, target: 38 })).toBe(60)
    expect(sizeCost({ bags: 3, bagsWanted: 3, holds: Infinity, target: 38 })).toBe(0)
  })
})
