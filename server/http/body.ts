import { getRequestHeader, type H3Event } from 'h3'
import { InputError } from '../../core/errors'
import { LARGEST } from '../../core/limits'
import { NotJson, TooLarge } from './failures'

/** A larger body is drained up to here so that the sender hears the answer. */
const DRAIN_LIMIT = 100e6

/**
 * JSON body of a request.
 *
 * Only `application/json` is read: a page of another origin cannot send that without being asked.
 *
 * @throws TooLarge, NotJson
 */
export async function readJson(event: H3Event): Promise<unknown> {
  const text = (await readBytes(event, LARGEST.document, 'a job file of 2000 posts has about 1 MB')).toString('utf8')
  if (!typeOf(event).startsWith('application/json')) throw new NotJson('Send application/json.')
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

/** @throws InputError when it could not have come from a device */
export function pictureIdentity(id: string | undefined): string {
  if (id === undefined || !/^[\w-]{8,64}$/.test(id))
    throw new InputError('photograph', id, 'an identity of 8 to 64 letters')
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
