import { InputError } from '../errors'
import { isCell, rowAfter, type YardChange } from './change'
import { rowProblems } from './check'
import { valueAt, type YardRow, type YardTable } from './column'
import type { OwnRows, YardRows } from './rows'

/** A change that found something else than whoever made it saw: theirs stands, ours waits beside it. */
export interface YardConflict {
  mine: YardChange
  /** The row as it is; null where there is none. */
  theirs: YardRow | null
}

export interface Applied {
  own: OwnRows
  /** Changes that were made, and those that were not. */
  made: YardChange[]
  conflicts: YardConflict[]
}

/**
 * The workspace's rows with changes made, one after the other; those that others were faster with stand aside.
 *
 * @param shipped rows that the program has by itself
 * @throws InputError for a row that would not be valid, or that may not be taken out; nothing is made then
 */
export function applyChanges(
  own: OwnRows,
  changes: readonly YardChange[],
  { shipped, tables }: { shipped: YardRows; tables: readonly YardTable[] },
): Applied {
  let next = own
  const made: YardChange[] = []
  const conflicts: YardConflict[] = []
  for (const change of changes) {
    const { table: name, key } = change
    const table = tables.find((each) => each.key === name)!
    const before = shipped[name]?.find((row) => row.key === key)
    const kept = next[name]?.[key]
    const now = kept === null ? undefined : (kept ?? before)
    const row = rowAfter(now, change)
    if (row === undefined) {
      conflicts.push({ mine: change, theirs: now ?? null })
      continue
    }
    requireFits(table, row, { key, isThere: now !== undefined })
    made.push(change)
    next = { ...next, [name]: { ...next[name], [key]: row } }
  }
  return { own: next, made, conflicts }
}

function requireFits(table: YardTable, row: YardRow | null, { key, isThere }: { key: string; isThere: boolean }): void {
  if (row === null) {
    if (table.isKept) throw new InputError(`${table.key}.${key}`, 'taken out', 'there: jobs may stand on it')
    return
  }
  if (row.key !== key) throw new InputError(`${table.key}.${key}.key`, row.key, 'as it was: jobs know it by that')
  if (table.isSingle && !isThere) throw new InputError(`${table.key}.${key}`, 'another row', 'its one row')
  const [problem] = rowProblems(table, row)
  if (problem) throw new InputError(`${table.key}.${key}.${problem.key}`, problem.value, problem.range)
}

/** A change that stood aside, made on what is there now. */
export function onWhatIsThere({ mine }: YardConflict, now: YardRow | undefined): YardChange {
  return isCell(mine) ? { ...mine, was: (now && valueAt(now, mine.path)) ?? null } : { ...mine, was: now ?? null }
}
