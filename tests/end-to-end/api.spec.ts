import { expect, test } from './test'
import { calculations } from '../../core/calc/registry'
import { demoJobs } from '../../data/demo/jobs'
import type { Job } from '../../core/document/job'
import type { ListPage } from '../../shared/contract'
import { importJob, open, trialJob } from './steps'

/* The routes as somebody else's program would use them. */

let counter = 0
const batch = (version: number, ...commands: object[]) => ({
  id: `routes-${process.pid}-${++counter}`,
  version,
  commands,
})
const reading = (value: unknown, id: string) => ({
  name: 'setReading',
  line: 'T',
  post: 'T3',
  key: 'probeAtGround',
  value,
  reading: { id, at: '2026-11-02T10:00:00Z', by: 'I. Aalder', instrument: 'eye' },
})

test('jobs: imported, listed, read, exported and their history told', async ({ request }) => {
  const job = trialJob('Routes')
  const id = await importJob(request, job)
  const { jobs: listed } = (await (await request.get('/api/jobs')).json()) as ListPage
  expect(listed.find((each) => each.id === id)!.name).toBe('Routes')
  expect(await (await request.get(`/api/jobs/${id}`)).json()).toMatchObject({ id, version: 1, job })

  const sent = await request.post(`/api/jobs/${id}/commands`, { data: batch(1, reading(0.02, 'first-reading')) })
  expect([sent.status(), (await sent.json()).version]).toEqual([200, 2])
  const exported = await request.get(`/api/jobs/${id}/export`)
  expect(exported.headers()['content-disposition']).toContain('routes.json')
  expect((await exported.json()).lines[0].posts[2].readings).toHaveLength(1)
  const { entries: history } = await (await request.get(`/api/jobs/${id}/history`)).json()
  expect(history).toHaveLength(1)
  expect(history[0]).toMatchObject({ version: 2, commands: [{ name: 'setReading', value: 0.02 }] })
})

test('a batch that is sent twice is applied once, a stale one is answered with both sides', async ({ request }) => {
  const id = await importJob(request, trialJob('Routes, twice'))
  const first = batch(1, reading(0.02, 'first-reading'))
  for (let i = 0; i < 2; i++)
    expect((await (await request.post(`/api/jobs/${id}/commands`, { data: first })).json()).version).toBe(2)
  const stale = await request.post(`/api/jobs/${id}/commands`, { data: batch(1, reading(0.03, 'second-reading')) })
  expect(stale.status()).toBe(409)
  expect(stale.headers()['content-type']).toContain('application/problem+json')
  expect(await stale.json()).toMatchObject({
    version: 2,
    mine: [{ value: 0.03 }],
    theirs: [{ value: 0.02 }],
  })
})

test.describe('bad requests are answered by key, value and range', () => {
  const bad: [string, string, object, number, object][] = [
    [
      'a reading out of range',
      'commands',
      batch(1, reading(3, 'deep-reading')),
      422,
      { key: 'probeAtGround', value: 3 },
    ],
    [
      'an unknown post',
      'commands',
      batch(1, { ...reading(0.01, 'nowhere'), post: 'Z9' }),
      422,
      { key: 'post', value: 'Z9' },
    ],
    ['an unknown command', 'commands', batch(1, { name: 'dropTable' }), 422, { key: 'commands[0].name' }],
    [
      'a post that is no post',
      'commands',
      batch(1, { name: 'putPost', line: 'T', post: 'T9', value: { id: 'T9' } }),
      422,
      { key: 'commands[0].value.station' },
    ],
    [
      'a post where one stands',
      'commands',
      batch(1, { name: 'putPost', line: 'T', post: 'T9', value: { id: 'T9', station: 4.8 } }),
      422,
      { value: 4.8 },
    ],
    [
      'the last line taken out',
      'commands',
      batch(1, { name: 'putLine', line: 'T', value: null }),
      422,
      { key: 'lines' },
    ],
    ['a list for a body', 'commands', [1, 2], 422, { key: expect.any(String) }],
  ]
  for (const [name, route, data, status, problem] of bad) {
    test(name, async ({ request }) => {
      const id = await importJob(request, trialJob(`Bad: ${name}`))
      const answer = await request.post(`/api/jobs/${id}/${route}`, { data })
      expect(answer.status()).toBe(status)
      expect(await answer.json()).toMatchObject({ status, detail: expect.any(String), ...problem })
      expect((await (await request.get(`/api/jobs/${id}`)).json()).version).toBe(1)
    })
  }

  test('nothing there', async ({ request }) => {
    for (const path of ['/api/jobs/nobody', '/api/jobs/nobody/history', '/api/jobs/nobody/photographs/picture-1'])
      expect((await request.get(path)).status(), path).toBe(404)
    expect((await request.get('/api/jobs/nobody/photographs/../../secret')).status()).toBe(404)
  })
})

test('what is no address, and a method that it does not take, are answered as such, never by the page', async ({
  request,
}) => {
  const tried: [string, string, number][] = [
    ['GET', '/api/nothing', 404],
    ['GET', '/api', 404],
    ['POST', '/api/jobs/x/history', 405],
    ['PUT', '/api/jobs', 405],
    ['DELETE', '/api/health', 405],
    ['PATCH', '/api/jobs/x', 405],
  ]
  for (const [method, path, status] of tried) {
    const answer = await request.fetch(path, { method })
    expect([answer.status(), answer.headers()['content-type']], path).toEqual([status, 'application/problem+json'])
    expect(answer.headers()['cache-control']).toBe('no-store')
    expect((await answer.json()).status).toBe(status)
  }
  expect((await request.fetch('/api/jobs', { method: 'PUT' })).headers().allow).toBe('GET, POST')
  const elsewhere = await request.get('/api/jobs', { headers: { host: 'evil.example' } })
  expect([elsewhere.status(), (await elsewhere.json()).type]).toEqual([421, 'host'])
})

test('what could keep the server busy is refused before it does', async ({ request }) => {
  const send = (data: string) =>
    request.post('/api/jobs/import', { data: Buffer.from(data), headers: { 'content-type': 'application/json' } })
  const head = '"format":"vindex-job","version":1,"name":"x"'
  const zeros = (count: number) => Array.from({ length: count }, () => '0').join(',')
  const line = (posts: string) => `{"id":"A","posts":[${posts}]}`
  const lines = Array.from({ length: 50 }, () => line(zeros(2_000))).join(',')
  const tried: [string, string][] = [
    [`{${head},"lines":[${lines}]}`, '100000 posts'],
    [`{${head},"lines":[${line(zeros(2_400_000))}]}`, ''],
    [`{${head},"lines":[{"id":"A","height":1e999,"posts":[{"id":"A1","station":0}]}]}`, 'finite'],
    [`{${head},"__proto__":{"a":1},"lines":[]}`, 'plain words'],
    [`{${head},"x":"\\ud800","lines":[]}`, 'whole letters'],
    [`${'['.repeat(1e6)}${']'.repeat(1e6)}`, 'parts within parts'],
  ]
  for (const [text, words] of tried) {
    const answer = await send(text)
    expect([413, 422], text.slice(0, 60)).toContain(answer.status())
    expect(((await answer.json()) as { detail: string }).detail).toContain(words)
  }
  const obstacles = Array.from({ length: 100 }, (_, i) => ({ at: 19.9 * i + 7, clear: 0.3 + (i % 3) / 10 }))
  const spaced = await request.post('/api/calc/spacing', { data: { length: 1_999, maxBay: 1.1, avoid: obstacles } })
  expect((await spaced.json()).stations.length).toBeGreaterThan(1_800)
})

test('long answers are compressed for who takes that', async ({ request }) => {
  const id = await importJob(request, { ...trialJob('Compressed'), 'x-note': 'x'.repeat(5_000) } as Job)
  const encodingOf = async (accepts: string) =>
    (await request.get(`/api/jobs/${id}`, { headers: { 'accept-encoding': accepts } })).headers()['content-encoding']
  expect([await encodingOf('gzip, br'), await encodingOf('identity')]).toEqual(['gzip', undefined])
  expect((await (await request.get(`/api/jobs/${id}`)).json()).job.name).toBe('Compressed')
})

test('a job is deleted, and comes back', async ({ request }) => {
  const id = await importJob(request, trialJob('Deleted and back'))
  expect(await (await request.delete(`/api/jobs/${id}`)).json()).toEqual({ id })
  expect((await request.get(`/api/jobs/${id}`)).status()).toBe(404)
  expect(await (await request.post(`/api/jobs/${id}/restore`)).json()).toEqual({ id })
  expect((await (await request.get(`/api/jobs/${id}`)).json()).version).toBe(1)
})

test('every calculation answers, and refuses what it does not know', async ({ request }) => {
  for (const { name } of calculations) {
    const refused = await request.post(`/api/calc/${name}`, { data: { nonsense: 1 } })
    expect(refused.status(), name).toBe(422)
    expect((await refused.json()).key, name).toBe('nonsense')
  }
  const post = { soil: 'gravel', segments: [{ top: 0, bottom: 0.9, width: 0.3 }], height: 0.94 }
  const { over, lean } = await (await request.post('/api/calc/post-in-ground', { data: post })).json()
  expect(Math.abs(over / 3379 - 1)).toBeLessThan(0.005)
  expect(Math.abs(lean / 2034 - 1)).toBeLessThan(0.005)
  expect((await request.post('/api/calc/fortune', { data: {} })).status()).toBe(422)
})

test('instruments stream, and say what they do not know', async ({ page, request }) => {
  await page.goto('/')
  const values = await page.evaluate(
    () =>
      new Promise<number[]>((resolve) => {
        const seen: number[] = []
        const source = new EventSource('/api/instruments/level?manner=steady&truth=0.05')
        source.onmessage = ({ data }) => {
          seen.push((JSON.parse(data as string) as { value: number }).value)
          if (seen.length < 4) return
          source.close()
          resolve(seen)
        }
      }),
  )
  for (const value of values) expect(Math.abs(value - 0.05)).toBeLessThan(0.001)
  for (const path of ['thermometer', 'level?manner=broken', 'level?truth=far'])
    expect((await request.get(`/api/instruments/${path}`)).status(), path).toBe(422)
})

test('an address or a body that makes no sense is refused, and is no fault of the server', async ({ request }) => {
  const token = 'A'.repeat(22)
  for (const name of ['%ff', '%E2%80%AE', '%00', '%c0%ae', 'x'.repeat(5_000)]) {
    for (const path of [`/api/offers/${token}/posts/${name}`, `/api/offers/${name}`, `/api/jobs/${name}`])
      expect((await request.get(path)).status(), path.slice(0, 80)).toBe(404)
    for (const path of [`/api/calc/${name}`, `/api/people/${name}`, `/api/invitations/${name}`])
      expect((await request.post(path, { data: {} })).status(), path.slice(0, 80)).toBeLessThan(500)
    for (const path of [`/api/self/passkeys/${name}`, `/api/self/devices/${name}`, `/api/people/invitations/${name}`])
      expect((await request.delete(path)).status(), path.slice(0, 80)).toBeLessThan(500)
  }
  for (const response of [{}, { id: {} }, { id: 'a' }, { id: 'a', response: {} }, { id: ['a'], response: {} }, 7, null])
    expect((await request.post('/api/session/passkey', { data: { response } })).status()).toBeLessThan(500)
})

test('the demo jobs are there, each with its own name', async ({ request }) => {
  for (const { name } of demoJobs()) {
    const found = await request.get(`/api/jobs?search=${encodeURIComponent(name)}`)
    expect(((await found.json()) as ListPage).jobs.map((job) => job.name)).toContain(name)
  }
})

test('a page lets in no script and no style that it has not made itself, and nothing that is not from here', async ({
  page,
  request,
}) => {
  const headers = (await request.get('/')).headers()
  const policy = Object.fromEntries(
    headers['content-security-policy']!.split(';').map((each) => {
      const [name, ...sources] = each.trim().split(' ')
      return [name!, sources] as const
    }),
  )
  expect(policy['default-src']).toEqual(["'self'"])
  expect(policy['frame-ancestors']).toEqual(["'none'"])
  expect(policy['form-action']).toEqual(["'self'"])
  for (const name of ['script-src', 'style-src'])
    expect(
      policy[name]!.filter((each) => !/^'(self|nonce-[\w+/=-]{20,}|wasm-unsafe-eval)'$/.test(each)),
      name,
    ).toEqual([])
  expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer' })
  expect((await request.get('/')).headers()['content-security-policy']).not.toBe(headers['content-security-policy'])
  // And every place is drawn under it.
  const refused: string[] = []
  page.on('console', (message) => void (/Content Security Policy/.test(message.text()) && refused.push(message.text())))
  await open(page, '/')
  const id = await importJob(request, trialJob('Under the policy'))
  for (const place of ['walk', 'look', 'cause', 'repair', 'hole', 'set-out', 'pour', 'day', 'load', 'record'])
    await open(page, `/jobs/${id}/${place}?post=T3`)
  await open(page, '/yard')
  expect(refused).toEqual([])
})
