import { LIMITS, LONGEST } from '../limits'
import { listOfAtMost, name, neededTime, part, record } from '../schema/fields'

/** Longest key of a thing on the list: what goes with it stands before its name. */
export const loadedKey = () => name(LONGEST.taskOfDay)

/* What is taken along to a job. */

export const loadSchema = part({
  /** What lies in the van already, by its key in the yard's list or its name, and since when. */
  loaded: listOfAtMost(LIMITS.loaded, 'things', record({ key: loadedKey(), at: neededTime() })),
})
