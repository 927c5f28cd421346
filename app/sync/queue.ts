import pRetry from 'p-retry'
import { computed, ref, shallowRef, type ComputedRef, type Ref } from 'vue'
import { Refusal } from './api'
import { newIdentity } from './identity'
import { plain, type DeviceStorage, type Outgoing } from './storage'
import type { Tabs } from './tabs'

/**
 * How one kind of thing is sent. It may be sent twice, when an answer is lost; the server takes it once.
 */
export interface Sender<Body> {
  kind: string
  /** What has to be there before anything of a topic is sent: kinds and topics of their own. */
  after?: (topic: string) => readonly (readonly [kind: string, topic: string])[]
  /**
   * @returns whether it was taken, or has been made anew on the device and is to be sent as it stands there now
   * @throws Refusal
   */
  send: (topic: string, body: Body) => Promise<'taken' | 'made-anew'>
  /** The server would not have it; it lies in the tray then. */
  refused: (topic: string, body: Body, why: Refusal) => Promise<void>
}

export interface Pauses {
  /** Between tries while the server does not answer, ms. */
  first: number
  longest: number
}
const PAUSES: Pauses = { first: 500, longest: 8_000 }

/** One queue for all that waits to be sent, of every job, open or not. */
export interface Queue {
  /** Keeps it on the device, then sends it in its turn. @returns once the device has it */
  put: (kind: string, topic: string, body: unknown, id?: string) => Promise<void>
  /** What this queue can send. */
  kinds: readonly string[]
  /** How much waits, by kind and topic; what is just being kept counts. */
  waiting: (kind: string, topic?: string) => number
  /** How much waits in all, without what a request that is under way carries. */
  total: ComputedRef<number>
  /** Whether the server answered the last time. */
  reachable: Ref<boolean>
  /** Tries at once all that waits: there is a signal again, perhaps. */
  wake: () => Promise<void>
  /** Everything that can be sent now has been. */
  idle: () => Promise<void>
  /** Sends no more; what waits stays on the device. */
  close: () => Promise<void>
}

const laneOf = ({ kind, topic }: Pick<Outgoing, 'kind' | 'topic'>) => `${kind} ${topic}`

/**
 * Tries of what the server may have nothing against, and nobody lets through: then it steps aside for what comes
 * after it. A server that is merely away is waited for without end.
 */
const STUBBORN_TRIES = 6

export function createQueue(
  storage: DeviceStorage,
  senders: readonly Sender<never>[],
  tabs: Pick<Tabs, 'tell' | 'listen' | 'alone'>,
  pauses: Pauses = PAUSES,
): Queue {
  const byKind = new Map(senders.map((sender) => [sender.kind, sender as Sender<unknown>]))
  const reachable = ref(true)
  /** By lane: what is on the device, and what is on its way there. */
  const kept = shallowRef<ReadonlyMap<string, number>>(new Map())
  const arriving = shallowRef<ReadonlyMap<string, number>>(new Map())
  const sending = ref(0)
  const total = computed(() => {
    const counts = [...kept.value.values(), ...arriving.value.values()]
    return Math.max(0, counts.reduce((sum, count) => sum + count, 0) - sending.value)
  })
  const lanes = new Map<string, Promise<void>>()
  let waits = new AbortController()
  /** By identity: how often something was turned away that will perhaps never get through. */
  const turnedAway = new Map<string, number>()
  let isClosed = false

  const stopListening = tabs.listen(({ what }) => {
    if (what === 'outbox') void recount()
    if (what === 'wake') void wakeHere()
  })

  async function put(kind: string, topic: string, body: unknown, id = newIdentity()): Promise<void> {
    const lane = laneOf({ kind, topic })
    arriving.value = counted(arriving.value, lane, 1)
    try {
      await storage.keep(() => storage.outbox.add({ id, kind, topic, body: plain(body) }))
      kept.value = counted(kept.value, lane, 1)
      tabs.tell({ what: 'outbox' })
    } finally {
      arriving.value = counted(arriving.value, lane, -1)
    }
    void run(kind, topic)
  }

  /** Sends what waits in one lane, oldest first. A lane runs once at a time. */
  function run(kind: string, topic: string): Promise<void> {
    const lane = laneOf({ kind, topic })
    const running = lanes.get(lane)
    if (running) return running
    const started = tabs
      .alone(`send ${lane}`, () => sendAll(kind, topic))
      .finally(() => {
        lanes.delete(lane)
        // Put there just as the last one had gone.
        if (!isClosed && (kept.value.get(lane) ?? 0) > 0) void run(kind, topic)
      })
    lanes.set(lane, started)
    return started
  }

  async function sendAll(kind: string, topic: string): Promise<void> {
    while (!isClosed) {
      for (const [before, of] of byKind.get(kind)!.after?.(topic) ?? []) {
        const first = { kind: before, topic: of }
        if ((await storage.keep(() => storage.outbox.where(first).count())) > 0) await run(before, of)
      }
      const { signal } = waits
      try {
        const sent = await pRetry(() => sendFirst(kind, topic), {
          retries: Infinity,
          minTimeout: pauses.first,
          maxTimeout: pauses.longest,
          factor: 2,
          signal,
          // Being woken ends an attempt too, a good one among them.
          onFailedAttempt: ({ error }) => void (error instanceof Refusal && (reachable.value = false)),
        })
        if (!sent) return
      } catch (error) {
        // Woken while it waited: it tries again at once.
        if (!signal.aborted) throw error
      }
    }
  }

  /** @returns false when nothing waits */
  async function sendFirst(kind: string, topic: string): Promise<boolean> {
    // Read anew for each try: a merge may have changed it meanwhile.
    const row = await storage.keep(() => storage.outbox.where({ kind, topic }).first())
    if (!row) {
      // Counted one by one it may have gone astray, where another window wrote at the same moment.
      kept.value = new Map(kept.value).set(laneOf({ kind, topic }), 0)
      return false
    }
    const sender = byKind.get(kind)!
    try {
      const sent = await underWay(() => sender.send(topic, row.body))
      if (sent === 'taken') {
        await storage.keep(() => storage.outbox.delete(row.order!))
        kept.value = counted(kept.value, laneOf(row), -1)
      } else await recount()
    } catch (error) {
      // Another kind of error than what is ours would end the tries.
      if (isWorthAnotherTry(row, error))
        throw error instanceof Refusal ? error : new Error(String(error), { cause: error })
      const refusal = error instanceof Refusal ? error : new Refusal(0, `It cannot be sent: ${String(error)}`)
      await putAside(row, refusal)
      kept.value = counted(kept.value, laneOf(row), -1)
      await sender.refused(topic, row.body, refusal)
    }
    reachable.value = true
    tabs.tell({ what: 'outbox' })
    return true
  }

  async function underWay<T>(send: () => Promise<T>): Promise<T> {
    sending.value++
    try {
      return await send()
    } finally {
      sending.value--
    }
  }

  function isWorthAnotherTry({ id }: Outgoing, error: unknown): boolean {
    if (error instanceof Refusal) {
      if (!error.passing) return false
      if (!error.isForeign || error.status < 400) return true
    }
    const times = (turnedAway.get(id) ?? 0) + 1
    turnedAway.set(id, times)
    return times < STUBBORN_TRIES
  }

  /** What the server will not have is not sent for ever, and is not lost either. */
  async function putAside(row: Outgoing, { message }: Refusal): Promise<void> {
    await storage.transaction('rw', ['outbox', 'tray'], async () => {
      const { order, ...rest } = row
      await storage.tray.add({ ...rest, why: message })
      await storage.outbox.delete(order!)
    })
    tabs.tell({ what: 'tray' })
  }

  async function recount(): Promise<void> {
    const rows = (await storage.keep(() => storage.outbox.orderBy('[kind+topic]').keys())) as unknown as [
      string,
      string,
    ][]
    const counts = new Map<string, number>()
    for (const [kind, topic] of rows) {
      const lane = laneOf({ kind, topic })
      counts.set(lane, (counts.get(lane) ?? 0) + 1)
    }
    kept.value = counts
  }

  function waiting(kind: string, topic?: string): number {
    let count = 0
    for (const counts of [kept.value, arriving.value]) {
      for (const [lane, many] of counts) {
        const [ofKind, ...rest] = lane.split(' ')
        if (ofKind === kind && (topic === undefined || rest.join(' ') === topic)) count += many
      }
    }
    return count
  }

  function wake(): Promise<void> {
    tabs.tell({ what: 'wake' })
    return wakeHere()
  }
  async function wakeHere(): Promise<void> {
    waits.abort()
    waits = new AbortController()
    await recount()
    for (const lane of kept.value.keys()) {
      const [kind, ...rest] = lane.split(' ')
      void run(kind!, rest.join(' '))
    }
  }

  async function idle(): Promise<void> {
    await wake()
    await Promise.all(lanes.values())
  }
  async function close(): Promise<void> {
    isClosed = true
    stopListening()
    waits.abort()
    await Promise.allSettled(lanes.values())
  }
  return { kinds: [...byKind.keys()], put, waiting, total, reachable, wake, idle, close }
}

function counted(counts: ReadonlyMap<string, number>, lane: string, by: number): Map<string, number> {
  const changed = new Map(counts)
  changed.set(lane, (changed.get(lane) ?? 0) + by)
  return changed
}
