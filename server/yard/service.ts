import type { Knex } from 'knex'
import type { Tables } from '../../core/tables/tables'
import { applyChanges } from '../../core/yard/apply'
import type { YardBatch } from '../../core/yard/change'
import { tablesWith, type OwnRows } from '../../core/yard/rows'
import { tables } from '../../data/tables'
import { shippedYard, YARD_TABLES } from '../../data/yard'
import type { YardAnswer, YardApplied, YardHistoryPage } from '../../shared/contract'
import * as yard from './repository'

/** The one workspace that there is. */
const HOME = 'home'
const HISTORY_PAGE = 100

export async function readYard(database: Knex): Promise<YardAnswer> {
  const version = await yard.yardVersion(database, HOME)
  return { version, own: version === 0 ? {} : await yard.readOwnRows(database, HOME) }
}

/**
 * Makes changes; what others were faster with comes back, and theirs stands.
 *
 * @throws InputError when a row would not be valid; nothing is written then
 */
export async function changeYard(database: Knex, batch: YardBatch): Promise<YardApplied> {
  return database.transaction(async (transaction): Promise<YardApplied> => {
    await yard.lockYard(transaction, HOME)
    const version = (await yard.yardVersion(transaction, HOME)) + 1
    const before = await yard.findEntry(transaction, HOME, batch.id)
    if (before) return { batch: batch.id, version: before.version, conflicts: before.conflicts }
    const applied = applyChanges(await yard.readOwnRows(transaction, HOME), batch.changes, {
      shipped: shippedYard,
      tables: YARD_TABLES,
    })
    await yard.writeRows(transaction, HOME, applied.own, applied.made)
    const { made: changes, conflicts } = applied
    await yard.insertEntry(transaction, HOME, batch, { version, changes, conflicts, madeAt: new Date() })
    return { batch: batch.id, version, conflicts }
  })
}

/** A page of what was changed, the last first. */
export async function readYardHistory(database: Knex, before = Number.MAX_SAFE_INTEGER): Promise<YardHistoryPage> {
  const rows = await yard.entriesBefore(database, HOME, before, HISTORY_PAGE + 1)
  const page = rows.slice(0, HISTORY_PAGE)
  return {
    entries: page.map(({ madeAt, conflicts: _aside, ...entry }) => ({ ...entry, madeAt: madeAt.toISOString() })),
    ...(rows.length > HISTORY_PAGE ? { next: page.at(-1)!.version } : {}),
  }
}

interface Here {
  version: number
  own: OwnRows
  tables: Tables
}

/** Rows by the version that they belong to: a version is always the same. A transaction speaks to the same database. */
let known: (Here & { of: unknown }) | undefined
const ofDatabase = (connection: Knex): (Here & { of: unknown }) | undefined =>
  known?.of === databaseOf(connection) ? known : undefined
const databaseOf = (connection: Knex): unknown => (connection.client as { config: unknown }).config

/** The tables as this server saw them last, without asking. */
export const tablesKnown = (database: Knex): Tables => ofDatabase(database)?.tables ?? tables

/** The tables as they are here, and what the workspace has of its own in them. */
export async function tablesHere(database: Knex): Promise<Here> {
  const version = await yard.yardVersion(database, HOME)
  const before = ofDatabase(database)
  if (before?.version === version) return before
  const own = version === 0 ? {} : await yard.readOwnRows(database, HOME)
  const now = { of: databaseOf(database), version, own, tables: tablesWith(tables, own) }
  known = now
  return now
}
