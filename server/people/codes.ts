import { randomInt } from 'node:crypto'
import type { Knex } from 'knex'
import { hasPeople, insertOnce } from './repository'
import { hashOfSecret } from './signIns'

/* The code of the first account, shown on the terminal and good once. */

/** Read aloud and typed with a glove: no letter that looks like another. 50 bits. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'
const GROUPS = 3
const GROUP = 4
const FIRST_STANDS = 24 * 3600e3

/** @example codeAsKept('abcd-2345 efgh') // 'ABCD2345EFGH': typed with or without what divides it */
export const codeAsKept = (code: string): string => code.toUpperCase().replace(/[\s-]/g, '')

/**
 * A code for the first account, where there is none yet. Each server that starts makes one; the first that is used
 * ends them all.
 */
export async function firstLeadCode(database: Knex, now = new Date()): Promise<string | undefined> {
  if (await hasPeople(database)) return undefined
  const code = Array.from({ length: GROUPS }, () =>
    Array.from({ length: GROUP }, () => LETTERS[randomInt(LETTERS.length)]).join(''),
  ).join('-')
  const expires = new Date(now.getTime() + FIRST_STANDS)
  await insertOnce(database, hashOfSecret(codeAsKept(code)), { kind: 'first-lead', value: {} }, expires)
  return code
}
