import { methodDetail } from '../../core/plan/detail'
import { plan } from '../../core/plan/plan'
import { resolveJob } from '../../core/resolve/resolve'
import type { Post } from '../../core/document/job'
import type { DrawnRepair } from '../../app/picture/model/sectionModel'
import { jobOf, runOfPosts, tables } from '../support/builders'

/* Five posts at 2.4 m, the third of them rotted through at the ground: what drawings are tried with. */

export const rotted: Partial<Post> = {
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, lean: { offset: -0.06, over: 1.2, direction: 0 } },
}
export const job = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === 2 ? rotted : {})), height: 1.8 })
export const line = resolveJob(job, tables).lines[0]!

/** A method as it is drawn. */
export function repairOf(key: string, of = job): DrawnRepair {
  const { links, weakest } = plan(of, tables).posts[2]!.methods.find(({ method }) => method === key)!
  return { stands: methodDetail(of, tables, 'A3', key)!.stands, weakest: links.find(({ link }) => link === weakest) }
}
