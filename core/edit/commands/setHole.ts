import { string } from 'yup'
import type { Hole, Post } from '../../document/job'
import { holeSchema } from '../../document/repairSchema'
import { LONGEST } from '../../limits'
import { text } from '../../schema/fields'
import { findPost, mapPost, postTarget, withKey, withPart, type PostAddress } from '../changes'
import { keyWords, oneKeyOf, postAddress, type CommandKind, type KeyValue } from '../command'

/** A measure of the hole of a method; of the repair in hand where none is named, as older edits have it. */
export type SetHole = PostAddress & { name: 'setHole'; method?: string } & KeyValue<Hole>

export const setHole: CommandKind<SetHole> = {
  name: 'setHole',
  fields: {
    ...postAddress,
    ...oneKeyOf(holeSchema),
    method: text(LONGEST.key).concat(string().matches(/^[a-z][a-z-]*$/, 'the key of a method')),
  },
  target: ({ method, key, ...command }) => [
    ...postTarget(command),
    'repair',
    ...(method === undefined ? ['hole'] : ['holes', method]),
    key,
  ],
  apply: (job, { method, key, value, ...command }) =>
    mapPost(job, command, (post) => {
      const hole = withKey(holeOf(post, method), key, value)
      const left = Object.keys(hole).length > 0 ? hole : null
      if (method === undefined) return withPart(post, 'repair', 'hole', left)
      const holes = withKey(post.repair?.holes ?? {}, method, left)
      return withPart(post, 'repair', 'holes', Object.keys(holes).length > 0 ? holes : null)
    }),
  inverse: (job, command) =>
    ({ ...command, value: holeOf(findPost(job, command), command.method)[command.key] ?? null }) as SetHole,
  says: (command, words) => keyWords(holeSchema, command, words),
}

const holeOf = ({ repair }: Post, method: string | undefined): Hole =>
  (method === undefined ? repair?.hole : repair?.holes?.[method]) ?? {}
