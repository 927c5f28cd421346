import type { Post } from '../../document/job'
import { postSchema } from '../../document/postSchema'
import { findPost, inOrder, mapLine, mapPost, postTarget, withKey, type PostAddress } from '../changes'
import { keyWords, oneKeyOf, postAddress, type CommandKind, type KeyValue } from '../command'

/** What has commands of its own: what was seen, said and photographed. */
const KEPT_OTHERWISE = ['id', 'observations', 'readings', 'photographs', 'judgement'] as const

/** A fact of the post. */
export type SetPost = PostAddress & { name: 'setPost' } & KeyValue<
    Post,
    Exclude<keyof Post, (typeof KEPT_OTHERWISE)[number]>
  >

export const setPost: CommandKind<SetPost> = {
  name: 'setPost',
  fields: { ...postAddress, ...oneKeyOf(postSchema, KEPT_OTHERWISE) },
  target: (command) => [...postTarget(command), command.key],
  apply(job, command) {
    const changed = mapPost(job, command, (post) => withKey(post, command.key, command.value))
    return command.key === 'station' ? mapLine(changed, command, inOrder) : changed
  },
  inverse: (job, command) => ({ ...command, value: findPost(job, command)[command.key] ?? null }) as SetPost,
  says: (command, words) => keyWords(postSchema, command, words),
}
