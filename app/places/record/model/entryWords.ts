import { MET_WORDS } from '~/job/metWords'
import { observationValue } from '~/job/readingWords'
import type { EntryKind, EntryValue } from '~~/core/document/job'
import { spaced } from '~~/core/edit/command'
import { depthsOf } from '~~/core/record/asBuilt'
import type { Happening } from '~~/core/record/timeline'
import { VISIT_WORDS, type VisitWhy } from '~~/core/record/visits'
import type { Tables } from '~~/core/tables/tables'
import type { Measures } from '~~/core/units/quantity'

/** What a thing of the record is called, and what it says. */
export interface EntryWords {
  title: string
  says: string
}

interface Names {
  tables: Tables
  measures: Measures
  /** Of a step, by its key, at the post that the entry speaks of. */
  step?: (key: string) => string | undefined
}

const PARTS = {
  begun: 'Pour begun',
  'hands-off': 'Hands off',
  stiff: 'Seen stiff',
  'let-go': 'Let go of',
  stripped: 'Form stripped',
} as const
const HOW = { level: 'by level', stream: 'by level', eye: 'by eye' } as const
const STAGE = { before: 'before', 'open-hole': 'the open hole', after: 'after' } as const

/**
 * One line of the record in words.
 *
 * @example { title: 'Met in the hole', says: 'rock at 0.45 m: dug wider' }
 */
export function entryWords(of: Happening, names: Names): EntryWords {
  const { tables, measures } = names
  const method = (key: string) => tables.parts.methods.find((each) => each.key === key)?.name ?? key
  const cause = (key: string) => tables.causes.causes.find((each) => each.key === key)?.name ?? key
  switch (of.kind) {
    case 'reading':
      return {
        title: capital(spaced(of.of.observation)),
        says: observationValue(of.of.observation, of.of.value, measures.length, measures.small),
      }
    case 'picture':
      return {
        title: 'Photograph',
        says: [of.of.stage && STAGE[of.of.stage], of.of.note].filter(Boolean).join(': ') || 'of the post',
      }
    case 'verdict':
      return {
        title: of.said === 'found' ? 'Found when it was dug' : 'Said in place of the readings',
        says: [[of.of.cause, ...(of.of.also ?? [])].map(cause).join(' and '), of.of.note].filter(Boolean).join(': '),
      }
    case 'pour':
      return { title: PARTS[of.part], says: of.part === 'begun' ? mixName(of.of.mix, tables) : '' }
    case 'lift':
      return { title: 'Went in', says: `${bagWords(of.of.bags)}, ${measures.volume(of.of.water)} of water` }
    case 'check':
      return {
        title: `Read ${of.of.face} the line`,
        says: `${HOW[of.of.how]}${of.of.offset === undefined ? '' : `: ${measures.small(of.of.offset)} off over ${measures.length(of.of.over ?? 1.2)}`}`,
      }
    case 'visit':
      return { title: 'Visit made', says: [VISIT_WORDS[of.of.why as VisitWhy], ...(of.of.open ?? [])].join('; ') }
    default:
      return ofEntry(of.kind, of.of.value, { method, names })
  }
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
const bagWords = (bags: number) => `${bags} ${bags === 1 ? 'bag' : 'bags'}`
const mixName = (key: string, { mixes, resins }: Tables) =>
  [...mixes, ...resins].find((each) => each.key === key)?.name ?? key

type Writer = {
  [K in EntryKind]: (value: EntryValue<K>, by: { method: (key: string) => string; names: Names }) => EntryWords
}
const stepName = (key: string, { step }: Names) => step?.(key) ?? key.replaceAll('-', ' ')

const WRITE: Writer = {
  observation: ({ says }) => ({ title: 'Noted', says }),
  choice: (value, { method }) => ({
    title: 'Repair chosen',
    says: `${method(value.method)}${value.from ? `, in place of ${method(value.from).toLowerCase()}` : ''}`,
  }),
  met: ({ kind, depth, side, decision, note }, { names }) => ({
    title: 'Met in the hole',
    says: [
      `${MET_WORDS.kind[kind]} at ${names.measures.length(depth)}${side ? ` ${MET_WORDS.side[side]}` : ''}`,
      decision && MET_WORDS.decision[decision],
      note,
    ]
      .filter(Boolean)
      .join(': '),
  }),
  tick: ({ step, reason, left, measure }, { names }) => ({
    title: left ? 'Left out' : 'Done',
    says: [stepName(step, names), measure, reason].filter(Boolean).join(': '),
  }),
  'as-built': (value, { names: { measures } }) => ({ title: 'As built', says: builtWords(value, measures) }),
  photograph: () => ({ title: 'Photograph', says: '' }),
  minutes: ({ step, minutes }, { names }) => ({ title: 'Took', says: `${stepName(step, names)}: ${minutes} min` }),
  materials: ({ key, used, left }) => ({
    title: 'Used',
    says: `${key}: ${used}${left === undefined ? '' : `, ${left} left`}`,
  }),
  correction: ({ says }) => ({ title: 'Put right', says }),
  'sign-off': ({ name, method: key }, { method }) => ({
    title: 'Signed off',
    says: `${name}: ${method(key).toLowerCase()}`,
  }),
}

const ofEntry = <K extends EntryKind>(kind: K, value: unknown, by: { method: (key: string) => string; names: Names }) =>
  WRITE[kind](value as EntryValue<K>, by)

function topWords(over: number, small: Measures['small']): string {
  if (over === 0) return 'top at the string'
  return `top ${small(Math.abs(over))} ${over > 0 ? 'over' : 'under'} the string`
}

function builtWords(value: EntryValue<'as-built'>, { length, small, volume }: Measures): string {
  const depths = depthsOf(value)
  const faces = Object.entries(value.plumb ?? {}).map(([face, read]) =>
    read ? `${face} the line ${HOW[read.how]}${read.offset === undefined ? '' : `, ${small(read.offset)} off`}` : '',
  )
  return [
    depths.length > 0 && `${depths.map(length).join(', ')} deep`,
    value.width !== undefined && `${length(value.width)} wide`,
    value.water !== undefined && `water at ${length(value.water)}`,
    value.oldConcrete !== undefined && `${volume(value.oldConcrete)} of old concrete out`,
    value.bags !== undefined && bagWords(value.bags),
    value.litres !== undefined && `${volume(value.litres)} of water`,
    value.tool && `dug with ${value.tool.replaceAll('-', ' ')}`,
    ...faces,
    value.overString !== undefined && topWords(value.overString, small),
  ]
    .filter(Boolean)
    .join(', ')
}
