import { OUT_REASONS, type OutReason } from '~~/shared/people'

const WORDS: Readonly<Record<OutReason | 'out', (by: string) => string>> = {
  out: () => 'You are signed out.',
  'signed-out': (by) => `This device was signed out${by ? ` by ${by}` : ' from elsewhere'}.`,
  password: () => 'The password of this account was changed on another device.',
  'new-way-in': (by) =>
    `A new way in to this account${by ? `, made by ${by},` : ''} was used: its password is another one now, and its passkeys are gone. If that was not you, tell your lead today.`,
  left: (by) => `${by || 'A lead'} has taken this account out of the people who work here.`,
  lost: (by) => `This device was called lost${by ? ` by ${by}` : ''}: everything on it was deleted.`,
}

/**
 * Why a device was signed out, as it stands in the address after it.
 *
 * @example whyOutWords('signed-out', 'Wren') // 'This device was signed out by Wren.'
 * @returns nothing for what is no reason
 */
export function whyOutWords(why: unknown, by: unknown): string {
  const known = ([...OUT_REASONS, 'out'] as const).find((each) => each === why)
  return known ? WORDS[known](typeof by === 'string' ? by.slice(0, 100) : '') : ''
}
