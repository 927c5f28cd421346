import type { Entry, EntryKind, Job, Photograph, Post, Pour, Reading, Verdict } from '../document/job'
import type { PostAddress } from '../edit/changes'
import type { Moment } from '../weather/forecast'
import { correctedIds, signOffs } from './entries'
import { postKey } from '../document/postKey'

/** What happened, with what it is worded from. */
export type Told =
  | { kind: EntryKind; of: Entry }
  | { kind: 'reading'; of: Reading }
  | { kind: 'picture'; of: Photograph }
  | { kind: 'verdict'; of: Verdict; said: 'overruled' | 'found' }
  | { kind: 'pour'; of: Pour; part: 'begun' | 'hands-off' | 'stiff' | 'let-go' | 'stripped' }
  | { kind: 'lift'; of: NonNullable<Pour['lifts']>[number] }
  | { kind: 'check'; of: NonNullable<Pour['checks']>[number] }
  | { kind: 'visit'; of: NonNullable<Job['visits']>[number] }

/** One thing of the record, from wherever it is kept. */
export type Happening = {
  id: string
  at: Moment
  by?: string
  line?: string
  post?: string
  /** Whether another stands in its place, or it was taken back. */
  state: 'stands' | 'corrected' | 'withdrawn'
  /** It came after the post was signed off. */
  isLater: boolean
} & Told

type Bare = Omit<Happening, 'isLater' | 'state' | 'at'> & { at: string; state?: Happening['state'] } & Told

/**
 * Everything that happened, in one column, the newest first: what was read, said, photographed, poured, entered.
 *
 * @param only of one post; what speaks of no post is left out then
 */
export function timeline(job: Job, only?: PostAddress): Happening[] {
  const entries = job.entries ?? []
  const corrected = correctedIds(entries)
  const ofEntries = entries
    .filter((each) => !only || (each.post === only.post && each.line === only.line))
    .map((of): Bare => {
      const state = of.withdrawn ? 'withdrawn' : corrected.has(of.id) ? 'corrected' : 'stands'
      return { id: of.id, at: of.at, ...whoseOf(of), state, kind: of.kind, of }
    })
  const ofPosts = job.lines.flatMap((line) =>
    line.posts
      .filter((post) => !only || (post.id === only.post && line.id === only.line))
      .flatMap((post) => ofPost(line.id, post)),
  )
  const ofPours = (job.pours ?? [])
    .filter(({ line, post }) => !only || (post === only.post && line === only.line))
    .flatMap(ofPour)
  const ofVisits = (job.visits ?? []).flatMap((of): Bare[] =>
    of.doneAt && (!only || of.posts.includes(only.post))
      ? [{ id: `visit-${of.id}`, at: of.doneAt, ...byOf(of), kind: 'visit', of }]
      : [],
  )
  const signedOff = signatures(job)
  return [...ofEntries, ...ofPosts, ...ofPours, ...ofVisits]
    .map(({ at, state = 'stands', ...rest }): Happening => {
      const moment = Date.parse(at)
      const signed = signedOff(rest)
      return { ...rest, state, at: moment, isLater: signed !== undefined && moment > signed } as Happening
    })
    .sort((a, b) => b.at - a.at)
}

/** When the post of something was signed off. */
function signatures(job: Job) {
  const all = signOffs(job)
  return ({ line, post }: { line?: string; post?: string }): Moment | undefined => {
    const signed = line !== undefined && post !== undefined ? all.get(postKey({ line, post })) : undefined
    return signed && Date.parse(signed.at)
  }
}

const byOf = ({ by }: { by?: string | undefined }) => (by === undefined ? {} : { by })
const whoseOf = ({
  by,
  line,
  post,
}: {
  by?: string | undefined
  line?: string | undefined
  post?: string | undefined
}) => ({
  ...byOf({ by }),
  ...(line === undefined ? {} : { line }),
  ...(post === undefined ? {} : { post }),
})

function ofPost(line: string, { id: post, readings = [], photographs = [], judgement = {} }: Post): Bare[] {
  const where = { line, post }
  return [
    ...readings.map(
      (of): Bare => ({
        id: of.id,
        at: of.at,
        ...byOf(of),
        ...where,
        state: of.withdrawn ? 'withdrawn' : 'stands',
        kind: 'reading',
        of,
      }),
    ),
    ...photographs.flatMap((of): Bare[] =>
      of.at === undefined ? [] : [{ id: of.id, at: of.at, ...byOf(of), ...where, kind: 'picture', of }],
    ),
    ...(['overruled', 'found'] as const).flatMap((said): Bare[] => {
      const of = judgement[said]
      return of ? [{ id: `${said}-${post}`, at: of.at, ...byOf(of), ...where, kind: 'verdict', of, said }] : []
    }),
  ]
}

function ofPour(of: Pour): Bare[] {
  const { id, line, post, startedAt, handsOffAt, stiffAt, lifts = [], checks = [], release, formStripped } = of
  const where = { line, post, ...byOf(of) }
  const part = (name: Extract<Told, { kind: 'pour' }>['part'], at: string | undefined): Bare[] =>
    at === undefined ? [] : [{ id: `${id}-${name}`, at, ...where, kind: 'pour', of, part: name }]
  return [
    ...part('begun', startedAt),
    ...part('stiff', stiffAt),
    ...part('hands-off', handsOffAt),
    ...part('let-go', release?.at),
    ...part('stripped', formStripped),
    ...lifts.map((lift): Bare => ({ id: `${id}-lift-${lift.at}`, at: lift.at, ...where, kind: 'lift', of: lift })),
    ...checks.map(
      (check): Bare => ({
        id: `${id}-check-${check.at}`,
        at: check.at,
        ...where,
        ...byOf(check),
        kind: 'check',
        of: check,
      }),
    ),
  ]
}
