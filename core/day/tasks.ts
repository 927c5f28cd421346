import { ageOfShare, MILESTONES, mixPour, shareWanted } from '../concrete/setting'
import { resinMinutes } from '../concrete/resin'
import { GROUND_TEMPERATURE, type StepPlan } from '../plan/steps'
import type { ConcretePlan } from '../plan/types'
import { isWetInTheHole } from '../pour/planned'
import { row, type Tables } from '../tables/tables'
import type { StepFacts } from '../tables/parts'
import { BAG_YIELDS } from '../plan/minutes'
import type { PouredPost } from './done'
import type { After, DayQuestion, Milestones, PourWork, Skill, Task, Tool } from './question'

/** A post whose repair was chosen, with its steps. */
export interface DayPost {
  /** Its job, line and name: what its tasks are named after. */
  address: string
  method: string
  steps: readonly StepPlan[]
  concrete?: ConcretePlan
  /** A boulder came out of its hole: what is rammed into the crater rests for a night. */
  hasCrater?: true
  /** Of one that is poured already. */
  poured?: PouredPost
}

/** What there is to work with decides how long some of it takes. */
export type DayMeans = Pick<DayQuestion, 'crew' | 'tools'>

/** Against a hand digger, against a breaker, and of a barrow, minutes for each 10 L. Working values. */
const AUGER = 0.4
const BAR = 6 / 2.5
const MIXER = 3
/** From the rammed fill of a crater to the pour, minutes: a night. Working value. */
const CRATER_RESTS = 720
/** What two do in a minute takes one with straps and props. Working value. */
const ALONE = 1.6
/** To get an auger ready at a post, minutes. */
const AUGER_READY = 5
/** Hard before three days is a rough guide: the later time counts. */
const ROUGH_BEFORE = 72
const ROUGH = 1.25

interface Group {
  key: string
  kind: 'work' | 'pour' | 'waits'
  steps: { plan: StepPlan; facts: StepFacts }[]
}

/**
 * The tasks of a post: its steps in their order, joined where the same hands go on without waiting.
 *
 * A pour is one task. What waits for concrete waits for its later time. The hole stays open from the digging to the
 * pour; what was cut loose stays so until the post stands in its props.
 */
export function tasksOf(post: DayPost, means: DayMeans, tables: Tables): Task[] {
  const groups = groupsOf(post, tables)
  const idOf = ({ key }: Group) => `${post.address}:${key}`
  const pour = groups.find(({ kind }) => kind === 'pour')
  const off = groups.find(({ steps }) => steps.some(({ plan }) => plan.key === 'props-stay'))
  const set = groups.findLast(({ steps }) => steps.some(({ facts }) => facts.sets))
  const closes = pour ?? groups.find(({ steps }) => steps.some(({ plan }) => plan.key === 'layers'))
  return groups.map((group, i): Task => {
    const before = groups[i - 1]
    const { hands, minutes, placing } = workOf(group, post, means, tables)
    const isDig = group !== closes && group.steps.some(({ facts }) => facts.does?.includes('digging'))
    const loosens = group.steps.some(({ facts }) => facts.loosens) && set && set !== group ? idOf(set) : undefined
    return {
      id: idOf(group),
      posts: [post.address],
      step: group.key,
      says: group.steps[0]!.facts.short ?? group.steps[0]!.plan.text.split(/[.;,]/)[0]!.toLowerCase(),
      minutes,
      hands,
      skills: skillsOf(group, hands),
      tools: toolsOf(group, means, post, tables),
      after: before ? aftersOf(group, before, pour, idOf, post, tables) : [],
      ...(group === set && off ? { holds: { tool: 'props' as const, until: idOf(off) } } : {}),
      ...(group === pour && post.concrete ? { pour: pourWork(post.concrete, placing, tables) } : {}),
      ...(loosens ? { loosens } : {}),
      ...(isDig && closes ? { opens: idOf(closes) } : {}),
    }
  })
}

/** The task of a post that a pour of the record stands for: its pour, or where resin is used, the setting in it. */
export function wetTaskOf(post: DayPost, tables: Tables): string | undefined {
  const groups = groupsOf(post, tables)
  const wet =
    groups.find(({ kind }) => kind === 'pour') ??
    (resinOf(post, tables) && groups.findLast(({ steps }) => steps.some(({ facts }) => facts.sets)))
  return wet && `${post.address}:${wet.key}`
}
const resinOf = ({ method }: DayPost, tables: Tables) => row(tables.parts.methods, method).resin

function groupsOf({ steps }: DayPost, tables: Tables): Group[] {
  const groups: Group[] = []
  for (const plan of steps) {
    const facts = tables.parts.steps[plan.key] ?? {}
    const kind = plan.after ? 'waits' : isOfPour(plan, facts) ? 'pour' : 'work'
    const last = groups.at(-1)
    const goesOn =
      last?.kind === kind &&
      kind !== 'waits' &&
      (kind === 'pour' || (handsOf(last) === plan.hands && isLoose(last) === (facts.loosens ?? false))) &&
      !(breaks(last) && facts.does?.includes('digging')) &&
      !last.steps.at(-1)!.plan.leave &&
      !(last.steps.at(-1)!.facts.sets && !facts.sets)
    if (goesOn) last.steps.push({ plan, facts })
    else groups.push({ key: plan.key, kind, steps: [{ plan, facts }] })
  }
  return groups
}
const isOfPour = ({ key, within }: StepPlan, { first = [] }: StepFacts): boolean =>
  key === 'pour' || within !== undefined || first.includes('pour')
const handsOf = ({ steps }: Group): number => Math.max(...steps.map(({ plan }) => plan.hands))
/** A breaker goes on to the next post while the hole is dug. */
const breaks = ({ steps }: Group): boolean => steps.some(({ facts }) => facts.does?.includes('breaking') ?? false)
const isLoose = ({ steps }: Group): boolean => steps.some(({ facts }) => facts.loosens ?? false)

/** Minutes by what there is to dig, break and mix with; two at a pour place it in half the time. */
function workOf(group: Group, { concrete }: DayPost, { crew, tools }: DayMeans, tables: Tables) {
  const hasAuger = (tools.auger ?? 0) > 0
  const factor = ({ does = [] }: StepFacts) => {
    if (does.includes('digging')) return hasAuger ? AUGER : 1
    return does.includes('breaking') && !((tools.breaker ?? 0) > 0) ? BAR : 1
  }
  const digs = group.steps.some(({ facts }) => facts.does?.includes('digging'))
  const sum = group.steps.reduce((total, { plan, facts }) => total + plan.minutes * factor(facts), 0)
  if (group.kind !== 'pour' || !concrete) {
    const wanted = handsOf(group)
    const hands = Math.min(wanted, crew.length)
    const alone = hands < wanted ? ALONE : 1
    return { hands, minutes: whole(alone * (sum + (hasAuger && digs ? AUGER_READY : 0))), placing: 0 }
  }
  const mixers = crew.filter(({ skills }) => skills.includes('mix')).length
  const hands = Math.max(1, Math.min(2, mixers))
  const total = placingMinutes(concrete, tools, tables)
  const placing = whole(total / hands)
  return { hands, minutes: placing, placing }
}
const whole = (minutes: number) => Math.max(1, Math.ceil(minutes - 1e-6))

function placingMinutes({ mix: key, bags, concrete, filling }: ConcretePlan, tools: DayMeans['tools'], tables: Tables) {
  const mix = row(tables.mixes, key)
  const { mixingPerBag, placingPerBag } = tables.parts.rates
  const tens = (mix.supply === 'bag' ? bags.count * mix.yields : concrete) / BAG_YIELDS
  const isMixed = mix.supply !== 'lorry' && !isWetInTheHole(filling, tables)
  const each = isMixed ? ((tools.mixer ?? 0) > 0 ? MIXER : mixingPerBag) : 0
  return tens * (each + placingPerBag)
}

function pourWork({ mix: key }: ConcretePlan, placing: number, tables: Tables): PourWork {
  const { hardening, stiffens, strength } = mixPour(row(tables.mixes, key))
  const milestones: Milestones = {}
  for (const milestone of MILESTONES) {
    const wanted = shareWanted(milestone, strength)
    if (wanted === null) continue
    const age = ageOfShare(wanted, hardening)
    milestones[milestone.key] = age * 60 * (age < ROUGH_BEFORE ? ROUGH : 1)
  }
  return { placing, works: stiffens, milestones }
}

function skillsOf({ kind, steps }: Group, hands: number): Skill[] {
  const does = steps.flatMap(({ facts }) => facts.does ?? [])
  return [
    ...(does.includes('digging') || does.includes('breaking') ? (['dig'] as const) : []),
    ...(kind === 'pour' ? (['mix'] as const) : []),
    ...(steps.some(({ facts }) => facts.skill === 'saw') ? (['saw'] as const) : []),
    ...(hands > 1 && kind !== 'pour' ? (['lift'] as const) : []),
  ]
}

function toolsOf({ kind, steps }: Group, { tools }: DayMeans, { concrete }: DayPost, tables: Tables): Task['tools'] {
  const does = steps.flatMap(({ facts }) => facts.does ?? [])
  const wants: Tool[] = []
  const isMixed =
    concrete && row(tables.mixes, concrete.mix).supply !== 'lorry' && !isWetInTheHole(concrete.filling, tables)
  if (kind === 'pour' || steps.some(({ facts }) => facts.sets)) wants.push('level')
  if (kind === 'pour' && isMixed) wants.push('mixer')
  if (does.includes('breaking')) wants.push('breaker')
  if (does.includes('digging')) wants.push('auger')
  // What is not there is done without.
  return Object.fromEntries(wants.filter((tool) => (tools[tool] ?? 0) > 0).map((tool) => [tool, 1]))
}

function aftersOf(
  group: Group,
  before: Group,
  pour: Group | undefined,
  idOf: (group: Group) => string,
  post: DayPost,
  tables: Tables,
): After[] {
  const milestone = group.steps[0]!.facts.waits
  if (group.kind === 'waits' && pour && milestone) {
    const carried: After = { task: idOf(pour), least: 0, milestone }
    return before === pour ? [carried] : [carried, { task: idOf(before), least: 0 }]
  }
  const digs = before.steps.some(({ facts }) => facts.does?.includes('digging'))
  const leave = Math.max(before.steps.at(-1)!.plan.leave ?? 0, post.hasCrater && digs ? CRATER_RESTS : 0)
  const resin = resinOf(post, tables)
  const glued = before.steps.some(({ facts, plan }) => facts.sets && plan.key === 'stand') && resin !== undefined
  const cures = glued ? resinMinutes(row(tables.resins, resin), 'cures', GROUND_TEMPERATURE) : 0
  return [{ task: idOf(before), least: Math.ceil(Math.max(leave, cures)) }]
}
