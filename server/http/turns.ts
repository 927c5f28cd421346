import { TooMuch } from './failures'

/** Asked to come again after, s. */
const AGAIN_AFTER = 2

interface Bounds {
  /** Pieces of work that run at once. */
  atOnce: number
  /** And that wait, of all askers together. */
  waiting: number
  /** What is told to an asker who is turned away. */
  busy: string
}

interface Waiter {
  start: () => void
  refuse: () => void
}

/**
 * Lets so many pieces of work run at once, and so many wait. Askers take turns; where too many wait, the one with the
 * most loses its last.
 *
 * @example const turn = turns({ atOnce: 2, waiting: 8, busy: '…' }); await turn(() => shrink(picture), '192.0.2.1')
 */
export function turns({ atOnce, waiting, busy }: Bounds) {
  /** By asker, the one whose turn is next first. */
  const queues = new Map<string, Waiter[]>()
  let running = 0
  let count = 0

  function next(): Waiter | undefined {
    const [first] = queues
    if (!first) return undefined
    const [asker, queue] = first
    queues.delete(asker)
    const waiter = queue.shift()!
    // Behind all others.
    if (queue.length > 0) queues.set(asker, queue)
    count--
    return waiter
  }
  function refuseOne(): void {
    const [asker, queue] = [...queues].reduce((most, each) => (each[1].length > most[1].length ? each : most))
    const waiter = queue.pop()!
    if (queue.length === 0) queues.delete(asker)
    count--
    waiter.refuse()
  }
  function wait(asker: string): Promise<void> {
    return new Promise<void>((resolve, reject) => {
      const refuse = () => reject(new TooMuch(busy, AGAIN_AFTER))
      const queue = queues.get(asker) ?? []
      queues.set(asker, [...queue, { start: resolve, refuse }])
      if (++count > waiting) refuseOne()
    })
  }

  /**
   * @param asker whose turn it is
   * @throws TooMuch where too many wait
   */
  return async function turn<T>(work: () => Promise<T>, asker: string): Promise<T> {
    if (running >= atOnce) await wait(asker)
    else running++
    try {
      return await work()
    } finally {
      const waiter = next()
      if (waiter) waiter.start()
      else running--
    }
  }
}
