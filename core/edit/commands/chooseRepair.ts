import type { Post, RepairChoice } from '../../document/job'
import { LONGEST } from '../../limits'
import { repairSchema } from '../../document/repairSchema'
import { text } from '../../schema/fields'
import { findPost, mapPost, postTarget, withKey, type PostAddress } from '../changes'
import { postAddress, valueWords, type CommandKind } from '../command'

/** The method that is taken; null gives it up. */
export interface ChooseRepair extends PostAddress {
  name: 'chooseRepair'
  value: string | null
  /** The whole choice as it is to stand: the way back, since a change of method moves an older file's hole. */
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

/** Every method keeps its own hole and its parts, so that comparing stays true; the mix goes from one to the next. */
function choiceOf({ repair }: Post, { value, whole }: ChooseRepair): RepairChoice | null {
  if (whole !== undefined) return whole
  const { method, hole, ...kept } = repair ?? {}
  // As older files have it, of the method in hand: from now on under its name.
  const holes = hole && method ? { [method]: hole, ...kept.holes } : kept.holes
  const choice = { ...kept, ...(holes ? { holes } : {}), ...(value === null ? {} : { method: value }) }
  return Object.keys(choice).length > 0 ? choice : null
}
