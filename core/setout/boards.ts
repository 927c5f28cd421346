import { InputError } from '../errors'
import type { Metres } from '../units/types'

/**
 * Boards over a bay with an even gap between them and at both ends.
 *
 * @param bay   clear length to be filled, m
 * @param width of a board, m
 * @param gap   about what is wanted, m
 * @throws InputError when not even one board fits
 * @source n = round((L − g)/(w + g)), gap = (L − n w)/(n + 1); one board fewer where rounding left no gap at all
 * @example evenBoards(2.3, 0.1, 0.01) // 21 boards, gap 9.1 mm
 */
export function evenBoards(bay: Metres, width: Metres, gap: Metres): { count: number; gap: Metres } {
  if (width > bay) throw new InputError('width', width, `at most the bay, ${bay} m`)
  const wished = Math.max(1, Math.round((bay - gap) / (width + gap)))
  const count = Math.min(wished, Math.floor(bay / width + 1e-9))
  return { count, gap: Math.max(0, bay - count * width) / (count + 1) }
}

/**
 * Boards that lap over each other: from the start of one to the start of the next.
 *
 * @param count boards over the bay, two at least
 * @throws InputError where they would not lap, or lie wholly over each other
 * @source cover = (L − w)/(n − 1)
 * @example lappedBoards(2.3, 0.125, 23) // 98.9 mm from start to start
 */
export function lappedBoards(bay: Metres, width: Metres, count: number): { cover: Metres } {
  if (!Number.isInteger(count) || count < 2) throw new InputError('count', count, 'a whole number, 2 at least')
  const cover = (bay - width) / (count - 1)
  if (cover <= 0) throw new InputError('width', width, `less than the bay, ${bay} m`)
  if (cover > width) throw new InputError('count', count, `${Math.ceil(bay / width)} at least: fewer would not lap`)
  return { cover }
}

/** Boards butted: how many whole ones, and what the last is ripped to; 0 where it comes out. */
export function buttedBoards(bay: Metres, width: Metres): { count: number; rip: Metres } {
  if (width > bay) throw new InputError('width', width, `at most the bay, ${bay} m`)
  const count = Math.floor(bay / width + 1e-9)
  const left = bay - count * width
  return { count, rip: left < 5e-4 ? 0 : left }
}

/**
 * Boards at which plumb is checked while a bay is filled: the first four, then every third of what is left.
 *
 * @example plumbChecks(21) // [1, 2, 3, 4, 10, 16, 21]
 */
export function plumbChecks(count: number): number[] {
  const first = [1, 2, 3, 4].filter((board) => board <= count)
  const left = count - 4
  const thirds = left > 0 ? [1, 2, 3].map((third) => 4 + Math.round((left * third) / 3)) : []
  return [...new Set([...first, ...thirds])]
}
