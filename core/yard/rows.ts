import { withCounts, type CountedRow } from '../cause/counted'
import type { Mix } from '../concrete/bags'
import type { AnySoil } from '../ground/soil'
import type { PartLists } from '../tables/parts'
import type { LearntRow } from '../tables/learnt'
import type { LocalRules, Tables } from '../tables/tables'
import type { YardRow } from './column'
import { PART_TABLE } from './tables/parts'

/** Rows of every table by its key: as the program ships them, or as they are here. */
export type YardRows = Readonly<Record<string, readonly YardRow[]>>

/** What a workspace has of its own: rows in the place of shipped ones or beside them; null where one was taken out. */
export type OwnRows = Readonly<Record<string, Readonly<Record<string, YardRow | null>>>>

/**
 * Rows as they are here: shipped ones in their order with the workspace's in their place, then its own.
 *
 * @example rowsNow({ soils: [{ key: 'a' }] }, { soils: { b: { key: 'b' } } }).soils // a, b
 */
export const rowsNow = (shipped: YardRows, own: OwnRows): YardRows =>
  Object.fromEntries(
    [...new Set([...Object.keys(shipped), ...Object.keys(own)])].map((table) => [
      table,
      merged(shipped[table] ?? [], own[table] ?? {}),
    ]),
  )

function merged(shipped: readonly YardRow[], own: Readonly<Record<string, YardRow | null>>): readonly YardRow[] {
  const keys = Object.keys(own)
  if (keys.length === 0) return shipped
  const known = new Set(shipped.map(({ key }) => key))
  return [
    ...shipped.flatMap((row) => (row.key in own ? (own[row.key] ?? []) : row)),
    ...keys.filter((key) => !known.has(key)).flatMap((key) => own[key] ?? []),
  ]
}

/**
 * The tables that the core computes with, with the workspace's rows in them.
 *
 * @param own what it has of its own; nothing else is looked at
 */
export function tablesWith(tables: Tables, own: OwnRows): Tables {
  const of = <Row>(table: string, rows: readonly Row[]): readonly Row[] =>
    merged(rows as readonly YardRow[], own[table] ?? {}) as readonly Row[]
  const lists = Object.fromEntries(
    Object.entries(tables.parts.lists).map(([kind, list]) => [
      kind,
      { ...list, rows: of(`${PART_TABLE}${kind}`, list.rows) },
    ]),
  ) as unknown as PartLists
  return {
    ...tables,
    soils: of<AnySoil>('soils', tables.soils),
    mixes: of<Mix>('mixes', tables.mixes),
    localRules: of<LocalRules>('localRules', tables.localRules),
    parts: { ...tables.parts, lists },
    learnt: of<LearntRow>('learnt', tables.learnt),
    causes: withCounts(tables.causes, of<CountedRow>('counted', [])),
  }
}

/** The shipped rows of the tables that the core computes with. */
export const rowsOfTables = ({ soils, mixes, localRules, parts }: Tables): YardRows =>
  ({
    soils,
    mixes,
    localRules,
    ...Object.fromEntries(Object.entries(parts.lists).map(([kind, { rows }]) => [`${PART_TABLE}${kind}`, rows])),
  }) as unknown as YardRows
