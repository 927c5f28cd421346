// Loaded into a server that is watched: how long its event loop was held at worst, written when it ends, ms.
import { writeFileSync } from 'node:fs'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { isMainThread } from 'node:worker_threads'

/** Its own start is not counted, ms. */
const STARTED = 2_000

if (isMainThread) {
  const delays = monitorEventLoopDelay({ resolution: 10 })
  setTimeout(() => delays.enable(), STARTED).unref()
  process.once('exit', () => writeFileSync(process.env.VINDEX_LOOP_FILE, String(delays.max / 1e6)))
}
