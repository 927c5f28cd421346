import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import type { Post } from '../document/job'
import { applyCommands, inverseOfAll } from './apply'
import { checkEdit } from './check'
import { share, sharedThings } from './share'

const giver: Partial<Post> = {
  soil: 'gravel',
  footing: { kind: 'concrete', diameter: 0.25, bottom: 0.5 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.02 },
  repair: {
    method: 'repair-spur',
    parts: { spur: 'spur-100' },
    holes: { 'repair-spur': { depth: 0.7 }, 'new-post-concrete': { depth: 1 } },
    mix: 'general-20',
  },
}
const measured: Partial<Post> = { footing: { kind: 'concrete', diameter: 0.4, bottom: 0.9 }, soil: 'gravel' }
const job = jobOf(runOfPosts(4, 2.4, (i) => [giver, measured, {}, {}][i]!))
const at = (post: string) => ({ line: 'A', post })
const others = ['A1', 'A2', 'A3'].map(at)
let made = 0
const note = () => ({ id: `r${++made}`, at: '2026-03-14T09:30:00Z' })
const given = (keys: string[], isOver = false) => share(job, at('A1'), keys, others, isOver, note)
const after = (keys: string[], isOver = false) => applyCommands(job, given(keys, isOver).commands).lines[0]!.posts

describe('what one post gives to others', () => {
  it('is what it has: facts, findings, its repair with the hole of that, its mix', () => {
    expect(sharedThings(job.lines[0]!.posts[0]!).map(({ key, kind }) => `${kind} ${key}`)).toEqual([
      'fact soil',
      'fact footing',
      'finding observations.pushPivot',
      'finding observations.probeAtGround',
      'choice repair',
      'choice hole',
      'choice mix',
    ])
    expect(sharedThings({ id: 'X', station: 0 })).toEqual([])
  })

  it('keeps what others have measured, and says so', () => {
    expect(given(['soil', 'footing']).posts).toEqual([
      { post: 'A2', gets: [], keeps: ['footing'] },
      { post: 'A3', gets: ['soil', 'footing'], keeps: [] },
    ])
    const [, second, third, fourth] = after(['soil', 'footing'])
    expect(second!.footing!.diameter).toBe(0.4)
    expect(third!.footing).toEqual(giver.footing)
    // Nobody meant that one.
    expect(fourth).toEqual({ id: 'A4', station: expect.any(Number) })
  })

  it('is written over what they have only where that is wanted', () => {
    expect(given(['footing'], true).posts[0]).toEqual({ post: 'A2', gets: ['footing'], keeps: [] })
    expect(after(['footing'], true)[1]!.footing).toEqual(giver.footing)
  })

  it('is nothing where the other has the same already, whatever the order of its keys', () => {
    const same = structuredClone(job)
    same.lines[0]!.posts[2]!.footing = { bottom: 0.5, diameter: 0.25, kind: 'concrete' }
    expect(share(same, at('A1'), ['footing'], [at('A3')], false, note)).toEqual({ commands: [], posts: [] })
  })

  it('is a reading of each post, with its time', () => {
    const [, second, third] = after(['observations.pushPivot'])
    for (const post of [second!, third!]) {
      expect(post.observations).toEqual({ pushPivot: 'at-ground-line' })
      expect(post.readings).toHaveLength(1)
    }
    expect(second!.readings![0]!.id).not.toBe(third!.readings![0]!.id)
  })

  it('is the repair with its parts, the hole of that repair alone, and the mix', () => {
    const [, second] = after(['repair', 'hole', 'mix'])
    expect(second!.repair).toEqual({
      method: 'repair-spur',
      parts: { spur: 'spur-100' },
      holes: { 'repair-spur': { depth: 0.7 } },
      mix: 'general-20',
    })
  })

  it('is one edit that can be made and taken back', () => {
    const keys = sharedThings(job.lines[0]!.posts[0]!).map(({ key }) => key)
    const { commands } = given(keys, true)
    expect(checkEdit(job, commands, tables)).toBeUndefined()
    const back = applyCommands(applyCommands(job, commands), inverseOfAll(job, commands))
    const withoutReadings = back.lines[0]!.posts.map(({ readings: _readings, ...post }) => post)
    expect(withoutReadings.map(({ footing, soil }) => [footing, soil])).toEqual(
      job.lines[0]!.posts.map(({ footing, soil }) => [footing, soil]),
    )
    expect(share(applyCommands(job, commands), at('A1'), keys, others, true, note).commands).toEqual([])
  })
})
