import { expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { measuresIn } from '../units/quantity'
import { plan } from '../plan/plan'
import { assumptionWords } from './assumptionWords'

it('everything that may be assumed is said in words, without a key or a stray decimal', () => {
  const gate = jobOf({ posts: runOfPosts(3, 2.4, (i) => (i === 1 ? { duty: 'gate-hinge' } : {})).posts, id: 'A' }, {})
  const box = { ...gate, lines: [{ id: 'S', kind: 'single' as const, posts: [{ id: 'S1', station: 0 }] }] }
  const all = [gate, box].flatMap((job) => plan({ ...job, site: {} }, tables).assumed)
  expect(new Set(all.map(({ key }) => key.replace(/^line \S+ /, ''))).size).toBeGreaterThan(15)
  for (const each of all) {
    const said = assumptionWords(each, measuresIn('metric'), tables)
    expect(said, each.key).toMatch(/^[A-Z][^.]*: \S/)
    expect(said).not.toMatch(/\.\d{4}|site\.|object|undefined/)
  }
})
