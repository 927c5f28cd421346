import { describe, expect, it } from 'vitest'
import type { Job, Line, Post } from '../../core/document/job'
import { plan } from '../../core/plan/plan'
import { pourClock } from '../../core/pour/clock'
import { signOffs } from '../../core/record/entries'
import { visitsDue } from '../../core/record/visits'
import { tables } from '../tables'
import { demoJobs } from './jobs'
import { OFFERED } from './rails'

const NOW = new Date('2031-05-06T14:00:00Z')
const jobs = demoJobs(NOW)
const postsOf = (job: Job) => job.lines.flatMap((line) => line.posts.map((post) => ({ line, post })))
const some = (is: (post: Post, line: Line, job: Job) => unknown) => (job: Job) => postsOf(job).some(({ line, post }) => is(post, line, job))
/** What is done at its posts, as chosen or proposed. */
const methodsOf = (job: Job) => new Set(plan(job, tables).posts.flatMap(({ recommended }) => recommended?.method ?? []))

/** States of work and kinds of fence that a newcomer meets, each in one job at least. */
const STATES: Readonly<Record<string, (job: Job) => unknown>> = {
  'concrete that hardens': (job) => job.pours?.some((pour) => pourClock(pour, NOW.getTime(), tables)?.milestones.some(({ latest }) => latest !== null && latest > NOW.getTime())),
  'an offer out': ({ name }) => name === OFFERED,
  'a visit due': (job) => visitsDue(job).some(({ due, why }) => due < NOW.getTime() && why === 'months-3'),
  'broken by a storm': some(({ observations = {} }) => observations.onset === 'after-storm' && observations.pushPivot === 'at-ground-line'),
  'signed off': (job) => signOffs(job).size > 0,
  'a load on props': some(({ duty, repair, id }, _line, { entries }) => duty === 'load-bearing' && repair?.licensed && entries?.some(({ post, value }) => post === id && (value as { step?: string }).step === 'prop-load')),
  'posts that lift out': some(({ removable, repair }) => removable && repair?.method === 'lift-out-sleeve'),
  'an enclosure on a slab': some(({ slab }, { kind }) => slab && kind === 'mesh'),
  'a box by the road': some(({ duty }, { kind }) => duty === 'roadside-box' && kind === 'single'),
  'a gate that drops': some(({ gate }) => (gate?.sag ?? 0) > 0.01),
  'rails in an orchard for pins': (job) => job.name.startsWith('Orchard rails') && methodsOf(job).has('steel-pin'),
  'a bank of 120 posts': (job) => postsOf(job).length === 120,
}

describe('the jobs of the demo', () => {
  it.each(Object.entries(STATES))('have %s', (_name, is) => {
    expect(jobs.filter(is).length).toBeGreaterThan(0)
  })

  it('are twelve or more, each with a method that no other has to show', () => {
    expect(jobs.length).toBeGreaterThanOrEqual(12)
    // A method for each, by the way of augmenting: nobody is left without.
    const shownBy = new Map<string, string>()
    const find = (job: Job, tried: Set<string>): boolean =>
      [...methodsOf(job)].some((method) => {
        if (tried.has(method)) return false
        tried.add(method)
        const other = shownBy.get(method)
        if (other !== undefined && !find(jobs.find(({ name }) => name === other)!, tried)) return false
        shownBy.set(method, job.name)
        return true
      })
    expect(jobs.filter((job) => !find(job, new Set())).map(({ name }) => name)).toEqual([])
    expect(shownBy.size).toBe(jobs.length)
  })

  it('have nothing chosen that their plan does not allow', () => {
    for (const job of jobs) {
      const planned = plan(job, tables)
      for (const { line, post } of postsOf(job)) {
        const method = post.repair?.method
        if (method === undefined) continue
        const found = planned.posts.find((each) => each.line === line.id && each.post === post.id)!.methods
        expect(found.find((each) => each.method === method)?.allowed, `${post.id}: ${method}`).toBe(true)
      }
    }
  })

  it('name nobody twice', () => {
    expect(new Set(jobs.map(({ name }) => name)).size).toBe(jobs.length)
    expect(new Set(jobs.flatMap((job) => job.lines.map(({ id }) => id))).size).toBe(jobs.flatMap(({ lines }) => lines).length)
  })
})
