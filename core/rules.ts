/*
 * Rules as plain data: a table can hold them, a person can read them, a workspace can replace them.
 */

/** One fact held against a list or a bound. All that is given must hold. */
export interface Test {
  key: string
  /** The fact is one of these; of a fact that is a list, any of it is. */
  in?: readonly (string | number | boolean)[]
  notIn?: readonly (string | number | boolean)[]
  below?: number
  above?: number
}

/** Holds when every test of any one group holds. */
export type Rule = readonly (readonly Test[])[]

export type Facts = Readonly<Record<string, unknown>>

/**
 * Whether facts fulfil a rule. A fact that is not known fulfils nothing.
 *
 * @example holds([[{ key: 'solidity', above: 0.9 }, { key: 'exposed', in: [true] }]], { solidity: 1, exposed: true }) // true
 */
export const holds = (rule: Rule, facts: Facts): boolean =>
  rule.some((group) => group.every((test) => passes(test, facts)))

function passes({ key, in: among, notIn, below, above }: Test, facts: Facts): boolean {
  const fact = facts[key]
  if (fact === undefined || fact === null) return false
  const values: readonly unknown[] = Array.isArray(fact) ? fact : [fact]
  const isOneOf = (list: readonly unknown[]) => values.some((value) => list.includes(value))
  if (among && !isOneOf(among)) return false
  if (notIn && isOneOf(notIn)) return false
  if (below !== undefined && !(typeof fact === 'number' && fact < below)) return false
  return above === undefined || (typeof fact === 'number' && fact > above)
}
