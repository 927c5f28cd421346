import { getQuery } from 'h3'
import { object, string } from 'yup'
import { readBy } from '../../../core/schema/violations'
import { database } from '../../database'
import { answering } from '../../http/answering'
import { readYardHistory } from '../../yard/service'

const VERSION = 'the number of a version'
const asked = object({ before: string().matches(/^\d{1,9}$/, VERSION) })

/** A page of what was changed in the yard, the last first: `?before=` the `next` of the page before. */
export default answering(async (event) => {
  const { before } = readBy<{ before?: string }>(asked, getQuery(event), 'query')
  return readYardHistory(await database(), before === undefined ? undefined : Number(before))
})
