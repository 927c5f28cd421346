import { LIMITS, LONGEST } from '../limits'
import { flag, listOfAtMost, name, neededTime, part, quantity, record, text, time } from '../schema/fields'

/** Longest key of a thing on the list: what goes with it stands before its name. */
export const loadedKey = () => name(LONGEST.taskOfDay)

/* What is taken along to a job, and what came of it. */

/** Units of one thing: used in all, and bought on the way beside what was planned. */
export const usedFields = () => ({
  used: quantity(0, 1e6),
  bought: quantity(0, 1e6),
  /** It was not in the van when it was wanted. */
  missed: flag(),
  reason: text(LONGEST.note),
})

export const loadSchema = part({
  /** What lies in the van already, by its key in the yard's list or its name, and since when. */
  loaded: listOfAtMost(LIMITS.loaded, 'things', record({ key: loadedKey(), at: neededTime() })),
  used: listOfAtMost(LIMITS.loaded, 'things', record({ key: loadedKey(), ...usedFields() })),
  /** When what was left went back into the yard's list. */
  settled: time(),
})
