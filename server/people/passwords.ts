import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import { zxcvbnOptions, zxcvbn } from '@zxcvbn-ts/core'
import * as common from '@zxcvbn-ts/language-common'
import * as english from '@zxcvbn-ts/language-en'
import { InputError } from '../../core/errors'
import { LONGEST } from '../../core/limits'
import { turns } from '../http/turns'

/*
 * Passwords are kept as scrypt makes them, with their own salt and the cost that they were made at: a later version
 * can ask for more without anybody's being lost.
 */

/** 2^15 · 8 · 3: 32 MB and some 0.2 s. OWASP Password Storage Cheat Sheet, scrypt, one of its equal settings. */
const COST = { N: 2 ** 15, r: 8, p: 3 }
const KEY = 32
const SALT = 16
const LEAST = 12
/** Guesses of ten to the eighth are what somebody with a list has made in an hour. */
const LEAST_SCORE = 3

const derive = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(scrypt)
/** Each takes memory: two at once. Askers take turns, so that a flood from one address delays that address alone. */
const turn = turns({ atOnce: 2, waiting: 200, busy: 'Too many people are signing in just now.' })

zxcvbnOptions.setOptions({
  dictionary: { ...common.dictionary, ...english.dictionary },
  graphs: common.adjacencyGraphs,
})

/**
 * @param asker address that it is made for
 * @returns as `scrypt$N$r$p$salt$key`
 * @example await hashOfPassword('a long line of words', '192.0.2.1') // 'scrypt$32768$8$3$…$…'
 */
export async function hashOfPassword(password: string, asker: string): Promise<string> {
  const salt = randomBytes(SALT)
  const { N, r, p } = COST
  const key = await turn(() => derived(password, salt, COST), asker)
  return ['scrypt', N, r, p, salt.toString('base64url'), key.toString('base64url')].join('$')
}

/** @param kept as {@link hashOfPassword} made it */
export async function isPassword(password: string, kept: string, asker: string): Promise<boolean> {
  const [, N, r, p, salt, key] = kept.split('$')
  const wanted = Buffer.from(key!, 'base64url')
  const cost = { N: Number(N), r: Number(r), p: Number(p) }
  const found = await turn(() => derived(password, Buffer.from(salt!, 'base64url'), cost), asker)
  return found.length === wanted.length && timingSafeEqual(found, wanted)
}

/** What is typed may be written in more than one way: é as one letter, or as two. */
const derived = (password: string, salt: Buffer, cost: typeof COST): Promise<Buffer> =>
  derive(password.normalize('NFKC'), salt, KEY, { ...cost, maxmem: 256 * cost.N * cost.r })

/** Takes as long as looking a password up: who asks with an unknown name learns nothing from the time. */
export const spendTheTime = async (password: string, asker: string): Promise<false> => {
  await turn(() => derived(password, Buffer.alloc(SALT), COST), asker)
  return false
}

/**
 * @param names that are no password: the person's own
 * @throws InputError for one that is short, long or soon guessed
 */
export function requirePassword(password: string, names: readonly string[]): void {
  if (password.length < LEAST || password.length > LONGEST.password)
    throw new InputError('password', '…', `from ${LEAST} to ${LONGEST.password} letters`)
  // A longer one is guessed by its beginning or not at all.
  const { score } = zxcvbn(password.slice(0, 100), [...names, 'vindex', 'fence', 'post'])
  if (score < LEAST_SCORE)
    throw new InputError(
      'password',
      '…',
      'one that is not soon guessed: four or five words that do not belong together',
    )
}
