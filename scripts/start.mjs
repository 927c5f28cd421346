// npm start: everything from a bare machine to an open address.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase } from './lib/database.mjs'
import { state } from './lib/paths.mjs'
import { say, step } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { DATABASE_PROGRAMS, ensurePackages, ensurePrograms } from './lib/setup.mjs'

const HOST = process.env.HOST ?? '127.0.0.1'
const WANTED_PORT = Number(process.env.PORT ?? 3000)
const NAME = 'vindex'

const running = join(state, 'running.json')
const already = runningAlready()
stopLeftOverServer()
if (already) {
  say(`already running at ${already}`)
  process.exit(0)
}

const opened = []
let closing = false
async function close(code) {
  if (closing) return
  closing = true
  for (const part of opened.reverse()) await part.stop()
  rmSync(running, { force: true })
  process.exit(code)
}
process.on('SIGINT', () => close(0))
process.on('SIGTERM', () => close(0))

try {
  const ownDatabase = !process.env.DATABASE_URL
  if (ownDatabase) await ensurePrograms(DATABASE_PROGRAMS)
  await ensurePackages()
  const build = await ensureBuild()
  mkdirSync(state, { recursive: true })
  let databaseUrl = process.env.DATABASE_URL
  if (ownDatabase) {
    const database = await step('starting the database', () => startDatabase(join(state, 'database')))
    opened.push(database)
    database.create(NAME)
    databaseUrl = database.url(NAME)
  }
  const port = await freePort(WANTED_PORT, HOST).catch(() => freePort(0, HOST))
  const server = await step('starting the server', () =>
    startServer({ build, databaseUrl, host: HOST, port, seedDemo: true }),
  )
  opened.push(server)
  writeFileSync(running, JSON.stringify({ pid: process.pid, address: server.address, server: server.pid }))
  say(`open ${server.address}`)
  say(
    HOST === '127.0.0.1'
      ? 'only this machine can reach it; HOST=0.0.0.0 opens it to your network'
      : `anyone who can reach ${HOST} can read and change every job: there is no sign-in yet`,
  )
  say('Ctrl-C stops the server and its database')
  await server.ended
  await close(closing ? 0 : 1)
} catch (error) {
  say(error.message)
  await close(1)
}

/** @returns the address of a start command that is still at work on this checkout */
function runningAlready() {
  const { pid, address } = lastRun()
  return pid !== process.pid && commandOf(pid).includes('start.mjs') ? address : undefined
}

/** A server whose start command was killed goes on alone and keeps the port. */
function stopLeftOverServer() {
  const { server } = lastRun()
  if (!already && server && commandOf(server).includes(state)) process.kill(server, 'SIGKILL')
}

function lastRun() {
  try {
    return JSON.parse(readFileSync(running, 'utf8'))
  } catch {
    return {}
  }
}

function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8')
  } catch {
    return ''
  }
}
