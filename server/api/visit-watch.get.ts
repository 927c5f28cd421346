import { answering } from '../http/answering'
import { readVisitWatch } from '../record/service'
import { workspaceOf } from '../workspace/workspaceOf'

/** Jobs that somebody should go back to. */
export default answering(async (event) => readVisitWatch(workspaceOf(event), new Date()))
