import { answering } from '../../http/answering'
import { passkeysOf } from '../../people/passkeys'
import { deviceAnswer, devicesOf } from '../../people/signInRows'
import { idleSince } from '../../people/signIns'
import { admittedOf } from '../../workspace/workspaceOf'
import type { SelfAnswer } from '../../../shared/contract'

/** Devices and passkeys of whoever asks. */
export default answering(async (event): Promise<SelfAnswer> => {
  const { workspace, device: here } = admittedOf(event)
  const [devices, passkeys] = await Promise.all([
    devicesOf(workspace, { person: workspace.person!.id, idleSince: idleSince(new Date()) }),
    passkeysOf(workspace),
  ])
  return {
    devices: devices.map((device) => ({ ...deviceAnswer(device), ...(device.id === here ? { isThis: true } : {}) })),
    passkeys,
  }
})
