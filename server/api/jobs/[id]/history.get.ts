import { answering } from '../../../http/answering'
import { database } from '../../../database'
import { getRouterParam } from 'h3'
import { readHistory } from '../../../jobs/service'

export default answering(async (event) => readHistory(await database(), getRouterParam(event, 'id')!))
