import { answering } from '../../http/answering'
import { readJson } from '../../http/body'
import { database } from '../../database'
import { setResponseStatus } from 'h3'
import { InputError } from '../../../core/errors'
import { createJob } from '../../jobs/service'

export default answering(async (event) => {
  const wanted = await readJson(event)
  if (typeof wanted !== 'object' || wanted === null)
    throw new InputError('body', wanted, 'an object with name, tape and height')
  const created = await createJob(await database(), wanted)
  setResponseStatus(event, 201)
  return created
})
