import { answering } from '../../http/answering'
import { readPeople } from '../../people/accounts'
import { workspaceOf } from '../../workspace/workspaceOf'

/** Who works here, with their devices. */
export default answering(async (event) => readPeople(workspaceOf(event)))
