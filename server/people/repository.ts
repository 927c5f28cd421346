import type { Knex } from 'knex'
import type { Role } from '../../shared/people'
import type { Workspace } from '../workspace/workspace'

export interface PersonRow {
  id: string
  workspace: string
  name: string
  signInName: string
  password: string | null
  role: Role
  madeAt: Date
  leftAt: Date | null
}
const personOf = (row: Record<string, unknown>): PersonRow => ({
  id: row.id as string,
  workspace: row.workspace as string,
  name: row.name as string,
  signInName: row.sign_in_name as string,
  password: row.password as string | null,
  role: row.role as Role,
  madeAt: row.made_at as Date,
  leftAt: row.left_at as Date | null,
})

export async function hasPeople(database: Knex): Promise<boolean> {
  return (await database('person').first(database.raw('1 as there'))) !== undefined
}

/** Whoever has this name to sign in with, of any workspace; not one who left. */
export async function findBySignInName(database: Knex, signInName: string): Promise<PersonRow | undefined> {
  const row = await database('person').where({ sign_in_name: signInName }).whereNull('left_at').first()
  return row && personOf(row)
}

/** Of this workspace; those who left too. */
export async function findPerson({ id, database }: Workspace, person: string): Promise<PersonRow | undefined> {
  const row = await database('person').where({ id: person, workspace: id }).first()
  return row && personOf(row)
}

export async function peopleOf({ id, database }: Workspace): Promise<PersonRow[]> {
  return (await database('person').where({ workspace: id }).orderBy('name')).map(personOf)
}

/** Keeps other changes of who works here off until the transaction ends. */
export async function lockWorkspace({ id, database }: Workspace): Promise<void> {
  await database('workspace').where({ id }).forUpdate().first('id')
}

export async function readWorkspace({ id, database }: Workspace): Promise<{ id: string; name: string }> {
  return (await database('workspace').where({ id }).first('id', 'name'))!
}

export async function renameWorkspace({ id, database }: Workspace, name: string): Promise<void> {
  await database('workspace').where({ id }).update({ name })
}

export async function insertPerson(
  { id: workspace, database }: Workspace,
  person: Pick<PersonRow, 'id' | 'name' | 'signInName' | 'password' | 'role'>,
  now: Date,
): Promise<void> {
  const { id, name, signInName, password, role } = person
  await database('person').insert({ id, workspace, name, sign_in_name: signInName, password, role, made_at: now })
}

export async function updatePerson(
  { id, database }: Workspace,
  person: string,
  change: { role?: Role; password?: string; leftAt?: Date | null },
): Promise<void> {
  const { role, password, leftAt } = change
  await database('person')
    .where({ id: person, workspace: id })
    .update({
      ...(role === undefined ? {} : { role }),
      ...(password === undefined ? {} : { password }),
      ...(leftAt === undefined ? {} : { left_at: leftAt }),
    })
}

/** A code that is good once. */
export interface Once<T> {
  kind: 'first-lead' | 'invitation' | 'passkey'
  value: T
}

export async function insertOnce<T>(
  database: Knex,
  hash: string,
  { kind, value }: Once<T>,
  expiresAt: Date,
): Promise<void> {
  await database('once').insert({ hash, kind, value: JSON.stringify(value), expires_at: expiresAt })
}

/** What a code stands for, without using it up. */
export async function findOnce<T>(
  database: Knex,
  hash: string,
  kind: Once<T>['kind'],
  now: Date,
): Promise<T | undefined> {
  const row = await database('once').where({ hash, kind }).andWhere('expires_at', '>', now).first('value')
  return row && ((typeof row.value === 'string' ? JSON.parse(row.value) : row.value) as T)
}

/** @returns whether it was there: of two who come at once, one has it */
export async function useUp(database: Knex, hash: string): Promise<boolean> {
  return (await database('once').where({ hash }).delete()) === 1
}

export async function forgetFirstCodes(database: Knex): Promise<void> {
  await database('once').where({ kind: 'first-lead' }).delete()
}

/** What is over: codes, and sign-ins long after. */
export async function forgetOver(database: Knex, now: Date, before: Date): Promise<void> {
  await database('once').where('expires_at', '<', now).delete()
  await database('sign_in').where('expires_at', '<', before).delete()
}
