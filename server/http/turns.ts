import { TooMuch } from './failures'

/** Asked to come again after, s. */
const AGAIN_AFTER = 2

/**
 * Lets so many pieces of work run at once, and so many wait; the rest are asked to come again.
 *
 * @example const turn = turns(2, 8); await turn(() => shrink(picture))
 */
export function turns(atOnce: number, waiting: number) {
  const queue: (() => void)[] = []
  let running = 0
  return async function turn<T>(work: () => Promise<T>): Promise<T> {
    if (running >= atOnce) {
      if (queue.length >= waiting) throw new TooMuch('The server is busy with other pictures.', AGAIN_AFTER)
      await new Promise<void>((resolve) => queue.push(resolve))
    } else running++
    try {
      return await work()
    } finally {
      const next = queue.shift()
      if (next) next()
      else running--
    }
  }
}
