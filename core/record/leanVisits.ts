import type { Observations } from '../cause/observations'
import type { Job, Post } from '../document/job'
import type { PostAddress } from '../edit/changes'
import { leanSlopes, type LeanReading } from '../setout/lean'
import { leanTrend, OUT, type Trend } from '../setout/leanTrend'
import { pourAt } from '../pour/planned'
import type { Years } from '../units/types'
import type { Moment } from '../weather/forecast'
import { entriesAt, signOffAt } from './entries'

/** A lean as it was read on a visit, m per m. */
export interface LeanVisit {
  at: Moment
  along: number
  across: number
  /** From a photograph: drawn, not reckoned in. */
  isPicture: boolean
}

/** How a post's lean goes on. */
export interface LeanTrends {
  visits: LeanVisit[]
  /** Those that were reckoned with: of one season where there are such. */
  counted: LeanVisit[]
  along: Trend | null
  across: Trend | null
  /** Of the distance from the first reading, whichever way. */
  size: Trend | null
  /** The last reading is out of plumb, by its whole lean. */
  out: boolean
  again: boolean
  /** Nine months of clay are a season: readings of one time of the year were compared. */
  sameSeason: boolean
}

const YEAR = 365.25 * 24 * 3600e3
/** Days of the year that near to each other are one time of the year. Working value. */
const SAME_TIME = 45 / 365.25
/** Readings of one time of the year have to span so much. */
const LEAST_SPAN: Years = 0.75

const hypot = ({ along, across }: Pick<LeanVisit, 'along' | 'across'>) => Math.hypot(along, across)

/**
 * Readings of a post since it was set, and what they come to: each axis, and how far it has gone from where it stood
 * first.
 *
 * @returns no trend where there are fewer than two that count
 */
export function leanTrends(job: Job, at: PostAddress, post: Post): LeanTrends {
  const from = setAt(job, at)
  const visits = (post.readings ?? [])
    .filter(
      ({ observation, value, withdrawn, at: time }) =>
        observation === 'lean' && value !== null && !withdrawn && Date.parse(time) >= from,
    )
    .map(
      ({ at: time, value, instrument }): LeanVisit => ({
        at: Date.parse(time),
        ...leanSlopes(value as LeanReading | LeanReading[]),
        isPicture: instrument === 'photograph',
      }),
    )
    .sort((a, b) => a.at - b.at)
  const read = visits.filter(({ isPicture }) => !isPicture)
  const season = ofOneSeason(read)
  const counted = season ?? read
  const [first] = counted
  const of = (lean: (visit: LeanVisit) => number): Trend | null =>
    first ? leanTrend(counted.map((visit) => ({ years: (visit.at - first.at) / YEAR, lean: lean(visit) }))) : null
  const [along, across, size] = [
    of((visit) => visit.along),
    of((visit) => visit.across),
    of((visit) => Math.hypot(visit.along - first!.along, visit.across - first!.across)),
  ]
  const last = read.at(-1)
  return {
    visits,
    counted,
    along,
    across,
    size,
    out: last !== undefined && hypot(last) > OUT,
    again: [along, across, size].some((each) => each?.again),
    sameSeason: season !== undefined,
  }
}

/**
 * The lean as it was read since the post was set last: how it stood before says nothing of how it stands now.
 *
 * @returns undefined where nobody has read it since
 */
export function leanSinceSet(job: Job, at: PostAddress, post: Post): Observations['lean'] {
  const from = setAt(job, at)
  if (from === -Infinity) return post.observations?.lean
  const last = (post.readings ?? [])
    .filter(({ observation, withdrawn }) => observation === 'lean' && !withdrawn)
    .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .at(-1)
  return last && Date.parse(last.at) >= from ? ((last.value ?? undefined) as Observations['lean']) : undefined
}

/** A post that was mended begins anew: from when it was signed off, poured, or plumbed last, the earliest of these. */
function setAt(job: Job, at: PostAddress): Moment {
  const pour = pourAt(job, at.line, at.post)
  const built = entriesAt(job, at, 'as-built').find(({ value }) => value.plumb)
  const signed = signOffAt(job, at)
  const times = [pour?.startedAt, built?.at, signed?.at].flatMap((time) =>
    time === undefined ? [] : [Date.parse(time)],
  )
  return times.length > 0 ? Math.min(...times) : -Infinity
}

/** Readings about the day of the year of the last one, where they span most of a year. */
function ofOneSeason(read: readonly LeanVisit[]): LeanVisit[] | undefined {
  const last = read.at(-1)
  if (!last) return undefined
  const same = read.filter(({ at }) => {
    const years = (last.at - at) / YEAR
    return Math.abs(years - Math.round(years)) <= SAME_TIME
  })
  const span = (last.at - same[0]!.at) / YEAR
  return same.length >= 2 && span >= LEAST_SPAN ? same : undefined
}
