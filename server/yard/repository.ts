import type { Workspace } from '../workspace/workspace'
import type { YardConflict } from '../../core/yard/apply'
import type { YardBatch, YardChange } from '../../core/yard/change'
import type { YardRow } from '../../core/yard/column'
import type { OwnRows } from '../../core/yard/rows'

/** MariaDB keeps JSON as text; some drivers parse it, some do not. */
const parsed = <T>(value: unknown): T => (typeof value === 'string' ? JSON.parse(value) : value) as T

export async function yardVersion(workspace: Workspace): Promise<number> {
  return (await workspace.database('yard').where({ workspace: workspace.id }).first('version'))?.version ?? 0
}

/** Keeps other writers off until the transaction ends. */
export async function lockYard(workspace: Workspace): Promise<void> {
  // In one statement: a row that is read first and locked then lets two wait for each other.
  const lock = 'insert into yard (workspace, version) values (?, 0) on duplicate key update version = version'
  await workspace.database.raw(lock, [workspace.id])
}

export async function readOwnRows(workspace: Workspace): Promise<OwnRows> {
  const rows = await workspace
    .database('yard_row')
    .where({ workspace: workspace.id })
    .select('table_key', 'row_key', 'row')
  const own: Record<string, Record<string, YardRow | null>> = {}
  for (const { table_key: table, row_key: key, row } of rows)
    (own[table] ??= {})[key] = row === null ? null : parsed<YardRow | null>(row)
  return own
}

export async function writeRows(workspace: Workspace, own: OwnRows, changes: readonly YardChange[]): Promise<void> {
  const touched = new Map(changes.map(({ table, key }) => [`${table} ${key}`, { table, key }]))
  const rows = [...touched.values()].map(({ table, key }) => ({
    workspace: workspace.id,
    table_key: table,
    row_key: key,
    row: own[table]?.[key] ? JSON.stringify(own[table][key]) : null,
  }))
  if (rows.length > 0)
    await workspace.database('yard_row').insert(rows).onConflict(['workspace', 'table_key', 'row_key']).merge()
}

export interface YardEntry {
  version: number
  batchId: string
  changes: YardChange[]
  conflicts: YardConflict[]
  madeBy?: string
  madeAt: Date
}

export async function insertEntry(
  workspace: Workspace,
  { id, by }: Pick<YardBatch, 'id' | 'by'>,
  entry: Pick<YardEntry, 'version' | 'changes' | 'conflicts' | 'madeAt'>,
): Promise<void> {
  const { version, changes, conflicts, madeAt } = entry
  await workspace.database('yard').where({ workspace: workspace.id }).update({ version })
  await workspace.database('yard_history').insert({
    workspace: workspace.id,
    version,
    batch_id: id,
    changes: JSON.stringify(changes),
    conflicts: JSON.stringify(conflicts),
    made_by: workspace.person?.name ?? by ?? null,
    made_at: madeAt,
  })
}

const entryOf = (row: Record<string, unknown>): YardEntry => ({
  version: row.version as number,
  batchId: row.batch_id as string,
  changes: parsed(row.changes),
  conflicts: parsed(row.conflicts),
  ...(row.made_by === null ? {} : { madeBy: row.made_by as string }),
  madeAt: row.made_at as Date,
})

export async function findEntry(workspace: Workspace, batchId: string): Promise<YardEntry | undefined> {
  const row = await workspace.database('yard_history').where({ workspace: workspace.id, batch_id: batchId }).first()
  return row && entryOf(row)
}

/** Entries before a version, the last first. */
export async function entriesBefore(workspace: Workspace, before: number, limit: number): Promise<YardEntry[]> {
  const rows = await workspace
    .database('yard_history')
    .where({ workspace: workspace.id })
    .andWhere('version', '<', before)
    .orderBy('version', 'desc')
    .limit(limit)
  return rows.map(entryOf)
}
