import { randomUUID } from 'node:crypto'
import { InputError } from '../../core/errors'
import type { Role } from '../../shared/people'
import type { Workspace } from '../workspace/workspace'
import { insertPerson, type PersonRow } from './repository'

/** What somebody gives who makes an account. */
export interface NewAccount {
  name: string
  signInName: string
  password: string
}

/** As it is compared: however it is typed. */
export const signInNameOf = (typed: string): string => typed.trim().normalize('NFKC').toLowerCase()

/** @throws InputError where somebody signs in with this name already */
export async function addPerson(
  workspace: Workspace,
  { name, signInName, password, role }: { name: string; signInName: string; password: string; role: Role },
  now: Date,
): Promise<PersonRow> {
  const id = randomUUID()
  const row = { id, name: name.trim(), signInName: signInNameOf(signInName), password, role }
  try {
    await insertPerson(workspace, row, now)
  } catch (error) {
    if ((error as { code?: string }).code !== 'ER_DUP_ENTRY') throw error
    throw new InputError('signInName', signInName, 'one that is free')
  }
  return { ...row, workspace: workspace.id, madeAt: now, leftAt: null }
}
