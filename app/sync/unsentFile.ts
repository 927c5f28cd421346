import { array, mixed, object, string } from 'yup'
import { InputError } from '~~/core/errors'
import { readBy } from '~~/core/schema/violations'
import type { Queue } from './queue'
import type { DeviceStorage, HeldWork, KeptPicture, Outgoing } from './storage'

/*
 * Unsent work as a file: from a device whose account cannot sign in any more to a lead, whose device sends it.
 */

export const UNSENT_FORMAT = 'vindex-unsent'

/** What stands in the file; pictures as base64. */
export interface UnsentFile {
  format: typeof UNSENT_FORMAT
  version: 1
  /** Who entered it. */
  name: string
  entries: Omit<Outgoing, 'order'>[]
  pictures: { id: string; jobId: string; type: string; base64: string }[]
}

/** The held work of an account as text for a file. */
export async function unsentFile(held: Pick<HeldWork, 'name' | 'outbox' | 'tray' | 'pictures'>): Promise<string> {
  const file: UnsentFile = {
    format: UNSENT_FORMAT,
    version: 1,
    name: held.name,
    entries: [...held.outbox, ...held.tray].map(({ id, kind, topic, body }) => ({ id, kind, topic, body })),
    pictures: await Promise.all(
      held.pictures.map(async ({ id, jobId, picture }) => ({
        id,
        jobId,
        type: picture.type,
        base64: await base64Of(picture),
      })),
    ),
  }
  return JSON.stringify(file, null, 2)
}

const identity = () => string().strict().required('an identity').max(100, 'at most 100 letters')
const SCHEMA = object({
  format: string().strict().oneOf([UNSENT_FORMAT], UNSENT_FORMAT).required(UNSENT_FORMAT),
  name: string().strict().default('').max(200, 'at most 200 letters'),
  entries: array(
    object({ id: identity(), kind: identity(), topic: identity(), body: mixed().required('what was entered') }),
  )
    .required('a list of entries')
    .max(10_000, 'at most 10 000 entries'),
  pictures: array(object({ id: identity(), jobId: identity(), type: identity(), base64: string().strict().required() }))
    .default([])
    .max(1_000, 'at most 1000 pictures'),
})

/**
 * Puts the entries of such a file into this device's queue, in their order.
 *
 * @returns who entered them, and how many entries there are
 * @throws InputError naming what is wrong; nothing is queued then
 */
export async function sendUnsentFile(
  data: unknown,
  storage: Pick<DeviceStorage, 'keep' | 'pictures'>,
  queue: Pick<Queue, 'put' | 'kinds'>,
): Promise<{ name: string; count: number }> {
  const { name, entries, pictures } = readBy<UnsentFile>(SCHEMA, data, 'file')
  entries.forEach(({ kind }, i) => {
    if (!queue.kinds.includes(kind))
      throw new InputError(`file.entries[${i}].kind`, kind, `one of ${queue.kinds.join(', ')}`)
  })
  const blobs: KeptPicture[] = pictures.map(({ id, jobId, type, base64 }) => ({
    id,
    jobId,
    picture: new Blob([bytesOf(base64)], { type }),
  }))
  await storage.keep(() => storage.pictures.bulkPut(blobs))
  for (const { id, kind, topic, body } of entries) await queue.put(kind, topic, body, id)
  return { name, count: entries.length }
}

async function base64Of(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  for (let at = 0; at < bytes.length; at += CHUNK) text += String.fromCharCode(...bytes.subarray(at, at + CHUNK))
  return btoa(text)
}
/** Arguments that one call may take. */
const CHUNK = 8_192
const bytesOf = (base64: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))
