import { getRouterParam } from 'h3'
import { database } from '../../../../../database'
import { answering } from '../../../../../http/answering'
import { jobIdentity } from '../../../../../http/body'
import { makeLink } from '../../../../../offers/service'

/** A link for the customer, shown once. */
export default answering(async (event) =>
  makeLink(await database(), jobIdentity(event), getRouterParam(event, 'offer')!),
)
