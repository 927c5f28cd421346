/** What windows of one browser tell each other. */
export interface Tabs {
  tell: (message: TabMessage) => void
  listen: (hear: (message: TabMessage) => void) => () => void
  /** Runs when no other window is at the same: so that each thing is sent by one of them. */
  alone: <T>(what: string, work: () => Promise<T>) => Promise<T>
  close: () => void
}

export type TabMessage =
  /** What waits has changed. */
  | { what: 'outbox' }
  /** There may be a signal again. */
  | { what: 'wake' }
  | { what: 'news'; jobId: string; news: unknown }
  | { what: 'tray' }
  | { what: 'yard' }
  | { what: 'offers'; jobId: string }

/** @param name of the storage that they share */
export function createTabs(name: string): Tabs {
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(`${name}-windows`)
  const listeners = new Set<(message: TabMessage) => void>()
  channel?.addEventListener('message', ({ data }) => listeners.forEach((hear) => hear(data as TabMessage)))
  return {
    tell: (message) => channel?.postMessage(message),
    listen(hear) {
      listeners.add(hear)
      return () => void listeners.delete(hear)
    },
    // Missing on plain http from another machine: then both send, and the server takes each thing once.
    alone: (what, work) => (globalThis.navigator?.locks ? navigator.locks.request(`${name}-${what}`, work) : work()),
    close: () => channel?.close(),
  }
}
