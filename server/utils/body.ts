import { getRequestHeader, type H3Event } from 'h3'
import { NotJson, TooLarge } from './failures'

/** Largest body that is read, bytes. */
export const BODY_LIMIT = 5e6
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
  const type = getRequestHeader(event, 'content-type') ?? ''
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of event.node.req) {
    size += (chunk as Buffer).length
    if (size <= BODY_LIMIT) chunks.push(chunk as Buffer)
    if (size > DRAIN_LIMIT) break
  }
  if (size > BODY_LIMIT) throw new TooLarge(BODY_LIMIT)
  if (!type.startsWith('application/json')) throw new NotJson('Send application/json.')
  const text = Buffer.concat(chunks).toString('utf8')
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new NotJson(`This is no JSON: ${(error as Error).message}`)
  }
}
