import { InputError } from '../errors'
import type { Job } from '../document/job'
import { spaced, type CommandKind, type Words } from './command'
import { commandKinds, type Command } from './commands'

/** Commands of one moment, sent and undone together. */
export interface CommandBatch {
  /** Given by whoever made it: a batch that arrives twice is applied once. */
  id: string
  commands: Command[]
}

const KINDS = new Map(commandKinds.map((kind) => [kind.name as string, kind as unknown as CommandKind<Command>]))

/** @throws InputError for a command that there is not: one of a later version, perhaps */
function kindOf({ name }: { name: string }): CommandKind<Command> {
  const kind = KINDS.get(name)
  if (!kind) throw new InputError('name', name, `one of ${[...KINDS.keys()].join(', ')}`)
  return kind
}

/**
 * The job after a command; the job given stays as it is.
 *
 * @throws InputError when what it speaks of is not in the job
 */
export const applyCommand = (job: Job, command: Command): Job => kindOf(command).apply(job, command)

export const applyCommands = (job: Job, commands: readonly Command[]): Job => commands.reduce(applyCommand, job)

/** The command that takes `command` back, made on the job before it. */
export const inverseOf = (job: Job, command: Command): Command => kindOf(command).inverse(job, command)

/** Inverse of a batch: last edit first. */
export function inverseOfAll(job: Job, commands: readonly Command[]): Command[] {
  const inverses: Command[] = []
  let at = job
  for (const command of commands) {
    inverses.unshift(inverseOf(at, command))
    at = applyCommand(at, command)
  }
  return inverses
}

/**
 * What a command writes to, from the outside in.
 *
 * @example targetOf({ name: 'setHole', line: 'A', post: 'A3', key: 'depth', value: 0.8 })
 *   // ['line', 'A', 'post', 'A3', 'repair', 'hole', 'depth']
 */
export const targetOf = (command: Command): readonly string[] => kindOf(command).target(command)

/**
 * What a command writes to, in words.
 *
 * @example subjectWords({ name: 'setReading', line: 'B', post: 'B7', key: 'probeAtGround', value: 0.02 })
 *   // 'B7 › observations › probe at ground'
 */
export function subjectWords(command: Command): string {
  return targetOf(command)
    .filter((step, i, all) => step !== 'line' && step !== 'post' && (all[i - 1] !== 'line' || all.length === 2))
    .map(spaced)
    .join(' › ')
}

/** What a command would make true, in words. @example '0.02 m', '12 years', 'taken back' */
export const commandWords = (command: Command, words: Words): string => kindOf(command).says(command, words)
