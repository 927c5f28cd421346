import type { Hole } from '../../document/job'
import { holeSchema } from '../../document/schema'
import { findPost, mapPost, postTarget, withKey, withPart, type PostAddress } from '../changes'
import { keyWords, oneKeyOf, postAddress, type CommandKind } from '../command'

/** A measure of the hole of the repair in hand. */
export interface SetHole extends PostAddress {
  name: 'setHole'
  key: keyof Hole
  value: unknown
}

export const setHole: CommandKind<SetHole> = {
  name: 'setHole',
  fields: { ...postAddress, ...oneKeyOf(holeSchema) },
  target: (command) => [...postTarget(command), 'repair', 'hole', command.key],
  apply: (job, command) =>
    mapPost(job, command, (post) => {
      const hole = withKey(post.repair?.hole ?? {}, command.key, command.value)
      return withPart(post, 'repair', 'hole', Object.keys(hole).length > 0 ? hole : null)
    }),
  inverse: (job, command) => ({ ...command, value: findPost(job, command).repair?.hole?.[command.key] ?? null }),
  says: (command, words) => keyWords(holeSchema, command, words),
}
