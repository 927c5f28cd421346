import { answering } from '../../http/answering'
import { readJson } from '../../http/body'
import { getRouterParam } from 'h3'
import { calculate } from '../../../core/calc/registry'
import { tables } from '../../../data/tables'

export default answering(async (event) => calculate(getRouterParam(event, 'name')!, await readJson(event), tables))
