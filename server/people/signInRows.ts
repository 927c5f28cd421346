import type { Knex } from 'knex'
import type { DeviceAnswer } from '../../shared/contract'
import type { OutReason, Role } from '../../shared/people'
import type { Workspace } from '../workspace/workspace'

/** A sign-in of a device, and who it is. */
export interface SignInRow {
  id: string
  person: string
  workspace: string
  name: string
  role: Role
  seenAt: Date
  /** Why it was signed out from elsewhere, where it was. */
  revoked: { why: OutReason; by?: string } | undefined
  waiting: number
}

const FIND =
  'select s.id, s.seen_at, s.revoked_at, s.revoked_why, s.revoked_by, s.waiting, p.id as person, p.workspace, p.name, p.role from sign_in s ' +
  'join person p on p.id = s.person_id where s.hash = ? and s.expires_at > ? and s.seen_at > ?'

/**
 * @param idleSince a sign-in that was not used since is over
 */
export async function findSignIn(
  database: Knex,
  hash: string,
  now: Date,
  idleSince: Date,
): Promise<SignInRow | undefined> {
  const [[row]] = await database.raw(FIND, [hash, now, idleSince])
  return (
    row && {
      id: row.id,
      person: row.person,
      workspace: row.workspace,
      name: row.name,
      role: row.role,
      seenAt: row.seen_at,
      waiting: row.waiting,
      revoked: row.revoked_at
        ? { why: row.revoked_why ?? 'signed-out', ...(row.revoked_by === null ? {} : { by: row.revoked_by }) }
        : undefined,
    }
  )
}

export async function insertSignIn(
  database: Knex,
  row: { hash: string; id: string; person: string; device: string; now: Date; expiresAt: Date },
): Promise<void> {
  await database('sign_in').insert({
    hash: row.hash,
    id: row.id,
    person_id: row.person,
    device: row.device,
    made_at: row.now,
    seen_at: row.now,
    expires_at: row.expiresAt,
  })
}

/** @param waiting entries that the device has not sent */
export async function touchSignIn(database: Knex, id: string, now: Date, waiting: number): Promise<void> {
  await database('sign_in').where({ id }).update({ seen_at: now, waiting })
}

/** Whoever signs out needs no row; a revoked device finds one that says so. */
export async function deleteSignIn(database: Knex, hash: string): Promise<void> {
  await database('sign_in').where({ hash }).delete()
}

export interface DeviceRow {
  id: string
  person: string
  device: string
  madeAt: Date
  seenAt: Date
  waiting: number
  /** It was signed out from elsewhere, and has not been heard since. */
  out: OutReason | undefined
}

/** Devices of one person or of all here, until they have heard that they are signed out; the last used first. */
export async function devicesOf(
  { id, database }: Workspace,
  { person, idleSince }: { person?: string; idleSince: Date },
): Promise<DeviceRow[]> {
  const query = database('sign_in')
    .join('person', 'person.id', 'sign_in.person_id')
    .where({ workspace: id })
    .andWhere('seen_at', '>', idleSince)
    .orderBy('seen_at', 'desc')
    .select('sign_in.id', 'person_id', 'device', 'sign_in.made_at', 'seen_at', 'waiting', 'revoked_at', 'revoked_why')
  if (person !== undefined) query.andWhere({ person_id: person })
  return (await query).map((row) => ({
    id: row.id,
    person: row.person_id,
    device: row.device,
    madeAt: row.made_at,
    seenAt: row.seen_at,
    waiting: row.waiting,
    out: row.revoked_at ? (row.revoked_why ?? 'signed-out') : undefined,
  }))
}

/** A device as it is told to its owner and to a lead. */
export const deviceAnswer = ({ id, device, seenAt, waiting, out }: DeviceRow): DeviceAnswer => ({
  id,
  says: device,
  seenAt: seenAt.toISOString(),
  waiting,
  ...(out === undefined ? {} : { out }),
})

/**
 * Devices are signed out at their next contact: they delete what the server has, and a lost one deletes the rest too.
 *
 * @param chosen a device of one person, or all of a person but one
 * @returns the devices, as they were when they were last heard
 */
export async function revoke(
  { id, database, person: by }: Workspace,
  chosen: { device?: string; person?: string; but?: string },
  why: OutReason,
  now: Date,
): Promise<Pick<DeviceRow, 'id' | 'person' | 'seenAt' | 'waiting'>[]> {
  const query = database('sign_in')
    .whereIn('person_id', database('person').where({ workspace: id }).select('id'))
    // One that was merely signed out may turn out to be lost before it is heard again.
    .where((open) => void open.whereNull('revoked_at').orWhereRaw('? = ? and revoked_why <> ?', [why, 'lost', 'lost']))
  if (chosen.device !== undefined) query.andWhere({ id: chosen.device })
  if (chosen.person !== undefined) query.andWhere({ person_id: chosen.person })
  if (chosen.but !== undefined) query.andWhereNot({ id: chosen.but })
  const devices = (await query.clone().forUpdate().select('id', 'person_id', 'seen_at', 'waiting')) as {
    id: string
    person_id: string
    seen_at: Date
    waiting: number
  }[]
  await query.update({ revoked_at: now, revoked_why: why, revoked_by: by?.name ?? null })
  return devices.map(({ id: device, person_id: person, seen_at: seenAt, waiting }) => ({
    id: device,
    person,
    seenAt,
    waiting,
  }))
}
