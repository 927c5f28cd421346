import { answering } from '../../http/answering'
import { nameInAddress, readText } from '../../http/body'
import { inPool } from '../../worker/pool'

export default answering(async (event) => inPool('calculate', nameInAddress(event, 'name'), await readText(event)))
