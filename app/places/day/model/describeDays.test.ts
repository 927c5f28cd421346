import { describe, expect, it } from 'vitest'
import { demoDays } from '~~/data/demo/days'
import { tables } from '~~/data/tables'
import { bindings } from '~~/core/day/binds'
import { concreteTime } from '~~/core/day/concreteTime'
import { dayPosts } from '~~/core/day/posts'
import { planDays } from '~~/core/day/search'
import { dayQuestion } from '~~/core/day/setup'
import { plan } from '~~/core/plan/plan'
import { resolveJob } from '~~/core/resolve/resolve'
import { dayModel } from './dayModel'
import { describeDays } from './describeDays'

const show = {
  date: (day: number) => `day ${day}`,
  temperature: (celsius: number) => `${celsius} °C`,
  gust: (gust: number) => `${gust} m/s`,
}

describe('the days in words', () => {
  const { job, setup } = demoDays.find(({ name }) => name === 'two posts, one person')!
  const resolved = resolveJob(job, tables)
  const posts = dayPosts({ prefix: '', job, resolved, plan: plan(job, tables) }, tables)
  const midnight = Date.parse(`${setup.first}T00:00:00Z`)
  const hours = Array.from({ length: 120 }, (_, hour) => ({
    at: new Date(midnight + hour * 3600e3).toISOString(),
    temperature: hour < 40 ? 8 : 5,
    gust: hour === 9 ? 14 : 6,
    rain: hour === 10 ? 1 : 0,
  }))
  const question = dayQuestion(posts, setup, { midnight, hours }, tables)
  const { plan: found } = planDays(question, { seed: 1, rounds: 8 })
  const more = { breaks: [], binds: bindings(question, found), time: concreteTime(question) }
  const model = dayModel(question, found, more, { width: 800, height: 600 })
  const words = describeDays(model, ['B2, dig: behind B1, dig'], show)

  it('name the posts, every visit with its work and weather, and what decides the end', () => {
    expect(words).toMatch(/^Posts across: .*B1, B2/)
    for (const { day } of model.bands) expect(words).toContain(`day ${day}, `)
    const counted = [...words.matchAll(/(\d+) pieces of work/g)].map(([, count]) => Number(count))
    expect(counted.reduce((sum, each) => sum + each, 0)).toBe(found.placed.length)
    expect(words).toContain('gusts to 14 m/s, rain in 1 hour')
    expect(words).toContain('What decides the end: B2, dig: behind B1, dig.')
  })
  it('say where concrete is waited for', () => {
    expect(words).toContain('Concrete is waited for at B1, B2.')
  })
  it('leave out what is not known', () => {
    expect(
      describeDays({ ...model, tails: [], bands: model.bands.map((band) => ({ ...band, weather: [] })) }, [], show),
    ).not.toMatch(/gusts to 14|waited|decides/)
  })
})
