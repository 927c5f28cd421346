import type { Photograph } from '../../document/job'
import { photographSchema } from '../../document/photographSchema'
import { LONGEST } from '../../limits'
import { name } from '../../schema/fields'
import { findPost, mapPost, postTarget, withItem, withKey, type PostAddress } from '../changes'
import { postAddress, put, type CommandKind } from '../command'

/** A photograph of the post, kept or taken away; the picture itself travels by itself. */
export interface PutPhotograph extends PostAddress {
  name: 'putPhotograph'
  photograph: string
  value: Photograph | null
}

export const putPhotograph: CommandKind<PutPhotograph> = {
  name: 'putPhotograph',
  fields: { ...postAddress, photograph: name(LONGEST.identity), ...put(photographSchema, 'photograph') },
  target: (command) => [...postTarget(command), 'photograph', command.photograph],
  apply: (job, command) =>
    mapPost(job, command, (post) =>
      withKey(post, 'photographs', withItem(post.photographs, command.photograph, command.value)),
    ),
  inverse: (job, command) => ({
    ...command,
    value: findPost(job, command).photographs?.find(({ id }) => id === command.photograph) ?? null,
  }),
  says: ({ value }) => (value ? 'kept' : 'taken away'),
}
