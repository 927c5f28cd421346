import { readBatch } from '../../../../core/edit/batch'
import { requireBounded } from '../../../../core/schema/bounded'
import { answering } from '../../../http/answering'
import { jobIdentity, parseText, readText } from '../../../http/body'
import { applyBatch } from '../../../jobs/service'
import { inPool } from '../../../worker/pool'
import { tablesHere } from '../../../yard/service'
import { askerOf, workspaceOf } from '../../../workspace/workspaceOf'

/** A longer batch is read and checked in a thread of its own, letters. */
const SHORT = 16_000

export default answering(async (event) => {
  const id = jobIdentity(event)
  const text = await readText(event)
  if (text.length > SHORT) {
    const workspace = workspaceOf(event)
    const [batch, { own }] = await Promise.all([inPool(askerOf(event), 'readBatch', text), tablesHere(workspace)])
    return applyBatch(workspace, id, batch, (job, commands) => inPool(askerOf(event), 'checkEdit', job, commands, own))
  }
  const body = parseText(text)
  requireBounded(body, 'body')
  return applyBatch(workspaceOf(event), id, readBatch(body))
})
