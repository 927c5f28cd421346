import type { LineSetOut } from '../../document/job'
import type { ResolvedLine, ResolvedPost } from '../../resolve/resolve'
import { roundUpTo } from '../../numeric/rounding'
import { plumbOrMatch, type NeighbourLean, type PlumbOrMatch } from '../../setout/match'
import { cutLength, weatheringCut, type CutLength } from '../../setout/cut'
import { leanSlopes } from '../../setout/lean'
import { gapReading, holeReading, type GapAction, type HoleReading } from '../../setout/readings'
import { spacerGap, USUAL_SPACER } from '../../setout/stringGap'
import { stringLine, stringSag, supportsFor, whichIsOut, type StringPoint } from '../../setout/stringLine'
import { stringOver } from '../../setout/stringOver'
import { carriersOf } from '../../setout/topline/lineTops'
import { CLEARANCE } from '../../setout/topline/topLine'
import type { Tables } from '../../tables/tables'
import { sectionSize } from '../../timber/section'
import type { Metres } from '../../units/types'
import type { MethodPlan, PostPlan } from '../types'

/** What a tape, a level and a saw are held to at one post. Gaps are read on the face along which the strings run. */
export interface SetOutPost {
  post: string
  station: Metres
  /** From the post before, between middles, m. */
  bay?: Metres
  /** The strings are pulled over it. */
  carries: boolean
  /** It is set, or brought back to its line: it has targets of its own. */
  isSet: boolean
  /** Heights of the strings over the ground here, m. */
  upper: Metres
  lower: Metres
  /** Wanted between string and face, m. */
  gapLow: Metres
  gapHigh: Metres
  /** Of the top across the line, away positive, from plumb over its foot; along the line it is plumb. */
  target: Metres
  /** Plumb weighed against its neighbours' lean; absent where none of them was measured. */
  weighed?: PlumbOrMatch
  hole?: { depth: Metres; width: Metres; reading: Metres }
  cut?: CutLength & { weathered?: Metres }
  found: {
    gapLow?: FoundGap
    gapHigh?: FoundGap
    hole?: HoleReading & { found: Metres }
  }
}

export interface FoundGap {
  found: Metres
  /** Towards the string positive, m. */
  move: Metres
  action: GapAction
}

export interface SetOutLine {
  posts: SetOutPost[]
  /** How the posts that stay miss one straight line, where a gap was read at any that does not carry the strings. */
  straight?: { posts: string[]; misses: Metres[]; out?: string }
  bays: SetOutBay[]
  /** Where a string that long is held up, by post; nothing where it hangs true. */
  heldUpAt: string[]
  /** Between the strings and the posts that carry them: as asked, else one that keeps them clear of every post, m. */
  spacer: Metres
  /** With the spacer that was asked for, a string would lie against a post or in it: one that keeps it clear, m. */
  thickerSpacer?: Metres
}

export interface SetOutBay {
  from: string
  to: string
  /** Under the cladding at its lower and its higher side, m. */
  least: Metres
  most: Metres
  tight: boolean
  wide: boolean
}

/** A builder's line and how hard a hand pulls it; working values. */
const STRING = { massPerMetre: 0.001, pull: 50 } as const

/**
 * A line set out: what to hold a tape to at each of its posts, and what was found there.
 *
 * @param plans of its posts, in their order
 */
export function setOutLine(line: ResolvedLine, plans: readonly PostPlan[], tables: Tables): SetOutLine {
  const found = withSpacer(line, plans, tables, line.setOut?.spacer ?? USUAL_SPACER)
  if (found.thickerSpacer === undefined || line.setOut?.spacer !== undefined) return found
  return withSpacer(line, plans, tables, found.thickerSpacer)
}

function withSpacer(line: ResolvedLine, plans: readonly PostPlan[], tables: Tables, spacer: Metres): SetOutLine {
  const asked = line.setOut ?? {}
  const methods = plans.map(methodOf)
  const carriers = carriersOf(line.posts)
  const reference = thicknessOf(carriers[0]!)
  const strings = stringsOf(carriers)
  const posts = line.posts.map((post, i): SetOutPost => {
    const method = methods[i]
    const lower = stringOver(line.lowString, post.station) - (post.groundLevel ?? 0)
    const neighbours = { before: near(line.posts, methods, i, -1), after: near(line.posts, methods, i, 1) }
    const isMeasured = neighbours.before !== undefined || neighbours.after !== undefined
    const weighed = isMeasured ? plumbOrMatch(neighbours, post.station, post.top) : undefined
    const target = post.stands === 'match' ? (weighed?.match ?? 0) : 0
    const own = method ? target / post.top : acrossOf(post)
    const base = spacerGap(spacer, reference, thicknessOf(post), asked.agree ?? 'centres')
    const gapAt = (height: Metres) => base + sideOf(asked) * (strings(post.station) - own) * height
    const [gapLow, gapHigh] = [gapAt(lower), gapAt(post.top)]
    const { found = {} } = post
    const hole = method?.hole && {
      depth: method.hole.depth,
      width: method.hole.diameter,
      reading: lower + method.hole.depth,
    }
    return {
      post: post.id,
      station: post.station,
      ...(i > 0 ? { bay: post.station - line.posts[i - 1]!.station } : {}),
      carries: carriers.includes(post),
      isSet: method !== undefined,
      upper: post.top,
      lower,
      gapLow,
      gapHigh,
      target,
      ...(weighed ? { weighed } : {}),
      ...(hole ? { hole } : {}),
      ...(method?.newPost ? { cut: cutOf(post, method.newPost, asked, tables) } : {}),
      found: {
        ...(found.gapLow === undefined ? {} : { gapLow: foundGap(gapLow, found.gapLow) }),
        ...(found.gapHigh === undefined ? {} : { gapHigh: foundGap(gapHigh, found.gapHigh) }),
        ...(found.hole === undefined || !hole
          ? {}
          : { hole: { ...holeReading(lower, hole.depth, found.hole), found: found.hole } }),
      },
    }
  })
  const straight = straightOf(posts, asked)
  const thickerSpacer = spacerFor(posts, spacer)
  return {
    posts,
    spacer,
    ...(straight ? { straight } : {}),
    bays: baysOf(line),
    heldUpAt: heldUp(line.posts, carriers),
    ...(thickerSpacer === undefined ? {} : { thickerSpacer }),
  }
}

/** A gap under this cannot be read, and the string is pushed aside, m. */
const LEAST_GAP: Metres = 0.003
const SPACER_STEP: Metres = 0.005
function spacerFor(posts: readonly SetOutPost[], spacer: Metres): Metres | undefined {
  const least = Math.min(...posts.map(({ gapLow, gapHigh }) => Math.min(gapLow, gapHigh)))
  return least < LEAST_GAP ? roundUpTo(spacer + LEAST_GAP - least, SPACER_STEP) : undefined
}

/**
 * The gap that the upper string would show at a post that leans so much.
 *
 * @param post  as it is set out
 * @param slope of the post across the line, away positive, m per m: a level's reading
 * @example a post whose gaps should be 12 mm and which leans 10 mm in a metre away: at the near face 1.5 m up 27 mm
 */
export function gapByLevel(post: SetOutPost, { setOut = {} }: Pick<ResolvedLine, 'setOut'>, slope: number): Metres {
  const low = post.found.gapLow?.found ?? post.gapLow
  const wantedSlope = post.target / post.upper
  return low + (post.gapHigh - post.gapLow) - sideOf(setOut) * (slope - wantedSlope) * (post.upper - post.lower)
}

/** The repair that is done: the one that was chosen, else the one that is proposed. */
function methodOf({ recommended, methods }: PostPlan): MethodPlan | undefined {
  const wanted = recommended?.method
  return wanted === undefined || wanted === 'nothing' ? undefined : methods.find(({ method }) => method === wanted)
}

/** A lean away from the reader is positive, and so is the far face. */
const sideOf = ({ side }: LineSetOut) => (side === 'far' ? 1 : -1)
const thicknessOf = (post: ResolvedPost): Metres => sectionSize(post.repair?.post?.section ?? post.section).across
const acrossOf = (post: ResolvedPost) => leanSlopes(post.observations.lean).across
const foundGap = (wanted: Metres, found: Metres): FoundGap => ({ found, ...gapReading(wanted, found) })

/** How much further aside the strings lie for each metre up: as the posts lean that carry them. */
function stringsOf(carriers: readonly ResolvedPost[]): (station: Metres) => number {
  const holds = carriers.map((post) => ({ station: post.station, height: acrossOf(post) }))
  const [first, last] = [holds[0]!.station, holds[holds.length - 1]!.station]
  return (station) => stringOver(holds, Math.min(last, Math.max(first, station)))
}

/** The nearest measured post on one side that stays as it is. */
function near(
  posts: readonly ResolvedPost[],
  methods: readonly (MethodPlan | undefined)[],
  from: number,
  step: 1 | -1,
): NeighbourLean | undefined {
  for (let i = from + step; i >= 0 && i < posts.length; i += step) {
    const post = posts[i]!
    if (post.observations.lean !== undefined && !methods[i]) return { station: post.station, slope: acrossOf(post) }
  }
  return undefined
}

function cutOf(
  post: ResolvedPost,
  { length }: NonNullable<MethodPlan['newPost']>,
  { topDetail = 0, topAngle }: LineSetOut,
  { digging }: Tables,
): NonNullable<SetOutPost['cut']> {
  const cut = cutLength(post.top, topDetail, length - post.top, digging.stockLengths)
  return topAngle === undefined
    ? cut
    : { ...cut, weathered: weatheringCut(thicknessOf(post), topAngle, cut.length).long }
}

/** Of the posts that stay, how they miss one line: those that carry the strings, and those whose gap was read. */
function straightOf(posts: readonly SetOutPost[], { side, fit = 'minimax' }: LineSetOut): SetOutLine['straight'] {
  const sign = sideOf({ side })
  const staying = posts.flatMap((post): (StringPoint & { id: string })[] => {
    const { station, carries, isSet, found } = post
    if (isSet || !(carries || found.gapLow)) return []
    // A wider gap at the far face is a post that stands nearer.
    return [{ id: post.post, station, offset: -sign * (found.gapLow?.move ?? 0) }]
  })
  const isRead = staying.some(({ offset }) => offset !== 0)
  if (staying.length < 3 || !isRead) return undefined
  const { misses } = stringLine(staying, fit)
  const out = whichIsOut(staying, fit)
  return {
    posts: staying.map(({ id }) => id),
    misses,
    ...(out === undefined ? {} : { out: staying[out]!.id }),
  }
}

/** Clearance under each bay, as the upper string and the fence's height have it. */
function baysOf({ posts, string, height, gap }: ResolvedLine): SetOutBay[] {
  const isStepped = (i: number) => string.length === 2 * (posts.length - 1) && posts.length > 2 && string[2 * i]
  return posts.slice(1).map((post, i) => {
    const before = posts[i]!
    const step = isStepped(i)
    const bottom = (at: ResolvedPost) => (step ? step.height : stringOver(string, at.station)) - height + gap
    const sides = [before, post].map((at) => bottom(at) - (at.groundLevel ?? 0))
    const [least, most] = [Math.min(...sides), Math.max(...sides)]
    return {
      from: before.id,
      to: post.id,
      least,
      most,
      tight: least < CLEARANCE[0] - 1e-9,
      wide: most > CLEARANCE[1] + 1e-9,
    }
  })
}

/** Posts that hold the string up where its longest stretch would sag. */
function heldUp(posts: readonly ResolvedPost[], carriers: readonly ResolvedPost[]): string[] {
  return carriers.slice(1).flatMap((to, i) => {
    const from = carriers[i]!
    const span = to.station - from.station
    if (span <= 0) return []
    const supports = supportsFor(stringSag(span, STRING.massPerMetre, STRING.pull))
    const between = posts.filter(({ station }) => station > from.station && station < to.station)
    const places = Array.from({ length: supports }, (_, k) => from.station + (span * (k + 1)) / (supports + 1))
    const chosen = places.flatMap((place) => {
      const nearest = between.reduce<ResolvedPost | undefined>(
        (best, post) => (!best || Math.abs(post.station - place) < Math.abs(best.station - place) ? post : best),
        undefined,
      )
      return nearest ? [nearest.id] : []
    })
    return [...new Set(chosen)]
  })
}
