import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { OpenInvitation } from '../../shared/contract'
import { mayDo, type Role } from '../../shared/people'
import { NotFound } from '../http/failures'
import { together, type Workspace } from '../workspace/workspace'
import { note } from './audit'
import { forgetDevices } from './knownDevices'
import { addPerson, type NewAccount } from './newPerson'
import { forgetPasskeys } from './passkeys'
import { hashOfPassword, requirePassword } from './passwords'
import * as people from './repository'
import { revoke } from './signInRows'
import { hashOfSecret, newSecret } from './signIns'

/*
 * Links that are good once: for somebody new, or a new way in for somebody who is here. A link ends with the place and
 * the role of the lead who made it, and after seven days.
 */

const STANDS = 7 * 24 * 3600e3

interface Invitation {
  id: string
  workspace: string
  /** The lead who made it: identity, and name as it was. */
  maker: string
  by: string
  role?: Role
  name?: string
  /** Somebody who is here already. */
  person?: string
}

/** @returns what stands in the link, shown once */
async function make(
  { id: workspace, database, person }: Workspace,
  purpose: Pick<Invitation, 'role' | 'name' | 'person'>,
  now: Date,
): Promise<{ token: string; expiresAt: Date }> {
  const token = newSecret(128)
  const expiresAt = new Date(now.getTime() + STANDS)
  const value: Invitation = { ...purpose, id: randomUUID(), workspace, maker: person!.id, by: person!.name }
  await people.insertOnce(database, hashOfSecret(token), { kind: 'invitation', value }, expiresAt)
  return { token, expiresAt }
}

/** A link for somebody new, to hand on by whatever way. */
export async function invite(workspace: Workspace, { name, role }: { name: string; role: Role }, now = new Date()) {
  const made = await make(workspace, { name: name.trim(), role }, now)
  await note(workspace, 'invited', { detail: `${name}, ${role}` }, now)
  return made
}

/** A link by which somebody who is here gets another password. */
export const makeNewWayIn = (workspace: Workspace, person: people.PersonRow, now: Date) =>
  make(workspace, { person: person.id, name: person.name }, now)

/**
 * What an invitation says, to the person who holds it.
 *
 * @throws NotFound for one that is used, taken back or over, or whose maker does not lead any more
 */
export async function readInvitation(
  database: Knex,
  token: string,
  now = new Date(),
): Promise<Invitation & { workspaceName: string; signInName?: string }> {
  const unknown = new NotFound('invitation', token.slice(0, 4))
  const found = await people.findOnce<Invitation>(database, hashOfSecret(token), 'invitation', now)
  if (!found) throw unknown
  const workspace: Workspace = { id: found.workspace, database }
  const maker = await people.findPerson(workspace, found.maker ?? '')
  if (!maker || maker.leftAt || !mayDo(maker.role, 'people')) throw unknown
  const { name } = await people.readWorkspace(workspace)
  const person = found.person === undefined ? undefined : await people.findPerson(workspace, found.person)
  if (person?.leftAt) throw unknown
  return { ...found, workspaceName: name, ...(person ? { name: person.name, signInName: person.signInName } : {}) }
}

/**
 * Somebody comes by an invitation: new here, or with a new password. A new way in ends every sign-in and passkey of
 * before, and their devices say who made it.
 *
 * @throws NotFound for one that is used up or over
 */
export async function join(
  database: Knex,
  { token, ...account }: NewAccount & { token: string },
  { address, now }: { address: string; now: Date },
): Promise<people.PersonRow> {
  const invitation = await readInvitation(database, token, now)
  const signInName = invitation.signInName ?? account.signInName
  requirePassword(account.password, [account.name, signInName, invitation.workspaceName])
  const password = await hashOfPassword(account.password, address)
  return together({ id: invitation.workspace, database }, async (inside) => {
    await people.lockWorkspace(inside)
    // Its maker may have been taken out while the password was made.
    const { by, maker, person: known, role } = await readInvitation(inside.database, token, now)
    if (!(await people.useUp(inside.database, hashOfSecret(token)))) throw new NotFound('invitation', token.slice(0, 4))
    if (known !== undefined) {
      await people.updatePerson(inside, known, { password })
      await forgetPasskeys(inside.database, known)
      await forgetDevices(inside.database, known)
      await revoke({ ...inside, person: await people.findPerson(inside, maker) }, { person: known }, 'new-way-in', now)
      const person = (await people.findPerson(inside, known))!
      await note({ ...inside, person }, 'password-changed', { detail: `by a new way in that ${by} made` }, now)
      return person
    }
    const made = await addPerson(inside, { name: account.name, signInName, password, role: role! }, now)
    await note({ ...inside, person: made }, 'joined', { detail: `${made.role}, invited by ${by}` }, now)
    return made
  })
}

interface OnceRow {
  hash: string
  value: Invitation | string
  expires_at: Date
}
const parsed = ({ value }: OnceRow): Invitation =>
  typeof value === 'string' ? (JSON.parse(value) as Invitation) : value

async function invitationsOf({ id, database }: Workspace): Promise<(Invitation & { hash: string; expiresAt: Date })[]> {
  const rows = (await database('once')
    .where({ kind: 'invitation' })
    .whereRaw("json_value(value, '$.workspace') = ?", [id])
    .orderByRaw("expires_at, json_value(value, '$.name')")) as OnceRow[]
  return rows.map((row) => ({ ...parsed(row), hash: row.hash, expiresAt: row.expires_at }))
}

/** Links that were made and not used. */
export async function openInvitations(workspace: Workspace, now: Date): Promise<OpenInvitation[]> {
  const all = await invitationsOf(workspace)
  return all
    .filter(({ id, expiresAt }) => id !== undefined && expiresAt > now)
    .map(({ id, by, name, role, expiresAt }) => ({
      id,
      by,
      name: name ?? '',
      ...(role === undefined ? {} : { role }),
      expiresAt: expiresAt.toISOString(),
    }))
}

/** @throws NotFound for one that is not open here */
export async function takeBackInvitation(workspace: Workspace, id: string, now = new Date()): Promise<void> {
  const found = (await invitationsOf(workspace)).find((each) => each.id === id)
  if (!found || !(await people.useUp(workspace.database, found.hash))) throw new NotFound('invitation', id)
  await note(workspace, 'invitation-taken-back', { detail: found.name ?? '' }, now)
}

/** Links of a lead who leads no more. */
export async function endInvitationsOf(workspace: Workspace, maker: string): Promise<void> {
  for (const { hash, maker: by } of await invitationsOf(workspace))
    if (by === maker) await people.useUp(workspace.database, hash)
}
