import { answering } from '../../http/answering'
import { leave } from '../../people/session'

/** Signs this device out. */
export default answering(leave)
