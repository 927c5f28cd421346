import { join } from 'node:path'
import mysql from 'mysql2/promise'
import { expect, test, type APIRequestContext } from './test'
import { freePort, startDatabase } from '../../scripts/lib/database.mjs'
import { state } from '../../scripts/lib/paths.mjs'
import { recreate } from '../../scripts/lib/schemas.mjs'
import { startServer } from '../../scripts/lib/server.mjs'
import { importJob, trialJob } from './steps'

/* A server and a database of these tests' own: one that is asked too much, one whose database goes. */

test.describe.configure({ mode: 'serial' })
test.setTimeout(120_000)
type Running = { database: Awaited<ReturnType<typeof startDatabase>>; server: Awaited<ReturnType<typeof startServer>> }
let running: Running
let request: APIRequestContext
const MOST = 200

test.beforeAll(async ({ playwright }) => {
  const database = await startDatabase(join(state, `limits-${process.pid}`))
  await recreate(database.url('vindex'))
  const server = await startServer({
    build: process.env.VINDEX_BUILD!,
    databaseUrl: database.url('vindex'),
    port: await freePort(),
    settings: { NUXT_REQUESTS_IN_TEN_SECONDS: String(MOST) },
  })
  running = { database, server }
  request = await playwright.request.newContext({ baseURL: server.address })
})
test.afterAll(async () => {
  await request.dispose()
  await running.server.stop()
  await running.database.stop()
})

test('everybody else is answered while large jobs are read', async () => {
  const posts = Array.from({ length: 2_000 }, (_, i) => ({ id: `A${i}`, station: i, soil: 'firm-clay' }))
  const data = { ...trialJob('Large'), lines: [{ id: 'A', length: 2_000, posts }] }
  let isDone = false
  const imports = Promise.all(Array.from({ length: 4 }, () => request.post('/api/jobs/import', { data }))).finally(
    () => (isDone = true),
  )
  let meanwhile = 0
  while (!isDone && meanwhile < MOST / 2) {
    expect((await request.get('/api/health')).status()).toBe(200)
    meanwhile++
  }
  for (const answer of await imports) expect(answer.status()).toBe(201)
  expect(meanwhile).toBeGreaterThan(10)
})

test('a database that goes in the middle of a write is said as such, and nothing is half done', async () => {
  const id = await importJob(request, trialJob('Gone in the middle'))
  const holder = await mysql.createConnection(running.database.url('vindex'))
  holder.on('error', () => {})
  await holder.beginTransaction()
  await holder.query('select id from job where id = ? for update', [id])
  const data = {
    id: 'batch-in-the-middle',
    version: 1,
    commands: [{ name: 'setPost', line: 'T', post: 'T1', key: 'ageYears', value: 3 }],
  }
  const sent = request.post(`/api/jobs/${id}/commands`, { data })
  const other = await mysql.createConnection(running.database.url('vindex'))
  other.on('error', () => {})
  const waits =
    "select count(*) as waiting from information_schema.processlist where info like '%update job set version%' and id <> connection_id()"
  await expect.poll(async () => ((await other.query(waits))[0] as { waiting: number }[])[0]!.waiting).toBe(1)
  await running.database.kill()
  const answer = await sent
  expect([answer.status(), (await answer.json()).type]).toEqual([503, 'database-away'])
  expect((await request.get(`/api/jobs/${id}`)).status()).toBe(503)

  running.database = await startDatabase(join(state, `limits-${process.pid}`))
  // On another port than before, as may be: this server is started anew.
  await running.server.stop()
  running.server = await startServer({
    build: process.env.VINDEX_BUILD!,
    databaseUrl: running.database.url('vindex'),
    port: Number(new URL(running.server.address).port),
    settings: { NUXT_REQUESTS_IN_TEN_SECONDS: String(MOST) },
  })
  expect((await (await request.get(`/api/jobs/${id}`)).json()).version).toBe(1)
  expect(await (await request.post(`/api/jobs/${id}/commands`, { data })).json()).toMatchObject({ version: 2, at: 2 })
})

test('who asks without end is told when to come again', async () => {
  const { address } = running.server
  const answers = await Promise.all(Array.from({ length: MOST + 20 }, () => fetch(`${address}/api/health`)))
  const refused = answers.filter(({ status }) => status === 429)
  expect(refused.length).toBeGreaterThanOrEqual(20)
  expect(Number(refused[0]!.headers.get('retry-after'))).toBeGreaterThan(0)
  expect(await refused[0]!.json()).toMatchObject({ status: 429, type: 'too-much' })
  // The page itself is not counted.
  expect((await fetch(address)).status).toBe(200)
})
