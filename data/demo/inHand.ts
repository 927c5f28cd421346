import type { Entry, EntryKind, Job, Line } from '../../core/document/job'
import { BY, fence, gardens, inConcrete, rotted, run, stands } from './setting'

/* Work that is under way: dated from the day on which the demo is first opened. */

const HOUR = 3_600_000
/** So many hours after, before where they are negative, as a document has it. */
const hoursFrom = (now: Date) => (hours: number) => new Date(now.getTime() + hours * HOUR).toISOString()

/** What is written down of one post, in order. */
function recordOf(line: string, post: string) {
  let count = 0
  return (at: string, kind: EntryKind, value: Entry['value']): Entry => ({
    id: `${post.toLowerCase()}-${++count}`,
    at,
    by: BY,
    line,
    post,
    kind,
    value,
  })
}

/** Four posts that carry the roof of the store: one is rotten where soil lies against it, and its load is on props. */
export function storeVeranda(now: Date): Job {
  const at = hoursFrom(now)
  const enter = recordOf('V', 'V2')
  const line: Line = {
    id: 'V',
    name: 'Store veranda',
    kind: 'post-and-rail',
    height: 2.2,
    gap: 0.8,
    length: 7.2,
    remainingYears: 25,
    posts: run(
      { letter: 'V', count: 4, bay: 2.4 },
      {
        duty: 'load-bearing',
        material: 'oak',
        section: { shape: 'rectangle', along: 0.125, across: 0.125 },
        length: 2.4,
        ageYears: 15,
        soil: 'stiff-clay',
        observations: stands,
      },
      {
        2: {
          pointedAt: true,
          footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.65 },
          observations: { pushPivot: 'at-ground-line', probeAtGround: 0.024, groundAround: ['heaped-soil'], moisturePercent: 33, footingFound: 'adequate' },
          carries: { area: 3.6, from: 'roof', dead: 600, live: 750 },
          repair: {
            method: 'raise-pier',
            licensed: { name: 'the society’s engineer', note: 'Both props to stand on the slab, not on the bed.', at: at(-26) },
          },
        },
      },
    ),
  }
  const tick = (hours: number, step: string) => enter(at(hours), 'tick', { step })
  const entries = [enter(at(-25), 'choice', { method: 'raise-pier' }), tick(-4, 'people-off'), tick(-3.8, 'services'), tick(-3, 'prop-load'), tick(-2.8, 'centre'), tick(-2, 'cut-post'), tick(-1, 'head')]
  return { ...fence('Store veranda, roof on props', { ...gardens, exposure: 'sheltered' }, line), entries }
}

/** The old blocks are too big to get out by hand: new posts beside them, poured this morning. */
export function beeHedge(now: Date): Job {
  const at = hoursFrom(now)
  const line: Line = {
    id: 'H',
    name: 'Bee hedge',
    kind: 'hit-and-miss',
    height: 1.5,
    gap: 0.05,
    length: 9.6,
    remainingYears: 12,
    posts: run({ letter: 'H', count: 5, bay: 2.4 }, inConcrete(2.1, 13, [0.45, 0.7]), Object.fromEntries([3, 4].map((number) => [number, { observations: { ...rotted, footingFound: 'cracked' as const }, repair: { method: 'beside-the-old', mix: 'general-20', filling: 'wet-barrow' } }]))),
  }
  const pours = [3, 4].map((number, i) => ({
    id: `bee-hedge-${number}`,
    line: 'H',
    post: `H${number}`,
    mix: 'general-20',
    filling: 'wet-barrow',
    startedAt: at(i - 5),
    temperature: 9,
    by: BY,
    checks: (['along', 'across'] as const).map((face) => ({ at: at(i - 4.6), how: 'level' as const, face, offset: 0.001, over: 1.2 })),
    handsOffAt: at(i - 4.5),
    overnight: ['propped' as const, 'signed' as const],
  }))
  return { ...fence('Bee hedge, poured today', { ...gardens, exposure: 'sheltered' }, line), pours }
}

/** Sound posts that leaned slowly over the years were pulled upright in August: has it stayed so? */
export function nursery(now: Date): Job {
  const at = hoursFrom(now)
  const done = -96 * 24
  const line: Line = {
    id: 'N',
    name: 'Nursery beds',
    kind: 'hit-and-miss',
    height: 1.2,
    gap: 0.06,
    length: 10.8,
    remainingYears: 15,
    posts: run(
      { letter: 'N', count: 7, bay: 1.8 },
      { ...inConcrete(1.9, 7, [0.3, 0.65]), soil: 'soft-clay' },
      {
        4: {
          pointedAt: true,
          observations: {
            pushPivot: 'in-the-soil',
            comesUpright: 'with-force',
            probeAtGround: 0,
            probeBelow: 0,
            tap: 'rings',
            footingFound: 'adequate',
            groundAround: ['gap-beside-post', 'saturated'],
            onset: 'slowly',
            leanPattern: 'this-post-only',
            lean: { offset: 0.035, over: 1.2, direction: 90 },
          },
          repair: { method: 'brace-and-resettle' },
        },
      },
    ),
  }
  const enter = recordOf('N', 'N4')
  const steps = ['take-away', 'free', 'open', 'pull', 'tamp', 'brace']
  const entries = [
    enter(at(done), 'choice', { method: 'brace-and-resettle' }),
    ...steps.map((step, i) => enter(at(done + 1 + i / 2), 'tick', { step })),
    enter(at(done + 28), 'as-built', { plumb: { along: { how: 'level', offset: 0, over: 1.2 }, across: { how: 'level', offset: 0.001, over: 1.2 } } }),
    enter(at(done + 28.5), 'sign-off', { method: 'brace-and-resettle', name: BY }),
  ]
  return { ...fence('Nursery beds, look again', { ...gardens, exposure: 'sheltered' }, line), entries }
}
