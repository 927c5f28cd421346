import { answering } from '../../http/answering'
import { readSession } from '../../people/session'

/** Who is signed in here, if anybody. */
export default answering(readSession)
