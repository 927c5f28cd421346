import type { IntegerProgramme, Restriction, SolveProgramme, Term } from '../numeric/integerProgramme'
import type { Kilograms, Minutes } from '../units/types'
import type { LineChoice, WayOption } from './waysOpen'

/** What shall be least over the whole line. */
export const LINE_GOALS = ['work', 'carried', 'breaks'] as const
export type LineGoal = (typeof LINE_GOALS)[number]

export interface LineLimits {
  minutes?: Minutes
  carried?: Kilograms
  /** Different ways of working at most. */
  ways?: number
  /** Posts that shall be mended alike, stretch by stretch. */
  alike?: readonly (readonly string[])[]
  /** No breaker is there: no old concrete can be broken out. */
  withoutBreaker?: boolean
}

/** One way for every post, and what that comes to. */
export interface LinePlan {
  ways: { post: string; method: string }[]
  /** Ways that are used, most posts first. */
  kinds: { method: string; name: string; posts: string[] }[]
  /** With the changing over from one way of working to the next. */
  minutes: Minutes
  carried: Kilograms
  /** Posts that the wind takes down in a year, on average. */
  breaks: number
}

export interface LineOutcome {
  /** Absent where nothing keeps to every limit. */
  best?: LinePlan
  /** The best with one way of working and with two, where it has more: what mixing saves. */
  fewer: LinePlan[]
  /** The next best that are made of other ways. */
  others: LinePlan[]
  /** The best with one working day more, where that is better. */
  dayMore?: LinePlan
  /** What each of the limits would have to be, where nothing keeps to all of them. */
  least?: { minutes: Minutes; carried: Kilograms }
}

/** One working day, min; a working value. */
export const WORKING_DAY: Minutes = 480
const OTHERS = 2
/** Of two that are alike in what counts, the quicker: far less than anybody can tell apart, per minute. */
const TIE = { work: 0, carried: 1e-3, breaks: 1e-4 } as const
/** Breakages are counted in a thousand years: a solver's figures are good to a millionth. */
const THOUSAND_YEARS = 1_000

/**
 * One method for each post so that a sum over the line is least, exactly, under limits.
 *
 * @param changeover to change over from one way of working to the next, min
 * @param say what is known so far: the best plan first, then what it is compared with; and the share that is done
 * @source integer programme: one choice a post, tied to the ways that are used (uncapacitated plant location)
 * @example three posts, spur 90 min or new post 140 min, one of them rotted too high for a spur, changeover 20 min:
 *   340 min with both ways, 420 min with new posts alone
 */
export function wholeLine(
  choice: LineChoice,
  goal: LineGoal,
  limits: LineLimits,
  changeover: Minutes,
  solve: SolveProgramme,
  say: (soFar: LineOutcome, done: number) => void = () => {},
): LineOutcome {
  const line = lineOf(choice, limits, changeover)
  const isOpen = line.posts.length > 0 && line.posts.every(({ options }) => options.length > 0)
  const answerTo = (within: LineLimits, unlike: readonly LinePlan[], to: LineGoal): LinePlan | undefined => {
    const made = solve(programmeOf(line, to, within, unlike))
    return made && planOf(line, made)
  }
  const ask = (within: LineLimits, unlike: readonly LinePlan[] = [], to = goal): LinePlan | undefined => {
    if (!isOpen) return undefined
    // Most lines keep to their sums by themselves, and are solved far sooner without them.
    const { minutes = Infinity, carried = Infinity } = within
    const free = answerTo({ ...within, minutes: undefined, carried: undefined }, unlike, to)
    if (!free || (free.minutes <= minutes && free.carried <= carried)) return free
    return answerTo(within, unlike, to)
  }
  const best = ask(limits)
  if (!best) {
    const [quickest, lightest] = [
      ask({ ...limits, minutes: undefined, carried: undefined }, [], 'work'),
      ask({ ...limits, minutes: undefined, carried: undefined }, [], 'carried'),
    ]
    return {
      fewer: [],
      others: [],
      ...(quickest && lightest ? { least: { minutes: quickest.minutes, carried: lightest.carried } } : {}),
    }
  }
  const outcome: LineOutcome = { best, fewer: [], others: [] }
  const most = best.kinds.length - 1
  // What is soonest found comes first: two ways only are the hardest to choose.
  const questions: (() => void)[] = [
    ...(most >= 1 ? [() => keepFewer(1)] : []),
    ...Array.from({ length: OTHERS }, () => keepOther),
    ...(limits.minutes === undefined ? [] : [keepDayMore]),
    ...(most >= 2 ? [() => keepFewer(2)] : []),
  ]
  function keepFewer(ways: number): void {
    const found = ask({ ...limits, ways })
    if (found?.kinds.length === ways) outcome.fewer.push(found)
  }
  function keepOther(): void {
    const found = ask(limits, [best!, ...outcome.fewer, ...outcome.others])
    if (found) outcome.others.push(found)
  }
  function keepDayMore(): void {
    const more = ask({ ...limits, minutes: limits.minutes! + WORKING_DAY })
    if (more && valueOf(more, goal) < valueOf(best!, goal) - BARELY) outcome.dayMore = more
  }
  questions.forEach((question, i) => {
    say(outcome, i / questions.length)
    question()
  })
  return outcome
}
const BARELY = 1e-6

/** What is made least: the goal, and the work where two plans are alike in it. */
export function valueOf(
  { minutes, carried, breaks }: Pick<LinePlan, 'minutes' | 'carried' | 'breaks'>,
  goal: LineGoal,
): number {
  const of = { work: minutes, carried, breaks: THOUSAND_YEARS * breaks }[goal]
  return of + TIE[goal] * minutes
}

interface ChoiceLine {
  posts: { post: string; options: readonly WayOption[] }[]
  kinds: readonly string[]
  alike: readonly (readonly string[])[]
  changeover: Minutes
}

function lineOf(
  { posts }: LineChoice,
  { alike = [], withoutBreaker = false }: LineLimits,
  changeover: Minutes,
): ChoiceLine {
  const open = posts.map(({ post, options }) => ({
    post,
    options: options.filter(({ breaker }) => !withoutBreaker || !breaker),
  }))
  return {
    posts: open,
    kinds: [...new Set(open.flatMap(({ options }) => options.map(({ method }) => method)))],
    alike,
    changeover,
  }
}

/** Post i is mended in way j; way j is used. */
const isMended = (i: number, j: number) => `x${i}_${j}`
const isUsed = (j: number) => `y${j}`

function programmeOf(
  line: ChoiceLine,
  goal: LineGoal,
  limits: LineLimits,
  unlike: readonly LinePlan[],
): IntegerProgramme {
  const { posts, kinds, changeover } = line
  const all = posts.flatMap(({ options }, i) =>
    options.map((option) => ({ option, name: isMended(i, kinds.indexOf(option.method)) })),
  )
  const used = kinds.map((_, j) => isUsed(j))
  const sumOf = (measure: (option: WayOption) => number): Term[] =>
    all.map(({ option, name }) => [measure(option), name])
  const work: Term[] = [...sumOf(({ minutes }) => minutes), ...used.map((name): Term => [changeover, name])]
  const value = (option: WayOption) => valueOf(option, goal)
  const minimise: Term[] = [
    ...sumOf(value),
    ...used.map((name): Term => [valueOf({ minutes: changeover, carried: 0, breaks: 0 }, goal), name]),
  ]
  const restrictions: Restriction[] = [
    ...posts.map(
      ({ options }, i): Restriction => ({
        terms: options.map(({ method }): Term => [1, isMended(i, kinds.indexOf(method))]),
        is: '=',
        than: 1,
      }),
    ),
    ...used.flatMap((name, j): Restriction[] => {
      const mended = posts.flatMap(({ options }, i) =>
        options.some(({ method }) => method === kinds[j]) ? [isMended(i, j)] : [],
      )
      return [
        // Post by post: far sooner solved than their sum against a large number.
        ...mended.map(
          (each): Restriction => ({
            terms: [
              [1, each],
              [-1, name],
            ],
            is: '<=',
            than: 0,
          }),
        ),
        // Where another set of ways is asked for, a way counts only where it mends a post.
        ...(unlike.length > 0
          ? [{ terms: [[1, name], ...mended.map((each): Term => [-1, each])], is: '<=', than: 0 } as const]
          : []),
      ]
    }),
    ...line.alike.flatMap((stretch) => alikeIn(stretch, line)),
    ...unlike.map((plan) => otherThan(plan, kinds)),
  ]
  if (limits.minutes !== undefined) restrictions.push({ terms: work, is: '<=', than: limits.minutes + changeover })
  if (limits.carried !== undefined)
    restrictions.push({ terms: sumOf(({ carried }) => carried), is: '<=', than: limits.carried })
  if (limits.ways !== undefined)
    restrictions.push({ terms: used.map((name): Term => [1, name]), is: '<=', than: limits.ways })
  // With nothing to keep to but the ways, each post takes the best of those that are used: nothing between is better.
  const isFree = limits.minutes === undefined && limits.carried === undefined && unlike.length === 0
  return { minimise, restrictions, ...(isFree ? { follows: new Set(all.map(({ name }) => name)) } : {}) }
}

/** Each post of a stretch is mended as the one before it. */
function alikeIn(stretch: readonly string[], { posts, kinds }: ChoiceLine): Restriction[] {
  const among = posts.flatMap(({ post }, i) => (stretch.includes(post) ? [i] : []))
  const has = (i: number, j: number) => posts[i]!.options.some(({ method }) => method === kinds[j])
  return among.slice(1).flatMap((i, n) => {
    const before = among[n]!
    return kinds.flatMap((_, j): Restriction[] => {
      const terms: Term[] = [
        ...(has(i, j) ? [[1, isMended(i, j)] as const] : []),
        ...(has(before, j) ? [[-1, isMended(before, j)] as const] : []),
      ]
      return terms.length > 0 ? [{ terms, is: '=', than: 0 }] : []
    })
  })
}

/** Another set of ways: at least one of its ways is not used, or one that it has not is. */
function otherThan({ kinds: made }: LinePlan, kinds: readonly string[]): Restriction {
  const has = kinds.map((kind) => made.some(({ method }) => method === kind))
  return {
    terms: has.map((is, j): Term => [is ? -1 : 1, isUsed(j)]),
    is: '>=',
    than: 1 - has.filter(Boolean).length,
  }
}

function planOf({ posts, kinds, changeover }: ChoiceLine, made: ReadonlySet<string>): LinePlan {
  const taken = posts.map(({ post, options }, i) => {
    const option = options.find(({ method }) => made.has(isMended(i, kinds.indexOf(method))))!
    return { post, option }
  })
  const byKind = kinds.flatMap((method) => {
    const of = taken.filter(({ option }) => option.method === method)
    return of.length > 0 ? [{ method, name: of[0]!.option.name, posts: of.map(({ post }) => post) }] : []
  })
  const total = (measure: (option: WayOption) => number) => taken.reduce((sum, { option }) => sum + measure(option), 0)
  return {
    ways: taken.map(({ post, option }) => ({ post, method: option.method })),
    kinds: byKind.sort((a, b) => b.posts.length - a.posts.length),
    minutes: total(({ minutes }) => minutes) + changeover * (byKind.length - 1),
    carried: total(({ carried }) => carried),
    breaks: total(({ breaks }) => breaks),
  }
}
