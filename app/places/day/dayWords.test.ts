import { describe, expect, it } from 'vitest'
import type { DayQuestion } from '~~/core/day/question'
import { bindingWords, breachWords, dayWords, minutesWords, savingWords, taskWords } from './dayWords'

const task = (id: string, says: string, posts: string[]) => ({ id, says, posts })
const question = {
  tasks: [
    task('B/B4:dig', 'dig', ['B/B4']),
    task('B/B4:pour', 'pour', ['B/B4']),
    task('x~C/C2:boards', 'boards on', ['x~C/C2']),
    task('site:home', 'load up and go', []),
  ],
} as unknown as DayQuestion
const bound = (because: string, more: object = {}) =>
  bindingWords(question, { task: 'B/B4:pour', because, of: 'B/B4:dig', ...more } as never)

describe('the days in words', () => {
  it('names a day where the work is, on either side of a change of the clocks', () => {
    const friday = Date.parse('2026-11-27T00:00:00Z')
    expect([0, 1_439, 1_440].map((minute) => dayWords(friday, minute, 'UTC'))).toEqual([
      'Fri 27 Nov',
      'Fri 27 Nov',
      'Sat 28 Nov',
    ])
    // The night of the last Sunday in October has twenty-five hours.
    const saturday = Date.parse('2026-10-23T22:00:00Z')
    expect(dayWords(saturday, 1_440, 'Europe/Berlin')).toBe('Sun 25 Oct')
    expect(dayWords(saturday, 2 * 1_440, 'Europe/Berlin')).toBe('Mon 26 Oct')
  })
  it('says minutes as a clock would', () => {
    expect([0, 59.6, 60, 95, 600].map(minutesWords)).toEqual(['0 min', '1 h 00', '1 h 00', '1 h 35', '10 h 00'])
  })
  it('names a task by its post, one of the whole site by itself, one that is gone by its key', () => {
    expect(['B/B4:pour', 'x~C/C2:boards', 'site:home', 'B/B9:dig'].map((id) => taskWords(question, id))).toEqual([
      'B4, pour',
      'C2, boards on',
      'load up and go',
      'B/B9:dig',
    ])
  })
  it.each([
    ['concrete', {}, 'B4, pour: the concrete of B4 has to harden'],
    ['work', {}, 'B4, pour: behind B4, dig'],
    ['hands', {}, 'B4, pour: everybody who can is at B4, dig until then'],
    ['tool', { tool: 'mixer' }, 'B4, pour: a mixer is taken until B4, dig is done'],
    ['weather', {}, 'B4, pour: the weather lets nobody begin sooner'],
    ['night', {}, 'B4, pour: with the next day’s hours, behind B4, dig'],
    ['break', {}, 'B4, pour: after the break, behind B4, dig'],
    ['start', { of: undefined }, 'B4, pour: at the start'],
    ['poured', {}, 'B4, pour: what was poured there has to harden'],
    ['set-by-hand', { of: undefined }, 'B4, pour: set by hand'],
  ])('says what it waits for: %s', (because, more, words) => {
    expect(bound(because, more)).toBe(words)
  })
  it('says what one thing more saves, the largest saving first', () => {
    const now = { left: 0, lastDay: 2, visits: 3, overtime: 60, end: 4_000, idle: 0 }
    const with_ = (more: string, goal: object) => savingWords({ more, goal: { ...now, ...goal } } as never, now)
    expect(with_('hand', { lastDay: 1, visits: 2 })).toBe('One more hand: done 1 day sooner')
    expect(with_('mixer', { visits: 1 })).toBe('One mixer more: 2 visits fewer')
    expect(with_('hour', { overtime: 0 })).toBe('An hour more a day: 1 h 00 of overtime less')
    expect(with_('auger', { end: 3_960 })).toBe('One auger more: home 40 min sooner on the last day')
  })
  it('says what is broken without the names that only the program knows', () => {
    expect(breachWords(question, { says: 'B/B4:pour begins before B/B4:dig ends' })).toBe(
      'B4, pour begins before B4, dig ends',
    )
  })
})
