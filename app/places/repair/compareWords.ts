import type { Criterion } from '~~/core/choose/compare'
import { carriedTo } from '~~/core/choose/waysOpen'
import type { MethodPlan } from '~~/core/plan/types'
import type { Tables } from '~~/core/tables/tables'
import { showMinutes, type Measures } from '~~/core/units/quantity'

/** One row of the table in which ways stand side by side. */
export interface CompareRow {
  key: string
  name: string
  words: (way: MethodPlan, says: Measures, tables: Tables) => string
  /** The criterion that says which of them is best in it. */
  by?: Criterion['key']
}

const none = 'none'
const gustWords = (gust: number | undefined, { gust: show }: Measures) =>
  gust === undefined ? '–' : gust === Infinity ? 'no wind reaches it' : show(gust)
const dug = ({ concrete, packed }: MethodPlan) => (concrete?.hole ?? 0) + (packed?.hole ?? 0)

export const compareRows: readonly CompareRow[] = [
  { key: 'over', name: 'Goes over at', by: 'wind', words: ({ holdingGust }, says) => gustWords(holdingGust, says) },
  {
    key: 'lean',
    name: 'Leans from',
    words: ({ leanGust, holdingGust }, says) => gustWords(leanGust ?? holdingGust, says),
  },
  {
    key: 'weakest',
    name: 'Gives way first',
    words: ({ links, weakest }) => links.find(({ link }) => link === weakest)?.name ?? '–',
  },
  { key: 'work', name: 'Work', by: 'work', words: ({ minutes }) => showMinutes(minutes) },
  {
    key: 'carried',
    name: 'To bring',
    by: 'carried',
    words: (way, { mass }, tables) => (carriedTo(way, tables) > 0 ? mass(carriedTo(way, tables)) : none),
  },
  { key: 'dug', name: 'To dig', by: 'dug', words: (way, { volume }) => (dug(way) > 0 ? volume(dug(way)) : none) },
  {
    key: 'wastes',
    name: 'Sound, and taken out',
    by: 'kept',
    words: ({ wastes }) => (wastes.length > 0 ? wastes.join(' and ') : 'nothing'),
  },
  {
    key: 'unsolved',
    name: 'Leaves unsolved',
    by: 'solved',
    words: ({ leavesUnsolved }) => (leavesUnsolved.length > 0 ? leavesUnsolved.join(', ').toLowerCase() : 'nothing'),
  },
  {
    key: 'suits',
    name: 'Done here',
    by: 'suits',
    words: ({ unsuited }) => (unsuited ? 'only if need be' : 'yes'),
  },
  { key: 'comes-out', name: 'Comes out again', by: 'comes-out', words: ({ comesOut }) => (comesOut ? 'yes' : 'no') },
]
