// npm start: everything from a bare machine to an open address, kept up until Ctrl-C.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase } from './lib/database.mjs'
import { requireDatabase } from './lib/givenDatabase.mjs'
import { askHolder, takeName } from './lib/oneAtATime.mjs'
import { state } from './lib/paths.mjs'
import { commandOf } from './lib/processes.mjs'
import { say, step } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { DATABASE_PROGRAMS, ensurePackages, ensurePrograms } from './lib/setup.mjs'
import { supervise } from './lib/supervise.mjs'

const HOST = process.env.HOST || '127.0.0.1'
const NAME = 'vindex'
const running = join(state, 'running.json')

const opened = []
let address
let closing = false
async function close(code) {
  if (closing) return
  closing = true
  for (const part of opened.reverse()) await part.stop().catch((error) => say(error.message))
  rmSync(running, { force: true })
  process.exit(code)
}
process.on('SIGINT', () => close(0))
process.on('SIGTERM', () => close(0))

/** What is being started when Ctrl-C comes is stopped as soon as it is up. */
async function open(starting) {
  const part = await starting
  opened.push(part)
  if (!closing) return part
  await part.stop()
  return new Promise(() => {})
}

try {
  const port = portOf(process.env.PORT || '3000')
  await beTheOne()
  await stopLeftOverServer()
  await requireFree(port)
  const ownDatabase = !process.env.DATABASE_URL
  if (ownDatabase) await ensurePrograms(DATABASE_PROGRAMS)
  await ensurePackages()
  if (!ownDatabase) await requireDatabase(process.env.DATABASE_URL)
  mkdirSync(state, { recursive: true })
  const build = await ensureBuild()
  const database = ownDatabase ? await open(superviseDatabase()) : undefined
  const databaseUrl = database?.current().url(NAME) ?? process.env.DATABASE_URL
  if (ownDatabase) await requireDatabase(databaseUrl)
  const server = await open(superviseServer({ build, databaseUrl, host: HOST, port, seedDemo: true }))
  address = server.current().address
  say(`open ${address}`)
  say(
    HOST === '127.0.0.1'
      ? 'only this machine can reach it; HOST=0.0.0.0 opens it to your network'
      : `whoever can reach ${HOST} has to sign in; over plain http only this machine's own browser can: put TLS in front`,
  )
  say('Ctrl-C stops the server and its database')
  await Promise.race([server.failed, ...(database ? [database.failed] : [])])
} catch (error) {
  if (!closing) say(error.message)
  await close(1)
}

function superviseDatabase() {
  const folder = join(state, 'database')
  let port
  return supervise({
    name: 'the database',
    say,
    async start() {
      const database = await step('starting the database', () => startDatabase(folder, { port }))
      port = database.port
      return database
    },
  })
}

function superviseServer(options) {
  return supervise({
    name: 'the server',
    say,
    async start() {
      const server = await step('starting the server', () => startServer(options))
      writeFileSync(running, JSON.stringify({ server: server.pid, databaseUrl: options.databaseUrl }), { mode: 0o600 })
      return server
    },
  })
}

/** Another start command of this checkout is at work: it is waited for until it is up, or has gone. */
async function beTheOne() {
  for (let said = false; !(await takeName(() => ({ pid: process.pid, address }))); ) {
    const other = await askHolder()
    if (other?.address) {
      say(`already running at ${other.address}`)
      process.exit(0)
    }
    if (other && !said) say(`process ${other.pid} is just starting it: waiting …`)
    said = true
    await pause(300)
  }
}

/** A server whose start command was killed goes on alone and keeps the port. */
async function stopLeftOverServer() {
  const { server } = lastRun()
  const isOurs = () => server && commandOf(server).includes(state)
  if (!isOurs()) return
  process.kill(server, 'SIGKILL')
  for (const until = Date.now() + 5_000; isOurs() && Date.now() < until; ) await pause(20)
}

function portOf(text) {
  const port = Number(text)
  if (/^\d+$/.test(text) && port >= 1 && port <= 65_535) return port
  throw new Error(`PORT is "${text}"; it must be a number from 1 to 65535`)
}

/** Another port would be another place for what the devices keep: nobody is moved there unasked. */
async function requireFree(port) {
  try {
    await freePort(port, HOST)
  } catch ({ code }) {
    if (code === 'EACCES') throw new Error(`port ${port} is not for this user: choose one above 1023, PORT=3000`)
    if (code === 'EADDRNOTAVAIL') throw new Error(`HOST is "${HOST}", which is no address of this machine`)
    throw new Error(
      `port ${port} is taken by another program: stop that one, or choose PORT=${port + 1}. A browser keeps its unsent ` +
        'edits by address: what waits for this port is sent when it is open here again',
    )
  }
}

function lastRun() {
  try {
    return JSON.parse(readFileSync(running, 'utf8'))
  } catch {
    return {}
  }
}
