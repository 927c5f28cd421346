import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server'
import type { Knex } from 'knex'
import { NotFound, WrongSignIn } from '../http/failures'
import type { Workspace } from '../workspace/workspace'
import { note } from './audit'
import { findPerson, findOnce, insertOnce, useUp, type PersonRow } from './repository'
import { hashOfSecret } from './signIns'
import type { Site } from '../http/asker'

/* Passkeys: the device proves that it has the key, and asks its owner for a finger or a code before it does. */

/** Identity of a passkey, as its device gives it: base64url. */
export const PASSKEY = /^[\w-]{1,512}$/

/** A question is good for so long, ms. */
const STANDS = 5 * 60e3

interface Question {
  /** Who asked to add one; nobody where somebody wants to sign in. */
  person?: string
}

const keep = (database: Knex, challenge: string, value: Question, now: Date): Promise<void> =>
  insertOnce(database, hashOfSecret(challenge), { kind: 'passkey', value }, new Date(now.getTime() + STANDS))

/** A question that was asked here, of this person, and not answered before. */
const isAsked = (database: Knex, person: string | undefined, now: Date) => async (challenge: string) => {
  const hash = hashOfSecret(challenge)
  const question = await findOnce<Question>(database, hash, 'passkey', now)
  return question !== undefined && question.person === person && useUp(database, hash)
}

export async function askForNewPasskey(
  workspace: Workspace,
  site: Site,
  now = new Date(),
): Promise<PublicKeyCredentialCreationOptionsJSON> {
  const { database } = workspace
  const person = (await findPerson(workspace, workspace.person!.id))!
  const known = await database('passkey').where({ person_id: person.id }).pluck('id')
  const options = await generateRegistrationOptions({
    rpName: 'Vindex',
    rpID: site.name,
    userID: Buffer.from(person.id),
    userName: person.signInName,
    userDisplayName: person.name,
    attestationType: 'none',
    excludeCredentials: known.map((id: string) => ({ id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  })
  await keep(database, options.challenge, { person: person.id }, now)
  return options
}

/** @throws WrongSignIn where it is not the answer to a question that was asked */
export async function addPasskey(
  workspace: Workspace,
  { response, name }: { response: RegistrationResponseJSON; name: string },
  site: Site,
  now = new Date(),
): Promise<void> {
  const { database, person } = workspace
  const { registrationInfo } = await verifyRegistrationResponse({
    response,
    expectedChallenge: isAsked(database, person!.id, now),
    expectedOrigin: site.origin,
    expectedRPID: site.name,
    requireUserVerification: true,
  }).catch(refuse)
  const { id, publicKey, counter } = registrationInfo!.credential
  await database('passkey').insert({
    id,
    person_id: person!.id,
    public_key: Buffer.from(publicKey),
    counter,
    name,
    made_at: now,
  })
  await note(workspace, 'passkey-added', { detail: name }, now)
}

export async function askForPasskey(
  database: Knex,
  site: Site,
  now = new Date(),
): Promise<PublicKeyCredentialRequestOptionsJSON> {
  const options = await generateAuthenticationOptions({ rpID: site.name, userVerification: 'required' })
  await keep(database, options.challenge, {}, now)
  return options
}

/**
 * Who signs in with a passkey.
 *
 * @throws WrongSignIn for one that is not known here, of somebody who left, or that does not prove what it should
 */
export async function checkPasskey(
  database: Knex,
  response: AuthenticationResponseJSON,
  site: Site,
  now = new Date(),
): Promise<PersonRow> {
  const row = await database('passkey')
    .join('person', 'person.id', 'passkey.person_id')
    .where({ 'passkey.id': response.id })
    .whereNull('left_at')
    .first('passkey.id', 'public_key', 'counter', 'person_id', 'workspace')
  if (!row) throw new WrongSignIn(UNKNOWN)
  const { authenticationInfo } = await verifyAuthenticationResponse({
    response,
    expectedChallenge: isAsked(database, undefined, now),
    expectedOrigin: site.origin,
    expectedRPID: site.name,
    credential: { id: row.id, publicKey: new Uint8Array(row.public_key), counter: Number(row.counter) },
    requireUserVerification: true,
  }).catch(refuse)
  await database('passkey').where({ id: row.id }).update({ counter: authenticationInfo.newCounter, used_at: now })
  return (await findPerson({ id: row.workspace, database }, row.person_id))!
}
const UNKNOWN = 'This passkey is not known here.'
const refuse = (): never => {
  throw new WrongSignIn(UNKNOWN)
}

export async function passkeysOf({ database, person }: Workspace) {
  const rows = await database('passkey')
    .where({ person_id: person!.id })
    .orderBy('made_at')
    .select('id', 'name', 'used_at')
  return rows.map(({ id, name, used_at: usedAt }) => ({
    id: id as string,
    name: name as string,
    ...(usedAt === null ? {} : { usedAt: (usedAt as Date).toISOString() }),
  }))
}

/** @throws NotFound for one that is not one's own */
export async function removePasskey(workspace: Workspace, id: string): Promise<void> {
  const { database, person } = workspace
  const removed = PASSKEY.test(id) ? await database('passkey').where({ id, person_id: person!.id }).delete() : 0
  if (removed === 0) throw new NotFound('passkey', id.slice(0, 20))
  await note(workspace, 'passkey-removed')
}

/** Every passkey of a person: a new way in ends them. */
export async function forgetPasskeys(database: Knex, person: string): Promise<void> {
  await database('passkey').where({ person_id: person }).delete()
}
