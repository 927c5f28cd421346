import { targetOf, type CommandBatch } from './apply'
import type { Command } from './commands'

export interface Conflict {
  mine: Command
  theirs: Command
}

export interface Rebase<Batch extends CommandBatch> {
  /** Batches that touch nothing that the others touched: they go on top as they are. */
  clean: Batch[]
  /** Edits of one key from both sides, for a person to choose from. */
  conflicts: Conflict[]
}

/**
 * Puts edits made on an old version on top of what others have done since, key by key.
 *
 * Two edits meet when one writes to what the other writes to, or to a part of it. Equal values
 * are no conflict. Nothing is dropped: each edit is in `clean` or in `conflicts`.
 *
 * @param mine   waiting batches in their order
 * @param theirs commands applied since the version that `mine` was made on
 */
export function rebase<Batch extends CommandBatch>(mine: readonly Batch[], theirs: readonly Command[]): Rebase<Batch> {
  const clean: Batch[] = []
  const conflicts: Conflict[] = []
  for (const batch of mine) {
    const kept: Command[] = []
    for (const command of batch.commands) {
      const other = [...theirs].reverse().find((each) => meets(command, each))
      if (!other) kept.push(command)
      else if (!sameEdit(command, other)) conflicts.push({ mine: command, theirs: other })
    }
    if (kept.length > 0) clean.push({ ...batch, commands: kept })
  }
  return { clean, conflicts: lastOfEach(conflicts) }
}

function meets(a: Command, b: Command): boolean {
  const [short, long] = [targetOf(a), targetOf(b)].sort((x, y) => x.length - y.length) as [
    readonly string[],
    readonly string[],
  ]
  return short.every((step, i) => step === long[i])
}

const sameEdit = (a: Command, b: Command) =>
  a.name === b.name && JSON.stringify(a.value ?? null) === JSON.stringify(b.value ?? null)

/** Of several waiting edits of one key only the last is a choice. */
function lastOfEach(conflicts: readonly Conflict[]): Conflict[] {
  const byTarget = new Map(conflicts.map((conflict) => [targetOf(conflict.mine).join('/'), conflict]))
  return [...byTarget.values()]
}
