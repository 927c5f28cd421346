// Keeps a part running: what ended or hangs is started again; what is merely slow is left alone.
import { setTimeout as pause } from 'node:timers/promises'
import { stateOf } from './processes.mjs'

/**
 * When a part counts as hanging, and how fast it comes back. Working values, ms.
 *
 * `every`: between two looks. `patience`: for one answer. `misses`: looks in a row without one after which a process
 * that does nothing is taken for frozen. `busy`: processor time that a process may use up without an answer, a loop
 * that never ends among it. `longest`: pause between starts, which grows from nothing. `steady`: so long up, and the
 * pauses begin anew. `starts`: in a row that came to nothing before it is given up.
 */
export const TIMING = {
  every: 1_000,
  patience: 1_500,
  misses: 2,
  busy: 20_000,
  longest: 30_000,
  steady: 60_000,
  starts: 8,
}
/** Less processor time than this between two looks is none, ms. */
const IDLE = 30

/**
 * Starts a part and keeps it running. Gives `current`, `stop` and `failed`, which ends with an error when starting
 * again does not help. What `start` gives has a pid, `ended`, `isAnswering`, `stop` and `kill`; `look` gives the state
 * of a process, as `stateOf`.
 */
export async function supervise({ name, start, say }, timing = TIMING, look = stateOf) {
  let running = await start()
  let stopping = false
  let upSince = Date.now()
  /** Starts since it was last steady. */
  let again = 0

  async function watch() {
    while (!stopping) {
      const what = await trouble(running, timing, look)
      if (stopping) return
      say(`${name} ${what}: starting it again`)
      const now = Date.now()
      // A loop that never ends may still have answers under way: it is asked to end before it is made to.
      await (what === BUSY ? running.stop() : running.kill())
      if (now - upSince > timing.steady) again = 0
      running = await startAgain()
      upSince = Date.now()
      if (!stopping) say(`${name} is up again, after ${((Date.now() - now) / 1000).toFixed(1)} s`)
    }
  }
  /** @throws Error when so many starts in a row came to nothing; one that came up begins the count anew */
  async function startAgain() {
    for (let failures = 0; ; ) {
      if (again > 0) await pause(Math.min(timing.longest, 250 * 2 ** Math.min(again, 10)))
      again++
      try {
        return await start()
      } catch (error) {
        if (stopping) return running
        if (++failures >= timing.starts) throw new Error(`${name} does not stay up: ${error.message}`, { cause: error })
        say(`${name} did not start: ${error.message}; trying again`)
      }
    }
  }
  const failed = watch()
  // Whoever waits for it hears it; nobody waiting is no crash.
  failed.catch(() => {})
  return {
    current: () => running,
    failed,
    async stop() {
      stopping = true
      await running.stop()
    },
  }
}

const BUSY = 'has been busy for too long without an answer'

/**
 * Waits until something is wrong with it, and says what. A process that the machine gives no time to is not at fault:
 * one that is stopped, or sleeps while it is asked, hangs, and so does one that works on and on without an answer.
 */
async function trouble({ pid, ended, isAnswering }, { every, patience, misses: most, busy }, look) {
  let isOver = false
  const over = ended.then(() => (isOver = true))
  let before = look(pid)
  for (let misses = 0, worked = 0; ; ) {
    await Promise.race([over, pause(every)])
    if (isOver) return 'has ended'
    let answered
    void isAnswering().then((isThere) => (answered = isThere))
    for (const until = Date.now() + patience; answered === undefined && !isOver && Date.now() < until; )
      await pause(Math.min(50, patience))
    // This program may have had no time either: what has come in is read before it counts as no answer.
    if (answered === undefined) await pause(Math.min(50, patience))
    if (isOver) return 'has ended'
    const now = look(pid)
    const used = now.used - before.used
    before = now
    if (answered) {
      misses = worked = 0
      continue
    }
    worked += used
    if (worked > busy) return BUSY
    // Waiting for the processor or the disk is no hanging: others have taken them.
    if (now.isWaiting || (!now.isStopped && used >= IDLE)) continue
    if (++misses >= most) return 'does not answer'
  }
}
