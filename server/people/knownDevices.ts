import type { Knex } from 'knex'
import { hashOfSecret, newSecret } from './signIns'

/*
 * Devices on which a person was signed in before. Anybody can guess at a name, and is slowed down for it; the person's
 * own devices are not slowed down with them.
 */

/**
 * Whether somebody with this name was signed in on a device before.
 *
 * @param secret what the device's cookie holds
 * @returns its digest, for counting what is tried from there
 */
export async function knownDevice(
  database: Knex,
  secret: string | undefined,
  signInName: string,
): Promise<string | undefined> {
  if (secret === undefined) return undefined
  const hash = hashOfSecret(secret)
  const found = await database('known_device')
    .join('person', 'person.id', 'known_device.person_id')
    .where({ hash, sign_in_name: signInName })
    .first('hash')
  return found && hash
}

/**
 * Writes down that somebody is signed in on a device.
 *
 * @param secret what its cookie holds already
 * @returns what its cookie is to hold
 */
export async function keepDevice(
  database: Knex,
  secret: string | undefined,
  person: string,
  now: Date,
): Promise<string> {
  const kept = secret ?? newSecret(256)
  await database.raw('insert ignore into known_device (hash, person_id, made_at) values (?, ?, ?)', [
    hashOfSecret(kept),
    person,
    now,
  ])
  return kept
}

/** A device was lost, or the account had to be taken back: none of them is known any more. */
export async function forgetDevices(database: Knex, person: string): Promise<void> {
  await database('known_device').where({ person_id: person }).delete()
}
