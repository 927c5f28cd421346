import { together, type Workspace } from '../workspace/workspace'
import type { Tables } from '../../core/tables/tables'
import { applyChanges } from '../../core/yard/apply'
import type { YardBatch } from '../../core/yard/change'
import { tablesWith, type OwnRows } from '../../core/yard/rows'
import { tables } from '../../data/tables'
import { shippedYard, YARD_TABLES } from '../../data/yard'
import type { YardAnswer, YardApplied, YardHistoryPage } from '../../shared/contract'
import * as yard from './repository'

const HISTORY_PAGE = 100

export async function readYard(workspace: Workspace): Promise<YardAnswer> {
  const version = await yard.yardVersion(workspace)
  return { version, own: version === 0 ? {} : await yard.readOwnRows(workspace) }
}

/**
 * Makes changes; what others were faster with comes back, and theirs stands.
 *
 * @throws InputError when a row would not be valid; nothing is written then
 */
export async function changeYard(workspace: Workspace, batch: YardBatch): Promise<YardApplied> {
  return together(workspace, async (inside): Promise<YardApplied> => {
    await yard.lockYard(inside)
    const version = (await yard.yardVersion(inside)) + 1
    const before = await yard.findEntry(inside, batch.id)
    if (before) return { batch: batch.id, version: before.version, conflicts: before.conflicts }
    const applied = applyChanges(await yard.readOwnRows(inside), batch.changes, {
      shipped: shippedYard,
      tables: YARD_TABLES,
    })
    await yard.writeRows(inside, applied.own, applied.made)
    const { made: changes, conflicts } = applied
    await yard.insertEntry(inside, batch, { version, changes, conflicts, madeAt: new Date() })
    return { batch: batch.id, version, conflicts }
  })
}

/** A page of what was changed, the last first. */
export async function readYardHistory(
  workspace: Workspace,
  before = Number.MAX_SAFE_INTEGER,
): Promise<YardHistoryPage> {
  const rows = await yard.entriesBefore(workspace, before, HISTORY_PAGE + 1)
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

/** Rows by the version that they belong to: a version is always the same. */
const known = new WeakMap<object, Map<string, Here>>()
/** Workspaces whose tables one server keeps at hand. */
const KEPT = 200
const ofDatabase = ({ database }: Workspace): Map<string, Here> => {
  // A transaction speaks to the same database.
  const key = (database.client as { config: object }).config
  if (!known.has(key)) known.set(key, new Map())
  return known.get(key)!
}

/** The tables as this server saw them last, without asking. */
export const tablesKnown = (workspace: Workspace): Tables => ofDatabase(workspace).get(workspace.id)?.tables ?? tables

/** The tables as they are here, and what the workspace has of its own in them. */
export async function tablesHere(workspace: Workspace): Promise<Here> {
  const version = await yard.yardVersion(workspace)
  const kept = ofDatabase(workspace)
  const before = kept.get(workspace.id)
  if (before?.version === version) return before
  const own = version === 0 ? {} : await yard.readOwnRows(workspace)
  const now = { version, own, tables: tablesWith(tables, own) }
  kept.delete(workspace.id)
  kept.set(workspace.id, now)
  if (kept.size > KEPT) kept.delete(kept.keys().next().value!)
  return now
}
