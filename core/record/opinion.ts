import type { CountedRow } from '../cause/counted'
import { diagnose } from '../cause/diagnose'
import type { ObservationKey, Observations } from '../cause/observations'
import { valuesOf } from '../cause/readings'
import { isOnPlate, type Cause, type CauseTables } from '../cause/tables'
import type { Job, Post } from '../document/job'
import { dutiesOf, pointedAt } from '../document/postState'
import { mean } from '../numeric/statistics'
import type { ResolvedJob, ResolvedPost } from '../resolve/resolve'
import type { Tables } from '../tables/tables'

/** A post that was dug: what was said before, and what was found. */
export interface OpinionCase {
  post: string
  at: string
  /** By a person, or the likeliest by the readings. */
  said: Cause
  /** Of a post that has failed, as the readings had it before. */
  chances: Partial<Record<Cause, number>>
  found: Cause[]
  /** What was read before, by value: of a measured one by its band. */
  read: { observation: ObservationKey; value: string }[]
}

/**
 * Posts of a job that were opened, each with what was thought of it before.
 *
 * The opinion is that of the readings that were made before the finding; of a post without dated readings, of what is
 * noted but what digging shows.
 */
export function openedPosts(job: Job, { causes: tables }: Tables, { lines }: ResolvedJob): OpinionCase[] {
  return lines.flatMap((line) => {
    const isMeant = pointedAt(job.lines.find(({ id }) => id === line.id)!)
    return line.posts.flatMap((resolved): OpinionCase[] => {
      const post = job.lines.find(({ id }) => id === line.id)!.posts.find(({ id }) => id === resolved.id)!
      const found = post.judgement?.found
      if (!found) return []
      const before = readBefore(post, found.at)
      if (Object.keys(before).length === 0) return []
      return [caseOf(post, resolved, before, isMeant(post), tables)]
    })
  })
}

function caseOf(
  post: Post,
  { material, ageYears }: ResolvedPost,
  before: Observations,
  isPointedAt: boolean,
  tables: CauseTables,
): OpinionCase {
  const { found, overruled } = post.judgement!
  const facts = { material, ageYears, duty: dutiesOf(post), pointedAt: isPointedAt }
  const { causes } = diagnose(facts, before, tables)
  const likeliest = causes.reduce((most, each) => (each.probability > most.probability ? each : most))
  const onPlate = isOnPlate(facts)
  return {
    post: post.id,
    at: found!.at,
    said: overruled && overruled.at < found!.at ? overruled.cause : likeliest.cause,
    chances: Object.fromEntries(causes.map(({ cause, probability }) => [cause, probability])),
    found: [...new Set([found!.cause, ...(found!.also ?? [])])],
    // Likelihoods of a plate are of another kind.
    read: onPlate ? [] : readValues(before, tables),
  }
}

/** Readings that stood when it was dug; what only digging shows is no opinion before it. */
function readBefore(post: Post, foundAt: string): Observations {
  const dated = (post.readings ?? []).filter(({ at, withdrawn }) => !withdrawn && Date.parse(at) < Date.parse(foundAt))
  const entries: [string, unknown][] =
    dated.length > 0
      ? [...dated]
          .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
          .map(({ observation, value }): [string, unknown] => [observation, value])
      : Object.entries(post.observations ?? {})
  return Object.fromEntries(
    entries.filter(([key, value]) => value !== null && value !== undefined && !DUG.includes(key)),
  )
}
/** What is seen when a post is opened, not before. */
const DUG = ['footingFound', 'breakFace']

function readValues(observations: Observations, { evidence }: CauseTables): OpinionCase['read'] {
  return evidence.flatMap((row) => {
    const reading = observations[row.observation]
    // Leans have densities, which no count changes.
    if (reading === undefined || row.logistic) return []
    return valuesOf(reading, row).map((value) => ({ observation: row.observation, value }))
  })
}

/** Of one cause: how often it was said, and what was found then. */
export interface OpinionRow {
  cause: Cause
  said: number
  /** Found where it was said; a post of two causes counts a half for each. */
  right: number
  /** Found in all, whatever was said. */
  found: number
}

/**
 * Cause said against cause found, by cause.
 *
 * @example said rotten, found in bad concrete: { cause: 'ground-line-decay', said: 1, right: 0, found: 0 }, …
 */
export function opinionTable(cases: readonly OpinionCase[]): OpinionRow[] {
  const rows = new Map<Cause, OpinionRow>()
  const row = (cause: Cause) => {
    const known = rows.get(cause) ?? { cause, said: 0, right: 0, found: 0 }
    rows.set(cause, known)
    return known
  }
  for (const { said, found } of cases) {
    row(said).said++
    if (found.includes(said)) row(said).right++
    for (const cause of found) row(cause).found += 1 / found.length
  }
  return [...rows.values()].sort((a, b) => b.said - a.said || b.found - a.found)
}

/**
 * Mean over posts of Σ (p − o)² over the causes; several causes found share 1 equally. 0 is always right, 2 surely
 * wrong.
 *
 * @returns NaN of no cases
 * @source Brier 1950, Verification of forecasts expressed in terms of probability, Monthly Weather Review 78
 * @example said 0.7 and 0.3, the first found: 0.18
 */
export function brierScore(cases: readonly Pick<OpinionCase, 'chances' | 'found'>[]): number {
  if (cases.length === 0) return NaN
  return mean(
    cases.map(({ chances, found }) => {
      const causes = new Set([...(Object.keys(chances) as Cause[]), ...found])
      return [...causes].reduce((sum, cause) => {
        const outcome = found.includes(cause) ? 1 / found.length : 0
        return sum + ((chances[cause] ?? 0) - outcome) ** 2
      }, 0)
    }),
  )
}

/** Chances that were said, in bins of as many each: what was said on the mean, and how often it came so. */
export interface ReliabilityBin {
  said: number
  came: number
  count: number
}

const BINS = 10

/** Ten bins of equal count over all causes of all posts; fewer where there are fewer chances. */
export function reliability(cases: readonly Pick<OpinionCase, 'chances' | 'found'>[]): ReliabilityBin[] {
  const pairs = cases
    .flatMap(({ chances, found }) =>
      (Object.entries(chances) as [Cause, number][]).map(([cause, said]) => ({
        said,
        came: found.includes(cause) ? 1 / found.length : 0,
      })),
    )
    .sort((a, b) => a.said - b.said)
  const bins = Math.min(BINS, pairs.length)
  return Array.from({ length: bins }, (_, i) => {
    const of = pairs.slice(Math.round((i * pairs.length) / bins), Math.round(((i + 1) * pairs.length) / bins))
    return { said: mean(of.map(({ said }) => said)), came: mean(of.map(({ came }) => came)), count: of.length }
  })
}

/** Posts after which the workspace's own likelihoods may be used. */
export const ENOUGH_CASES = 30

/**
 * As the yard names its rows: small letters, figures and hyphens.
 *
 * @example countedKey('wind-snap', 'pushPivot', 'at-ground-line') // 'wind-snap-push-pivot-at-ground-line'
 */
export const countedKey = (cause: Cause, observation: ObservationKey, value: string): string =>
  [cause, observation.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`), value].join('-')

/**
 * How often each value was read before digging, by the cause that was found.
 *
 * @param name a cause and a value in words
 * @returns one row for each cause and value that was seen
 */
export function countedRows(
  cases: readonly OpinionCase[],
  name: (cause: Cause, observation: ObservationKey, value: string) => string,
): CountedRow[] {
  const counts = new Map<string, CountedRow>()
  const posts = new Map<string, number>()
  for (const { found, read } of cases)
    for (const cause of found) {
      const share = 1 / found.length
      for (const observation of new Set(read.map((each) => each.observation))) {
        const values = read.filter((each) => each.observation === observation)
        const at = `${cause}:${observation}`
        posts.set(at, (posts.get(at) ?? 0) + share)
        for (const { value } of values) {
          const key = countedKey(cause, observation, value)
          const known = counts.get(key) ?? {
            key,
            name: name(cause, observation, value),
            cause,
            observation,
            value,
            count: 0,
            posts: 0,
          }
          counts.set(key, { ...known, count: known.count + share / values.length })
        }
      }
    }
  return [...counts.values()].map((row) => ({ ...row, posts: posts.get(`${row.cause}:${row.observation}`)! }))
}
