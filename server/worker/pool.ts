import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Piscina from 'piscina'
import { InputError } from '../../core/errors'
import { NotJson, NoTime, TooLong } from '../http/failures'
import { turns } from '../http/turns'
import { answer, type Answered, type Asked, type WorkName, type Works } from './work'

/** A work that runs longer is given up, ms; waiting for a thread does not count. */
const DEADLINE = 20_000
const THREADS = 2
const WAITING = 100
const MEMORY = 768

type Ask = (asked: Asked, asker: string) => Promise<Answered>

/**
 * Threads that run a program, each work within its time and memory. One asker never has all of them.
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
  const turn = turns({ atOnce: THREADS, each: THREADS - 1, waiting, busy: 'The server is busy.' })
  async function run(asked: Asked): Promise<Answered> {
    const signal = AbortSignal.timeout(deadline)
    try {
      return (await threads.run(asked, { signal })) as Answered
    } catch (error) {
      if (signal.aborted) throw new NoTime()
      // The thread ran out of its memory: this one asked for too much.
      if ((error as NodeJS.ErrnoException).code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooLong()
      throw error
    }
  }
  const ask: Ask = (asked, asker) => turn(() => run(asked), asker)
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
 * @param asker person or address whose turn it takes
 * @throws InputError, NotJson as the work says
 * @throws TooLong, Busy, NoTime
 * @example await inPool('192.0.2.1', 'calculate', 'gust50', '{"gust": 38}')
 */
export async function inPool<Name extends WorkName>(
  asker: string,
  work: Name,
  ...given: Parameters<Works[Name]>
): Promise<Awaited<ReturnType<Works[Name]>>> {
  const answered = await opened()({ work, given }, asker)
  if ('wrong' in answered) throw new InputError(answered.wrong.key, answered.wrong.value, answered.wrong.range)
  if ('notJson' in answered) throw new NotJson(`This is no JSON: ${answered.notJson}`)
  return answered.done as Awaited<ReturnType<Works[Name]>>
}

export const closePool = async (): Promise<void> => void (await pool?.close())
