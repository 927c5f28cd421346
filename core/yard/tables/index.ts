import type { YardTable } from '../column'
import { catalogue } from './catalogue'
import { localRules, soils } from './ground'
import { offcuts, people, tools, vehicles } from './means'
import { counted, learnt } from './learnt'
import { mixes } from './mixes'
import { partTables } from './parts'
import { reckoningTable } from './reckoning'

/** Every table of the yard, in the order in which they are shown. */
export const yardTables = (currencies: readonly string[]): readonly YardTable[] => [
  catalogue,
  offcuts,
  reckoningTable(currencies),
  vehicles,
  people,
  tools,
  localRules,
  mixes,
  soils,
  ...partTables,
  learnt,
  counted,
]
