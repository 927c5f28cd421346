/**
 * Numbers that are the same in every run: what went wrong once can be looked at again.
 *
 * @example const roll = dice(7); roll(6) // 0 to 5
 */
export function dice(seed: number): (sides: number) => number {
  let state = seed >>> 0
  return (sides) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return Math.floor((state / 4_294_967_296) * sides)
  }
}
