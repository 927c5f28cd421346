import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'

const STARTS_WITHIN = 60_000

/**
 * Starts a built server and waits until it answers with its database.
 *
 * @returns the address, `stop` and `kill`, and a promise of its end
 */
export async function startServer({ build, databaseUrl, host = '127.0.0.1', port, seedDemo = false, quiet = false }) {
  const child = spawn(process.execPath, [join(build, 'server', 'index.mjs')], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NUXT_DATABASE_URL: databaseUrl,
      NUXT_SEED_DEMO: String(seedDemo),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      HOST: host,
      PORT: String(port),
    },
    stdio: ['ignore', 'ignore', quiet ? 'ignore' : 'inherit'],
    detached: true,
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const shown = host === '0.0.0.0' || host === '::' ? 'localhost' : host === '127.0.0.1' ? 'localhost' : host
  const address = `http://${shown}:${port}`
  await untilHealthy(`http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/api/health`, child)
  const signal = (name) => async () => {
    child.kill(name)
    await ended
  }
  return { address, ended, pid: child.pid, stop: signal('SIGTERM'), kill: signal('SIGKILL') }
}

async function untilHealthy(url, child) {
  const until = Date.now() + STARTS_WITHIN
  while (Date.now() < until) {
    if (child.exitCode !== null) throw new Error('the server stopped at once')
    try {
      const answer = await fetch(url)
      if (answer.ok) return
    } catch {
      // Not listening yet.
    }
    await pause(50)
  }
  throw new Error('the server does not answer')
}
