import 'fake-indexeddb/auto'
import { afterEach } from 'vitest'
import { openSession, type JobSession } from '~/job/session'
import { editsSender } from '~/sync/edits'
import { createNewJobs } from '~/sync/newJobs'
import { createPictures } from '~/sync/pictures'
import { createQueue } from '~/sync/queue'
import { DeviceStorage } from '~/sync/storage'
import { createTabs } from '~/sync/tabs'
import { createTray } from '~/sync/tray'
import { tables } from '~~/tests/support/builders'
import type { FakeServer } from './fakeServer'

const QUICK = { first: 2, longest: 10 }
let made = 0
const closing: (() => Promise<void>)[] = []
afterEach(async () => {
  for (const close of closing.splice(0)) await close()
})

/**
 * A device with a real database of its own; `again` is the same device after a reload, and another one of its name is
 * another window.
 */
export function newDevice(
  server: FakeServer,
  name = `device-${process.pid}-${++made}`,
  loadMemory?: ConstructorParameters<typeof DeviceStorage>[1],
) {
  const storage = new DeviceStorage(name, loadMemory)
  const tabs = createTabs(name)
  const edits = editsSender(storage, server.api, tabs)
  const newJobs = createNewJobs(storage, server.api, () => queue)
  const pictures = createPictures(storage, server.api, () => queue)
  const queue = createQueue(storage, [newJobs.sender, edits, pictures.sender], tabs, QUICK)
  const tray = createTray(storage, queue, tabs)
  const sessions: JobSession[] = []
  async function close(): Promise<void> {
    sessions.forEach((session) => session.close())
    await queue.close()
    storage.close()
    tabs.close()
  }
  closing.push(close)
  return {
    storage,
    newJobs,
    edits,
    pictures,
    queue,
    tray,
    async open(id: string): Promise<JobSession> {
      const session = openSession(id, { storage, queue, edits, api: server.api, tables: () => tables })
      sessions.push(session)
      await session.opened
      return session
    },
    async again() {
      await close()
      return newDevice(server, name)
    },
  }
}
