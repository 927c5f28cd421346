import { lazy, mixed } from 'yup'
import { DIGGING_TOOLS } from '../concrete/overdig'
import { LIMITS, LONGEST } from '../limits'
import {
  choice,
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededTime,
  part,
  quantity,
  record,
  text,
  time,
  typed,
} from '../schema/fields'
import { CHECKED_HOW, ENTRY_KINDS, MET_DECISIONS, MET_KINDS, MET_SIDES, VISIT_WHYS } from './vocabulary'

/*
 * The record: who did what, when, on which post. Entries are only ever added; a correction is a new entry that names
 * the old one. What is read of a post, photographed and poured is kept where it belongs, and stands in the same column.
 */

/** A face of the post, read once the concrete was hard; by eye there is no figure. */
const plumbSchema = () =>
  part({ how: neededChoice(CHECKED_HOW), offset: quantity(-0.5, 0.5, 'm'), over: quantity(0.1, 4, 'm') })

const soilSchema = record({ bottom: needed(0.05, 5, 'm'), soil: name(LONGEST.key) })

/** What was met in the hole, at its depth, with what was decided on it. */
export const metSchema = record({
  kind: neededChoice(MET_KINDS),
  depth: needed(0, 5, 'm'),
  side: choice(MET_SIDES),
  size: quantity(0.005, 2, 'm'),
  decision: choice(MET_DECISIONS),
  note: text(LONGEST.note),
})

/** The hole and what stands in it, as they came. */
export const asBuiltSchema = record({
  /** At the side of the line's start, of its end, before it and behind it, below finished ground. */
  depths: part({
    start: quantity(0.05, 5, 'm'),
    end: quantity(0.05, 5, 'm'),
    front: quantity(0.05, 5, 'm'),
    back: quantity(0.05, 5, 'm'),
  }),
  width: quantity(0.05, 3, 'm'),
  soils: listOfAtMost(LIMITS.layers, 'layers', soilSchema),
  /** How far below the ground water stood. */
  water: quantity(0, 5, 'm'),
  /** Old concrete that came out. */
  oldConcrete: quantity(0, 2, 'm³'),
  bags: quantity(0, 500),
  /** Water that went in, in all. */
  litres: quantity(0, 5, 'm³'),
  tool: choice(DIGGING_TOOLS),
  plumb: part({ along: plumbSchema(), across: plumbSchema() }),
  /** The post's top over the string, negative under it. */
  overString: quantity(-0.5, 0.5, 'm'),
})

/** What an entry of each kind says. */
export const ENTRY_VALUES = {
  observation: record({ says: name(LONGEST.note) }),
  choice: record({ method: name(LONGEST.key), from: text(LONGEST.key) }),
  met: metSchema,
  /** A step done, with what was read off; with a reason and nothing done it was left out on purpose. */
  tick: record({
    step: name(LONGEST.key),
    measure: text(LONGEST.name),
    reason: text(LONGEST.note),
    left: mixed<true>().oneOf([true], 'true'),
  }),
  'as-built': asBuiltSchema,
  photograph: record({ photograph: name(LONGEST.identity) }),
  /** What a step took, in the end. */
  minutes: record({ step: name(LONGEST.key), minutes: needed(0, 2_880, 'min') }),
  materials: record({ key: name(LONGEST.taskOfDay), used: needed(0, 1e6), left: quantity(0, 1e6) }),
  correction: record({ says: name(LONGEST.note) }),
  'sign-off': record({ method: name(LONGEST.key), name: name(LONGEST.person) }),
} as const

const valueOf = (kind: unknown) =>
  typeof kind === 'string' && Object.hasOwn(ENTRY_VALUES, kind)
    ? ENTRY_VALUES[kind as keyof typeof ENTRY_VALUES]
    : record({})

export const entrySchema = record({
  id: name(LONGEST.identity),
  /** By the device's clock, and by the server's when it came there. */
  at: neededTime(),
  received: time(),
  by: text(LONGEST.person),
  line: text(LONGEST.lineOrPost),
  post: text(LONGEST.lineOrPost),
  kind: neededChoice(ENTRY_KINDS),
  /** The entry that this one stands in the place of. */
  corrects: text(LONGEST.identity),
  value: typed<unknown>(
    lazy((_value: unknown, { parent }) => valueOf((parent as { kind?: unknown } | undefined)?.kind)),
  ),
  /** Nothing is taken out of the record: whoever took it back stands beside it. */
  withdrawn: part({ by: text(LONGEST.person), why: text(LONGEST.note) }),
})

/** Somebody comes back: when, for which posts, why, and what is still open then. */
export const visitSchema = record({
  id: name(LONGEST.identity),
  posts: listOfAtMost(LIMITS.postsOfJob, 'posts', name(LONGEST.lineOrPost)).required('a list of posts'),
  due: neededTime(),
  why: neededChoice(VISIT_WHYS),
  doneAt: time(),
  by: text(LONGEST.person),
  open: listOfAtMost(LIMITS.openItems, 'things', name(LONGEST.note)),
})
