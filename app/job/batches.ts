import type { Command } from '~~/core/edit/commands'
import { LIMITS } from '~~/core/limits'

/** Letters of one batch: far below what server and networks take. */
const LONGEST = 200_000

/**
 * A long edit as batches that the server takes, in their order.
 *
 * @example batchesOf(edits of 1200 posts).map(({ length }) => length) // [500, 500, 200]
 */
export function batchesOf(commands: readonly Command[]): Command[][] {
  const batches: Command[][] = [[]]
  let letters = 0
  for (const command of commands) {
    const size = JSON.stringify(command).length
    const last = batches[batches.length - 1]!
    const isFull = last.length >= LIMITS.commandsInBatch || (last.length > 0 && letters + size > LONGEST)
    if (isFull) batches.push([command])
    else last.push(command)
    letters = isFull ? size : letters + size
  }
  return batches
}
