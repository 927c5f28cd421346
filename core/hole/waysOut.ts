import { LEAST_COVER } from '../concrete/cover'
import type { MET_DECISIONS, MET_KINDS } from '../document/vocabulary'
import { BELOW_FROST } from '../ground/frost'
import { roundUpTo, tidy } from '../numeric/rounding'
import type { MethodPlan } from '../plan/types'
import { STOP_GAPS, repairMethods } from '../repair/methods'
import { USUAL_BELL } from '../repair/holeShape'
import type { CubicMetres, Metres, Minutes } from '../units/types'
import type { HoleBench, HoleChange } from './bench'

export type MetKind = (typeof MET_KINDS)[number]
export type MetDecision = (typeof MET_DECISIONS)[number]

/** One way to go on where the hole cannot go deeper. */
export interface WayOut {
  decision: MetDecision
  says: string
  /** What the post then comes to; absent where no figure can be given. */
  plan?: MethodPlan
  /** Set on the hole of `plan`'s method to take it. */
  change?: HoleChange
  /** Or the post goes there. */
  station?: Metres
  /** Against the hole as it was meant. */
  more?: { concrete: CubicMetres; bags: number; minutes: Minutes }
  /** What is on the van will do; absent where nobody said what there is. */
  bagsDo?: boolean
  /** It holds both targets, and frost and the local rules let it be. */
  holds: boolean
  /** What frost or the local rules say against it. */
  against?: string
}

export interface Stopped {
  /** Depth that was reached, m. */
  reached: Metres
  by: MetKind
  /** Across, where somebody measured it, m. */
  size?: Metres
  /** Bags of the mix in hand; absent where nobody counted. */
  bags?: number
}

/** What may not be dug out sideways from below: it runs back in, or something lives there. */
const NO_BELL: readonly MetKind[] = ['service', 'water', 'made-ground', 'crater']
const RUNNING = ['loose-sand', 'gravel', 'made-ground']
const LOOSE = ['loose-sand', 'made-ground']
/** Steps in which a bell is widened, and the widest that a spade cuts from above, m. */
const BELL_STEP: Metres = 0.05
const WIDEST_BELL: Metres = 0.5
const WIDEST_HOLE: Metres = 0.6

/**
 * Ways out when the hole cannot go deeper, those that hold both targets first, cheapest of them first. Each is planned
 * by itself at the depth that was reached, and holds what it says.
 *
 * @example waysOut(bench, { reached: 0.48, by: 'boulder', bags: 4 })
 *   // wider: 0.45 m, 1 bag more, 44 m/s · bell … · key … · another way … · stop and call
 */
export function waysOut(bench: HoleBench, stopped: Stopped): WayOut[] {
  const { now } = bench
  const ways: WayOut[] = []
  const short: HoleChange = { depth: tidy(stopped.reached) }
  const cannotDig = stopped.by === 'service'
  if (!cannotDig && now.hole) {
    ways.push(...wider(bench, short), ...belled(bench, short, stopped.by), ...keyed(bench, short))
    ways.push(...deeperByTool(bench, stopped.by), ...brokenOut(bench, stopped.by))
    const left = bench.with(short)
    ways.push({
      decision: 'left-short',
      says: 'Leave it as deep as it is.',
      plan: left,
      change: short,
      holds: left.holdsTarget,
    })
  }
  ways.push(...otherWays(bench, stopped.reached))
  if (stopped.by === 'boulder')
    ways.push({
      decision: 'socket',
      says: 'Rock that rings all through: a bar set in a drilled hole. Its maker’s figure decides.',
      holds: false,
    })
  ways.push(moveAlong(bench, stopped))
  if (cannotDig) ways.push(STOP)
  const counted = ways.map((way) => judged(bench, withMore(way, now, stopped.bags)))
  return counted.sort((a, b) => rank(a) - rank(b) || cost(a) - cost(b))
}

const STOP: WayOut = {
  decision: 'stopped',
  says: 'Stop. Fill nothing in, call the marking service and whoever owns it.',
  holds: false,
}

/** Stopping stands first wherever it is said at all; what has no figure stands last. */
const rank = ({ decision, holds, plan }: WayOut): number => {
  if (decision === 'stopped') return 0
  // What is in the way has to come out first, or rails have to be lengthened: how long that takes nobody knows.
  if (holds) return decision === 'through' || decision === 'moved' ? 2 : 1
  return plan ? 3 : 4
}
const cost = ({ more }: WayOut): number => (more ? more.minutes + more.bags * MINUTES_A_BAG : 0)
/** A bag is carried, paid and mixed: on one scale with the work; a working value. */
const MINUTES_A_BAG = 10

/** Wind is not all: above the frost, or shallower than the local rules, no width mends it. */
function judged({ context }: HoleBench, way: WayOut): WayOut {
  const { plan } = way
  if (!plan?.hole) return way
  const { frostDepth, minimumDepth } = context.site
  const { footingBottom } = plan.hole
  const against =
    frostDepth > 0 && footingBottom < frostDepth + BELOW_FROST - 1e-6
      ? 'Its foot is above the frost: it may be lifted.'
      : footingBottom < minimumDepth - 1e-6
        ? 'The local rules ask for more depth: ask the office first.'
        : undefined
  return against ? { ...way, holds: false, against } : way
}

function withMore(way: WayOut, now: MethodPlan, bags: number | undefined): WayOut {
  const { plan } = way
  // How long rails take that have to be made anew nobody knows.
  if (!plan || way.decision === 'moved') return way
  const exact = (each: MethodPlan) => each.concrete?.bags.exactCount ?? 0
  const more = {
    concrete: (plan.concrete?.concrete ?? 0) - (now.concrete?.concrete ?? 0),
    bags: exact(plan) - exact(now),
    minutes: plan.minutes - now.minutes,
  }
  return { ...way, more, ...(bags === undefined ? {} : { bagsDo: (plan.concrete?.bags.count ?? 0) <= bags }) }
}

/** The narrowest tool that holds both targets at this depth. */
function wider(bench: HoleBench, short: HoleChange): WayOut[] {
  const { toolWidths } = bench.context.tables.digging
  const from = bench.now.hole!.diameter
  const widths = toolWidths.filter((width) => width > from + 1e-9 && width <= WIDEST_HOLE)
  const plain = firstThatHolds(
    bench,
    widths.map((diameter) => ({ ...short, diameter })),
  )
  if (plain) return [{ decision: 'wider', says: 'Dig it wider.', ...plain }]
  if (!takesKey(bench)) return []
  const keyed = firstThatHolds(
    bench,
    widths.map((diameter) => ({ ...short, diameter, key: true })),
  )
  return keyed ? [{ decision: 'wider', says: 'Dig it wider, and set a board across it near the top.', ...keyed }] : []
}

/** A foot that is dug out wider, where the ground stands. */
function belled(bench: HoleBench, short: HoleChange, by: MetKind): WayOut[] {
  const { post } = bench.context
  if (NO_BELL.includes(by) || post.saturated || RUNNING.includes(post.soil) || !bench.now.concrete) return []
  const { diameter } = bench.now.hole!
  const steps = Math.round((WIDEST_BELL - diameter) / BELL_STEP)
  const bells = Array.from({ length: Math.max(0, steps) }, (_, i) => tidy(diameter + (i + 1) * BELL_STEP))
  const found = firstThatHolds(
    bench,
    bells.map((bellDiameter) => ({ ...short, shape: 'belled' as const, bellDiameter, bellHeight: USUAL_BELL })),
  )
  return found ? [{ decision: 'bell', says: 'Dig the foot out wider, a bell.', ...found }] : []
}

const takesKey = ({ context, method, now }: HoleBench): boolean =>
  !LOOSE.includes(context.post.soil) && now.hole !== undefined && method !== 'new-post-keyed'

/** A board across the push near the surface, on both faces; in stone with one. */
function keyed(bench: HoleBench, short: HoleChange): WayOut[] {
  if (!takesKey(bench)) return []
  const change = { ...short, key: true }
  const plan = bench.with(change)
  const inStone = bench.with(change, 'new-post-stone')
  const both: WayOut[] = [
    {
      decision: 'key',
      says: 'Set a board across it near the top, on both faces.',
      plan,
      change,
      holds: plan.holdsTarget,
    },
  ]
  if (bench.method !== 'new-post-stone' && inStone.allowed)
    both.push({
      decision: 'stone-and-key',
      says: 'Fill with stone and set a board across it.',
      plan: inStone,
      change,
      holds: inStone.holdsTarget,
    })
  return both.filter(({ plan: each }) => each!.holdingGust !== undefined)
}

/** Where only the tool is at its end, another one goes on. */
function deeperByTool({ now }: HoleBench, by: MetKind): WayOut[] {
  if (by !== 'tool-reach') return []
  return [
    {
      decision: 'through',
      says: 'Go on with a longer tool, or a bar and a scoop.',
      plan: now,
      change: {},
      holds: now.holdsTarget,
    },
  ]
}

/** What can be cut or broken out: the hole stays as it was meant. */
function brokenOut({ now }: HoleBench, by: MetKind): WayOut[] {
  const words: Partial<Record<MetKind, string>> = {
    root: 'Cut it clean if the tree’s owner agrees and it is thinner than a thumb.',
    'old-footing': 'Break it out and go on.',
    plinth: 'Cut it back and go on.',
    boulder: 'Lever it out. It leaves a crater: ram the fill, or dig to firm ground.',
    water: 'Bail it, and place the concrete by displacement.',
  }
  const says = words[by]
  return says ? [{ decision: 'through', says, plan: now, change: {}, holds: now.holdsTarget }] : []
}

/** Other repairs that need no deeper hole than was reached, the two that come first. */
function otherWays(bench: HoleBench, reached: Metres): WayOut[] {
  return repairMethods
    .filter(({ key }) => key !== bench.method && key !== 'replace-run' && !STOP_GAPS.has(key))
    .map(({ key }) => bench.with({}, key))
    .filter(
      ({ allowed, hole, leavesUnsolved }) =>
        allowed && leavesUnsolved.length === 0 && (hole?.depth ?? 0) <= reached + 1e-9,
    )
    .sort(
      (a, b) =>
        Number(b.holdsTarget) - Number(a.holdsTarget) || a.wastes.length - b.wastes.length || a.minutes - b.minutes,
    )
    .slice(0, 2)
    .map((plan) => ({
      decision: 'other-method',
      says: `${plan.name} instead.`,
      plan,
      change: {},
      holds: plan.holdsTarget,
    }))
}

/** The hole beside what is in the way, as deep as it was meant; the side on which the post holds more. */
function moveAlong(bench: HoleBench, { by, size = USUAL_SIZE }: Stopped): WayOut {
  const aside = roundUpTo((bench.now.hole?.diameter ?? size) + size / 2, STEP_ASIDE)
  const [best] = [-aside, aside]
    .flatMap((along) => bench.moved(along) ?? [])
    .sort((a, b) => (b.plan.holdingGust ?? 0) - (a.plan.holdingGust ?? 0))
  const says =
    by === 'service'
      ? 'Move the hole away from it, and dig by hand.'
      : 'Move the hole along, and measure the bays anew: rails to lengthen or to pack.'
  if (!best) return { decision: 'moved', says, holds: false }
  return { decision: 'moved', says, ...best, holds: best.plan.holdsTarget }
}
/** Of what nobody measured, and the marks that a post is moved by, m; working values. */
const USUAL_SIZE: Metres = 0.2
const STEP_ASIDE: Metres = 0.05

function firstThatHolds(bench: HoleBench, changes: readonly HoleChange[]) {
  for (const change of changes) {
    const plan = bench.with(change)
    if (plan.holdsTarget && (plan.concrete?.cover ?? LEAST_COVER) >= LEAST_COVER - 1e-9)
      return { plan, change, holds: true }
  }
  return undefined
}
