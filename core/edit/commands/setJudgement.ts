import type { Judgement } from '../../document/job'
import { judgementSchema } from '../../document/observationsSchema'
import { findPost, mapPost, postTarget, withPart, type PostAddress } from '../changes'
import { keyWords, oneKeyOf, postAddress, type CommandKind, type KeyValue } from '../command'

/** What a person says of the cause. */
export type SetJudgement = PostAddress & { name: 'setJudgement' } & KeyValue<Judgement>

export const setJudgement: CommandKind<SetJudgement> = {
  name: 'setJudgement',
  fields: { ...postAddress, ...oneKeyOf(judgementSchema) },
  target: (command) => [...postTarget(command), 'judgement', command.key],
  apply: (job, command) => mapPost(job, command, (post) => withPart(post, 'judgement', command.key, command.value)),
  inverse: (job, command) =>
    ({ ...command, value: findPost(job, command).judgement?.[command.key] ?? null }) as SetJudgement,
  says: (command, words) => keyWords(judgementSchema, command, words),
}
