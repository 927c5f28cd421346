import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Piscina from 'piscina'
import { InputError } from '../../core/errors'
import { NotJson, TooLong, TooMuch } from '../http/failures'
import { answer, type Answered, type Asked, type WorkName, type Works } from './work'

/** A work that takes longer is given up, ms. */
const DEADLINE = 20_000
const WAITING = 100
const MEMORY = 768
/** Asked to come again after, s. */
const AGAIN_AFTER = 2

let pool: Piscina | undefined

/** The threads' own program stands beside the server's; where there is none (while developing), no thread is used. */
function opened(): Piscina | undefined {
  const filename = join(dirname(process.argv[1] ?? ''), 'worker.mjs')
  if (!existsSync(filename)) return undefined
  return (pool ??= new Piscina({
    filename,
    minThreads: 1,
    maxThreads: 2,
    idleTimeout: 60_000,
    maxQueue: WAITING,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY },
  }))
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
  const answered = await ask({ work, given })
  if ('wrong' in answered) throw new InputError(answered.wrong.key, answered.wrong.value, answered.wrong.range)
  if ('notJson' in answered) throw new NotJson(`This is no JSON: ${answered.notJson}`)
  return answered.done as ReturnType<Works[Name]>
}

async function ask(asked: Asked): Promise<Answered> {
  const threads = opened()
  if (!threads) return answer(asked)
  const signal = AbortSignal.timeout(DEADLINE)
  try {
    return (await threads.run(asked, { signal })) as Answered
  } catch (error) {
    if (signal.aborted) throw new TooLong()
    const { message, code } = error as { message?: string; code?: string }
    if (/queue is at limit/i.test(message ?? '')) throw new TooMuch('The server is busy.', AGAIN_AFTER)
    // The thread ran out of its memory: this one asked for too much.
    if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new TooLong()
    throw error
  }
}

export const closePool = async (): Promise<void> => void (await pool?.destroy())
