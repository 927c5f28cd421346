import { describe, expect, it, vi } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Job, Post } from '../document/job'
import type { Tables } from '../tables/tables'
import { checkEdit } from '../edit/check'
import { itemsOf, itemWords } from '../items/items'
import { methodDetail } from '../plan/detail'
import { plan } from '../plan/plan'
import type { PartRow } from '../tables/parts'
import { measuresIn } from '../units/quantity'
import { row } from '../tables/tables'
import { answersByTable, chosenPart, commonRefusals, type RepairMethod } from './method'
import { repairMethods } from './methods'
import { box } from './solids'

/*
 * What adding costs: a method with a part of a new kind is one module and its rows of data, and one line of the
 * list. Nothing else knows of it beforehand.
 */

interface StrapPart extends PartRow {
  /** N. */
  holds: number
}

/** The module. */
const key = 'ground-strap'
const groundStrap: RepairMethod = {
  key,
  takesOut: [],
  needs: ['strap'],
  answers: answersByTable(key),
  against: commonRefusals,
  variants: (context) => [{ strap: chosenPart(context, 'strap', 'narrow') }],
  design(context, choice) {
    const strap = row(context.tables.parts.lists.strap!.rows as readonly StrapPart[], choice.strap!)
    const link = context.links.proportional('strap', 'the strap', {
      code: strap.holds / 2,
      over: strap.holds,
      perNewton: 1,
      used: ({ across }) => across.force,
    })
    return {
      links: [link],
      parts: [{ kind: 'strap', key: strap.key, count: 2 }],
      stands: () => [
        { key: 'strap', matter: 'steel', outline: box(-0.02, 0.02, -0.3, 0.3), edge: 'solid', link: 'strap' },
      ],
    }
  },
}
/** The rows. */
const withStrap: Tables = {
  ...tables,
  parts: {
    ...tables.parts,
    lists: {
      ...tables.parts.lists,
      strap: {
        name: 'Strap',
        rows: [
          { key: 'narrow', name: 'narrow strap', holds: 900 } as PartRow,
          { key: 'wide', name: 'wide strap', holds: 2_000 } as PartRow,
        ],
      },
    },
    methods: [
      ...tables.parts.methods,
      {
        key,
        name: 'Ground strap',
        fixedMinutes: 25,
        steps: [{ key: 'nail', text: 'Nail both straps.' }],
        cautions: ['Wear eye protection.'],
        bring: ['hammer'],
        answers: ['undersized-footing'],
      },
    ],
  },
}
/** The line in the list. */
const methods = [...repairMethods, groundStrap]

const leaning: Partial<Post> = { observations: { pushPivot: 'footing-moves', footingFound: 'small' }, ageYears: 3 }
const job: Job = jobOf(runOfPosts(5, 2.4, () => leaning))
const planned = (of = job) => plan(of, withStrap, methods).posts[2]!.methods.find((method) => method.method === key)!

describe('a method that is added', () => {
  it('is weighed with the others, with its time, cautions and causes', () => {
    const method = planned()
    expect(method).toMatchObject({ name: 'Ground strap', minutes: 25, weakest: 'strap' })
    // Six hundred newtons are no repair of this fence: that is said of a method that nobody thought of, too.
    expect(method.reasons).toEqual([expect.stringMatching(/^It gives way at \d+ m\/s, /)])
    expect(method.cautions).toEqual(['Wear eye protection.'])
    expect(method.leavesUnsolved).not.toContain('Footing too small')
    expect(method.holdingGust).toBeGreaterThan(10)
  })

  it('knows the steady loads of the post without a word about them', () => {
    const loaded = jobOf(runOfPosts(5, 2.4, () => ({ ...leaning, steadyLoad: { pressure: 20_000, height: 1 } })))
    expect(planned(loaded).holdingGust).toBe(0)
  })

  it('brings its part, which can be chosen, checked and carried', () => {
    const command = { name: 'choosePart', line: 'A', post: 'A3', kind: 'strap', value: 'wide' } as const
    expect(checkEdit(job, [command], withStrap)).toBeUndefined()
    expect(checkEdit(job, [{ ...command, value: 'golden' }], withStrap)).toMatchObject({ range: 'one of narrow, wide' })
    const chosen = jobOf(runOfPosts(5, 2.4, () => ({ ...leaning, repair: { method: key, parts: { strap: 'wide' } } })))
    expect(planned(chosen).holdingGust).toBeGreaterThan(planned().holdingGust!)
    expect(itemsOf('A3', planned(chosen), withStrap).map((item) => itemWords(item, measuresIn('metric')))).toEqual([
      '2 × wide strap',
      'hammer',
    ])
    expect(methodDetail(chosen, withStrap, 'A3', key, methods)).toMatchObject({
      steps: [{ text: 'Nail both straps.' }],
      parts: [{ kind: 'strap', name: 'Strap', taken: 'wide' }],
      stands: [{ key: 'strap', link: 'strap' }],
    })
  })
})

describe('a command that is added', () => {
  it('is one module and one line: it applies, is taken back, is read from the wire and checked', async () => {
    const { name: text } = await import('../schema/fields')
    const praise = {
      name: 'praiseJob',
      fields: { value: text(5) },
      target: () => ['praise'],
      apply: (of: Job, { value }: { value: unknown }) => ({ ...of, praise: value }),
      inverse: (of: Job) => ({ name: 'praiseJob', value: (of as { praise?: unknown }).praise ?? 'none' }),
      says: ({ value }: { value: unknown }) => String(value),
    }
    vi.resetModules()
    vi.doMock('../edit/commands', async (original) => {
      const { commandKinds } = await original<typeof import('../edit/commands')>()
      return { commandKinds: [...commandKinds, praise] }
    })
    const { applyCommands, inverseOfAll, targetOf, commandWords } = await import('../edit/apply')
    const { readBatch } = await import('../edit/batch')
    vi.doUnmock('../edit/commands')
    const command = { name: 'praiseJob', value: 'good' } as never
    expect(applyCommands(job, [command])).toMatchObject({ praise: 'good' })
    expect(inverseOfAll(job, [command])).toEqual([{ name: 'praiseJob', value: 'none' }])
    expect([targetOf(command), commandWords(command, { length: String })]).toEqual([['praise'], 'good'])
    const batch = { id: 'a-batch-1', version: 1, commands: [command] }
    expect(readBatch(batch)).toEqual(batch)
    expect(() => readBatch({ ...batch, commands: [{ name: 'praiseJob', value: 'too much' }] })).toThrow(
      'text of at most 5 letters',
    )
  })
})
