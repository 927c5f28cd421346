import { randomUUID } from 'node:crypto'
import { fork } from 'node:child_process'
import { once } from 'node:events'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import mysql from 'mysql2/promise'
import type { Job } from '../core/document/job'
import { connect } from '../database/connect'
import { ensureBuild } from '../scripts/lib/build.mjs'
import { freePort, startDatabase, TEST_DATABASES } from '../scripts/lib/database.mjs'
import { root, state } from '../scripts/lib/paths.mjs'
import { say } from '../scripts/lib/say.mjs'
import { recreate } from '../scripts/lib/schemas.mjs'
import { startServer } from '../scripts/lib/server.mjs'
import { newAsker, type Asker } from './asker'
import { importJob } from '../server/jobs/service'
import { startSignIn } from '../server/people/signIns'
import { HOME } from '../server/workspace/workspace'

/*
 * npm run traffic: what one, two and three servers answer each second, beside the bare driver with the same statements
 * in the same minute, and whether a server's memory stays where it is. Everything runs on this one machine: the
 * programs that ask take their part of it too.
 */

const ASKERS = 16
/** As many as a server has to its database. */
const CONNECTIONS = 10
const ROUNDS = 4
const TURN = 1_500
const STEADY = Number(process.argv[2] ?? 100_000)

const folder = join(state, 'bench-database')
const database = await startDatabase(folder, { names: TEST_DATABASES })
const url = database.url('vindex_test_traffic')
const build = await ensureBuild()
await recreate(url)

const jobOf = (name: string): Job => ({
  format: 'vindex-job',
  version: 1,
  name,
  lines: [
    {
      id: 'A',
      length: 40,
      posts: Array.from({ length: 20 }, (_, i) => ({ id: `A${i + 1}`, station: i * 2, soil: 'firm-clay' })),
    },
  ],
})

/** What the database is asked while something is done, by its own log. */
async function statementsOf(work: () => Promise<unknown>): Promise<string[]> {
  const root = await mysql.createConnection({
    socketPath: join(folder, 'database.sock'),
    user: 'root',
    password: readFileSync(join(folder, 'root-password'), 'utf8'),
  })
  try {
    await root.query("set global log_output = 'TABLE'")
    await root.query('truncate table mysql.general_log')
    await root.query('set global general_log = 1')
    await work()
    await root.query('set global general_log = 0')
    const [rows] = await root.query(
      "select convert(argument using utf8mb4) as said from mysql.general_log where command_type = 'Query' and user_host like '%vindex%' order by event_time",
    )
    return (rows as { said: string }[]).map(({ said }) => said).filter((said) => !/^set |general_log/i.test(said))
  } finally {
    await root.end()
  }
}

interface Rate {
  done: number
  ms: number
  took: number[]
}
const newRate = (): Rate => ({ done: 0, ms: 0, took: [] })
/** Asks by so many at once for a while. */
async function during(rate: Rate, ms: number, many: number, ask: (asker: number) => Promise<void>): Promise<void> {
  const began = performance.now()
  await Promise.all(
    Array.from({ length: many }, async (_, asker) => {
      while (performance.now() - began < ms) {
        const from = performance.now()
        await ask(asker)
        rate.took.push(performance.now() - from)
        rate.done++
      }
    }),
  )
  rate.ms += performance.now() - began
}
const perSecond = ({ done, ms }: Rate) => done / (ms / 1e3)
const percentile = ({ took }: Rate, part: number) =>
  took.sort((a, b) => a - b)[Math.min(took.length - 1, Math.floor(took.length * part))]!

/** One edit of a job of its own. */
const COMMAND = { name: 'setPost', line: 'A', post: 'A1', key: 'ageYears', value: 1 }
interface Edited {
  id: string
  version: number
}
const editBody = ({ version }: Edited) =>
  JSON.stringify({ id: randomUUID(), version, commands: [{ ...COMMAND, value: version % 60 }] })

const servers: Awaited<ReturnType<typeof startServer>>[] = []
const settings = { NUXT_REQUESTS_IN_TEN_SECONDS: '0' }
const start = async () =>
  servers.push(await startServer({ build, databaseUrl: url, port: await freePort(), quiet: true, settings }))
const bare = await Promise.all(Array.from({ length: CONNECTIONS }, () => mysql.createConnection(url)))
const bareServer = fork(join(root, 'bench', 'bareServer.mjs'), {
  env: { ...process.env, BARE_URL: url, BARE_CONNECTIONS: String(CONNECTIONS) },
})
const [barePort] = (await once(bareServer, 'message')) as [number]
const home = connect(url)
try {
  await start()
  await home('person').insert({
    id: 'person-1',
    workspace: HOME,
    name: 'Robin',
    sign_in_name: 'robin',
    role: 'lead',
    made_at: new Date(),
  })
  const cookie = `__Host-vindex=${await startSignIn(home, { person: 'person-1', device: 'bench', now: new Date() })}`
  const workspace = { id: HOME, database: home }
  const newJobs = async (name: string) => {
    const made: Edited[] = []
    for (let i = 0; i < ASKERS; i++)
      made.push({ id: (await importJob(workspace, jobOf(`${name} ${i}`))).id, version: 1 })
    return made
  }
  /** Numbers that stand nowhere else in a statement. */
  const HIGH = 900_000_000
  const [read, edited, replayed] = [await newJobs('Read'), await newJobs('Edited'), await newJobs('Replayed')]
  for (const each of [...edited, ...replayed]) each.version = HIGH
  await home('job')
    .whereIn(
      'id',
      [...edited, ...replayed].map(({ id }) => id),
    )
    .update({ version: HIGH, kept_version: HIGH })
  let askers: Asker[] = []
  /** Each at a server of its own as far as there are any. */
  const connectAll = async () => {
    askers.forEach((each) => each.close())
    askers = await Promise.all(
      Array.from({ length: ASKERS }, (_, i) =>
        newAsker(Number(new URL(servers[i % servers.length]!.address).port), cookie),
      ),
    )
  }
  await connectAll()

  const edit = async (asker: number) => {
    const job = edited[asker]!
    const said = JSON.parse(await askers[asker]!.ask('POST', `/api/jobs/${job.id}/commands`, editBody(job))) as Edited
    job.version = said.version
  }
  const routes = [
    { name: 'the list of jobs', ask: async (asker: number) => void (await askers[asker]!.ask('GET', '/api/jobs')) },
    {
      name: 'a job of 20 posts',
      ask: async (asker: number) => void (await askers[asker]!.ask('GET', `/api/jobs/${read[asker]!.id}`)),
    },
    { name: 'an edit', ask: edit },
  ]

  /** The same statements, with the names of another job in an edit. */
  async function replayOf(index: number): Promise<(job: Edited) => string[]> {
    const { ask: doOnce } = routes[index]!
    await doOnce(0)
    const before = edited[0]!.version
    const batch = /'([0-9a-f]{8}-[0-9a-f-]{27})'/g
    const said = await statementsOf(() => doOnce(0))
    say(`${routes[index]!.name}: ${said.length} statements`)
    const asOf = (text: string, { id, version }: Edited) =>
      text
        .replaceAll(edited[0]!.id, id)
        .replace(batch, (all, found: string) => (found === id ? all : `'${randomUUID()}'`))
        .replace(new RegExp(`${before}|${before + 1}`, 'g'), (found) => String(version + Number(found) - before))
    return (job) => {
      if (index < 2) return said
      const of = said.map((each) => asOf(each, job))
      job.version++
      return of
    }
  }
  const replays = [await replayOf(0), await replayOf(1), await replayOf(2)]
  const bareAskers = await Promise.all(Array.from({ length: ASKERS }, () => newAsker(barePort, '')))
  /** The driver in this program, and the driver behind bare HTTP in one of its own. */
  const alone = (i: number) => async (asker: number) => {
    for (const each of replays[i]!(replayed[asker]!)) await bare[asker]!.query(each)
  }
  const behindHttp = (i: number) => async (asker: number) =>
    void (await bareAskers[asker]!.ask('POST', '/', JSON.stringify(replays[i]!(replayed[asker]!))))

  for (const many of [1, 2, 3]) {
    while (servers.length < many) await start()
    await connectAll()
    for (const [i, route] of routes.entries()) {
      const [ours, drivers, overHttp] = [newRate(), newRate(), newRate()]
      await during(newRate(), TURN, ASKERS, route.ask)
      // In turn: a disk or a machine that is slow for a while is slow for all.
      for (let round = 0; round < ROUNDS; round++) {
        await during(ours, TURN, ASKERS, route.ask)
        await during(drivers, TURN, CONNECTIONS, alone(i))
        await during(overHttp, TURN, ASKERS, behindHttp(i))
      }
      const [here, there, bareHttp] = [ours, drivers, overHttp].map(perSecond) as [number, number, number]
      say(
        `${many} server${many > 1 ? 's' : ''}, ${route.name}: ${here.toFixed(0)} a second, middle ${percentile(ours, 0.5).toFixed(1)} ms, ` +
          `99 of 100 within ${percentile(ours, 0.99).toFixed(1)} ms; the driver alone ${there.toFixed(0)}, ratio ${(here / there).toFixed(2)}; ` +
          `behind bare HTTP ${bareHttp.toFixed(0)}, ratio ${(here / bareHttp).toFixed(2)}`,
      )
    }
  }
  bareAskers.forEach((each) => each.close())

  const memory: number[] = []
  const { pid } = servers[0]!
  const memoryOf = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024
  while (servers.length > 1) await servers.pop()!.stop()
  await connectAll()
  let done = 0
  await Promise.all(
    Array.from({ length: ASKERS }, async (_, asker) => {
      while (done < STEADY) {
        done++
        if (done % Math.ceil(STEADY / 10) === 0) memory.push(memoryOf())
        await routes[done % 3]!.ask(asker)
      }
    }),
  )
  say(`${STEADY} requests, memory after each tenth: ${memory.map((mb) => mb.toFixed(0)).join(', ')} MB`)
  if (memory.at(-1)! > 1.3 * memory[2]!) process.exitCode = 1
} finally {
  for (const server of servers) await server.stop()
  for (const connection of bare) await connection.end()
  bareServer.disconnect()
  await home.destroy()
  await database.stop()
}
