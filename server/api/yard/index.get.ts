import { answering } from '../../http/answering'
import { readYard } from '../../yard/service'
import { workspaceOf } from '../../workspace/workspaceOf'

/** What the workspace has of its own in its tables. */
export default answering(async (event) => readYard(workspaceOf(event)))
