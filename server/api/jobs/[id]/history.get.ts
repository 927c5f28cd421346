import { getRouterParam } from 'h3'
import { readHistory } from '../../../services/jobs'

export default answering(async (event) => readHistory(await database(), getRouterParam(event, 'id')!))
