import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { applyCommands } from '../core/edit/apply'
import type { Command } from '../core/edit/commands'
import type { Job } from '../core/document/job'
import { demoJobs } from '../data/demo/jobs'
import { connect, migrate } from '../database/connect'
import { makeFirstLead } from '../server/people/accounts'
import { firstLeadCode } from '../server/people/codes'
import { startSignIn } from '../server/people/signIns'
import type { AppliedAnswer, CreatedJob, HistoryPage, JobAnswer } from '../shared/contract'
import { ensureBuild } from './lib/build.mjs'
import { ensureCluster, loopback, namespaces, startCluster } from './lib/cluster.mjs'
import { freePort } from './lib/database.mjs'
import { dice } from './lib/dice'
import { state } from './lib/paths.mjs'
import { startProxy } from './lib/proxy.mjs'
import { say } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'

/*
 * npm run cluster [-- ROUNDS [SECONDS]]: three servers behind a proxy, on a cluster of three nodes. In every round fifty
 * people edit while a server and a node are killed and another node is cut off from the network, where this account may
 * do that. What was acknowledged is there afterwards, once, on every node; the history replays to the document.
 */

const ROUNDS = Number(process.argv[2] ?? 20)
const SECONDS = Number(process.argv[3] ?? 120)
const EDITORS = 50
const JOBS = 10
const DOWN_FOR = 4_000
const CUT_FOR = 8_000
const COOKIE = '__Host-vindex'
const folder = join(state, `cluster-${process.pid}`)
const roll = dice(ROUNDS)

await ensureCluster()
const build = await ensureBuild()
const nets = networksOf()
const cluster = await startCluster(join(folder, 'nodes'), nets?.networks ?? loopback(3))
say(`three nodes${nets ? ', each in a network of its own' : ''}`)

function networksOf() {
  try {
    return namespaces(3)
  } catch (error) {
    say(`no networks of their own: ${(error as Error).message}`)
    return undefined
  }
}

/** A server's own node first, then the others. */
function databaseOf(i: number): string {
  const order = [0, 1, 2].map((by) => cluster.nodes[(i + by) % 3]!)
  return `mysql://vindex:${order[0]!.password}@${order.map(({ host }) => host).join(',')}/vindex`
}
const ports = await Promise.all([0, 1, 2].map(() => freePort()))
const start = (i: number) =>
  startServer({
    build,
    databaseUrl: databaseOf(i),
    port: ports[i]!,
    quiet: true,
    settings: { NUXT_CLUSTER: 'true', NUXT_BEHIND_PROXY: 'true', NUXT_REQUESTS_IN_TEN_SECONDS: '0' },
  })
const cookie = await makeAccount()
// Together, as they would after a power cut: one of them brings the tables up.
const servers = await Promise.all([0, 1, 2].map(start))
const proxy = await startProxy(join(folder, 'proxy'), ports)
const address = `http://localhost:${proxy.port}`

async function makeAccount(): Promise<string> {
  const database = connect(databaseOf(0), { isCluster: true })
  try {
    await migrate(database, { isCluster: true })
    const now = new Date()
    const who = { name: 'Wren', signInName: 'wren', password: 'oak gravel tuesday lantern', workspace: 'Halm Fencing' }
    const code = (await firstLeadCode(database, now))!
    const lead = await makeFirstLead(database, { ...who, code }, { address: 'here', now })
    return `${COOKIE}=${await startSignIn(database, { person: lead.id, device: 'cluster', now })}`
  } finally {
    await database.destroy()
  }
}

interface Answered<T> {
  status: number
  said: T
}
/** @returns undefined where no answer came, or one of a server that is just dying */
async function ask<T>(path: string, how: RequestInit = {}): Promise<Answered<T> | undefined> {
  try {
    const answer = await fetch(address + path, {
      ...how,
      headers: { cookie, 'content-type': 'application/json' },
      signal: AbortSignal.timeout(30_000),
    })
    return answer.status >= 500 ? undefined : { status: answer.status, said: (await answer.json()) as T }
  } catch {
    return undefined
  }
}
async function insist<T>(path: string, how?: RequestInit): Promise<Answered<T>> {
  for (;;) {
    const answer = await ask<T>(path, how)
    if (answer) return answer
    await pause(50)
  }
}
const post = (body: unknown): RequestInit => ({ method: 'POST', body: JSON.stringify(body) })

interface Work {
  job: string
  acknowledged: Map<string, number>
}
let over = false
/** When the last answer came, and the longest that nobody got one, ms. */
let lastAnswer = 0
let longestGap = 0
const took: number[] = []
function answered(began: number): void {
  const now = Date.now()
  took.push(now - began)
  longestGap = Math.max(longestGap, now - lastAnswer)
  lastAnswer = now
}

/** One person: an edit after the other, each insisted on; where others were faster, again on what they wrote. */
async function edit(work: Work, editor: number): Promise<void> {
  let { version } = (await insist<JobAnswer>(`/api/jobs/${work.job}`)).said
  for (let i = 0; !over; i++) {
    const commands = [
      { name: 'setPost', line: 'B', post: `B${1 + ((editor + i) % 20)}`, key: 'ageYears', value: i % 60 },
    ] as Command[]
    const id = randomUUID()
    const began = Date.now()
    for (;;) {
      const { status, said } = await insist<AppliedAnswer>(
        `/api/jobs/${work.job}/commands`,
        post({ id, version, commands }),
      )
      if (status !== 200 && status !== 409) throw new Error(`an edit was answered ${status}: ${JSON.stringify(said)}`)
      version = said.version
      if (status === 409) continue
      if (said.batch !== id) throw new Error('an answer to another edit')
      work.acknowledged.set(id, said.at)
      answered(began)
      break
    }
    await pause(roll(200))
  }
}

/** A server and a node die, and come back; a third is cut off meanwhile, and mended. @returns ms until all are whole */
async function trouble(): Promise<number> {
  const [server, node, cut] = [roll(3), roll(3), roll(3)]
  const began = Date.now()
  await Promise.all([servers[server]!.kill(), cluster.nodes[node]!.kill()])
  await pause(DOWN_FOR)
  const back = Date.now()
  await Promise.all([cluster.nodes[node]!.start(), start(server).then((started) => void (servers[server] = started))])
  const recovered = Date.now() - back
  if (nets) {
    nets.cut(cut)
    await pause(CUT_FOR)
    nets.mend(cut)
    for (const until = Date.now() + 60_000; Date.now() < until && !(await cluster.nodes[cut]!.isSynced()); )
      await pause(100)
  }
  say(
    `  server ${server}, node ${node} killed${nets ? `, node ${cut} cut off` : ''}; whole after ${Date.now() - began} ms`,
  )
  return recovered
}

/** @returns what is wrong with a job, of which that was acknowledged */
async function check({ job, acknowledged }: Work): Promise<string[]> {
  const lost: string[] = []
  const { said: stored } = await insist<JobAnswer>(`/api/jobs/${job}`)
  const history: HistoryPage['entries'] = []
  for (let after: number | undefined = 0; after !== undefined; ) {
    const { said }: Answered<HistoryPage> = await insist<HistoryPage>(`/api/jobs/${job}/history?after=${after}`)
    history.push(...said.entries)
    after = said.next
  }
  const at = new Map(history.map((entry) => [entry.batchId, entry.version]))
  if (at.size !== history.length) lost.push(`${job}: an edit is there twice`)
  for (const [id, version] of acknowledged) if (at.get(id) !== version) lost.push(`${job}: edit ${id}`)
  const from = { ...demo, name: stored.job.name }
  const replayed = history.reduce((so: Job, { commands }) => applyCommands(so, commands), from)
  if (JSON.stringify(replayed) !== JSON.stringify(stored.job)) lost.push(`${job}: the history is another job`)
  const counts = await Promise.all(
    cluster.nodes.map(async (node: { query: (statement: string) => Promise<unknown> }) => {
      const [row] = (await node.query(
        `select count(*) as count from vindex.job_history where job_id = '${job}'`,
      )) as unknown as { count: number }[]
      return Number(row!.count)
    }),
  )
  if (new Set(counts).size !== 1) lost.push(`${job}: the nodes have ${counts.join(', ')} edits`)
  return lost
}

const demo = demoJobs().at(-1)!
const percentile = (all: readonly number[], share: number) =>
  all.toSorted((a, b) => a - b)[Math.min(all.length - 1, Math.floor(share * all.length))] ?? 0
let failed = 0
try {
  const recoveries: number[] = []
  const gaps: number[] = []
  let edits = 0
  for (let round = 1; round <= ROUNDS; round++) {
    const works: Work[] = []
    for (let i = 0; i < JOBS; i++) {
      const { said } = await insist<CreatedJob>('/api/jobs/import', post({ ...demo, name: `Round ${round}, job ${i}` }))
      works.push({ job: said.id, acknowledged: new Map() })
    }
    over = false
    longestGap = 0
    lastAnswer = Date.now()
    const working = Array.from({ length: EDITORS }, (_, i) => edit(works[i % JOBS]!, i))
    const ends = Date.now() + SECONDS * 1e3
    await pause(SECONDS * 100)
    recoveries.push(await trouble())
    await pause(Math.max(0, ends - Date.now()))
    over = true
    await Promise.all(working)
    const lost = (await Promise.all(works.map(check))).flat()
    const count = works.reduce((sum, { acknowledged }) => sum + acknowledged.size, 0)
    edits += count
    gaps.push(longestGap)
    say(
      `round ${round}: ${count} edits acknowledged, ${lost.length} lost or doubled, nobody was answered for ${longestGap} ms at most`,
    )
    for (const each of lost.slice(0, 5)) say(`  ${each}`)
    failed += lost.length
  }
  say(`${edits} edits in ${ROUNDS} rounds: ${failed} lost or applied twice`)
  say(`an edit took ${percentile(took, 0.5)} ms in the middle, ${percentile(took, 0.99)} ms in 99 of 100`)
  say(`a killed server and node were back in ${percentile(recoveries, 0.5)} ms, at most ${Math.max(...recoveries)} ms`)
  say(`nobody was answered for ${percentile(gaps, 0.5)} ms, at most ${Math.max(...gaps)} ms`)
} finally {
  await proxy.stop()
  await Promise.allSettled(servers.map((server) => server.kill()))
  await cluster.stop()
  nets?.remove()
}
process.exit(failed > 0 ? 1 : 0)
