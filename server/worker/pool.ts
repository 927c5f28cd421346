import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Piscina from 'piscina'
import { InputError } from '../../core/errors'
import { NotJson, TooLong, TooMuch } from '../http/failures'
import { answer, type Answered, type Asked, type WorkName, type Works } from './work'

/** A work that takes longer is given up, ms. */
const DEADLINE = 20_000
const THREADS = 2
const WAITING = 100
const MEMORY = 768
/** Asked to come again after, s. */
const AGAIN_AFTER = 2

type Ask = (asked: Asked) => Promise<Answered>

/**
 * Threads that run a program, each work within its time and memory.
 *
 * @param filename of a module whose default export takes what is asked
 */
export function threadsOf(filename: string, { deadline = DEADLINE, waiting = WAITING, memory = MEMORY } = {}) {
  const threads = new Piscina({
    filename,
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: memory },
  })
  // Counted here: the pool's own limit leaves out works that can be given up.
  let inHand = 0
  const ask: Ask = async (asked) => {
    if (inHand >= THREADS + waiting) throw new TooMuch('The server is busy.', AGAIN_AFTER)
    inHand++
    const signal = AbortSignal.timeout(deadline)
    try {
      return (await threads.run(asked, { signal })) as Answered
    } catch (error) {
      if (signal.aborted) throw new TooLong()
      // The thread ran out of its memory: this one asked for too much.
      if ((error as NodeJS.ErrnoException).code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooLong()
      throw error
    } finally {
      inHand--
    }
  }
  return { ask, close: () => threads.destroy() }
}

let pool: ReturnType<typeof threadsOf> | undefined

/** The threads' own program stands beside the server's; where there is none (while developing), no thread is used. */
function opened(): Ask {
  const filename = join(dirname(process.argv[1] ?? ''), 'worker.mjs')
  if (!pool && existsSync(filename)) pool = threadsOf(filename)
  return pool?.ask ?? (async (asked) => answer(asked))
}

/**
 * Runs a work in a thread of the pool.
 *
 * @throws InputError, NotJson as the work says
 * @throws TooLong, TooMuch
 * @example await inPool('calculate', 'gust50', '{"gust": 38}')
 */
export async function inPool<Name extends WorkName>(
  work: Name,
  ...given: Parameters<Works[Name]>
): Promise<ReturnType<Works[Name]>> {
  const answered = await opened()({ work, given })
  if ('wrong' in answered) throw new InputError(answered.wrong.key, answered.wrong.value, answered.wrong.range)
  if ('notJson' in answered) throw new NotJson(`This is no JSON: ${answered.notJson}`)
  return answered.done as ReturnType<Works[Name]>
}

export const closePool = async (): Promise<void> => void (await pool?.close())
