import { answering } from '../../http/answering'
import { addressOf } from '../../http/asker'
import { changePassword } from '../../people/accounts'
import { readPasswords } from '../../people/read'
import { admittedOf } from '../../workspace/workspaceOf'

/** Another password; every other device of whoever asks is signed out. */
export default answering(async (event) => {
  const { workspace, device } = admittedOf(event)
  const how = { device: device!, address: addressOf(event), now: new Date() }
  await changePassword(workspace, await readPasswords(event), how)
  return { changed: true }
})
