import { requireBounded } from '../../../core/schema/bounded'
import { readYardBatch } from '../../../core/yard/readBatch'
import { YARD_TABLES } from '../../../data/yard'
import { answering } from '../../http/answering'
import { parseText, readText } from '../../http/body'
import { changeYard } from '../../yard/service'
import { workspaceOf } from '../../workspace/workspaceOf'

const TABLES = YARD_TABLES.map(({ key }) => key)

export default answering(async (event) => {
  const body = parseText(await readText(event))
  requireBounded(body, 'body')
  return changeYard(workspaceOf(event), readYardBatch(body, TABLES))
})
