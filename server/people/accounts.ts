import type { Knex } from 'knex'
import { InputError } from '../../core/errors'
import { ROLES, type Role } from '../../shared/people'
import type { PeopleAnswer } from '../../shared/contract'
import { NotFound, Taken, WrongSignIn } from '../http/failures'
import { HOME, together, type Workspace } from '../workspace/workspace'
import { note } from './audit'
import { codeAsKept } from './codes'
import { knownDevice } from './knownDevices'
import { endInvitationsOf, makeNewWayIn, openInvitations } from './invitations'
import { addPerson, signInNameOf, type NewAccount } from './newPerson'
import { hashOfPassword, isPassword, requirePassword, spendTheTime } from './passwords'
import * as people from './repository'
import { deviceAnswer, devicesOf, revoke } from './signInRows'
import { hashOfSecret, idleSince } from './signIns'
import { triesOf, waitAfter } from './tries'

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
  const trying = { name: FIRST, address }
  await tries.begin(trying)
  const hash = hashOfSecret(codeAsKept(code))
  if ((await people.findOnce(database, hash, 'first-lead', now)) === undefined) {
    throw new WrongSignIn('This code is not the one that the terminal shows.')
  }
  await tries.right(trying)
  requirePassword(account.password, [account.name, account.signInName, name])
  const password = await hashOfPassword(account.password, address)
  return together({ id: HOME, database }, async (inside) => {
    await people.lockWorkspace(inside)
    if (await people.hasPeople(inside.database)) throw new Taken('Somebody has made the first account meanwhile.')
    await people.renameWorkspace(inside, name)
    const made = await addPerson(inside, { ...account, password, role: 'lead' }, now)
    await people.forgetFirstCodes(inside.database)
    await note({ ...inside, person: made }, 'first-lead', {}, now)
    return made
  })
}
const FIRST = ' first lead'

/**
 * Who signs in with a name and a password.
 *
 * @param asked from where, and what the cookie of a device on which somebody was signed in before holds
 * @throws WrongSignIn the same for an unknown name as for a wrong password
 * @throws TooMuch after too many wrong tries
 */
export async function checkSignIn(
  database: Knex,
  { signInName, password }: Pick<NewAccount, 'signInName' | 'password'>,
  { address, device, now }: { address: string; device?: string | undefined; now: Date },
): Promise<people.PersonRow> {
  const name = signInNameOf(signInName)
  const known = await knownDevice(database, device, name)
  const trying = { name: hashOfSecret(name).slice(0, 32), address, device: known?.slice(0, 32) }
  const tries = triesOf(database)
  const count = await tries.begin(trying)
  const person = await people.findBySignInName(database, name)
  const isRight = person?.password
    ? await isPassword(password, person.password, address)
    : await spendTheTime(password, address)
  if (person && isRight) {
    await tries.right(trying)
    return person
  }
  if (person)
    await note(
      { id: person.workspace, database, person },
      waitAfter(count + 1) > 0 ? 'locked-out' : 'sign-in-failed',
      {},
      now,
    )
  throw new WrongSignIn('The name and the password do not go together.')
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
  const password = await hashOfPassword(after, address)
  await together(workspace, async (inside) => {
    await people.updatePerson(inside, person.id, { password })
    // Whoever else had got in by the old one is out.
    await revoke(inside, { person: person.id, but: device }, 'password', now)
    await note(inside, 'password-changed', {}, now)
  })
}

/** Who works here, with their devices. */
export async function readPeople(workspace: Workspace, now = new Date()): Promise<PeopleAnswer> {
  const [rows, devices, { name }, invitations] = await Promise.all([
    people.peopleOf(workspace),
    devicesOf(workspace, { idleSince: idleSince(now) }),
    people.readWorkspace(workspace),
    openInvitations(workspace, now),
  ])
  return {
    workspace: name,
    invitations,
    people: rows.map(({ id, name: called, signInName, role, leftAt }) => ({
      id,
      name: called,
      signInName,
      role,
      ...(leftAt ? { leftAt: leftAt.toISOString() } : {}),
      devices: devices.filter(({ person }) => person === id).map((device) => deviceAnswer(device)),
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
      if (role !== 'lead') await endInvitationsOf(inside, id)
      await note(inside, 'role-changed', { subject, detail: `${detail}: ${person.role} to ${role}` }, now)
    } else if (deed === 'leave') {
      await requireAnotherLead(inside, id, 'deed', deed)
      await people.updatePerson(inside, id, { leftAt: now })
      await endInvitationsOf(inside, id)
      await revoke(inside, { person: id }, 'left', now)
      await note(inside, 'left', { subject, detail }, now)
    } else if (deed === 'come-back') {
      await people.updatePerson(inside, id, { leftAt: null })
      await note(inside, 'came-back', { subject, detail }, now)
    } else {
      await note(inside, 'new-way-in', { subject, detail }, now)
      return makeNewWayIn(inside, person, now)
    }
    return undefined
  })
}

async function requireAnotherLead(workspace: Workspace, id: string, key: string, value: unknown): Promise<void> {
  const leads = (await people.peopleOf(workspace)).filter(({ role, leftAt }) => role === 'lead' && !leftAt)
  if (leads.every((each) => each.id === id)) throw new InputError(key, value, 'possible once somebody else leads too')
}
