/** A working value that a cost rests on: its name, and the least and most that it may be, as factors on it. */
export interface Knob<Key extends string = string> {
  key: Key
  name: string
  range: readonly [low: number, high: number]
}

/** Where its row gives no range. */
export const USUAL_RANGE = [0.8, 1.2] as const

export interface Swing<Key extends string = string> {
  key: Key
  name: string
  /** Of the option in hand with the value at its least and its most. */
  low: number
  high: number
  swing: number
  /** The options stand in another order at one end of it. */
  changesOrder: boolean
}

/**
 * Each working value by itself over its range, those that move the figure most first.
 *
 * @param costs of all options, in their order, with one value times a factor
 * @param chosen index of the option in hand
 * @example labour ± 20 % of 240 in 600: 552 to 648, a swing of 96
 */
export function swings<Key extends string>(
  knobs: readonly Knob<Key>[],
  costs: (key: Key, factor: number) => readonly number[],
  chosen: number,
): Swing<Key>[] {
  const order = (values: readonly number[]) =>
    [...values.keys()].sort((a, b) => values[a]! - values[b]! || a - b).join()
  return knobs
    .map(({ key, name, range: [least, most] }) => {
      const [now, low, high] = [costs(key, 1), costs(key, least), costs(key, most)]
      const ends = [low[chosen]!, high[chosen]!]
      return {
        key,
        name,
        low: ends[0]!,
        high: ends[1]!,
        swing: Math.abs(ends[1]! - ends[0]!),
        changesOrder: order(low) !== order(now) || order(high) !== order(now),
      }
    })
    .sort((a, b) => b.swing - a.swing)
}
