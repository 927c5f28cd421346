import type { Post } from '../../document/job'
import { postSchema } from '../../document/postSchema'
import { findLine, inOrder, mapLine, postTarget, withItem, type PostAddress } from '../changes'
import { postAddress, put, type CommandKind } from '../command'

/** A whole post put in where its station says, or taken out. */
export interface PutPost extends PostAddress {
  name: 'putPost'
  value: Post | null
}

export const putPost: CommandKind<PutPost> = {
  name: 'putPost',
  fields: { ...postAddress, ...put(postSchema, 'post') },
  target: postTarget,
  apply: (job, command) =>
    mapLine(job, command, (line) =>
      inOrder({ ...line, posts: withItem(line.posts, command.post, command.value) ?? [] }),
    ),
  inverse: (job, command) => ({
    ...command,
    value: findLine(job, command).posts.find(({ id }) => id === command.post) ?? null,
  }),
  says: ({ value }, words) => (value ? `a post at ${words.length(value.station)}` : 'taken out'),
}
