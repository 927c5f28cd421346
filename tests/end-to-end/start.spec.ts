import { spawn, type ChildProcess } from 'node:child_process'
import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync } from 'node:fs'
import { once } from 'node:events'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { expect, test } from './test'
import { freePort } from '../../scripts/lib/database.mjs'
import { root } from '../../scripts/lib/paths.mjs'
import { withoutTestClock } from '../../scripts/lib/testClock.mjs'

/* The start command as somebody uses it, in a state folder of its own that shares the build alone. */

test.describe.configure({ mode: 'serial' })
test.setTimeout(120_000)

const places: string[] = []
function newPlace(): string {
  const place = mkdtempSync(join(tmpdir(), 'vindex-start-'))
  places.push(place)
  // The database runs as somebody else, who has to get there.
  chmodSync(place, 0o755)
  symlinkSync(dirname(process.env.VINDEX_BUILD!), join(place, 'build'))
  return place
}
test.afterAll(() => {
  for (const place of places) {
    for (const pid of processesOf(place)) process.kill(pid, 'SIGKILL')
    rmSync(place, { recursive: true, force: true })
  }
})

/** Processes whose command names the place: its server runs from a build, so by its own settings too. */
function processesOf(place: string): number[] {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name) && Number(name) !== process.pid)
    .filter((name) => {
      try {
        return [`/proc/${name}/cmdline`, `/proc/${name}/environ`].some((file) =>
          readFileSync(file, 'utf8').includes(place),
        )
      } catch {
        return false
      }
    })
    .map(Number)
}

interface Started {
  child: ChildProcess
  said: () => string
  ended: Promise<number | null>
}
function start(place: string, settings: Record<string, string>): Started {
  const child = spawn(process.execPath, [join(root, 'scripts', 'start.mjs')], {
    env: { ...withoutTestClock(process.env), VINDEX_STATE: place, DATABASE_URL: '', ...settings },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let text = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part: Buffer) => (text += part.toString()))
  return { child, said: () => text, ended: new Promise((resolve) => child.once('exit', resolve)) }
}
/** Waits for words; one that ends without them fails at once, with all that it said. */
async function says(started: Started, words: RegExp | string, times = 1) {
  const isSaid = () => started.said().split(words).length - 1 >= times
  await expect.poll(() => isSaid() || started.child.exitCode !== null, { timeout: 60_000 }).toBe(true)
  expect(isSaid(), `${String(words)} in:\n${started.said()}`).toBe(true)
}

test('what cannot work is said in one sentence, at once', async () => {
  const taken = createServer().listen(0, '127.0.0.1')
  await once(taken, 'listening')
  const { port } = taken.address() as { port: number }
  const free = String(await freePort())
  const tried: [Record<string, string>, string][] = [
    [{ PORT: 'http' }, 'PORT is "http"; it must be a number from 1 to 65535'],
    [{ PORT: '70000' }, 'PORT is "70000"'],
    [{ PORT: String(port) }, `port ${port} is taken by another program: stop that one, or choose PORT=${port + 1}.`],
    [{ PORT: free, DATABASE_URL: 'vindex' }, 'DATABASE_URL is no address of a database, such as mysql://'],
    [{ PORT: free, DATABASE_URL: `mysql://a:b@127.0.0.1:${free}/vindex` }, `no database answers at 127.0.0.1:${free}`],
  ]
  for (const [settings, words] of tried) {
    const started = start(newPlace(), settings)
    expect(await started.ended, words).toBe(1)
    expect(started.said()).toContain(words)
  }
  taken.close()
})

test('a first start that is cut off leaves nothing in the way of the next', async () => {
  const place = newPlace()
  const port = String(await freePort())
  for (const after of [150, 600, 1_500]) {
    const started = start(place, { PORT: port })
    await new Promise((resolve) => setTimeout(resolve, after))
    started.child.kill('SIGKILL')
    await started.ended
  }
  const started = start(place, { PORT: port })
  await says(started, 'vindex: open http://localhost')
  started.child.kill('SIGINT')
  expect(await started.ended).toBe(0)
  expect(processesOf(place)).toEqual([])
})

test('two starts at once are one; what dies or freezes comes back; Ctrl-C leaves nothing behind', async ({
  request,
}) => {
  const place = newPlace()
  const port = String(await freePort())
  const [first, second] = [start(place, { PORT: port }), start(place, { PORT: port })]
  const winner = await Promise.race([first.ended.then(() => second), second.ended.then(() => first)])
  const other = winner === first ? second : first
  expect(await other.ended).toBe(0)
  expect(other.said()).toContain(`already running at http://localhost:${port}`)
  await says(winner, 'vindex: open http://localhost')

  const isHealthy = async () =>
    (await request.get(`http://localhost:${port}/api/health`, { timeout: 2_000 }).catch(() => undefined))?.ok()
  const pidOf = (file: string, key?: string) => {
    const text = readFileSync(join(place, file), 'utf8')
    return key ? (JSON.parse(text) as Record<string, number>)[key]! : Number(text)
  }
  for (const [signal, name, pid, words] of [
    ['SIGKILL', 'the database', () => pidOf('database/database.pid'), 'the database has ended: starting it again'],
    ['SIGKILL', 'the server', () => pidOf('running.json', 'server'), 'the server has ended: starting it again'],
    ['SIGSTOP', 'the server', () => pidOf('running.json', 'server'), 'the server does not answer: starting it again'],
    [
      'SIGSTOP',
      'the database',
      () => pidOf('database/database.pid'),
      'the database does not answer: starting it again',
    ],
  ] as const) {
    const before = winner.said().split(`${name} is up again`).length - 1
    process.kill(pid(), signal)
    await says(winner, words)
    await says(winner, `${name} is up again`, before + 1)
    await expect.poll(isHealthy, { timeout: 15_000 }).toBe(true)
  }

  winner.child.kill('SIGINT')
  expect(await winner.ended).toBe(0)
  expect(processesOf(place)).toEqual([])
})
