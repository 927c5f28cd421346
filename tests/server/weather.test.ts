import { beforeAll, describe, expect, it, vi } from 'vitest'
import { InputError } from '../../core/errors'
import { HOUR_MS } from '../../core/weather/forecast'
import { demoJobs } from '../../data/demo/jobs'
import { readForecast } from '../../server/forecast/service'
import { Away } from '../../server/http/failures'
import { importJob } from '../../server/jobs/service'
import { readStormWatch } from '../../server/storm/service'
import { ownDatabase } from './ownDatabase'

const NOW = new Date('2026-11-28T09:20:00Z')
const asked = { place: 'bank', from: '2026-11-27T09:20:00Z', hours: '48' }
const read = (more: object = {}, isForTrying = true) => readForecast({ ...asked, ...more }, NOW, isForTrying)

describe('the forecast', () => {
  it('answers hour by hour, the same on every server', async () => {
    const said = await read()
    expect(said).toMatchObject({ place: 'bank', issuedAt: '2026-11-28T06:00:00.000Z' })
    expect(said.hours).toHaveLength(48)
    expect(said.hours[0]!.at).toBe('2026-11-27T09:00:00.000Z')
    expect(await read()).toEqual(said)
    const shifted = await read({ from: '2026-11-27T12:00:00Z' })
    expect(shifted.hours[0]).toEqual(said.hours[3])
  })
  it('says nothing of what is too far ahead', async () => {
    expect((await read({ from: '2026-12-10T00:00:00Z', hours: '100' })).hours.length).toBe(57)
    expect((await read({ from: '2027-01-10T00:00:00Z' })).hours).toEqual([])
  })
  it.each([
    ['place', { place: 'nowhere' }],
    ['from', { from: 'tomorrow' }],
    ['hours', { hours: '0' }],
    ['hours', { hours: '1e9' }],
    ['hours', { hours: '3.5' }],
    ['mood', { mood: 'sunny' }],
  ])('names %s that is wrong', async (key, more) => {
    const error = await read(more).catch((failure: unknown) => failure)
    expect(error).toBeInstanceOf(InputError)
    expect((error as InputError).key).toContain(key)
  })
  it('takes moods for trying alone', async () => {
    await expect(read({ mood: 'frost' }, false)).rejects.toThrow('mood')
    expect(Math.min(...(await read({ mood: 'frost' })).hours.map(({ temperature }) => temperature))).toBe(-2)
    await expect(read({ mood: 'outage' })).rejects.toThrow(Away)
  })
  it('comes late, and from an issue that is old', async () => {
    vi.useFakeTimers()
    let answered = false
    const late = read({ mood: 'late' }).finally(() => (answered = true))
    await vi.advanceTimersByTimeAsync(7_900)
    expect(answered).toBe(false)
    await vi.advanceTimersByTimeAsync(200)
    vi.useRealTimers()
    expect(await late).toEqual({ ...(await read()), issuedAt: '2026-11-27T12:00:00.000Z' })
  })
})

describe('storm watch over all jobs', () => {
  const { workspace } = ownDatabase('storm')
  beforeAll(async () => {
    for (const job of demoJobs()) await importJob(workspace(), job)
  })

  it('names the jobs with posts that may go over, the likeliest first', async () => {
    const calm = await readStormWatch(workspace(), NOW, 'steady', true)
    const storm = await readStormWatch(workspace(), NOW, 'storm', true)
    expect(storm.jobs.length).toBeGreaterThan(0)
    const worst = storm.jobs.map(({ posts }) => posts[0]!.chance)
    expect(worst).toEqual([...worst].sort((a, b) => b - a))
    for (const { posts } of storm.jobs)
      for (const { chance, at } of posts) {
        expect(chance).toBeGreaterThanOrEqual(0.1)
        expect(at).toBeGreaterThanOrEqual(NOW.getTime())
        expect(at).toBeLessThan(NOW.getTime() + 96 * HOUR_MS)
      }
    expect(calm.jobs.flatMap(({ posts }) => posts).length).toBeLessThan(storm.jobs.flatMap(({ posts }) => posts).length)
  })
  it('leaves out a job without a station', async () => {
    const { id } = await importJob(workspace(), { ...demoJobs().at(-1)!, site: { gust50: 38 } })
    expect((await readStormWatch(workspace(), NOW, 'storm', true)).jobs.map((job) => job.id)).not.toContain(id)
  })
})
