import fc from 'fast-check'
import { DIGGING_TOOLS } from '../../core/concrete/overdig'
import type { Entry, Visit } from '../../core/document/job'
import { MET_DECISIONS, MET_KINDS, VISIT_WHYS } from '../../core/document/vocabulary'
import { between } from './between'

/* Entries and visits as a job file may hold them. */

const time = fc
  .integer({ min: Date.UTC(2025, 0, 1), max: Date.UTC(2030, 0, 1) })
  .map((moment) => new Date(moment).toISOString())
const step = fc.constantFrom('services', 'prop', 'stump', 'tamp', 'plumb')
const face = fc.record(
  { how: fc.constantFrom('level', 'eye'), offset: between(-0.02, 0.02) },
  { requiredKeys: ['how'] },
)

const values: Record<string, fc.Arbitrary<unknown>> = {
  observation: fc.record({ says: fc.constantFrom('wet at the foot', 'the neighbour was there') }),
  choice: fc.record({ method: fc.constantFrom('repair-spur', 'new-post-concrete') }),
  met: fc.record(
    { kind: fc.constantFrom(...MET_KINDS), depth: between(0, 2), decision: fc.constantFrom(...MET_DECISIONS) },
    { requiredKeys: ['kind', 'depth'] },
  ),
  tick: fc.record(
    { step, reason: fc.constantFrom('no wire here', 'done by the customer') },
    { requiredKeys: ['step'] },
  ),
  'as-built': fc.record(
    {
      depths: fc.record({ start: between(0.2, 2), end: between(0.2, 2) }, { requiredKeys: [] }),
      width: between(0.1, 1),
      bags: fc.nat(40),
      litres: between(0, 0.2),
      tool: fc.constantFrom(...DIGGING_TOOLS),
      plumb: fc.record({ along: face, across: face }, { requiredKeys: [] }),
      overString: between(-0.05, 0.05),
    },
    { requiredKeys: [] },
  ),
  minutes: fc.record({ step, minutes: between(1, 300) }),
  correction: fc.record({ says: fc.constant('it was 0.7') }),
  'sign-off': fc.record({ method: fc.constantFrom('repair-spur', 'make-safe'), name: fc.constant('Wren') }),
}

/** @param post names of posts of the line */
export function anyEntries(line: string, post: fc.Arbitrary<string>): fc.Arbitrary<Entry[]> {
  const one = fc.constantFrom(...Object.keys(values)).chain((kind) =>
    fc.record(
      {
        at: time,
        by: fc.constantFrom('Wren', 'Alder'),
        line: fc.constant(line),
        post,
        kind: fc.constant(kind),
        value: values[kind]!,
        withdrawn: fc.constant({ why: 'taken back by whoever made it' }),
      },
      { requiredKeys: ['at', 'line', 'post', 'kind', 'value'] },
    ),
  )
  return fc.array(one, { maxLength: 12 }).map((list) => list.map((each, i) => ({ ...each, id: `entry-${i}` }) as Entry))
}

export const anyVisits = (post: fc.Arbitrary<string>): fc.Arbitrary<Visit[]> =>
  fc
    .array(
      fc.record(
        {
          posts: fc.array(post, { minLength: 1, maxLength: 2 }),
          due: time,
          why: fc.constantFrom(...VISIT_WHYS),
          doneAt: time,
          open: fc.constant<string[]>(['a clip is missing']),
        },
        { requiredKeys: ['posts', 'due', 'why'] },
      ),
      { maxLength: 3 },
    )
    .map((list) => list.map((each, i) => ({ ...each, id: `visit-${i}` })))
