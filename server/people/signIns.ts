import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { SignedOut } from '../http/failures'
import type { Person } from '../workspace/workspace'
import { deleteSignIn, findSignIn, insertSignIn, touchSignIn } from './signInRows'

/*
 * A sign-in is a row that its cookie names, read at every request: it can be taken back from anywhere. The cookie
 * holds 256 random bits, the row their hash.
 */

const DAY = 24 * 3600e3
/** At most, and when nobody has used it: a season in the field without an office. */
export const STANDS = 90 * DAY
const IDLE = 30 * DAY
/** How exactly it is known when somebody was last here, ms: not every request writes. */
const SEEN_EVERY = 5 * 60e3
/** How soon another count of unsent entries is written down, ms. */
const COUNTED_EVERY = 30e3

export const newSecret = (bits: number): string => randomBytes(bits / 8).toString('base64url')
export const hashOfSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex')
export const idleSince = (now: Date) => new Date(now.getTime() - IDLE)

/** @returns what the cookie is to hold */
export async function startSignIn(
  database: Knex,
  { person, device, now }: { person: string; device: string; now: Date },
): Promise<string> {
  const secret = newSecret(256)
  await insertSignIn(database, {
    hash: hashOfSecret(secret),
    id: randomUUID(),
    person,
    device: device.slice(0, 200),
    now,
    expiresAt: new Date(now.getTime() + STANDS),
  })
  return secret
}

/** Somebody who is signed in, by which device. */
export interface SignedIn extends Person {
  workspace: string
  device: string
}

/**
 * Who a cookie names.
 *
 * @returns undefined where it names nobody any more
 * @param waiting entries that the device says it has not sent; without it, as before
 * @throws SignedOut for a device that was signed out from elsewhere
 */
export async function readSignIn(
  database: Knex,
  secret: string,
  now: Date,
  waiting?: number,
): Promise<SignedIn | undefined> {
  const row = await findSignIn(database, hashOfSecret(secret), now, idleSince(now))
  if (!row) return undefined
  if (row.revoked) throw new SignedOut(row.revoked)
  const unsent = waiting ?? row.waiting
  const since = now.getTime() - row.seenAt.getTime()
  if (since > (unsent === row.waiting ? SEEN_EVERY : COUNTED_EVERY)) await touchSignIn(database, row.id, now, unsent)
  return { id: row.person, name: row.name, role: row.role, workspace: row.workspace, device: row.id }
}

export const endSignIn = (database: Knex, secret: string): Promise<void> => deleteSignIn(database, hashOfSecret(secret))
