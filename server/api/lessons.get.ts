import { getQuery } from 'h3'
import { LONGEST } from '../../core/limits'
import { database } from '../database'
import { answering } from '../http/answering'
import { readLessons } from '../record/service'

/** What the records of all jobs come to: `?person=NAME` tells whose own pace is wanted by name. */
export default answering(async (event) => {
  const { person } = getQuery(event)
  const name = typeof person === 'string' ? person.slice(0, LONGEST.person) : undefined
  return readLessons(await database(), name)
})
