import type { Job } from '../document/job'
import { applyCommands } from '../edit/apply'
import { planner } from '../plan/plan'
import type { MethodPlan, PostPlan } from '../plan/types'
import { STOP_GAPS } from '../repair/methods'
import { resolveJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import type { MetresPerSecond, Minutes } from '../units/types'
import { questions, type Known, type Question } from './questions'
import { postEdit } from '../edit/keyed'

/** What comes of one supposition. */
export interface Outcome {
  says: string
  /** The first way then; absent where nothing is open. */
  first?: MethodPlan
  /** What the way that is first now would then come to, and whether it could still be done. */
  same?: MethodPlan
  turns: boolean
}

export interface WhatIf {
  key: string
  name: string
  when: string
  reading: string
  minutes: Minutes
  /** Gust at which the way that is first now goes over. */
  now?: MetresPerSecond
  outcomes: Outcome[]
}

/**
 * What the choice of a repair hangs on, one fact at a time: each is supposed to be otherwise, and the post planned
 * again.
 *
 * @returns one for each question that supposes anything; undefined where there is no such post, or no way is open
 * @source one-at-a-time sensitivity through `plan()` itself
 */
export function whatIfs(
  job: Job,
  postId: string,
  tables: Tables,
  asked: readonly Question[] = questions,
): WhatIf[] | undefined {
  const { site, lines } = resolveJob(job, tables)
  const line = lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  const post = line?.posts.find(({ id }) => id === postId)
  if (!line || !post) return undefined
  // Of a long job only this line is planned again and again.
  const ofLine: Job = { ...job, lines: job.lines.filter(({ id }) => id === line.id) }
  const planAgain = planner(tables)
  const planned = (supposed: Job): PostPlan | undefined =>
    planAgain(supposed).posts.find((each) => each.post === postId)
  const now = firstWay(planned(ofLine))
  if (!now) return undefined
  const set: Known['set'] = (key, value) => [postEdit({ line: line.id, post: postId }, key, value)]
  return asked.flatMap(({ suppose, ...question }) => {
    const outcomes = suppose({ site, line, post, tables, set }).map(({ says, commands }): Outcome => {
      const then = planned(applyCommands(ofLine, commands))
      const first = firstWay(then)
      const same = then?.methods.find(({ method }) => method === now.method)
      return { says, ...(first ? { first } : {}), ...(same ? { same } : {}), turns: first?.method !== now.method }
    })
    return outcomes.length > 0 ? [{ ...question, now: now.holdingGust, outcomes }] : []
  })
}

/** What would be taken first if the choice were made now: whoever chose otherwise already. */
const firstWay = (post: PostPlan | undefined): MethodPlan | undefined =>
  post?.methods.find(({ allowed, method }) => allowed && !STOP_GAPS.has(method))

/** What would have to be true for another way to be the right one. */
export interface OtherSchool {
  way: MethodPlan
  /** By the fact: what it would have to be. */
  needs: { key: string; when: string; says: string[]; reading: string; minutes: Minutes }[]
  /** Of them the one that is soonest found out. */
  decides: { reading: string; minutes: Minutes }
}

/**
 * The ways that would be first if one fact were otherwise, with the cheapest reading that decides.
 *
 * @example a spur now; new post in stone if the ground were hard clay: feel it at half a metre, 10 min
 */
export function otherSchools(found: readonly WhatIf[]): OtherSchool[] {
  const schools = new Map<string, OtherSchool>()
  for (const { key, when, reading, minutes, outcomes } of found) {
    for (const { says, first, turns } of outcomes) {
      if (!turns || !first) continue
      const school = schools.get(first.method) ?? { way: first, needs: [], decides: { reading, minutes } }
      schools.set(first.method, school)
      const need = school.needs.find((each) => each.key === key)
      if (need) need.says.push(says)
      else school.needs.push({ key, when, says: [says], reading, minutes })
      if (minutes < school.decides.minutes) school.decides = { reading, minutes }
    }
  }
  return [...schools.values()].sort((a, b) => a.decides.minutes - b.decides.minutes)
}

/** How far the gust of the way that is first now moves with one fact. */
export interface Spread {
  key: string
  name: string
  least: MetresPerSecond
  most: MetresPerSecond
  leastWhen: string
  mostWhen: string
}

/** Widest first; what moves it by less than anybody would notice is left out. */
export function spreads(found: readonly WhatIf[]): Spread[] {
  return found
    .flatMap(({ key, name, outcomes, now }): Spread[] => {
      const gusts = [
        { says: 'as it is', gust: now },
        ...outcomes.map(({ says, same }) => ({ says, gust: same?.holdingGust })),
      ].flatMap(({ says, gust }) => (gust === undefined || !Number.isFinite(gust) ? [] : [{ says, gust }]))
      if (gusts.length < 2) return []
      const [least, most] = [
        gusts.reduce((a, b) => (b.gust < a.gust ? b : a)),
        gusts.reduce((a, b) => (b.gust > a.gust ? b : a)),
      ]
      if (most.gust - least.gust < NOTICED) return []
      return [{ key, name, least: least.gust, most: most.gust, leastWhen: least.says, mostWhen: most.says }]
    })
    .sort((a, b) => b.most - b.least - (a.most - a.least))
}
/** m/s */
const NOTICED = 1
