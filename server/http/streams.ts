import { TooMuch } from './failures'

const AGAIN_AFTER = 5

/**
 * Places for streams of one kind, so many on this server and so many for one asker.
 *
 * @returns takes a place for an asker, and gives what gives it back; throws TooMuch where none is left
 */
export function streamPlaces(most: number, mostEach: number, what: string): (asker: string) => () => void {
  const open = new Map<string, number>()
  return (asker) => {
    const mine = open.get(asker) ?? 0
    const all = [...open.values()].reduce((sum, each) => sum + each, 0)
    if (mine >= mostEach || all >= most) throw new TooMuch(`Too many ${what} at once.`, AGAIN_AFTER)
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
}

export const instrumentStreams = streamPlaces(100, 8, 'instruments')
/** One for each job that is open on a device; an office shares an address. */
export const jobStreams = streamPlaces(1_000, 100, 'open jobs')
