import type { Job, Visit } from '../document/job'
import { dutiesOf } from '../document/postState'
import { isTemporary } from '../cost/stands'
import type { MetresPerSecond } from '../units/types'
import type { Moment } from '../weather/forecast'
import { signOffs } from './entries'
import { postKey } from '../document/postKey'

export type VisitWhy = Visit['why']

/** Somebody is to come back: what is due of one reason on one day. */
export interface DueVisit {
  /** The same for the same posts, reason and day. */
  id: string
  posts: string[]
  due: Moment
  why: VisitWhy
  /** What was left open, where somebody wrote it down. */
  open: readonly string[]
}

/** A gust that was felt where the job stands. */
export interface FeltGust {
  at: Moment
  gust: MetresPerSecond
}

/** After these many months; then every year for whoever hangs a leaf on it. Working values. */
const MONTHS: Readonly<Record<'months-3' | 'year-1', number>> = { 'months-3': 3, 'year-1': 12 }
const YEARLY_FROM = 2
/** What only makes safe is mended within so many days; a working value. */
const STOP_GAP_DAYS = 14
const DAY = 24 * 3600e3

/**
 * The moment so many months later, on the same day of the month or its last.
 *
 * @example monthsAfter(Date.parse('2026-11-30T10:00:00Z'), 3) // 28 February 2027, 10:00
 */
export function monthsAfter(from: Moment, months: number): Moment {
  const date = new Date(from)
  const month = date.getUTCMonth() + months
  const last = new Date(Date.UTC(date.getUTCFullYear(), month + 1, 0)).getUTCDate()
  const then = new Date(from)
  then.setUTCFullYear(date.getUTCFullYear(), month, Math.min(date.getUTCDate(), last))
  return then.getTime()
}

/**
 * Visits that are due or come, the next of each reason for each post that was signed off, and those that somebody
 * wrote down; the earliest first.
 *
 * @param gusts since the sign-offs, and the one that a storm is counted from: the 2-year gust
 * @source after the first storm over the 2-year gust, after 3 months, after 1 year, then yearly for gate posts
 * @example signed off on 3 March: 3 June, then a year on
 */
export function visitsDue(
  job: Job,
  { gusts = [], storm = Infinity }: { gusts?: readonly FeltGust[]; storm?: MetresPerSecond } = {},
): DueVisit[] {
  const signatures = signOffs(job)
  const made = (job.visits ?? []).filter(({ doneAt }) => doneAt !== undefined)
  const found: { post: string; due: Moment; why: VisitWhy }[] = []
  for (const line of job.lines)
    for (const post of line.posts) {
      const signed = signatures.get(postKey({ line: line.id, post: post.id }))
      if (!signed) continue
      const from = Date.parse(signed.at)
      const visits = made.filter(({ posts, doneAt }) => posts.includes(post.id) && Date.parse(doneAt!) > from)
      const last = Math.max(from, ...visits.map(({ doneAt }) => Date.parse(doneAt!)))
      const was = (why: VisitWhy) => visits.some((each) => each.why === why)
      const put = (why: VisitWhy, due: Moment) => found.push({ post: post.id, due, why })
      if (isTemporary({ method: signed.value.method })) {
        if (!was('return')) put('return', from + STOP_GAP_DAYS * DAY)
        continue
      }
      // Whoever was there after a year has no need to come for the first quarter.
      if (!was('months-3') && !was('year-1')) put('months-3', monthsAfter(from, MONTHS['months-3']))
      else if (!was('year-1')) put('year-1', monthsAfter(from, MONTHS['year-1']))
      else if (dutiesOf(post).includes('gate-hinge')) put('yearly', nextYear(from, last))
    }
  const written = (job.visits ?? [])
    .filter(({ doneAt }) => doneAt === undefined)
    .map(({ id, posts, due, why, open = [] }) => ({ id, posts, due: Date.parse(due), why, open: open as string[] }))
  const stormy = afterStorm(watchedPosts(job), gusts, storm)
  return [...together(found), ...(stormy ? [stormy] : []), ...written].sort((a, b) => a.due - b.due)
}

/** The next full year after the sign-off that nobody came for. */
function nextYear(from: Moment, last: Moment): Moment {
  for (let years = YEARLY_FROM; ; years++) {
    const due = monthsAfter(from, 12 * years)
    // Whoever came in the half year before it has come for it.
    if (due - last > 182 * DAY) return due
  }
}

/** Posts of one reason and one day are one visit. */
function together(found: readonly { post: string; due: Moment; why: VisitWhy }[]): DueVisit[] {
  const byDay = new Map<string, DueVisit>()
  for (const { post, due, why } of found) {
    const id = `${why}-${new Date(due).toISOString().slice(0, 10)}`
    const known = byDay.get(id)
    if (known) known.posts.push(post)
    else byDay.set(id, { id, posts: [post], due, why, open: [] })
  }
  return [...byDay.values()]
}

/** A post that was signed off and whoever was there last: a storm since then is a reason to look again. */
export interface WatchedPost {
  post: string
  since: Moment
}

/** Posts to be looked at after the first storm, each with when somebody was there last. */
export function watchedPosts(job: Job): WatchedPost[] {
  const made = (job.visits ?? []).filter(({ doneAt }) => doneAt !== undefined)
  return [...signOffs(job).values()].flatMap(({ post, at, value }) => {
    if (post === undefined || isTemporary({ method: value.method })) return []
    const visits = made.filter(({ posts }) => posts.includes(post))
    if (visits.some(({ why, doneAt }) => why === 'gust' && doneAt! > at)) return []
    return [{ post, since: Math.max(Date.parse(at), ...visits.map(({ doneAt }) => Date.parse(doneAt!))) }]
  })
}

/** Of a watched post: visits after a storm, as one. */
export function afterStorm(
  watched: readonly WatchedPost[],
  gusts: readonly FeltGust[],
  storm: MetresPerSecond,
): DueVisit | undefined {
  const blown = watched.flatMap(({ post, since }) => {
    const first = gusts.find(({ at, gust }) => at > since && gust >= storm)
    return first ? [{ post, at: first.at }] : []
  })
  if (blown.length === 0) return undefined
  const due = Math.min(...blown.map(({ at }) => at))
  return {
    id: `gust-${new Date(due).toISOString().slice(0, 10)}`,
    posts: blown.map(({ post }) => post),
    due,
    why: 'gust',
    open: [],
  }
}

export const VISIT_WORDS: Readonly<Record<VisitWhy, string>> = {
  gust: 'after the storm',
  'months-3': 'after three months',
  'year-1': 'after a year',
  yearly: 'once a year: a gate hangs on it',
  return: 'to finish it',
}
