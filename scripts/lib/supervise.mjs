// Keeps a part running: what ended or does not answer any more is started again.
import { setTimeout as pause } from 'node:timers/promises'

/** Asked so often, and so often in a row without an answer before it counts as frozen: within five seconds, ms. */
const EVERY = 1_000
const PATIENCE = 1_500
const MISSES = 2
/** Started again more often than this within a minute, it is no accident. */
const MOST_STARTS = 5

/**
 * @param part { name, start(), say } — `start` gives { ended, isAnswering(), stop(), kill() }
 * @returns { current(), stop(), failed } — `failed` ends with an error when starting again does not help
 */
export async function supervise({ name, start, say }) {
  let running = await start()
  let stopping = false
  const starts = []

  async function watch() {
    while (!stopping) {
      const what = await trouble(running)
      if (stopping) return
      say(`${name} ${what}: starting it again`)
      await running.kill()
      const now = Date.now()
      starts.push(now)
      if (starts.filter((at) => now - at < 60_000).length > MOST_STARTS)
        throw new Error(`${name} does not stay up: see its log in the state folder`)
      running = await start()
      say(`${name} is up again, after ${((Date.now() - now) / 1000).toFixed(1)} s`)
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

/** Waits until something is wrong with it, and says what. */
async function trouble({ ended, isAnswering }) {
  let isOver = false
  const over = ended.then(() => (isOver = true))
  for (let misses = 0; misses < MISSES; ) {
    await Promise.race([over, pause(EVERY)])
    if (isOver) return 'has ended'
    const answered = await Promise.race([isAnswering(), over.then(() => true), pause(PATIENCE, false)])
    misses = answered ? 0 : misses + 1
  }
  return 'does not answer'
}
