import type { Job } from '../document/job'
import type { RepairMethod } from '../repair/method'
import { repairMethods } from '../repair/methods'
import type { Solid } from '../repair/solids'
import { resolveJob } from '../resolve/resolve'
import { row, type Tables } from '../tables/tables'
import { designMethod } from './design'
import { postInHand } from './inHand'
import { soakedUnderTarget, type Soaked } from './soaked'
import { planSteps, type StepPlan } from './steps'
import { stouterPost, type Stouter } from './stouter'

/** What only one screen wants of one method. */
export interface MethodDetail {
  /** What stands where when it is done; without a `post` the old one stays as it stands. */
  stands: readonly Solid[]
  steps: readonly StepPlan[]
  /** What it comes down to where water stands in its ground, if that is under the target. */
  soaked?: Soaked
  /** What the next stouter post that is sold would make of it, where there is a new post. */
  stouter?: Stouter
  /** Kinds of parts that it is made with, each with what there is to choose from and what was taken. */
  parts: { kind: string; name: string; taken: string | undefined; rows: readonly { key: string; name: string }[] }[]
}

/**
 * One method on one post with its drawing, its steps and its parts. `plan()` leaves these out, so that many
 * methods cost no more than few.
 *
 * @param postId of a post of the job
 * @param resolved the same job, where that is known
 * @returns undefined when there is no such post
 */
export function methodDetail(
  job: Job,
  tables: Tables,
  postId: string,
  methodKey: string,
  methods: readonly RepairMethod[] = repairMethods,
  resolved = resolveJob(job, tables),
): MethodDetail | undefined {
  const found = postInHand(job, tables, postId, resolved)
  if (!found) return undefined
  const { context } = found
  const method = row(methods, methodKey)
  const { design, choice } = designMethod(method, context)
  return {
    stands: design.stands(),
    steps: planSteps(method, design, context),
    soaked: soakedUnderTarget(context, design),
    stouter: method.needs.includes('post') ? stouterPost(method, choice, design, context) : undefined,
    parts: method.needs.map((kind) => {
      const { name, rows } = tables.parts.lists[kind]!
      const taken = choice[kind]
      const sold = rows.filter(({ key, soldIn = tables.units }) => soldIn === tables.units || key === taken)
      return { kind, name, taken, rows: sold }
    }),
  }
}
