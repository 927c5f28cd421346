import { shallowRef, type ShallowRef } from 'vue'
import { InputError } from '~~/core/errors'
import { applyChanges, onWhatIsThere, type YardConflict } from '~~/core/yard/apply'
import { backOf, type YardBatch, type YardChange } from '~~/core/yard/change'
import { rowsNow, type OwnRows } from '~~/core/yard/rows'
import { shippedYard, YARD_TABLES } from '~~/data/yard'
import type { Api } from './api'
import { newIdentity } from './identity'
import type { Queue, Sender } from './queue'
import { HOME, plain, type DeviceStorage, type KeptYard } from './storage'
import type { Tabs } from './tabs'
import { sameData } from '~~/core/sameData'

export const YARD = 'yard'
/** Changes that can be taken back. */
const STEPS_BACK = 100
const KNOWN = { shipped: shippedYard, tables: YARD_TABLES }

/** The yard on this device: what the server has of it, with what waits to be sent on top. */
export interface Yard {
  /** What the workspace has in the place of shipped rows. */
  own: ShallowRef<OwnRows>
  conflicts: ShallowRef<readonly YardConflict[]>
  /** Whether there is something to be taken back, and to be done again. */
  steps: ShallowRef<{ back: number; again: number }>
  sender: Sender<YardBatch>
  /** From the device first, then from the server where it answers. */
  refresh: () => Promise<void>
  /** @returns what is wrong with it; nothing is changed then */
  change: (changes: readonly YardChange[], by?: string) => Promise<InputError | undefined>
  /** @returns why it cannot be: a row that jobs may stand on stays */
  undo: () => Promise<InputError | undefined>
  redo: () => Promise<InputError | undefined>
  /** Mine after all, or theirs. */
  decide: (conflict: YardConflict, isMine: boolean) => Promise<void>
}

const EMPTY: KeptYard = { id: HOME, version: 0, own: {}, conflicts: [], back: [], again: [] }

/** @param queue given late: it is made with this sender */
export function createYard(
  storage: DeviceStorage,
  api: Pick<Api, 'readYard' | 'changeYard'>,
  queue: () => Pick<Queue, 'put'>,
  tabs: Pick<Tabs, 'tell' | 'listen'>,
): Yard {
  const own = shallowRef<OwnRows>({})
  const conflicts = shallowRef<readonly YardConflict[]>([])
  const steps = shallowRef({ back: 0, again: 0 })
  tabs.listen(({ what }) => void (what === 'yard' && show()))

  const kept = async (): Promise<KeptYard> => (await storage.keep(() => storage.yards.get(HOME))) ?? EMPTY
  async function keep(change: (now: KeptYard) => KeptYard): Promise<void> {
    await storage.transaction('rw', ['yards'], async () => {
      await storage.yards.put(plain(change((await storage.yards.get(HOME)) ?? EMPTY)))
    })
    await show()
    tabs.tell({ what: 'yard' })
  }

  /** What the screens see: the server's, with all that waits made on top. */
  async function show(): Promise<void> {
    const now = await kept()
    const waiting = await storage.keep(() => storage.outbox.where({ kind: YARD, topic: HOME }).sortBy('order'))
    own.value = waiting.reduce((at, { body }) => onTop(at, (body as YardBatch).changes), now.own)
    conflicts.value = now.conflicts
    steps.value = { back: now.back.length, again: now.again.length }
  }

  async function refresh(): Promise<void> {
    await show()
    try {
      const { version, own: theirs } = await api.readYard()
      // An answer that was long under way does not take back what was sent meanwhile.
      await keep((now) => (version >= now.version ? { ...now, version, own: theirs } : now))
    } catch {
      // What this device has counts until the server answers.
    }
  }

  async function send(_topic: string, batch: YardBatch): Promise<'taken'> {
    const answer = await api.changeYard(batch)
    const { version, own: theirs } = await api.readYard()
    await storage.transaction('rw', ['yards', 'outbox'], async () => {
      const now = (await storage.yards.get(HOME)) ?? EMPTY
      // Sent again after its answer was lost, its conflicts are told once.
      const fresh = answer.conflicts.filter((conflict) => !now.conflicts.some((told) => sameData(told, conflict)))
      await storage.yards.put(plain({ ...now, version, own: theirs, conflicts: [...now.conflicts, ...fresh] }))
      await storage.outbox.where({ id: batch.id }).delete()
    })
    await show()
    tabs.tell({ what: 'yard' })
    return 'taken'
  }

  async function put(changes: readonly YardChange[], by?: string): Promise<InputError | undefined> {
    try {
      own.value = applyChanges(own.value, changes, KNOWN).own
    } catch (error) {
      if (error instanceof InputError) return error
      throw error
    }
    const batch: YardBatch = { id: newIdentity(), ...(by ? { by } : {}), changes: plain([...changes]) }
    await queue().put(YARD, HOME, batch, batch.id)
    return undefined
  }

  async function change(changes: readonly YardChange[], by?: string): Promise<InputError | undefined> {
    if (changes.length === 0) return undefined
    const refused = await put(changes, by)
    if (!refused)
      await keep((now) => ({ ...now, back: [...now.back, plain([...changes])].slice(-STEPS_BACK), again: [] }))
    return refused
  }

  /** From one way to the other: what was taken back can be done again. */
  async function step(from: 'back' | 'again', to: 'back' | 'again'): Promise<InputError | undefined> {
    const last = (await kept())[from].at(-1)
    if (!last) return undefined
    const turned = backOf(last)
    const refused = await put(turned)
    await keep((now) => ({
      ...now,
      [from]: now[from].slice(0, -1),
      [to]: refused ? now[to] : [...now[to], turned],
    }))
    return refused
  }

  async function decide(conflict: YardConflict, isMine: boolean): Promise<void> {
    await keep((now) => ({
      ...now,
      conflicts: now.conflicts.filter((each) => !sameData(each, conflict)),
    }))
    const { table, key } = conflict.mine
    const there = rowsNow(shippedYard, own.value)[table]?.find((row) => row.key === key)
    if (isMine) await change([onWhatIsThere(conflict, there)])
  }

  return {
    own,
    conflicts,
    steps,
    sender: { kind: YARD, send, refused: async () => void (await refresh()) },
    refresh,
    change,
    undo: () => step('back', 'again'),
    redo: () => step('again', 'back'),
    decide,
  }
}

const onTop = (own: OwnRows, changes: readonly YardChange[]): OwnRows => {
  try {
    return applyChanges(own, changes, KNOWN).own
  } catch {
    // It waits to be refused by the server, which says why.
    return own
  }
}
