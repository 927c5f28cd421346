import { getQuery, getRequestHeader, getRouterParam, type H3Event } from 'h3'
import { InputError } from '../../core/errors'
import { LARGEST } from '../../core/limits'
import { NotFound, NotJson, TooLarge } from './failures'

/** A larger body is drained up to here so that the sender hears the answer. */
const DRAIN_LIMIT = 100e6

/**
 * JSON body of a request, as text.
 *
 * Only `application/json` is read: a page of another origin cannot send that without being asked.
 *
 * @throws TooLarge, NotJson
 */
export async function readText(event: H3Event): Promise<string> {
  const bytes = await readBytes(event, LARGEST.document, 'a job file of 2000 posts has about 1 MB')
  if (!typeOf(event).startsWith('application/json')) throw new NotJson('Send application/json.')
  return bytes.toString('utf8')
}

/** @throws NotJson */
export function parseText(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new NotJson(`This is no JSON: ${(error as Error).message}`)
  }
}

/**
 * Bytes of a photograph.
 *
 * @throws TooLarge, InputError
 */
export async function readPicture(event: H3Event): Promise<Buffer> {
  const bytes = await readBytes(event, LARGEST.photograph, 'take the photograph at a smaller size')
  const type = typeOf(event)
  if (!type.startsWith('image/')) throw new InputError('content-type', type, 'that of a picture, such as image/jpeg')
  return bytes
}

/**
 * Given by a device that asks for a new job: asked for again with the same key, it is made once.
 *
 * @throws InputError when it is no key
 */
export function madeBy(event: H3Event): { madeBy?: string } {
  const key = getRequestHeader(event, 'idempotency-key')
  if (key === undefined) return {}
  if (!IDENTITY.test(key)) throw new InputError('idempotency-key', key, IDENTITY_SAYS)
  return { madeBy: key }
}

const IDENTITY = /^[\w-]{8,64}$/
const IDENTITY_SAYS = 'an identity of 8 to 64 letters'

/**
 * The job that an address speaks of.
 *
 * @throws NotFound for what cannot be one
 */
export function jobIdentity(event: H3Event): string {
  const id = getRouterParam(event, 'id')
  if (id === undefined || !JOB_IDENTITY.test(id)) throw new NotFound('job', (id ?? '').slice(0, 40))
  return id
}
const JOB_IDENTITY = /^[\w-]{1,36}$/

/**
 * What stands in a customer's link.
 *
 * @throws NotFound for what cannot be one
 */
export function linkToken(event: H3Event): string {
  const token = getRouterParam(event, 'token')
  if (token === undefined || !TOKEN.test(token)) throw new NotFound('offer', (token ?? '').slice(0, 4))
  return token
}
const TOKEN = /^[\w-]{22}$/

/** Of a passkey, letters. */
const LONGEST_NAME = 1_000

/**
 * A name in an address, as it was before it was written into one.
 *
 * @param what it names, for the answer
 * @throws NotFound for what cannot be decoded, or is longer than any name
 */
export function nameInAddress(event: H3Event, parameter: string, what = parameter): string {
  const written = getRouterParam(event, parameter) ?? ''
  let name: string
  try {
    name = decodeURIComponent(written)
  } catch {
    throw new NotFound(what, written.slice(0, 40))
  }
  if (name === '' || name.length > LONGEST_NAME) throw new NotFound(what, name.slice(0, 40))
  return name
}

/** @throws NotFound for what cannot be one */
export function invitationToken(event: H3Event): string {
  const token = getRouterParam(event, 'token')
  if (token === undefined || !TOKEN.test(token)) throw new NotFound('invitation', (token ?? '').slice(0, 4))
  return token
}

/** @throws NotFound for what cannot be one */
export function deviceIdentity(event: H3Event): string {
  const id = getRouterParam(event, 'device')
  if (id === undefined || !JOB_IDENTITY.test(id)) throw new NotFound('device', (id ?? '').slice(0, 40))
  return id
}

/** Whether a device that is signed out was called lost or stolen. */
export const isSaidLost = (event: H3Event): boolean => getQuery(event).lost === 'yes'

/** @throws InputError when it could not have come from a device */
export function pictureIdentity(id: string | undefined): string {
  if (id === undefined || !IDENTITY.test(id)) throw new InputError('photograph', id, IDENTITY_SAYS)
  return id
}

const typeOf = (event: H3Event) => getRequestHeader(event, 'content-type') ?? ''

async function readBytes(event: H3Event, limit: number, hint: string): Promise<Buffer> {
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req) {
    size += (chunk as Buffer).length
    if (size <= limit) chunks.push(chunk as Buffer)
    if (size > DRAIN_LIMIT) break
  }
  if (size > limit) throw new TooLarge(limit, hint)
  return Buffer.concat(chunks)
}
