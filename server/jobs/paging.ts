import { InputError } from '../../core/errors'
import type { Place } from './repository'

/** Where the next page begins, for the asker to hand back as it is. */
export const pageToken = ({ updatedAt, id }: Place): string => `${updatedAt.getTime().toString(36)}.${id}`

/** @throws InputError when it is none */
export function readPageToken(token: string): Place {
  const [, time, id] = /^([0-9a-z]{1,9})\.([\w-]{1,36})$/.exec(token) ?? []
  if (!time || !id) throw new InputError('after', token, 'the next of a page before')
  return { updatedAt: new Date(parseInt(time, 36)), id }
}
