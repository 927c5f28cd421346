import { Readable } from 'node:stream'
import type { H3Event } from 'h3'
import { describe, expect, it } from 'vitest'
import { InputError } from '../../core/errors'
import { problemOf } from '../../server/http/answering'
import { LARGEST } from '../../core/limits'
import { madeBy, parseText, pictureIdentity, readPicture, readText } from '../../server/http/body'
import {
  Busy,
  NoTime,
  NotFound,
  NotJson,
  StaleVersion,
  Taken,
  TooLarge,
  TooLong,
  TooMuch,
  WrongMethod,
} from '../../server/http/failures'
import { faultOf } from '../../server/http/log'

/** A request with this body, as far as reading it goes. */
function request(body: Buffer | string, type: string): H3Event {
  const req = Object.assign(Readable.from([Buffer.from(body)]), { headers: { 'content-type': type } })
  return { node: { req } } as unknown as H3Event
}
const json = async (body: Buffer | string, type = 'application/json') => parseText(await readText(request(body, type)))

describe('bodies', () => {
  it('are read as JSON', async () => {
    expect(await json('{"name":"Bank side ½"}', 'application/json; charset=utf-8')).toEqual({ name: 'Bank side ½' })
  })
  it('are refused when they are none, or come as something else', async () => {
    await expect(json('{"name":')).rejects.toThrow(/^This is no JSON: /)
    await expect(json('{}', 'text/plain')).rejects.toBeInstanceOf(NotJson)
    await expect(json('{}', '')).rejects.toThrow('Send application/json.')
  })
  it('are refused when they are too large, with the limit', async () => {
    await expect(json(Buffer.alloc(LARGEST.document + 1))).rejects.toThrow('larger than 5 MB; a job file of 2000 posts')
    await expect(readPicture(request(Buffer.alloc(LARGEST.photograph + 1), 'image/jpeg'))).rejects.toThrow(
      'larger than 16 MB; take the photograph at a smaller size',
    )
  })
  it('are pictures only when they say so', async () => {
    expect((await readPicture(request('picture', 'image/png'))).toString()).toBe('picture')
    await expect(readPicture(request('picture', 'text/html'))).rejects.toThrow('content-type is "text/html"')
  })
})

describe('identities of pictures', () => {
  it.each(['picture-1', '0123456789abcdef', 'A_b-C_d-E'])('%s', (id) => {
    expect(pictureIdentity(id)).toBe(id)
  })
  it.each([undefined, '', 'short', '../../secret', 'a'.repeat(65), 'with space here'])('not %j', (id) => {
    expect(() => pictureIdentity(id)).toThrow('an identity of 8 to 64 letters')
  })
})

describe('keys of new jobs', () => {
  const asked = (key?: string) =>
    madeBy({ node: { req: { headers: key === undefined ? {} : { 'idempotency-key': key } } } } as unknown as H3Event)
  it('are identities, or none', () => {
    expect([asked(), asked('0123456789')]).toEqual([{}, { madeBy: '0123456789' }])
    for (const bad of ['', 'short', 'with blank in it']) expect(() => asked(bad)).toThrow('idempotency-key is')
  })
})

describe('what is written down of a fault', () => {
  it('is where it happened, and nothing of what was sent', () => {
    const message = "insert into `job` (`document`) values ('secret of the garden') - Data too long"
    const fault = faultOf(Object.assign(new Error(message), { code: 'ER_DATA_TOO_LONG', sqlMessage: message }))
    expect(fault).toMatchObject({ fault: 'Error', code: 'ER_DATA_TOO_LONG' })
    expect(fault.at[0]).toMatch(/^at /)
    expect(JSON.stringify(fault)).not.toContain('secret')
    expect(faultOf(new TypeError('x is no function'))).toMatchObject({ fault: 'TypeError', says: 'x is no function' })
    expect(faultOf('only words')).toEqual({ fault: 'Error', at: [] })
  })
})

describe('problem documents', () => {
  it.each<[string, unknown, object]>([
    [
      'bad input',
      new InputError('depth', -1, 'a number from 0.2 to 4 m'),
      {
        status: 422,
        key: 'depth',
        value: -1,
        range: 'a number from 0.2 to 4 m',
        detail: expect.stringContaining('depth is -1'),
      },
    ],
    ['missing input', new InputError('depth', undefined, 'a number'), { status: 422, value: null }],
    ['a stale version', new StaleVersion(7, [], []), { status: 409, version: 7, mine: [], theirs: [] }],
    ['a name that is taken', new Taken('Another picture is there.'), { status: 409, type: 'taken' }],
    ['too many askings', new TooMuch('busy', 3), { status: 429, detail: 'busy' }],
    ['what wants too much memory', new TooLong(), { status: 413 }],
    ['what too many wait for', new Busy('The server is busy.'), { status: 503, type: 'busy' }],
    ['what there was no time for', new NoTime(), { status: 503, type: 'no-time' }],
    ['another method', new WrongMethod('PUT', ['GET']), { status: 405, detail: 'PUT is not for this address: GET.' }],
    ['nothing there', new NotFound('job', 'x'), { status: 404, detail: 'There is no job "x".' }],
    ['too large', new TooLarge(5e6, 'split it'), { status: 413 }],
    ['no JSON', new NotJson('This is no JSON'), { status: 400 }],
    ['a database that is away', Object.assign(new Error('gone'), { code: 'ECONNREFUSED' }), { status: 503 }],
    ['a connection that broke off', Object.assign(new Error('x'), { fatal: true }), { status: 503 }],
    ['two that wait for each other', Object.assign(new Error('x'), { code: 'ER_LOCK_DEADLOCK' }), { status: 503 }],
    ['a database that takes too long', Object.assign(new Error('slow'), { name: 'KnexTimeoutError' }), { status: 503 }],
    [
      'a fault of the program',
      new TypeError('secret of the house'),
      { status: 500, detail: expect.not.stringContaining('secret') },
    ],
  ])('%s', (_name, error, problem) => {
    expect(problemOf(error)).toMatchObject(problem)
  })
})
