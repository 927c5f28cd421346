import { answering } from '../../http/answering'
import { nameInAddress, readText } from '../../http/body'
import { inPool } from '../../worker/pool'
import { askerOf } from '../../workspace/workspaceOf'

export default answering(async (event) =>
  inPool(askerOf(event), 'calculate', nameInAddress(event, 'name'), await readText(event)),
)
