import type { Job } from '../document/job'
import { targetOf, type CommandBatch } from './apply'
import type { Command } from './commands'
import { isRenaming, renamed, renamesOf, type Renames } from './renames'
import { sameData } from '../sameData'

/** Who wrote something that the server has, and when. */
export interface Writer {
  by?: string
  at: string
}

export interface Conflict {
  mine: Command
  theirs: Command
  /** Of theirs, where the server said so. */
  writer?: Writer
}

export interface Rebase<Batch extends CommandBatch> {
  /** Batches that touch nothing that the others touched: they go on top as they are. */
  clean: Batch[]
  /** Edits of one key from both sides, for a person to choose from. */
  conflicts: Conflict[]
  /** What of mine goes by another name from now on, since others have used it meanwhile. */
  renames: Renames
}

/** The job before others wrote, and after: where both are known, new things of one name are told apart. */
export interface Between {
  before: Job
  after: Job
}

const NO_RENAMES: Renames = { lines: new Map(), posts: new Map() }

/**
 * Puts edits made on an old version on top of what others have done since, key by key.
 *
 * Two edits meet when one writes to what the other writes to, or to a part of it. Equal values
 * are no conflict, and readings never are: each of them stays. Nothing is dropped: each edit is in `clean` or in
 * `conflicts`.
 *
 * @param mine   waiting batches in their order
 * @param theirs commands applied since the version that `mine` was made on
 * @param writers of each of theirs, who and when
 */
export function rebase<Batch extends CommandBatch>(
  mine: readonly Batch[],
  theirs: readonly Command[],
  between?: Between,
  writers: readonly Writer[] = [],
): Rebase<Batch> {
  const renames = between ? renamesOf(mine, between.before, between.after) : NO_RENAMES
  const others = theirs.map(
    (command, i): Targeted => ({
      command,
      target: targetOf(command),
      ...(writers[i] ? { writer: writers[i] } : {}),
    }),
  )
  const clean: Batch[] = []
  const conflicts: Conflict[] = []
  for (const batch of mine) {
    const kept: Command[] = []
    for (const command of isRenaming(renames) ? batch.commands.map((each) => renamed(each, renames)) : batch.commands) {
      const mineHere = { command, target: targetOf(command) }
      const other = others.findLast((each) => meets(mineHere, each))
      if (!other) kept.push(command)
      else if (!sameEdit(command, other.command)) {
        const { command: written, writer } = other
        conflicts.push({ mine: command, theirs: written, ...(writer ? { writer } : {}) })
      }
    }
    if (kept.length > 0) clean.push({ ...batch, commands: kept })
  }
  return { clean, conflicts: lastOfEach(conflicts), renames }
}

interface Targeted {
  command: Command
  target: readonly string[]
  writer?: Writer
}

function meets(a: Targeted, b: Targeted): boolean {
  if (isReading(a.command) && isReading(b.command)) return false
  const [short, long] = a.target.length < b.target.length ? [a.target, b.target] : [b.target, a.target]
  return short.every((step, i) => step === long[i])
}

/** An entry of its own: two people who read the same thing have read it twice. */
const isReading = (command: Command): boolean =>
  command.name === 'setReading' && (command.reading !== undefined || command.without !== undefined)

const sameEdit = (a: Command, b: Command) => a.name === b.name && sameData(a.value ?? null, b.value ?? null)

/** Of several waiting edits of one key only the last is a choice; of readings each is. */
function lastOfEach(conflicts: readonly Conflict[]): Conflict[] {
  const byTarget = new Map(conflicts.map((conflict) => [choiceOf(conflict.mine), conflict]))
  return [...byTarget.values()]
}

function choiceOf(command: Command): string {
  const entry = command.name === 'setReading' ? (command.reading?.id ?? command.without ?? '') : ''
  return [...targetOf(command), entry].join('/')
}
