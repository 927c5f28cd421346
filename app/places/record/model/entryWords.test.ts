import { describe, expect, it } from 'vitest'
import { ENTRY_KINDS } from '~~/core/document/vocabulary'
import { timeline, type Happening } from '~~/core/record/timeline'
import { measuresIn } from '~~/core/units/quantity'
import { demoJobs } from '~~/data/demo/jobs'
import { tables } from '~~/data/tables'
import { entryWords } from './entryWords'

const names = { tables, measures: measuresIn('metric') }
const says = (happening: object, more: object = {}) => {
  const { title, says: words } = entryWords(happening as Happening, { ...names, ...more })
  return words ? `${title}: ${words}` : title
}
const entry = (kind: string, value: object) => says({ kind, of: { value } })

describe('a line of the record', () => {
  it.each([
    ['what was noted', 'observation', { says: 'The gate drags.' }, 'Noted: The gate drags.'],
    ['a repair', 'choice', { method: 'steel-pin' }, 'Repair chosen: Steel pin in the old footing'],
    [
      'a repair in place of another',
      'choice',
      { method: 'steel-pin', from: 'new-post-concrete' },
      'Repair chosen: Steel pin in the old footing, in place of new post, concrete',
    ],
    [
      'what was met, where, and what was made of it',
      'met',
      { kind: 'boulder', depth: 0.45, side: 'back', decision: 'wider', note: 'a hand wide' },
      'Met in the hole: rock at 0.45 m behind: dug wider: a hand wide',
    ],
    ['what was met and left', 'met', { kind: 'water', depth: 0.6 }, 'Met in the hole: water at 0.60 m'],
    ['a step that is done', 'tick', { step: 'stone-bed', measure: '0.10 m' }, 'Done: stone bed: 0.10 m'],
    [
      'a step that was left out',
      'tick',
      { step: 'tamp', left: true, reason: 'rock below' },
      'Left out: tamp: rock below',
    ],
    ['minutes', 'minutes', { step: 'dig', minutes: 35 }, 'Took: dig: 35 min'],
    ['material', 'materials', { key: 'post mix', used: 3, left: 1 }, 'Used: post mix: 3, 1 left'],
    ['a correction', 'correction', { says: 'It was B8.' }, 'Put right: It was B8.'],
    ['a name', 'sign-off', { name: 'Wren', method: 'steel-pin' }, 'Signed off: Wren: steel pin in the old footing'],
    ['a picture', 'photograph', { photograph: 'x' }, 'Photograph'],
  ])('says %s', (_name, kind, value, words) => {
    expect(entry(kind, value)).toBe(words)
  })

  it('calls a step as its method does', () => {
    const step = (key: string) => (key === 'dig' ? 'Dig deeper, not wider' : undefined)
    const took = (key: string) => says({ kind: 'minutes', of: { value: { step: key, minutes: 5 } } }, { step })
    expect([took('dig'), took('stone-bed')]).toEqual(['Took: Dig deeper, not wider: 5 min', 'Took: stone bed: 5 min'])
  })

  it('says a hole as it was built, with what was read and nothing of what was not', () => {
    const built = {
      depths: { start: 0.8, front: 0.81 },
      width: 0.32,
      bags: 1,
      litres: 0.0195,
      tool: 'post-hole-digger',
    }
    expect(entry('as-built', built)).toBe(
      'As built: 0.80 m, 0.81 m deep, 0.32 m wide, 1 bag, 19.5 L of water, dug with post hole digger',
    )
    expect(
      entry('as-built', { plumb: { along: { how: 'level', offset: 0.001, over: 1.2 }, across: { how: 'eye' } } }),
    ).toBe('As built: along the line by level, 1 mm off, across the line by eye')
  })
  it('says how a top stands to its string, over it, under it or at it', () => {
    const top = (overString: number) => entry('as-built', { overString })
    expect([top(0.002), top(-0.003), top(0)]).toEqual([
      'As built: top 2 mm over the string',
      'As built: top 3 mm under the string',
      'As built: top at the string',
    ])
  })

  it('says pours by their parts, bags, checks and visits', () => {
    const pour = { mix: 'post-mix-20' }
    expect(says({ kind: 'pour', part: 'begun', of: pour })).toBe('Pour begun: 20 kg fast post mix')
    expect(says({ kind: 'pour', part: 'stripped', of: pour })).toBe('Form stripped')
    expect(says({ kind: 'lift', of: { bags: 2, water: 0.0065 } })).toBe('Went in: 2 bags, 6.5 L of water')
    expect(says({ kind: 'check', of: { face: 'across', how: 'level', offset: 0.003 } })).toBe(
      'Read across the line: by level: 3 mm off over 1.20 m',
    )
    expect(says({ kind: 'check', of: { face: 'along', how: 'eye' } })).toBe('Read along the line: by eye')
    expect(says({ kind: 'visit', of: { why: 'return', open: ['Two clips are missing.'] } })).toBe(
      'Visit made: to finish it; Two clips are missing.',
    )
  })

  it('says who spoke for a cause, and which', () => {
    const found = { cause: 'bad-concrete', also: ['ground-line-decay'], note: 'one side only' }
    expect(says({ kind: 'verdict', said: 'found', of: found })).toMatch(
      /^Found when it was dug: .+ and .+: one side only$/,
    )
    expect(says({ kind: 'verdict', said: 'overruled', of: { cause: 'bad-concrete' } })).toMatch(
      /^Said in place of the readings: /,
    )
  })

  it('has words for every kind that there is, and for all that the demo has done', () => {
    const done = demoJobs().flatMap((job) => timeline(job))
    expect(new Set(done.map(({ kind }) => kind)).size).toBeGreaterThan(8)
    for (const each of done) expect(entryWords(each, names).title, each.kind).toMatch(/^[A-Z]/)
    expect(ENTRY_KINDS.length).toBe(10)
  })
})
