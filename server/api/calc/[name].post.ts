import { getRouterParam } from 'h3'
import { answering } from '../../http/answering'
import { readText } from '../../http/body'
import { inPool } from '../../worker/pool'

export default answering(async (event) => inPool('calculate', getRouterParam(event, 'name')!, await readText(event)))
