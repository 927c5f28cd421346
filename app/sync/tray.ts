import { shallowRef, type ShallowRef } from 'vue'
import type { VersionedBatch } from '~~/core/edit/batch'
import { EDITS } from './edits'
import { newIdentity } from './identity'
import { NEW_JOB } from './newJobs'
import type { Queue } from './queue'
import { plain, type DeviceStorage, type Refused } from './storage'
import type { Tabs } from './tabs'

/**
 * What the server would not have, or nobody let through. It stays on the device until a person sends it again, or
 * throws it away.
 */
export interface Tray {
  items: ShallowRef<readonly Refused[]>
  load: () => Promise<void>
  /** Sends it again, on the job as it is now. */
  sendAgain: (item: Refused) => Promise<void>
  throwAway: (item: Refused) => Promise<void>
  /** Everything in it as text for a file. */
  asFile: () => string
}

export function createTray(
  storage: DeviceStorage,
  queue: Pick<Queue, 'put'>,
  tabs: Pick<Tabs, 'tell' | 'listen'>,
): Tray {
  const items = shallowRef<readonly Refused[]>([])
  const load = async () => void (items.value = await storage.keep(() => storage.tray.orderBy('order').toArray()))
  tabs.listen(({ what }) => (what === 'tray' ? void load() : undefined))

  async function throwAway(item: Refused): Promise<void> {
    // Nobody else has a job that was refused: its copy would be found without a signal alone.
    if (item.kind === NEW_JOB) await storage.keep(() => storage.jobs.delete(item.topic))
    await forget(item)
  }
  async function forget({ order }: Refused): Promise<void> {
    await storage.keep(() => storage.tray.delete(order!))
    tabs.tell({ what: 'tray' })
    await load()
  }
  async function sendAgain(item: Refused): Promise<void> {
    const { kind, topic, body } = item
    // Refused under its old name it never was a batch: a new name keeps both apart.
    const id = kind === EDITS ? newIdentity() : item.id
    const kept = kind === EDITS ? await storage.jobs.get(topic) : undefined
    const anew = kind === EDITS ? { ...(body as VersionedBatch), id, ...(kept ? { version: kept.version } : {}) } : body
    await queue.put(kind, topic, anew, id)
    await forget(item)
  }
  return { items, load, sendAgain, throwAway, asFile: () => JSON.stringify(plain([...items.value]), null, 2) }
}
