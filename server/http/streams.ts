import { TooMuch } from './failures'

/** Streams that one server holds open at once, and that one asker does. */
const MOST = 100
const MOST_EACH = 8
const AGAIN_AFTER = 5

const open = new Map<string, number>()

/**
 * A place for a stream.
 *
 * @returns gives the place back
 * @throws TooMuch
 */
export function takeStream(asker: string): () => void {
  const mine = open.get(asker) ?? 0
  const all = [...open.values()].reduce((sum, each) => sum + each, 0)
  if (mine >= MOST_EACH || all >= MOST) throw new TooMuch('Too many instruments at once.', AGAIN_AFTER)
  open.set(asker, mine + 1)
  let isOpen = true
  return () => {
    if (!isOpen) return
    isOpen = false
    const left = open.get(asker)! - 1
    if (left > 0) open.set(asker, left)
    else open.delete(asker)
  }
}
