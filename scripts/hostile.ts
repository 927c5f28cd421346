import { readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { calculations } from '../core/calc/registry'
import { demoJobs } from '../data/demo/jobs'
import { ROUTES } from '../server/http/routes'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase, TEST_DATABASES } from './lib/database.mjs'
import { dice } from './lib/dice'
import { root, state } from './lib/paths.mjs'
import { say } from './lib/say.mjs'
import { recreate } from './lib/schemas.mjs'
import { startServer } from './lib/server.mjs'

/*
 * npm run hostile [COUNT] [SEED]: requests that nobody in good faith would send, over all routes. None may be answered
 * by a fault of the program, none may keep the others waiting, and the server's memory comes back.
 */

const COUNT = Number(process.argv[2] ?? 100_000)
const SEED = Number(process.argv[3] ?? 1)
const AT_ONCE = 16
const LONGEST_HOLD = 200
const LETTERS = [
  'a',
  '0',
  '.',
  '/',
  '%',
  '"',
  '<',
  '{',
  '\\',
  '\u0000',
  '½',
  '🙂',
  '\ud800',
  ' ',
  '=',
  '__proto__',
  'constructor',
]

const roll = dice(SEED)
const one = <T>(of: readonly T[]): T => of[roll(of.length)]!
const some = <T>(most: number, make: (i: number) => T): T[] => Array.from({ length: roll(most) }, (_, i) => make(i))
const words = (): string => some(12, () => one(LETTERS)).join('')

const demo = demoJobs()
/** Any value, as deep as it comes. */
function anything(depth = 0): unknown {
  switch (roll(depth > 5 ? 7 : 10)) {
    case 0:
      return null
    case 1:
      return roll(2) === 0
    case 2:
      return one([0, -1, 1e308, -1e308, 5e-324, 2 ** 53, NaN, 3.7])
    case 3:
    case 4:
      return words()
    case 5:
      return one(['constructor', '__proto__', 'toString', 'vindex-job', 'rot-ground', 'gravel', 'line'])
    case 6:
      return 'x'.repeat(roll(3_000))
    case 7:
      return some(6, () => anything(depth + 1))
    default:
      return Object.fromEntries(
        some(6, () => [one([...LETTERS, 'id', 'lines', 'posts', 'name', 'value']), anything(depth + 1)]),
      )
  }
}
/** Something right with one thing wrong in it. */
function spoilt(value: unknown, depth = 0): unknown {
  if (typeof value !== 'object' || value === null || roll(4 + depth) === 0) return anything()
  const keys = Object.keys(value)
  const key = one(keys.length > 0 ? keys : ['x'])
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<string, unknown>
  if (roll(8) === 0) Reflect.deleteProperty(copy, key)
  else copy[key] = spoilt((value as Record<string, unknown>)[key], depth + 1)
  return copy
}

function bodyOf(path: string): string | Buffer {
  if (roll(12) === 0)
    return one([
      '',
      '{',
      '[',
      '[['.repeat(5_000),
      '{"a":'.repeat(4_000),
      '1e999',
      '"',
      '\u0000',
      'null',
      `[${'0,'.repeat(30_000)}0]`,
    ])
  if (roll(12) === 0) return Buffer.from(some(400, () => roll(256)))
  const batch = {
    id: `hostile-${roll(1e9)}`,
    version: one([1, 2, 0, -1, 1e9]),
    commands: some(4, () => spoilt(COMMAND)),
  }
  const right = path.endsWith('commands')
    ? batch
    : path.includes('/calc/')
      ? CALC
      : path.endsWith('import')
        ? one(demo)
        : NEW
  return JSON.stringify(roll(3) === 0 ? anything() : spoilt(right))
}
const COMMAND = {
  name: 'setReading',
  line: 'B',
  post: 'B7',
  key: 'tap',
  value: 'dull',
  reading: { id: 'r-1', at: '2026-03-14T09:30:00Z' },
}
const CALC = {
  soil: 'gravel',
  segments: [{ top: 0, bottom: 0.9, width: 0.3 }],
  height: 0.94,
  length: 9.6,
  maxBay: 2.4,
  avoid: [{ at: 3, clear: 0.2 }],
}
const NEW = { name: 'Back fence', tape: '4 x 2.4', height: 1.8, units: 'metric' }

/** Few enough that some are given twice. */
const KEYS = ['after', 'before', 'search', 'needing', 'deleted', 'post', 'paper', 'units', 'place', 'hours', 'mood']

let jobs: string[] = []
/** An address with the methods that it takes. */
function pathOf(): { path: string; methods: readonly string[] } {
  const [pattern, taken] = one(ROUTES)
  const methods = Object.keys(taken)
  const path = pattern
    .replace(':id', () => (roll(3) === 0 ? encodeURIComponent(words().toWellFormed()) : one(jobs)))
    .replace(':photograph', () => one(['picture-1', 'x', encodeURIComponent('../../secret'), `p-${roll(1e6)}aaaa`]))
    .replace(':name', () => (roll(4) === 0 ? encodeURIComponent(words().toWellFormed()) : one(calculations).name))
    .replace(':token', () => one(['x', 'A'.repeat(22), encodeURIComponent(words().toWellFormed())]))
    .replace(/:(offer|person|device|passkey|post)\b/, () =>
      one(['x', 'offer-1-x', encodeURIComponent(words().toWellFormed())]),
    )
    .replace(':kind', () => one(['level', 'moisture', 'x']))
  const said = () => `${one(KEYS)}=${encodeURIComponent(words().toWellFormed())}`
  const query = roll(6) === 0 ? `?${[said(), ...(roll(3) === 0 ? [said(), said()] : [])].join('&')}` : ''
  return { path: roll(20) === 0 ? `/api/${encodeURIComponent(words().toWellFormed())}` : path + query, methods }
}

const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE + 2 })
/** Where in the program something went wrong: nobody outside is told. */
const TELLS_ALL = /\n\s+at |node_modules|\.mjs|select .* from |ER_[A-Z_]{4}/i

/** @returns the status, 0 where the server closed the door, and whether it told more than it should */
function ask(
  port: number,
  method: string,
  path: string,
  body?: string | Buffer,
  type = 'application/json',
): Promise<{ status: number; tells: boolean }> {
  return new Promise((resolve) => {
    const asked = request(
      { port, method, path, agent, headers: body === undefined ? {} : { 'content-type': type } },
      (answer) => {
        let said = ''
        answer.on('data', (part: Buffer) => (said.length < 4_000 && answer.statusCode! >= 400 ? (said += part) : ''))
        // A stream of readings is left after its head.
        if (answer.headers['content-type']?.startsWith('text/event-stream')) asked.destroy()
        answer.once('close', () => resolve({ status: answer.statusCode ?? 0, tells: TELLS_ALL.test(said) }))
      },
    )
    asked.once('error', () => resolve({ status: 0, tells: false }))
    asked.end(body)
  })
}

const memoryOf = (pid: number) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024

const build = await ensureBuild()
const database = await startDatabase(join(state, 'bench-database'), { names: TEST_DATABASES })
const url = database.url('vindex_test_hostile')
await recreate(url)
const port = await freePort()
const loopFile = join(state, 'hostile-loop')
const settings = {
  NUXT_REQUESTS_IN_TEN_SECONDS: '0',
  NODE_OPTIONS: `--import ${join(root, 'scripts', 'lib', 'loopDelay.mjs')}`,
  VINDEX_LOOP_FILE: loopFile,
}
const server = await startServer({ build, databaseUrl: url, port, seedDemo: true, settings })
const statuses = new Map<number, number>()
let worst = 0
let done = 0
try {
  const listed = (await (await fetch(`${server.address}/api/jobs`)).json()) as { jobs: { id: string }[] }
  jobs = listed.jobs.map(({ id }) => id)

  // From a thread of its own: what is made up here for the attack must not count as the server's waiting.
  const watch = new Worker(
    `import('node:worker_threads').then(async ({ parentPort, workerData }) => {
      for (;;) {
        const began = performance.now()
        await (await fetch(workerData)).text()
        parentPort.postMessage(performance.now() - began)
        await new Promise((resolve) => setTimeout(resolve, 20))
      }
    })`,
    { eval: true, workerData: `${server.address}/api/health` },
  )
  watch.on('message', (took: number) => (worst = Math.max(worst, took)))
  const faults: string[] = []
  const memory: number[] = []
  async function attack(): Promise<void> {
    while (done < COUNT) {
      done++
      if (done % Math.ceil(COUNT / 10) === 0) {
        memory.push(memoryOf(server.pid!))
        say(`${done} requests, ${memory.at(-1)!.toFixed(0)} MB, health at worst ${worst.toFixed(0)} ms`)
      }
      const { path, methods } = pathOf()
      const method = one(roll(6) === 0 ? ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD'] : methods)
      // Jobs stay there to be attacked.
      if (method === 'DELETE' && jobs.some((id) => path === `/api/jobs/${id}`)) continue
      const body = method === 'GET' || method === 'HEAD' ? undefined : bodyOf(path)
      const type = path.includes('/photographs/')
        ? one(['image/jpeg', 'image/png', 'text/html'])
        : one(['application/json', 'application/json', 'application/json', 'text/plain', ''])
      const { status, tells } = await ask(port, method, path, body, type)
      statuses.set(status, (statuses.get(status) ?? 0) + 1)
      if (status >= 500 || tells)
        faults.push(`${tells ? 'tells ' : ''}${status} ${method} ${path} ${String(body).slice(0, 300)}`)
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, attack))
  await watch.terminate()
  say(
    [...statuses]
      .sort(([a], [b]) => a - b)
      .map(([status, count]) => `${status || 'closed'}: ${count}`)
      .join(', '),
  )
  await server.stop()
  const held = Number(readFileSync(loopFile, 'utf8'))
  say(`the loop was held for ${held.toFixed(0)} ms at most, health answered within ${worst.toFixed(0)} ms`)
  say(`memory ${memory.map((mb) => mb.toFixed(0)).join(', ')} MB`)
  for (const fault of faults.slice(0, 10)) say(fault)
  const grows = memory.at(-1)! > 1.5 * memory[Math.floor(memory.length / 3)]!
  if (faults.length > 0 || held > LONGEST_HOLD || grows) process.exitCode = 1
} finally {
  agent.destroy()
  await server.stop()
  await database.stop()
}
