import type { Entry, Job, Line, Post, Reading } from '../../core/document/job'
import { BY, fence, gardens, inConcrete, run } from './setting'

/*
 * A post that was said to be rotten and stood in cracked concrete, mended and signed off in spring, looked at since:
 * it leans again. All of it is invented.
 */

const AT = { line: 'O', post: 'O3' } as const

const entry = (id: string, at: string, kind: Entry['kind'], value: unknown, more: Partial<Entry> = {}): Entry => ({ id: `orchard-${id}`, at, by: BY, ...AT, kind, value, ...more }) as Entry

const tick = (step: string, at: string): Entry => entry(`tick-${step}`, at, 'tick', { step })

const lean = (id: string, at: string, along: number, across: number): Reading => ({
  id: `orchard-lean-${id}`,
  at,
  by: BY,
  instrument: 'spirit-level',
  observation: 'lean',
  value: [
    { offset: along, over: 1.2, direction: 0 },
    { offset: across, over: 1.2, direction: 90 },
  ],
})

const entries: Entry[] = [
  entry('choice', '2026-03-10T09:20:00Z', 'choice', { method: 'new-post-concrete' }),
  tick('services', '2026-03-10T09:30:00Z'),
  tick('prop', '2026-03-10T09:40:00Z'),
  entry('met', '2026-03-10T10:25:00Z', 'met', { kind: 'boulder', depth: 0.45, side: 'back', size: 0.3, decision: 'wider' }),
  tick('stump', '2026-03-10T10:40:00Z'),
  tick('tamp', '2026-03-10T11:05:00Z'),
  tick('cover', '2026-03-10T11:10:00Z'),
  tick('plumb', '2026-03-10T11:20:00Z'),
  tick('rod', '2026-03-10T11:34:00Z'),
  tick('crown', '2026-03-10T11:50:00Z'),
  entry('built', '2026-03-10T11:55:00Z', 'as-built', {
    depths: { start: 0.8, end: 0.82, front: 0.81, back: 0.79 },
    width: 0.32,
    soils: [{ bottom: 0.9, soil: 'firm-clay' }],
    oldConcrete: 0.018,
    bags: 6,
    litres: 0.0195,
    tool: 'post-hole-digger',
  }),
  entry('minutes', '2026-03-10T12:00:00Z', 'minutes', { step: 'dig', minutes: 35 }),
  tick('props-stay', '2026-03-12T08:05:00Z'),
  tick('lift-panels', '2026-03-12T08:30:00Z'),
  entry('plumb', '2026-03-12T08:40:00Z', 'as-built', {
    plumb: { along: { how: 'level', offset: 0.001, over: 1.2 }, across: { how: 'level', offset: 0, over: 1.2 } },
    overString: 0.002,
  }),
  entry('signed', '2026-03-12T08:50:00Z', 'sign-off', { method: 'new-post-concrete', name: BY }),
]

const mended: Partial<Post> = {
  pointedAt: true,
  footing: { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.5 },
  observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.012, onset: 'after-storm', footingFound: 'cracked', lean: lean('now', '', 0.009, 0.003).value as never },
  readings: [
    { id: 'orchard-push', at: '2026-03-10T09:05:00Z', by: BY, instrument: 'eye', observation: 'pushPivot', value: 'at-ground-line' },
    { id: 'orchard-probe', at: '2026-03-10T09:08:00Z', by: BY, instrument: 'eye', observation: 'probeAtGround', value: 0.012 },
    lean('set', '2026-03-12T08:45:00Z', 0.001, 0),
    lean('june', '2026-06-14T10:10:00Z', 0.003, 0.001),
    lean('storm', '2026-09-20T16:30:00Z', 0.006, 0.002),
    lean('now', '2026-11-08T11:00:00Z', 0.009, 0.003),
  ],
  judgement: {
    overruled: { at: '2026-03-10T09:12:00Z', by: BY, cause: 'ground-line-decay', note: 'soft at the ground, as the last three were' },
    found: { at: '2026-03-10T10:15:00Z', by: BY, cause: 'bad-concrete', note: 'The concrete stood on one side only and was cracked through; the wood under it was sound.' },
  },
  met: [{ kind: 'boulder', depth: 0.45, side: 'back', size: 0.3, decision: 'wider' }],
  repair: {
    method: 'new-post-concrete',
    mix: 'post-mix-20',
    filling: 'wet-barrow',
    tool: 'post-hole-digger',
    holes: { 'new-post-concrete': { diameter: 0.3, depth: 0.75 } },
  },
}

/** Mended in spring and looked at since: it leans again. */
export function orchardSide(): Job {
  const line: Line = {
    id: 'O',
    name: 'Orchard side',
    kind: 'close-boarded',
    height: 1.5,
    gap: 0.05,
    length: 16.8,
    remainingYears: 10,
    posts: run({ letter: 'O', count: 8, bay: 2.4 }, inConcrete(2.4, 11, [0.25, 0.55]), { 3: mended, 6: { footing: { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.45 } } }),
  }
  return {
    ...fence('Orchard side, mended in March', gardens, line),
    entries,
    visits: [
      { id: 'orchard-quarter', posts: ['O3'], due: '2026-06-12T08:50:00Z', why: 'months-3', doneAt: '2026-06-14T10:15:00Z', by: BY },
      { id: 'orchard-clips', posts: ['O3'], due: '2026-11-20T09:00:00Z', why: 'return', open: ['Two clips of the lower rail are still missing.'] },
    ],
  }
}
