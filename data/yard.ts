import { SKILLS } from '../core/document/vocabulary'
import type { YardRow } from '../core/yard/column'
import { rowsOfTables, type YardRows } from '../core/yard/rows'
import { yardTables } from '../core/yard/tables'
import { catalogue, costSettings } from './catalogue'
import { currencies } from './currencies'
import { tables } from './tables'
import { vehicles } from './vehicles'

/* The yard of a newcomer: names, tools and prices are invented, and a workspace puts its own in their place. */

const people: readonly YardRow[] = [
  { key: 'wren', name: 'Wren', letter: 'A', skills: [...SKILLS] },
  { key: 'alder', name: 'Alder', letter: 'B', skills: ['dig', 'mix', 'lift'] },
]

const SHED = 'tool shed'
const tools: readonly YardRow[] = [
  { key: 'hand-digger', name: 'post hole digger', does: 'post-hole-digger', count: 1, reach: 1.2, kept: SHED },
  { key: 'auger', name: 'battery auger, 0.9 m', does: 'auger', count: 1, reach: 0.9, battery: 40, batteries: 2, kept: SHED },
  { key: 'spade', name: 'narrow spade', does: 'spade', count: 2, reach: 0.7, kept: SHED },
  { key: 'breaker', name: 'battery breaker', does: 'breaker', count: 1, battery: 35, batteries: 2, kept: SHED },
  { key: 'saw', name: 'circular saw, 65 mm deep', does: 'saw', count: 1, battery: 45, batteries: 2, kept: SHED },
  { key: 'driver', name: 'driver and drill', does: 'driver', count: 2, battery: 60, batteries: 2, kept: SHED },
  { key: 'level', name: '1.2 m level', does: 'level', count: 1, kept: SHED },
]

const reckoning: readonly YardRow[] = [{ key: 'ours', name: 'ours', ...costSettings, validDays: 30 }]

export const YARD_TABLES = yardTables(currencies.map(({ code }) => code))

export const shippedYard: YardRows = {
  ...rowsOfTables(tables),
  catalogue: catalogue as unknown as readonly YardRow[],
  reckoning,
  vehicles: vehicles as unknown as readonly YardRow[],
  people,
  tools,
  offcuts: [],
  learnt: [],
  counted: [],
}
