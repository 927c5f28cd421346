import { describe, expect, it } from 'vitest'
import { busyTimes, calendarText } from '../../shared/calendar'
import { questionOf } from '../../tests/support/demoDay'
import { demoDays } from '../../data/demo/days'
import { HOUR_MS, MINUTE_MS } from '../weather/forecast'
import { bindings } from './binds'
import { takenDays } from './busy'
import { dayEvents } from './events'
import type { Task } from './question'
import { savings } from './saves'
import { planDays } from './search'

const [, withGate, five] = demoDays as [(typeof demoDays)[0], (typeof demoDays)[0], (typeof demoDays)[0]]
const EFFORT = { seed: 1, rounds: 24 }
const gate = questionOf(withGate)
const planned = planDays(gate, EFFORT)

describe('the tasks of a post', () => {
  const ofLast = (step: string): Task => gate.tasks.find(({ id }) => id === `B/B4:${step}`)!
  it('follow its steps: cut loose, dug, set in props, poured, waited for', () => {
    expect(gate.tasks.filter(({ posts }) => posts[0] === 'B/B4').map(({ step }) => step)).toEqual([
      'services',
      'free-rails',
      'stump',
      'dig',
      'plumb',
      'pour',
      'props-stay',
      'lift-panels',
      'hang-leaf',
    ])
    expect(ofLast('free-rails')).toMatchObject({ skills: ['saw'], loosens: 'B/B4:plumb' })
    expect(ofLast('dig')).toMatchObject({ skills: ['dig'], opens: 'B/B4:pour' })
    expect(ofLast('plumb')).toMatchObject({ holds: { tool: 'props', until: 'B/B4:props-stay' }, tools: { level: 1 } })
    expect(ofLast('hang-leaf').after).toEqual([
      { task: 'B/B4:pour', least: 0, milestone: 'gate' },
      { task: 'B/B4:lift-panels', least: 0 },
    ])
  })
  it('wait for concrete until its later time', () => {
    // Post mix: 0.30 after 4 h at 20 °C, 0.45 after 15.3 h, a quarter more of each; 0.70 after 95 h, past three days.
    const { pour } = ofLast('pour')
    expect(pour).toMatchObject({ works: 5 })
    expect(pour!.milestones.props).toBeCloseTo(4 * 60 * 1.25, 6)
    expect(pour!.milestones.boards).toBeCloseTo(15.34 * 60 * 1.25, -1)
    expect(pour!.milestones.gate).toBeCloseTo(95.5 * 60, -2)
  })
  it('take one person longer than two, and a mixer half the time of a barrow', () => {
    const minutes = (of: typeof gate, step: string) => of.tasks.find(({ id }) => id === `B/B1:${step}`)!
    const two = questionOf(five)
    expect(minutes(gate, 'free-rails').minutes).toBe(Math.ceil(1.6 * 7.5))
    expect(minutes(gate, 'free-rails').hands).toBe(1)
    expect(minutes(two, 'pour').hands).toBe(2)
    const mixed = questionOf({ ...five, setup: { ...five.setup, tools: { props: 4, level: 1, mixer: 1 } } })
    expect(minutes(mixed, 'pour').pour!.placing).toBeLessThan(minutes(two, 'pour').pour!.placing)
    expect(minutes(mixed, 'pour').tools).toEqual({ level: 1, mixer: 1 })
    expect(mixed.tasks.filter(({ tools }) => tools.mixer).every(({ pour }) => pour)).toBe(true)
  })
})

describe('what decides the end', () => {
  it('is one chain from the first task to the last', () => {
    const chain = bindings(gate, planned.plan)
    const at = new Map(planned.plan.placed.map((each) => [each.task, each]))
    expect(chain.at(-1)!.task).toBe('B/B4:hang-leaf')
    expect(chain.at(-1)!.because).toMatch(/concrete|night/)
    for (const [i, { of }] of chain.entries()) {
      if (i > 0) expect(of).toBe(chain[i - 1]!.task)
      else expect(of).toBeUndefined()
    }
    const starts = chain.map(({ task }) => at.get(task)!.start)
    expect(starts).toEqual([...starts].sort((a, b) => a - b))
  })
  it('names the tool that is short', () => {
    const short = questionOf({ ...five, setup: { ...five.setup, tools: { props: 1, level: 1 } } })
    const found = planDays(short, EFFORT)
    expect(bindings(short, found.plan)).toContainEqual(expect.objectContaining({ because: 'tool', tool: 'props' }))
    const saved = savings(short, found.goal, EFFORT)
    expect(saved[0]!.more).toBe('props')
    expect(saved[0]!.goal.lastDay).toBeLessThan(found.goal.lastDay)
  })
})

describe('the calendar', () => {
  const midnight = Date.UTC(2026, 3, 13)
  const events = dayEvents(gate, planned.plan, { job: 'job-1', name: 'Bank side', midnight })
  it('has every visit, what concrete carries when, and the return, under names that stay', () => {
    const visits = events.filter(({ uid }) => uid.includes('visit'))
    expect(visits).toHaveLength(planned.plan.visits.length)
    expect(visits[0]!.from).toBe(midnight + planned.plan.visits[0]!.from * MINUTE_MS)
    expect(visits.at(-1)!.says).toBe('Bank side: return visit')
    expect(events.filter(({ says }) => says === 'B4: the gate may be hung')).toHaveLength(1)
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length)
    const again = dayEvents(gate, planDays(gate, { seed: 9, rounds: 8 }).plan, {
      job: 'job-1',
      name: 'Bank side',
      midnight,
    })
    expect(
      again
        .filter(({ uid }) => !uid.includes('visit'))
        .map(({ uid }) => uid)
        .sort(),
    ).toEqual(
      events
        .filter(({ uid }) => !uid.includes('visit'))
        .map(({ uid }) => uid)
        .sort(),
    )
  })
  it('counts its visits from those that were made', () => {
    const later = dayEvents(gate, planned.plan, { job: 'job-1', name: 'Bank side', midnight, visited: 2 })
    const names = later.filter(({ uid }) => uid.includes('visit')).map(({ uid, says }) => [uid, says])
    expect(names[0]).toEqual(['job-1-visit-3@vindex', 'Bank side: visit 3'])
    const alone = { ...planned.plan, visits: planned.plan.visits.slice(0, 1) }
    expect(dayEvents(gate, alone, { job: 'j', name: 'B', midnight, visited: 1 })[0]!.says).toBe('B: return visit')
    expect(dayEvents(gate, alone, { job: 'j', name: 'B', midnight })[0]!.says).toBe('B: visit 1')
  })
  it('comes back as busy times', () => {
    const text = calendarText(events, midnight)
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/)
    expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 76)).toBe(true)
    const busy = busyTimes(text, midnight + 40 * 24 * HOUR_MS)
    expect(busy).toEqual(events.map(({ from, to }) => ({ from, to })))
  })
  it('takes days on which more than half of the hours are gone', () => {
    const hours = [
      { from: 480, to: 720 },
      { from: 750, to: 1_020 },
    ]
    const at = (day: number, minute: number) => midnight + (day * 1_440 + minute) * MINUTE_MS
    const busy = [
      { from: at(1, 480), to: at(1, 720) },
      { from: at(2, 480), to: at(2, 800) },
      { from: at(2, 500), to: at(2, 600) },
      { from: at(3, 0), to: at(5, 0) },
    ]
    expect(takenDays(busy, midnight, hours, 7)).toEqual([2, 3, 4])
  })
  it('follows what comes again, leaves out what keeps nobody, and says what is no calendar', () => {
    const entry = (...lines: string[]) => [
      'BEGIN:VEVENT',
      'UID:x',
      'DTSTART:20260414T080000Z',
      'DTEND:20260414T160000Z',
      ...lines,
      'END:VEVENT',
    ]
    const file = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n')
    const until = midnight + 20 * 24 * HOUR_MS
    expect(busyTimes(file(...entry('RRULE:FREQ=DAILY;COUNT=3')), until)).toHaveLength(3)
    expect(busyTimes(file(...entry('RRULE:FREQ=DAILY')), until).length).toBeLessThan(21)
    expect(busyTimes(file(...entry('TRANSP:TRANSPARENT')), until)).toEqual([])
    expect(() => busyTimes('none', until)).toThrow('no calendar')
  })
})
