import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { InputError } from '../../core/errors'
import { ROLES, type Role } from '../../shared/people'
import type { PeopleAnswer } from '../../shared/contract'
import { NotFound, Taken, WrongSignIn } from '../http/failures'
import { HOME, together, type Workspace } from '../workspace/workspace'
import { note } from './audit'
import { codeAsKept, makeInvitation, type Invitation } from './codes'
import { hashOfPassword, isPassword, requirePassword, spendTheTime } from './passwords'
import * as people from './repository'
import { devicesOf, revoke } from './signInRows'
import { hashOfSecret, idleSince } from './signIns'
import { triesOf } from './tries'

/** What somebody gives who makes an account. */
export interface NewAccount {
  name: string
  signInName: string
  password: string
}

/** As it is compared: however it is typed. */
export const signInNameOf = (typed: string): string => typed.trim().normalize('NFKC').toLowerCase()

/**
 * The first account, by the code that the terminal showed; it takes over what is there.
 *
 * @throws WrongSignIn for another code
 * @throws Taken where somebody was faster
 */
export async function makeFirstLead(
  database: Knex,
  { code, workspace: name, ...account }: NewAccount & { code: string; workspace: string },
  { address, now }: { address: string; now: Date },
): Promise<people.PersonRow> {
  const tries = triesOf(database)
  await tries.require(FIRST, address)
  const hash = hashOfSecret(codeAsKept(code))
  if ((await people.findOnce(database, hash, 'first-lead', now)) === undefined) {
    await tries.wrong(FIRST, address)
    throw new WrongSignIn('This code is not the one that the terminal shows.')
  }
  requirePassword(account.password, [account.name, account.signInName, name])
  const password = await hashOfPassword(account.password)
  return together({ id: HOME, database }, async (inside) => {
    await people.lockWorkspace(inside)
    if (await people.hasPeople(inside.database)) throw new Taken('Somebody has made the first account meanwhile.')
    await people.renameWorkspace(inside, name)
    const made = await insert(inside, { ...account, password, role: 'lead' }, now)
    await people.forgetFirstCodes(inside.database)
    await note({ ...inside, person: made }, 'first-lead', {}, now)
    return made
  })
}
const FIRST = ' first lead'

async function insert(
  workspace: Workspace,
  { name, signInName, password, role }: { name: string; signInName: string; password: string; role: Role },
  now: Date,
): Promise<people.PersonRow> {
  const id = randomUUID()
  const row = { id, name: name.trim(), signInName: signInNameOf(signInName), password, role }
  try {
    await people.insertPerson(workspace, row, now)
  } catch (error) {
    if ((error as { code?: string }).code !== 'ER_DUP_ENTRY') throw error
    throw new InputError('signInName', signInName, 'one that nobody has yet')
  }
  return { ...row, workspace: workspace.id, madeAt: now, leftAt: null }
}

/**
 * Who signs in with a name and a password.
 *
 * @throws WrongSignIn the same for an unknown name as for a wrong password
 * @throws TooMuch after too many wrong tries
 */
export async function checkSignIn(
  database: Knex,
  { signInName, password }: Pick<NewAccount, 'signInName' | 'password'>,
  { address, now }: { address: string; now: Date },
): Promise<people.PersonRow> {
  const name = signInNameOf(signInName)
  const key = hashOfSecret(name).slice(0, 32)
  const tries = triesOf(database)
  await tries.require(key, address)
  const person = await people.findBySignInName(database, name)
  const isRight = person?.password ? await isPassword(password, person.password) : await spendTheTime(password)
  if (person && isRight) {
    await tries.right(key)
    return person
  }
  const isLocked = await tries.wrong(key, address)
  if (person)
    await note({ id: person.workspace, database, person }, isLocked ? 'locked-out' : 'sign-in-failed', {}, now)
  throw new WrongSignIn('The name and the password do not go together.')
}

/** A link for somebody new, to hand on by whatever way. */
export async function invite(
  workspace: Workspace,
  { name, role }: { name: string; role: Role },
  now = new Date(),
): Promise<{ token: string; expiresAt: Date }> {
  const value: Invitation = { workspace: workspace.id, by: workspace.person?.name ?? '', name: name.trim(), role }
  const made = await makeInvitation(workspace.database, value, now)
  await note(workspace, 'invited', { detail: `${name}, ${role}` }, now)
  return made
}

/** What an invitation says, for whoever holds it. */
export async function readInvitation(
  database: Knex,
  token: string,
  now = new Date(),
): Promise<Invitation & { workspaceName: string; signInName?: string }> {
  const found = await people.findOnce<Invitation>(database, hashOfSecret(token), 'invitation', now)
  if (!found) throw new NotFound('invitation', token.slice(0, 4))
  const workspace: Workspace = { id: found.workspace, database }
  const { name } = await people.readWorkspace(workspace)
  const person = found.person === undefined ? undefined : await people.findPerson(workspace, found.person)
  if (person?.leftAt) throw new NotFound('invitation', token.slice(0, 4))
  return { ...found, workspaceName: name, ...(person ? { name: person.name, signInName: person.signInName } : {}) }
}

/**
 * Somebody comes by an invitation: new here, or with a new password.
 *
 * @throws NotFound for one that is used up or over
 */
export async function join(
  database: Knex,
  { token, ...account }: NewAccount & { token: string },
  now = new Date(),
): Promise<people.PersonRow> {
  const invitation = await readInvitation(database, token, now)
  const signInName = invitation.signInName ?? account.signInName
  requirePassword(account.password, [account.name, signInName, invitation.workspaceName])
  const password = await hashOfPassword(account.password)
  return together({ id: invitation.workspace, database }, async (inside) => {
    if (!(await people.useUp(inside.database, hashOfSecret(token)))) throw new NotFound('invitation', token.slice(0, 4))
    if (invitation.person !== undefined) {
      await people.updatePerson(inside, invitation.person, { password })
      await revoke(inside, { person: invitation.person }, now)
      const person = (await people.findPerson(inside, invitation.person))!
      await note({ ...inside, person }, 'password-changed', { detail: 'by a new way in' }, now)
      return person
    }
    const made = await insert(inside, { name: account.name, signInName, password, role: invitation.role! }, now)
    await note({ ...inside, person: made }, 'joined', { detail: `${made.role}, invited by ${invitation.by}` }, now)
    return made
  })
}

/** @throws WrongSignIn where the password before is another */
export async function changePassword(
  workspace: Workspace,
  { before, after }: { before: string; after: string },
  { device, address, now }: { device: string; address: string; now: Date },
): Promise<void> {
  const person = (await people.findPerson(workspace, workspace.person!.id))!
  await checkSignIn(workspace.database, { signInName: person.signInName, password: before }, { address, now })
  requirePassword(after, [person.name, person.signInName])
  const password = await hashOfPassword(after)
  await together(workspace, async (inside) => {
    await people.updatePerson(inside, person.id, { password })
    // Whoever else had got in by the old one is out.
    await revoke(inside, { person: person.id, but: device }, now)
    await note(inside, 'password-changed', {}, now)
  })
}

/** Who works here, with their devices. */
export async function readPeople(workspace: Workspace, now = new Date()): Promise<PeopleAnswer> {
  const [rows, devices, { name }] = await Promise.all([
    people.peopleOf(workspace),
    devicesOf(workspace, { idleSince: idleSince(now) }),
    people.readWorkspace(workspace),
  ])
  return {
    workspace: name,
    people: rows.map(({ id, name: called, signInName, role, leftAt }) => ({
      id,
      name: called,
      signInName,
      role,
      ...(leftAt ? { leftAt: leftAt.toISOString() } : {}),
      devices: devices
        .filter(({ person }) => person === id)
        .map(({ id: device, device: says, seenAt }) => ({ id: device, says, seenAt: seenAt.toISOString() })),
    })),
  }
}

/** What a lead may do to somebody. */
export const PERSON_DEEDS = ['role', 'leave', 'come-back', 'new-way-in'] as const
export type PersonDeed = (typeof PERSON_DEEDS)[number]

/**
 * Another role, leaving, coming back, or a new way in for who forgot the password.
 *
 * @returns the link of a new way in
 * @throws InputError where nobody would be left to lead
 */
export async function changePerson(
  workspace: Workspace,
  id: string,
  { deed, role }: { deed: PersonDeed; role?: Role },
  now = new Date(),
): Promise<{ token: string; expiresAt: Date } | undefined> {
  return together(workspace, async (inside) => {
    await people.lockWorkspace(inside)
    const person = await people.findPerson(inside, id)
    if (!person) throw new NotFound('person', id)
    const subject = person.id
    const detail = person.name
    if (deed === 'role') {
      if (role === undefined) throw new InputError('role', role, `one of ${ROLES.join(', ')}`)
      if (role !== 'lead') await requireAnotherLead(inside, id, 'role', role)
      await people.updatePerson(inside, id, { role })
      await note(inside, 'role-changed', { subject, detail: `${detail}: ${person.role} to ${role}` }, now)
    } else if (deed === 'leave') {
      await requireAnotherLead(inside, id, 'deed', deed)
      await people.updatePerson(inside, id, { leftAt: now })
      await revoke(inside, { person: id }, now)
      await note(inside, 'left', { subject, detail }, now)
    } else if (deed === 'come-back') {
      await people.updatePerson(inside, id, { leftAt: null })
      await note(inside, 'came-back', { subject, detail }, now)
    } else {
      const value: Invitation = { workspace: inside.id, by: inside.person?.name ?? '', person: id }
      await note(inside, 'new-way-in', { subject, detail }, now)
      return makeInvitation(inside.database, value, now)
    }
    return undefined
  })
}

async function requireAnotherLead(workspace: Workspace, id: string, key: string, value: unknown): Promise<void> {
  const leads = (await people.peopleOf(workspace)).filter(({ role, leftAt }) => role === 'lead' && !leftAt)
  if (leads.every((each) => each.id === id)) throw new InputError(key, value, 'possible once somebody else leads too')
}
