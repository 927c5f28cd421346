import { Busy } from './failures'

interface Bounds {
  /** Pieces of work that run at once. */
  atOnce: number
  /** Of one asker; without it as many as of all. */
  each?: number
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
export function turns({ atOnce, each = atOnce, waiting, busy }: Bounds) {
  /** By asker, the one whose turn is next first. */
  const queues = new Map<string, Waiter[]>()
  const runningOf = new Map<string, number>()
  let running = 0
  let count = 0

  const mayRun = (asker: string) => running < atOnce && (runningOf.get(asker) ?? 0) < each
  function begin(asker: string): void {
    running++
    runningOf.set(asker, (runningOf.get(asker) ?? 0) + 1)
  }
  function end(asker: string): void {
    running--
    const left = runningOf.get(asker)! - 1
    if (left > 0) runningOf.set(asker, left)
    else runningOf.delete(asker)
  }

  /** Starts what may run now, one asker after the other. */
  function startNext(): void {
    const asker = [...queues.keys()].find(mayRun)
    if (asker === undefined) return
    const queue = queues.get(asker)!
    const waiter = queue.shift()!
    count--
    // It stands behind all others now.
    queues.delete(asker)
    if (queue.length > 0) queues.set(asker, queue)
    begin(asker)
    waiter.start()
    startNext()
  }
  function refuseOne(): void {
    const [asker, queue] = [...queues].reduce((most, one) => (one[1].length >= most[1].length ? one : most))
    const waiter = queue.pop()!
    count--
    if (queue.length === 0) queues.delete(asker)
    waiter.refuse()
  }
  function wait(asker: string): Promise<void> {
    return new Promise<void>((resolve, reject) => {
      const refuse = () => reject(new Busy(busy))
      queues.set(asker, [...(queues.get(asker) ?? []), { start: resolve, refuse }])
      if (++count > waiting) refuseOne()
    })
  }

  /**
   * @param asker whose turn it is
   * @throws Busy where too many wait
   */
  return async function turn<T>(work: () => Promise<T>, asker: string): Promise<T> {
    if (mayRun(asker)) begin(asker)
    else await wait(asker)
    try {
      return await work()
    } finally {
      end(asker)
      startNext()
    }
  }
}
