import { diagnose } from '../cause/diagnose'
import type { ObservationKey } from '../cause/observations'
import { leastWay, type Way } from './cost'
import { checkOf, chancesOf, openChecks, posterior, type Seen } from './model'
import type { PracticeCase } from './case'
import { readingsOf } from './search'

/** What the judgement of a job would advise: the next check while one is worth its minutes, then the way. */
export type Advice = { check: number; observation: ObservationKey } | { way: Way }

/**
 * Advice as a post of a job has it: of the checks that save most visits for their minutes the first that is worth
 * its own; where none is, the way that is expected to cost least.
 */
export function adviceFor({ facts, position }: PracticeCase, seen: Seen): Advice {
  const { model, ways } = position
  const now = posterior(model, seen)
  const { way, cost } = leastWay(ways, now)
  const observations = readingsOf(model, seen)
  const open = new Set(openChecks(model, seen, observations))
  const next = diagnose(facts, observations, model.tables).nextChecks.find(({ observation, minutes }) => {
    const check = checkOf(model, observation)
    if (!open.has(check)) return false
    const after = chancesOf(model, check, now).reduce(
      (sum, chance, showing) => sum + chance * leastWay(ways, posterior(model, [...seen, [check, showing]])).cost,
      0,
    )
    return cost - after > minutes
  })
  return next ? { check: checkOf(model, next.observation), observation: next.observation } : { way }
}
