import type { Post, RepairChoice } from '../../document/job'
import { LONGEST } from '../../limits'
import { repairSchema } from '../../document/schema'
import { text } from '../../schema/fields'
import { findPost, mapPost, postTarget, withKey, type PostAddress } from '../changes'
import { postAddress, valueWords, type CommandKind } from '../command'

/** The method that is taken; null gives it up. */
export interface ChooseRepair extends PostAddress {
  name: 'chooseRepair'
  value: string | null
  /** The whole choice as it is to stand: the way back, since a change of method clears the hole. */
  whole?: RepairChoice | null
}

export const chooseRepair: CommandKind<ChooseRepair> = {
  name: 'chooseRepair',
  fields: { ...postAddress, value: text(LONGEST.key).nullable(), whole: repairSchema.nullable().optional() },
  target: (command) => [...postTarget(command), 'repair'],
  apply: (job, command) => mapPost(job, command, (post) => withKey(post, 'repair', choiceOf(post, command))),
  inverse(job, command) {
    const { repair } = findPost(job, command)
    return { ...command, value: repair?.method ?? null, whole: repair ?? null }
  },
  says: ({ value }, words) => valueWords(value, words),
}

/** A new method keeps mix and filling; the hole of the old one is gone. */
function choiceOf({ repair }: Post, { value, whole }: ChooseRepair): RepairChoice | null {
  if (whole !== undefined) return whole
  const { mix, filling } = repair ?? {}
  const kept = { ...(mix === undefined ? {} : { mix }), ...(filling === undefined ? {} : { filling }) }
  if (value !== null) return { ...kept, method: value }
  return Object.keys(kept).length > 0 ? kept : null
}
