import type { Table } from 'dexie'
import type { KeptAccount } from './accountHere'
import { TABLES, type DeviceStorage, type HeldWork, type Outgoing } from './storage'

/*
 * Work that its account has not sent yet outlives a sign-out: it is set aside under that account, and goes out after
 * its next sign-in on this device. Everything else, which the server has confirmed, is deleted.
 */

/** Who has unsent work on this device, and how many entries. */
export interface HeldCount extends KeptAccount {
  count: number
}

const EVERY_TABLE = [...TABLES, 'held'] as const

/**
 * Sets the unsent work of an account aside and deletes the rest of what the device keeps, in one transaction.
 *
 * @returns how many entries are held for the account now
 */
export async function holdUnsent(storage: DeviceStorage, { id, name }: KeptAccount): Promise<number> {
  return storage.transaction('rw', EVERY_TABLE, async () => {
    const outbox = await storage.outbox.orderBy('order').toArray()
    const tray = await storage.tray.orderBy('order').toArray()
    // A choice that is still to be made holds a value that the server has not taken.
    const conflicts = await storage.conflicts.toArray()
    if (outbox.length + tray.length + conflicts.length > 0) {
      const unsent = [...outbox, ...tray]
      const topics = new Set([...unsent.map(({ topic }) => topic), ...conflicts.map(({ jobId }) => jobId)])
      const identities = new Set(unsent.map((entry) => entry.id))
      const held: HeldWork = {
        account: id,
        name,
        outbox,
        tray,
        conflicts,
        jobs: (await storage.jobs.toArray()).filter((job) => topics.has(job.id)),
        pictures: (await storage.pictures.toArray()).filter((picture) => identities.has(picture.id)),
        offers: (await storage.offers.toArray()).filter(({ jobId }) => topics.has(jobId)),
        yards: (await storage.yards.toArray()).filter((yard) => topics.has(yard.id)),
      }
      await storage.held.put(joined(await storage.held.get(id), held))
    }
    for (const table of TABLES) await storage[table].clear()
    const now = await storage.held.get(id)
    return now ? countOf(now) : 0
  })
}

/** What was held before goes out first; of copies the later one counts. */
function joined(before: HeldWork | undefined, after: HeldWork): HeldWork {
  if (!before) return after
  const later = <Row>(key: (row: Row) => string, first: Row[], second: Row[]): Row[] => [
    ...new Map([...first, ...second].map((row) => [key(row), row])).values(),
  ]
  return {
    account: after.account,
    name: after.name,
    outbox: [...before.outbox, ...after.outbox],
    tray: [...before.tray, ...after.tray],
    jobs: later(({ id }) => id, before.jobs, after.jobs),
    conflicts: later(({ jobId }) => jobId, before.conflicts, after.conflicts),
    pictures: later(({ id }) => id, before.pictures, after.pictures),
    offers: later(({ id }) => id, before.offers, after.offers),
    yards: later(({ id }) => id, before.yards, after.yards),
  }
}

/**
 * Puts the held work of an account back where it is sent from.
 *
 * @returns how many entries came back
 */
export async function takeBackHeld(storage: DeviceStorage, account: string): Promise<number> {
  return storage.transaction('rw', EVERY_TABLE, async () => {
    const held = await storage.held.get(account)
    if (!held) return 0
    // A number of the order may have been given again meanwhile; the order itself stays.
    await storage.outbox.bulkAdd(held.outbox.map(withoutOrder))
    await storage.tray.bulkAdd(held.tray.map(withoutOrder))
    for (const table of ['jobs', 'conflicts', 'pictures', 'offers', 'yards'] as const)
      await (storage[table] as Table<unknown>).bulkPut(held[table])
    await storage.held.delete(account)
    return countOf(held)
  })
}
const withoutOrder = <Row extends Outgoing>({ order: _, ...row }: Row): Omit<Row, 'order'> & Outgoing => row

const countOf = ({ outbox, tray, conflicts }: HeldWork): number =>
  outbox.length + tray.length + conflicts.reduce((sum, each) => sum + each.conflicts.length, 0)

/** Accounts whose unsent work is held on this device. */
export async function heldHere(storage: DeviceStorage): Promise<HeldCount[]> {
  const rows = await storage.keep(() => storage.held.toArray())
  return rows.map((held) => ({ id: held.account, name: held.name, count: countOf(held) }))
}
