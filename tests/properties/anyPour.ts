import fc from 'fast-check'
import type { DaySetup, Pour } from '../../core/document/job'
import { CHECKED_HOW, FACES, MOVED_WHY, OVERNIGHT, SKILLS, TOOLS } from '../../core/document/vocabulary'
import type { Tables } from '../../core/tables/tables'
import { between } from './between'

/* Pours and days, as a job file may hold them, with parts missing at random. */

const time = fc
  .integer({ min: 1_700_000_000, max: 1_900_000_000 })
  .map((seconds) => new Date(seconds * 1_000).toISOString())
const minute = fc.integer({ min: 0, max: 1_440 })
const read = { offset: between(-0.5, 0.5), over: between(0.1, 4) }

/** @param post of the line */
export function anyPour(tables: Tables, line: string, post: fc.Arbitrary<string>): fc.Arbitrary<Pour> {
  const keys = [...tables.mixes, ...tables.resins].map(({ key }) => key)
  return fc.record(
    {
      id: fc.uuid(),
      line: fc.constant(line),
      post,
      mix: fc.constantFrom(...keys),
      filling: fc.constantFrom(...tables.fillings.map(({ key }) => key)),
      lifts: fc.array(fc.record({ at: time, bags: fc.integer({ min: 0, max: 9 }), water: between(0, 0.1) }), {
        maxLength: 3,
      }),
      startedAt: time,
      temperature: between(-10, 50),
      reckoned: fc.record(
        { issuedAt: time, from: time, temperatures: fc.array(between(-20, 40), { maxLength: 30 }) },
        { requiredKeys: ['from', 'temperatures'] },
      ),
      by: fc.constantFrom('A', 'B'),
      checks: fc.array(
        fc.record(
          {
            at: time,
            how: fc.constantFrom(...CHECKED_HOW),
            face: fc.constantFrom(...FACES),
            ...read,
            by: fc.constant('A'),
          },
          { requiredKeys: ['at', 'how', 'face'] },
        ),
        { maxLength: 3 },
      ),
      release: fc.record({ at: time, ...read, why: fc.constantFrom(...MOVED_WHY) }),
      handsOffAt: time,
      stiffAt: time,
      overnight: fc.subarray([...OVERNIGHT]),
      sheltered: fc.subarray(['covered', 'shaded'] as const),
      noPowder: fc.record({ at: time, by: fc.constant('A') }, { requiredKeys: ['at'] }),
      departs: fc.constant('no water on top'),
      formStripped: time,
      note: fc.constant('cold'),
    },
    { requiredKeys: ['id', 'line', 'post', 'mix', 'startedAt'] },
  ) as fc.Arbitrary<Pour>
}

export const anyDaySetup: fc.Arbitrary<DaySetup> = fc.record(
  {
    first: fc.constantFrom('2026-11-27', '2026-03-29'),
    days: fc.integer({ min: 1, max: 60 }),
    free: fc.array(fc.integer({ min: 0, max: 20 }), { maxLength: 3 }),
    rest: fc.subarray([0, 1, 2, 3, 4, 5, 6]),
    crew: fc.array(
      fc.record(
        { id: fc.constantFrom('A', 'B'), name: fc.constant('A'), skills: fc.subarray([...SKILLS]) },
        { requiredKeys: ['id', 'skills'] },
      ),
      { maxLength: 4 },
    ),
    hours: fc.array(fc.record({ from: minute, to: minute }), { maxLength: 3 }),
    tools: fc.record(Object.fromEntries(TOOLS.map((tool) => [tool, fc.integer({ min: 0, max: 20 })])), {
      requiredKeys: [],
    }),
    hires: fc.array(
      fc.record(
        { tool: fc.constantFrom(...TOOLS), day: fc.integer({ min: 0, max: 9 }), from: minute, to: minute },
        { requiredKeys: ['tool', 'from', 'to'] },
      ),
      { maxLength: 2 },
    ),
    deliveries: fc.array(
      fc.record(
        { day: fc.integer({ min: 0, max: 9 }), from: minute, to: minute, says: fc.constant('bags') },
        { requiredKeys: ['day', 'from', 'to'] },
      ),
      { maxLength: 2 },
    ),
    setUp: minute.map((each) => each / 6),
    cleanUp: minute.map((each) => each / 6),
    travel: minute.map((each) => each / 6),
    shaded: fc.boolean(),
    covered: fc.boolean(),
    beside: fc.array(fc.uuid(), { maxLength: 2 }),
    posts: fc.array(fc.constantFrom('A/A0', 'A/A1'), { maxLength: 2 }),
    done: fc.array(fc.record({ task: fc.constant('A/A0:dig'), at: time }), { maxLength: 2 }),
    pins: fc.array(fc.record({ task: fc.constant('A/A0:dig'), start: minute }), { maxLength: 2 }),
    planned: fc.record(
      {
        at: time,
        visited: fc.integer({ min: 0, max: 9 }),
        tasks: fc.array(
          fc.record({ task: fc.constant('A/A0:dig'), start: minute, end: minute, by: fc.constant(['A']) }),
          { maxLength: 2 },
        ),
      },
      { requiredKeys: ['tasks'] },
    ),
  },
  { requiredKeys: [] },
) as fc.Arbitrary<DaySetup>

export const anyLoad = fc.record(
  {
    loaded: fc.uniqueArray(fc.record({ key: fc.constantFrom('mix/post-mix-20', 'level', 'two spades'), at: time }), {
      maxLength: 3,
      selector: ({ key }) => key,
    }),
    used: fc.uniqueArray(
      fc.record(
        {
          key: fc.constantFrom('mix/post-mix-20', 'level', 'labour/dig'),
          used: fc.double({ min: 0, max: 1e6, noNaN: true, noDefaultInfinity: true }).map((value) => value + 0),
          bought: fc.nat(50),
          missed: fc.boolean(),
          reason: fc.constantFrom('the holes came out larger', 'less was needed'),
        },
        { requiredKeys: ['key'] },
      ),
      { maxLength: 3, selector: ({ key }) => key },
    ),
    settled: time,
  },
  { requiredKeys: [] },
)
