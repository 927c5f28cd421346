import type { Cause } from '../cause/tables'
import { MILESTONES } from '../concrete/setting'
import type { Job, Post } from '../document/job'
import { dutiesOf } from '../document/postState'
import type { PostAddress } from '../edit/changes'
import { thresholdWords } from '../plan/thresholds'
import type { MethodPlan, PostPlan } from '../plan/types'
import type { StepPlan } from '../plan/steps'
import { pourClock } from '../pour/clock'
import { pourAt } from '../pour/planned'
import { chanceWords, dayWords, momentWords, periodWords } from '../report/dates'
import { STOP_GAPS } from '../repair/methods'
import type { Solid } from '../repair/solids'
import type { ResolvedPost } from '../resolve/resolve'
import { goesOverChances } from '../survive/goesOver'
import { row, type Tables } from '../tables/tables'
import type { Measures } from '../units/quantity'
import type { HourlyAir, Moment } from '../weather/forecast'
import { asBuiltAt, differences, type Difference } from './asBuilt'
import { builtSolids } from './builtSolids'
import { entriesAt, signOffAt } from './entries'
import { visitsDue, VISIT_WORDS, watchedPosts } from './visits'

/** What a customer is handed of one post: read in under two minutes. */
export interface CustomerPage {
  title: string
  place: string
  /** Paragraphs by their heading, in their order; headings without one are left out. */
  parts: { title: string; says: string[] }[]
  /** What else was possible, with its price and what it holds. */
  others: { name: string; price: string; stands: string }[]
  /** As built where that was measured, else as planned. */
  stands: Solid[]
  /** Of the hole, where there is one, m. */
  depth?: number
}

export interface CustomerQuestion {
  job: Job
  at: PostAddress
  post: ResolvedPost
  plan: PostPlan
  /** The way that is taken, or proposed. */
  method: MethodPlan
  steps: readonly StepPlan[]
  /** What it leaves in the ground. */
  stands: readonly Solid[]
  /** Of the other ways: their prices in words, by method; nothing of those that nobody priced. */
  prices: Readonly<Record<string, string>>
  /** What was said before it was dug, where it was. */
  thought?: Cause
  remainingYears: number
  now: Moment
  tables: Tables
  says: Measures
  air?: HourlyAir
}

/** So many other ways are told. */
const OTHERS = 3

/** The customer's page of one post as data: whatever prints it adds no word of its own. */
export function customerPage(question: CustomerQuestion): CustomerPage {
  const { job, at, method, plan, says, prices } = question
  const kept = job.lines.find(({ id }) => id === at.line)!.posts.find(({ id }) => id === at.post)!
  const signed = signOffAt(job, at)
  const built = asBuiltAt(job, at)
  const zone = job.site?.timeZone
  const others = plan.methods
    .filter(
      (each) =>
        each.method !== method.method &&
        prices[each.method] !== undefined &&
        each.leavesUnsolved.length === 0 &&
        !STOP_GAPS.has(each.method),
    )
    .slice(0, OTHERS)
    .map((each) => ({
      name: each.name,
      price: prices[each.method]!,
      stands: thresholdWords(each, says.gust),
    }))
  const parts = [
    { title: 'What failed, and why', says: failedWords(question, kept) },
    {
      title: signed ? 'What was done' : 'What is to be done',
      says: [
        signed
          ? `${method.name}, finished on ${dayWords(Date.parse(signed.at), zone)} by ${signed.value.name}.`
          : `${method.name}${prices[method.method] ? `: ${prices[method.method]}, with tax` : ''}.`,
        ...(built ? differenceWords(differences(method, built), says) : []),
      ],
    },
    { title: 'What it stands', says: standsWords(question) },
    { title: 'When you may use it', says: useWords(question) },
    { title: 'How to keep it', says: keepWords(question, kept) },
    { title: 'When we come back', says: backWords(question) },
    { title: 'To be careful with', says: plan.diagnosis.redFlags },
  ]
  return {
    title: `Post ${at.post}: ${method.name.toLowerCase()}`,
    place: [job.name, job.site?.name].filter(Boolean).join(', '),
    parts: parts.filter((part) => part.says.length > 0),
    others,
    stands: built ? builtSolids(question.stands, method.hole, built) : [...question.stands],
    ...(method.hole ? { depth: Math.max(method.hole.depth, ...Object.values(built?.depths ?? {}).map(Number)) } : {}),
  }
}

/** What was found, and where something else was thought at first, that. */
function failedWords({ job, at, plan, tables, says, thought }: CustomerQuestion, post: Post): string[] {
  const found = post.judgement?.found
  const [likeliest] = plan.diagnosis.causes
  const met = entriesAt(job, at, 'met').map(({ value }) => value)
  const things = (met.length > 0 ? met : (post.met ?? [])).map(
    ({ kind, depth, decision }) =>
      `In the hole: ${MET_WORDS[kind] ?? kind.replaceAll('-', ' ')} at ${says.length(depth)}${
        decision ? `; ${decidedWords(kind, decision)}` : ''
      }.`,
  )
  if (!found)
    return [
      ...(likeliest && plan.diagnosis.state === 'failed' ? [row(tables.causes.causes, likeliest.cause).what] : []),
      ...things,
    ]
  const causes = [found.cause, ...(found.also ?? [])].map((cause) => row(tables.causes.causes, cause))
  const lesson =
    thought !== undefined && !causes.some(({ key }) => key === thought)
      ? [`It was thought to be ${row(tables.causes.causes, thought).short}; when it was dug, it was not.`]
      : []
  // Whoever dug it has said it better than a table can.
  return [...lesson, ...(found.note ? [found.note] : causes.map(({ what }) => what)), ...things]
}

const MET_WORDS: Readonly<Record<string, string>> = {
  root: 'a root',
  boulder: 'a boulder',
  service: 'a pipe or cable',
  water: 'water',
  'old-footing': 'an old footing',
  plinth: 'the foot of a wall',
  'made-ground': 'loose fill',
  crater: 'the crater of a boulder',
  'tool-reach': 'the end of the tool’s reach',
}
/** Nobody goes through a boulder. */
const decidedWords = (kind: string, decision: string): string =>
  kind === 'boulder' && decision === 'through' ? 'we took it out' : (DECIDED[decision] ?? decision.replaceAll('-', ' '))
const DECIDED: Readonly<Record<string, string>> = {
  round: 'we went round it',
  through: 'we went through it',
  wider: 'the hole was made wider',
  bell: 'the foot was made wider',
  key: 'a board was set across the push',
  'stone-and-key': 'stone and a board were set against the push',
  moved: 'the hole was moved',
  socket: 'a socket was drilled into it',
  'other-method': 'it was mended in another way',
  'left-short': 'the hole was left as deep as it was',
  stopped: 'work stopped there',
}

const toCentimetre = (length: number) => Math.round(length * 100) / 100

function differenceWords(all: readonly Difference[], says: Measures): string[] {
  const by = new Map(all.map((each) => [each.what, each]))
  const size = (['depth', 'width'] as const).flatMap((what) => {
    const of = by.get(what)
    return of && Math.abs(of.off) >= 0.01
      ? [
          `${says.length(toCentimetre(of.built))} ${what === 'depth' ? 'deep' : 'wide'}, planned ${says.length(of.planned)}`,
        ]
      : []
  })
  const bags = by.get('bags')
  const more = bags && Math.abs(bags.off) >= 0.5 ? Math.round(bags.off) : 0
  return [
    ...(size.length > 0 ? [`The hole came out otherwise: ${size.join('; ')}.`] : []),
    ...(more === 0
      ? []
      : [
          `It took ${Math.abs(more)} ${Math.abs(more) === 1 ? 'bag' : 'bags'} ${more > 0 ? 'more' : 'less'} than planned.`,
        ]),
  ]
}

function standsWords({ method, plan, remainingYears, says }: CustomerQuestion): string[] {
  const { holdingGust, leanGust, leanReturnYears } = method
  if (holdingGust === undefined || !Number.isFinite(holdingGust)) return []
  const years = Math.max(1, Math.round(remainingYears))
  const [chance] = goesOverChances([{ over: holdingGust }], { gust50: plan.target.gust50, years })
  return [
    `That the wind puts it over: ${chanceWords(chance!.year)} in a year, ${chanceWords(chance!.life)} in the ${years} years that the fence is reckoned to stand yet.`,
    ...(leanGust === undefined || leanGust > holdingGust - 1
      ? []
      : [`It may begin to lean in a gust of ${says.gust(leanGust)}, such as comes ${periodWords(leanReturnYears!)}.`]),
  ]
}

const USES: Readonly<Record<string, string>> = {
  props: 'props off',
  boards: 'lean on it, panels and rails back',
  gate: 'gate hung, full load',
}

function useWords({ job, at, steps, now, tables, air }: CustomerQuestion): string[] {
  const zone = job.site?.timeZone
  const pour = pourAt(job, at.line, at.post)
  // Signed off, everything is back where it belongs.
  if (signOffAt(job, at)) return []
  const clock = pour && pourClock(pour, now, tables, air)
  if (clock)
    return clock.milestones.flatMap(({ key, latest }) =>
      USES[key] && latest !== null ? [`From ${momentWords(latest, zone)}: ${USES[key]}.`] : [],
    )
  const waits = new Map(steps.flatMap(({ after }) => (after ? [[after.milestone, after.hours] as const] : [])))
  return MILESTONES.flatMap(({ key }) => {
    const hours = waits.get(key)
    return hours === undefined || !USES[key]
      ? []
      : [
          `${capital(USES[key])}: ${hours < 48 ? `${Math.ceil(hours)} hours` : `${Math.ceil(hours / 24)} days`} after the concrete, in ground at 10 °C.`,
        ]
  })
}
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

const WOODEN = ['treated-softwood', 'untreated-softwood', 'cedar', 'oak']

function keepWords({ post, method, plan }: CustomerQuestion, kept: Post): string[] {
  const isWood = WOODEN.includes(post.material)
  return [
    ...plan.diagnosis.conditions.map(
      ({ name, advice }) => `${name}: ${advice.charAt(0).toLowerCase()}${advice.slice(1)}`,
    ),
    ...(isWood ? ['Keep soil, leaves and stored things off the wood: it rots where they touch it.'] : []),
    ...(post.material === 'steel' ? ['Paint over scratches at the ground: rust begins there.'] : []),
    'Cut growth back: a climber holds the wind like a sail.',
    ...(method.concrete ? ['Leave the sloped top of the concrete clear, so that water runs off it.'] : []),
    ...(dutiesOf(kept).includes('gate-hinge')
      ? ['If the gate begins to drag, tighten its hinges before you lift it: and tell us.']
      : []),
  ]
}

function backWords({ job, at }: CustomerQuestion): string[] {
  if (!signOffAt(job, at)) return []
  const zone = job.site?.timeZone
  const due = visitsDue(job).filter(({ posts }) => posts.includes(at.post))
  return [
    ...(watchedPosts(job).some(({ post }) => post === at.post)
      ? ['After the first storm such as comes about once in two years, to look at it.']
      : []),
    ...due.map(
      ({ due: day, why, open }) =>
        `On ${dayWords(day, zone)}, ${[VISIT_WORDS[why], ...open].join(': ')}${open.length > 0 ? '' : '.'}`,
    ),
    'Call us before that if it leans or rocks.',
  ]
}
