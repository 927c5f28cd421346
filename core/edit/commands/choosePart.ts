import { LONGEST } from '../../limits'
import { name, text } from '../../schema/fields'
import { findPost, mapPost, postTarget, withKey, type PostAddress } from '../changes'
import { postAddress, valueWords, type CommandKind } from '../command'

/** The part of a kind that the repair is made with; null leaves it to the tables. */
export interface ChoosePart extends PostAddress {
  name: 'choosePart'
  kind: string
  value: string | null
}

export const choosePart: CommandKind<ChoosePart> = {
  name: 'choosePart',
  fields: { ...postAddress, kind: name(LONGEST.key), value: text(LONGEST.key).nullable().defined('a key, or null') },
  target: (command) => [...postTarget(command), 'repair', 'parts', command.kind],
  apply: (job, { kind, value, ...address }) =>
    mapPost(job, address, (post) => {
      const parts = withKey(post.repair?.parts ?? {}, kind, value)
      const repair = withKey(post.repair ?? {}, 'parts', Object.keys(parts).length > 0 ? parts : null)
      return withKey(post, 'repair', Object.keys(repair).length > 0 ? repair : null)
    }),
  inverse: (job, command) => ({ ...command, value: findPost(job, command).repair?.parts?.[command.kind] ?? null }),
  says: ({ value }, words) => valueWords(value, words),
}
