import { createHash } from 'node:crypto'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { ACCOUNT } from '~~/shared/people'
import { accountHere } from './accountHere'
import { api, pictureAddress, Refusal } from './api'

/** The next answer of the server. */
const answers = (status: number, body: unknown, type = 'application/json') =>
  vi.stubGlobal(
    'fetch',
    vi.fn(
      async () =>
        new Response(typeof body === 'string' ? body : JSON.stringify(body), {
          status,
          headers: { 'content-type': type },
        }),
    ),
  )
const refusal = (asked: Promise<unknown>) =>
  asked.then(
    () => undefined,
    (error: Refusal) => error,
  )
afterEach(() => vi.unstubAllGlobals())

describe('asking the server', () => {
  it('sends what it is given to the place of the job, as JSON', async () => {
    answers(200, { batch: 'a-batch-1', version: 2, at: 2 })
    const batch = { id: 'a-batch-1', version: 1, commands: [] }
    expect(await api.sendEdits('a/b', batch)).toEqual({ batch: 'a-batch-1', version: 2, at: 2 })
    expect(fetch).toHaveBeenCalledWith('/api/jobs/a%2Fb/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(batch),
    })
    expect(pictureAddress('a', 'p 1')).toBe('/api/jobs/a/photographs/p%201')
  })

  it('names the account in whose name something was entered, to all but what speaks for itself', async () => {
    const named = async (ask: () => Promise<unknown>) => {
      answers(200, {})
      await ask().catch(() => undefined)
      const [[path, { headers }]] = vi.mocked(fetch).mock.calls as unknown as [[string, { headers?: object }]]
      return [path, Object.hasOwn(headers ?? {}, ACCOUNT)]
    }
    const asked = [() => api.readJob('a'), () => api.listOffers('a'), () => api.readByLink('token')]
    accountHere.value = { ...accountHere.value, id: '' }
    for (const ask of asked) expect((await named(ask))[1]).toBe(false)
    accountHere.value = { ...accountHere.value, id: 'anna' }
    const found = []
    for (const ask of asked) found.push(await named(ask))
    expect(found).toEqual([
      ['/api/jobs/a', true],
      ['/api/jobs/a/offers', true],
      ['/api/offers/token', false],
    ])
    accountHere.value = { ...accountHere.value, id: '' }
  })

  it.each([
    [0, true],
    [500, true],
    [503, true],
    [422, false],
    [409, false],
    [429, true],
    [499, false],
  ])('a refusal with %d passes: %j', (status, passing) => {
    expect(new Refusal(status, 'no').passing).toBe(passing)
  })

  it('says why it was refused, in the words of the server or of its own', async () => {
    answers(422, { status: 422, detail: 'height is -1', key: 'height' }, 'application/problem+json')
    expect(await refusal(api.readJob('a'))).toMatchObject({
      status: 422,
      message: 'height is -1',
      body: { key: 'height' },
    })
    answers(502, 'bad gateway', 'text/html')
    expect(await refusal(api.listJobs())).toMatchObject({ status: 502, message: 'The server answered 502.' })
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => Promise.reject(new TypeError('failed to fetch'))),
    )
    expect(await refusal(api.listJobs())).toMatchObject({ status: 0, passing: true })
  })

  const batch = { id: 'a-batch-1', version: 1, commands: [] }
  const picture = new Blob(['picture'], { type: 'image/jpeg' })
  const kept = { id: 'p-1', sentBytes: 7, mediaType: 'image/jpeg', pixelWidth: 1, pixelHeight: 1, checksum: '' }
  const sent = createHash('sha256').update('picture').digest('hex')
  it.each<[string, () => Promise<unknown>, number, unknown, string?]>([
    ['a sign-in page', () => api.sendEdits('a', batch), 200, '<html>Welcome</html>', 'text/html'],
    ['a sign-in page that calls itself data', () => api.sendEdits('a', batch), 200, '<html>Welcome</html>'],
    ['somebody else’s data', () => api.sendEdits('a', batch), 200, { ok: true }],
    ['an answer to another batch', () => api.sendEdits('a', batch), 200, { batch: 'other', version: 2, at: 2 }],
    ['a version that cannot be', () => api.sendEdits('a', batch), 200, { batch: 'a-batch-1', version: 1, at: 2 }],
    ['no version', () => api.sendEdits('a', batch), 200, { batch: 'a-batch-1' }],
    ['a list', () => api.sendEdits('a', batch), 200, []],
    ['nothing', () => api.sendEdits('a', batch), 200, 'null'],
    [
      'a proxy that lets nothing large through',
      () => api.sendPicture('a', 'p-1', picture),
      413,
      'too large',
      'text/html',
    ],
    ['another picture', () => api.sendPicture('a', 'p-1', picture), 201, { ...kept, id: 'p-2', sentChecksum: sent }],
    ['half a picture', () => api.sendPicture('a', 'p-1', picture), 201, { ...kept, sentBytes: 6, sentChecksum: sent }],
    ['a spoilt picture', () => api.sendPicture('a', 'p-1', picture), 201, { ...kept, sentChecksum: 'e3b0' }],
    ['another job', () => api.readJob('a'), 200, { id: 'b', version: 1, job: { lines: [] } }],
    ['no list', () => api.listJobs(), 200, { jobs: 'all' }],
    ['no job that was made', () => api.importJob('{}', 'k'), 201, { id: 7 }],
    ['a refusal that is not ours', () => api.sendEdits('a', batch), 403, { message: 'blocked' }],
  ])('does not take %s for its answer, and tries again', async (_name, asked, status, body, type) => {
    answers(status, body, type)
    expect(await refusal(asked())).toMatchObject({ status, isForeign: true, passing: true })
  })

  it('takes a picture for sent when its own sum comes back', async () => {
    answers(201, { ...kept, sentChecksum: sent })
    expect(await api.sendPicture('a', 'p-1', picture)).toMatchObject({ id: 'p-1' })
  })

  it('asks for a new job by a key of its own', async () => {
    answers(201, { id: 'a', version: 1 })
    await api.importJob('{}', 'once-only-1')
    expect(vi.mocked(fetch).mock.calls[0]![1]!.headers).toMatchObject({ 'idempotency-key': 'once-only-1' })
  })
})
