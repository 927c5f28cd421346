import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Post } from '../document/job'
import { applyCommands } from '../edit/apply'
import { checkEdit } from '../edit/check'
import { plan } from '../plan/plan'
import { resolveJob } from '../resolve/resolve'
import { questions } from './questions'
import { otherSchools, spreads, whatIfs } from './whatIf'
import { postEdit } from '../edit/keyed'

const rotted: Partial<Post> = {
  soil: 'firm-clay',
  footing: { kind: 'concrete' },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
const job = jobOf(
  runOfPosts(5, 1.8, (i) => (i === 2 ? rotted : {})),
  { exposure: 'sheltered', shelter: 0.7 },
)

describe('what the choice hangs on', () => {
  const found = whatIfs(job, 'A3', tables)!
  it('asks every question of a post that leaves each of them open', () => {
    expect(found.map(({ key }) => key)).toEqual(questions.map(({ key }) => key))
    for (const { outcomes, minutes } of found) {
      expect(outcomes.length).toBeGreaterThan(0)
      expect(minutes).toBeGreaterThan(0)
    }
  })
  it('says of each supposition what the plan itself says of it', () => {
    const supposed = applyCommands(job, [{ name: 'setPost', line: 'A', post: 'A3', key: 'soil', value: 'loose-sand' }])
    const { methods } = plan(supposed, tables).posts[2]!
    const sand = found.find(({ key }) => key === 'soil')!.outcomes.find(({ says }) => says === 'loose sand')!
    expect(sand.first).toEqual(methods.find(({ method }) => method === sand.first!.method))
    expect(methods[0]!.method).toBe(sand.first!.method)
  })
  it('finds another repair where the footing turns out to be sound', () => {
    const footing = found.find(({ key }) => key === 'footing')!
    expect(footing.outcomes.some(({ turns }) => turns)).toBe(true)
    const schools = otherSchools(found)
    expect(schools.length).toBeGreaterThan(0)
    for (const { needs, decides } of schools)
      expect(decides.minutes).toBe(Math.min(...needs.map(({ minutes }) => minutes)))
  })
  it('names the least and the most gust, widest first', () => {
    const moved = spreads(found)
    expect(moved.map(({ key }) => key)).toContain('soil')
    moved.forEach(({ least, most }, i) => {
      expect(most - least).toBeGreaterThanOrEqual(1)
      if (i > 0) expect(most - least).toBeLessThanOrEqual(moved[i - 1]!.most - moved[i - 1]!.least)
    })
  })
  it('asks nothing where nothing is open, or there is no such post', () => {
    expect(whatIfs(job, 'nobody', tables)).toBeUndefined()
    const carries = jobOf(runOfPosts(3, 2.4, () => ({ ...rotted, duty: 'load-bearing' })))
    expect(whatIfs(carries, 'A2', tables)).toBeUndefined()
  })
  it('does not ask for what was measured', () => {
    const measured = applyCommands(job, [
      {
        name: 'setPost',
        line: 'A',
        post: 'A3',
        key: 'footing',
        value: { kind: 'concrete', diameter: 0.3, top: 0, bottom: 0.6 },
      },
    ])
    expect(whatIfs(measured, 'A3', tables)!.map(({ key }) => key)).not.toContain('footing')
  })
  it('supposes only what could be entered', () => {
    const { site, lines } = resolveJob(job, tables)
    const known = { site, line: lines[0]!, post: lines[0]!.posts[2]!, tables }
    for (const { suppose } of questions) {
      const supposed = suppose({
        ...known,
        set: (key, value) => [postEdit({ line: 'A', post: 'A3' }, key, value)],
      })
      for (const { commands } of supposed) expect(checkEdit(job, commands, tables)).toBeUndefined()
    }
  })
})
