import { answering } from '../../http/answering'
import { askerOf } from '../../http/asker'
import { nameInAddress, readText } from '../../http/body'
import { inPool } from '../../worker/pool'

export default answering(async (event) =>
  inPool(askerOf(event), 'calculate', nameInAddress(event, 'name'), await readText(event)),
)
