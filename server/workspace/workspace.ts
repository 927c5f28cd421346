import type { Knex } from 'knex'
import type { Role } from '../../shared/people'

/** Whoever asks, where somebody is signed in. */
export interface Person {
  id: string
  name: string
  role: Role
}

/**
 * The database as one workspace sees it. Repositories take it in the place of a bare connection, so that no question
 * can be asked without saying whose.
 */
export interface Workspace {
  id: string
  database: Knex
  person?: Person
}

/** The workspace that is there from the start: the demo's, and then of whoever makes the first account. */
export const HOME = 'home'

/** Tries of what another writer was faster with. */
const TRIES = 6
const FIRST_PAUSE = 8

/**
 * Does all of it or nothing. Where two writers meet, on one database or on two nodes of a cluster, one of them is sent
 * back: it goes again, on what the other has written.
 *
 * @param work may run more than once
 */
export async function together<T>(workspace: Workspace, work: (inside: Workspace) => Promise<T>): Promise<T> {
  if (workspace.database.isTransaction) return work(workspace)
  for (let tries = 1; ; tries++) {
    try {
      return await workspace.database.transaction((transaction) => work({ ...workspace, database: transaction }))
    } catch (error) {
      if (tries === TRIES || !isSentBack(error)) throw error
      await new Promise((resolve) => setTimeout(resolve, FIRST_PAUSE * 2 ** tries * (0.5 + Math.random())))
    }
  }
}

/** A deadlock here, or a write of another node that was certified first. */
const isSentBack = (error: unknown): boolean => (error as { code?: string }).code === 'ER_LOCK_DEADLOCK'
