import type { Knex } from 'knex'
import type { Role } from '../../shared/people'
import type { Workspace } from '../workspace/workspace'

/** A sign-in of a device, and who it is. */
export interface SignInRow {
  id: string
  person: string
  workspace: string
  name: string
  role: Role
  seenAt: Date
  revokedAt: Date | null
}

const FIND =
  'select s.id, s.seen_at, s.revoked_at, p.id as person, p.workspace, p.name, p.role from sign_in s ' +
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
      revokedAt: row.revoked_at,
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

export async function touchSignIn(database: Knex, id: string, now: Date): Promise<void> {
  await database('sign_in').where({ id }).update({ seen_at: now })
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
}

/** Devices that are signed in, of one person or of all here; the last used first. */
export async function devicesOf(
  { id, database }: Workspace,
  { person, idleSince }: { person?: string; idleSince: Date },
): Promise<DeviceRow[]> {
  const query = database('sign_in')
    .join('person', 'person.id', 'sign_in.person_id')
    .where({ workspace: id })
    .whereNull('revoked_at')
    .andWhere('seen_at', '>', idleSince)
    .orderBy('seen_at', 'desc')
    .select('sign_in.id', 'person_id', 'device', 'sign_in.made_at', 'seen_at')
  if (person !== undefined) query.andWhere({ person_id: person })
  return (await query).map((row) => ({
    id: row.id,
    person: row.person_id,
    device: row.device,
    madeAt: row.made_at,
    seenAt: row.seen_at,
  }))
}

/**
 * Devices are to forget what they have, at their next contact.
 *
 * @param of a device of one person, or all of a person but one
 * @returns how many
 */
export async function revoke(
  { id, database }: Workspace,
  of: { device?: string; person?: string; but?: string },
  now: Date,
): Promise<number> {
  const query = database('sign_in')
    .whereIn('person_id', database('person').where({ workspace: id }).select('id'))
    .whereNull('revoked_at')
  if (of.device !== undefined) query.andWhere({ id: of.device })
  if (of.person !== undefined) query.andWhere({ person_id: of.person })
  if (of.but !== undefined) query.andWhereNot({ id: of.but })
  return query.update({ revoked_at: now })
}
