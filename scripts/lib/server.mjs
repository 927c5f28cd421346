import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { photographs } from './paths.mjs'

/** A machine with much else to do takes minutes, ms. */
const STARTS_WITHIN = 180_000
const ENDS_WITHIN = 10_000

/**
 * Starts a built server and waits until it answers with its database.
 *
 * `settings` are more of the environment, such as NUXT_REQUESTS_IN_TEN_SECONDS. Gives its address, pid, `ended`,
 * `isAnswering`, `stop` and `kill`.
 */
export async function startServer({
  build,
  databaseUrl,
  host = '127.0.0.1',
  port,
  seedDemo = false,
  quiet = false,
  settings = {},
}) {
  const child = spawn(process.execPath, [join(build, 'server', 'index.mjs')], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NUXT_DATABASE_URL: databaseUrl,
      NUXT_PHOTOGRAPHS: photographs,
      NUXT_SEED_DEMO: String(seedDemo),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      HOST: host,
      PORT: String(port),
      VINDEX_STARTED: 'yes',
      ...settings,
    },
    // Over the channel it knows when this program is gone.
    stdio: ['ignore', 'ignore', quiet ? 'ignore' : 'inherit', 'ipc'],
    detached: true,
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const open = host === '0.0.0.0' || host === '::'
  const shown = open || host === '127.0.0.1' ? 'localhost' : host
  const inside = `http://${open ? '127.0.0.1' : host}:${port}`
  const kill = async () => {
    child.kill('SIGKILL')
    await ended
  }
  try {
    await untilHealthy(`${inside}/api/health`, child)
  } catch (error) {
    await kill()
    throw error
  }
  return {
    address: `http://${shown}:${port}`,
    ended,
    pid: child.pid,
    // Whether it turns at all; its database is watched by itself.
    isAnswering: () => fetch(`${inside}/icon.svg`, { signal: AbortSignal.timeout(2_000) }).then(Boolean, () => false),
    async stop() {
      child.kill('SIGTERM')
      const isOver = await Promise.race([ended.then(() => true), pause(ENDS_WITHIN, false, { ref: false })])
      if (!isOver) child.kill('SIGKILL')
      await ended
    },
    kill,
  }
}

async function untilHealthy(url, child) {
  const until = Date.now() + STARTS_WITHIN
  while (Date.now() < until) {
    if (child.exitCode !== null || child.signalCode !== null) throw new Error('the server stopped at once')
    try {
      const answer = await fetch(url, { signal: AbortSignal.timeout(5_000) })
      if (answer.ok) return
    } catch {
      // Not listening yet.
    }
    await pause(50)
  }
  throw new Error('the server does not answer')
}
