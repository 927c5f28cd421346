import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, pictureAddress, Refusal } from './api'

/** The next answer of the server. */
const answers = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(JSON.stringify(body), { status })),
  )
const refusal = (asked: Promise<unknown>) =>
  asked.then(
    () => undefined,
    (error: Refusal) => error,
  )
afterEach(() => vi.unstubAllGlobals())

describe('asking the server', () => {
  it('sends what it is given to the place of the job, as JSON', async () => {
    answers(200, { version: 2, at: 2 })
    const batch = { id: 'a-batch-1', version: 1, commands: [] }
    expect(await api.sendEdits('a/b', batch)).toEqual({ version: 2, at: 2 })
    expect(fetch).toHaveBeenCalledWith('/api/jobs/a%2Fb/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(batch),
    })
    expect(pictureAddress('a', 'p 1')).toBe('/api/jobs/a/photographs/p%201')
  })

  it.each([
    [0, true],
    [500, true],
    [503, true],
    [422, false],
    [409, false],
    [499, false],
  ])('a refusal with %d passes: %j', (status, passing) => {
    expect(new Refusal(status, 'no').passing).toBe(passing)
  })

  it('says why it was refused, in the words of the server or of its own', async () => {
    answers(422, { detail: 'height is -1', key: 'height' })
    expect(await refusal(api.readJob('a'))).toMatchObject({
      status: 422,
      message: 'height is -1',
      body: { key: 'height' },
    })
    answers(404, {})
    expect(await refusal(api.listJobs())).toMatchObject({ status: 404, message: 'The server answered 404.' })
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => Promise.reject(new TypeError('failed to fetch'))),
    )
    expect(await refusal(api.listJobs())).toMatchObject({ status: 0, passing: true })
  })
})
