import { answering } from '../../http/answering'
import { nameInAddress } from '../../http/body'
import { changePerson } from '../../people/accounts'
import { linkAnswer, readDeed } from '../../people/read'
import { workspaceOf } from '../../workspace/workspaceOf'

/** Another role, leaving, coming back, or a new way in. */
export default answering(async (event) => {
  const made = await changePerson(workspaceOf(event), nameInAddress(event, 'person'), await readDeed(event))
  return made ? linkAnswer(made) : { changed: true }
})
