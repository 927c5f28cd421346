import { expose } from 'comlink'
import runtime from 'highs/runtime?url'
import { whatIfs } from '~~/core/choose/whatIf'
import { wholeLine } from '~~/core/choose/wholeLine'
import type { Job } from '~~/core/document/job'
import type { Tables } from '~~/core/tables/tables'
import { integerSolver } from '~~/shared/solver'

/* What takes longer than a screen can wait for: the whole line, and a post planned again and again. */

type Plan = typeof wholeLine
type Question = [
  choice: Parameters<Plan>[0],
  goal: Parameters<Plan>[1],
  limits: Parameters<Plan>[2],
  changeover: number,
]

const work = {
  /** @param say called with what is known so far */
  async plan(question: Question, say: NonNullable<Parameters<Plan>[5]>) {
    return wholeLine(...question, await integerSolver(runtime), say)
  },
  whatIfs: (job: Job, post: string, tables: Tables) => whatIfs(job, post, tables),
}
export type ChoiceWork = typeof work
expose(work)
