import { GAUSS_NODES, GAUSS_WEIGHTS } from '../numeric/quadrature'
import { logOddsOf, type Weighing } from './weigh'

/** Others with a smaller share than this are summed by themselves. */
const NEARLY_ALL = 1e-3
/** The path is cut into so many parts; what is left over is shared out. */
const PARTS = 2

/**
 * What each voice does to the odds of each cause, so that the shares add up to the whole.
 *
 * All voices are let in together, little by little: at the share t of each, the odds of a cause grow at the rate of
 * its own likelihood less the mean of the others' as they then stand. The integral of that rate from nothing to all
 * is the voice's share. It does not depend on any order, and the shares of all voices add up to the change of the
 * log-odds.
 *
 * @returns by cause, ln odds by voice, in the order of the voices; nothing where a cause cannot be
 * @source Aumann and Shapley, Values of Non-Atomic Games (1974): the value along the diagonal
 * @example two voices that say the same thing have the same share
 */
export function sharesOf({ possible, base, voices, logWeights }: Weighing): number[][] {
  const shares = base.map(() => new Array<number>(voices.length).fill(0))
  const change = base.map((weight, i) => logWeights[i]! - weight)
  for (let part = 0; part < PARTS; part++) {
    for (let node = 0; node < GAUSS_NODES.length; node++) {
      const t = (part + GAUSS_NODES[node]!) / PARTS
      addRates(shares, voices, possible, weightsAt(base, change, possible, t), GAUSS_WEIGHTS[node]! / PARTS)
    }
  }
  for (const i of possible) {
    const whole = logOddsOf(logWeights, possible, i) - logOddsOf(base, possible, i)
    shareOut(shares[i]!, whole)
  }
  return shares
}

function weightsAt(base: readonly number[], change: readonly number[], possible: readonly number[], t: number) {
  const logs = base.map((weight, i) => weight + t * change[i]!)
  const largest = Math.max(...possible.map((i) => logs[i]!))
  return logs.map((each) => Math.exp(each - largest))
}

function addRates(
  shares: number[][],
  voices: Weighing['voices'],
  possible: readonly number[],
  weights: readonly number[],
  share: number,
): void {
  let all = 0
  for (const j of possible) all += weights[j]!
  for (let v = 0; v < voices.length; v++) {
    const { column } = voices[v]!
    let sum = 0
    for (const j of possible) sum += weights[j]! * column[j]!
    for (const i of possible) {
      const own = weights[i]!
      if (all <= own) continue
      const others =
        all - own > NEARLY_ALL * all
          ? (sum - own * column[i]!) / (all - own)
          : meanOfOthers(column, weights, possible, i)
      shares[i]![v]! += share * (column[i]! - others)
    }
  }
}

/** Where one cause is nearly everything, taking it off a sum leaves only rounding. */
function meanOfOthers(
  column: readonly number[],
  weights: readonly number[],
  possible: readonly number[],
  i: number,
): number {
  let mean = 0
  let rest = 0
  for (const j of possible) {
    if (j === i) continue
    mean += weights[j]! * column[j]!
    rest += weights[j]!
  }
  return mean / rest
}

/** What the quadrature missed goes to the voices by their size: the sum is exact. */
function shareOut(own: number[], whole: number): void {
  const missing = whole - own.reduce((sum, each) => sum + each, 0)
  const size = own.reduce((sum, each) => sum + Math.abs(each), 0)
  if (!Number.isFinite(missing) || size === 0) return
  for (let v = 0; v < own.length; v++) own[v]! += (missing * Math.abs(own[v]!)) / size
}
