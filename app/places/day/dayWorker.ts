import { expose } from 'comlink'
import { dayBound, type DayBound } from '~~/core/day/bound'
import type { DayGoal, FoundPlan } from '~~/core/day/goal'
import type { DayQuestion } from '~~/core/day/question'
import { savings, type Saving } from '~~/core/day/saves'
import { planDays, type SearchEffort } from '~~/core/day/search'

/* Planning takes seconds: beside the screen, which goes on. */

export interface BoundPlan extends FoundPlan {
  bound: DayBound | undefined
}

const work = {
  /** @param tell called with the best so far and the share that is done */
  plan(question: DayQuestion, effort: SearchEffort, tell: (best: FoundPlan, share: number) => void): BoundPlan {
    const found = planDays(question, effort, tell)
    return { ...found, bound: dayBound(question, found) }
  },
  saves: (question: DayQuestion, now: DayGoal, effort: SearchEffort, tell: (share: number) => void): Saving[] =>
    savings(question, now, effort, tell),
}
export type DayWork = typeof work
expose(work)
