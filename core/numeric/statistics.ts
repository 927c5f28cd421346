/** The arithmetic mean; 0 of nothing. */
export const mean = (values: readonly number[]): number =>
  values.length > 0 ? values.reduce((sum, value) => sum + value, 0) / values.length : 0

/**
 * The middle one of the values, or the mean of the middle two.
 *
 * @returns NaN of nothing
 * @example median([1.2, 1.1, 1.3, 1.15]) // 1.175
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}

/**
 * The point under which a share of the values lies, straight between neighbours.
 *
 * @param share 0 to 1
 * @returns NaN of nothing
 * @source definition 7 of Hyndman and Fan 1996, Sample quantiles in statistical packages
 * @example percentile([1, 2, 3, 4], 0.9) // 3.7
 */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  const at = (sorted.length - 1) * share
  const below = Math.floor(at)
  const [low, high] = [sorted[below]!, sorted[Math.ceil(at)]!]
  return low + (high - low) * (at - below)
}
