import type { Post } from '../document/job'
import { isBeyondWind, thresholdWords } from '../plan/thresholds'
import { chanceWords, dayWords, periodWords } from '../weather/dates'
import { STOP_GAPS } from '../repair/methods'
import { endsWords, medianWords, plumbSentence, restsOnWords } from '../survive/words'
import { wholeYears, type PlumbYears, type StandingYears } from '../survive/years'
import { row } from '../tables/tables'
import type { Measures } from '../units/quantity'
import { asBuiltAt, differences, type Difference } from './asBuilt'
import { builtSolids } from './builtSolids'
import { backWords, keepWords, useWords } from './customerAfter'
import type { CustomerPage, CustomerQuestion } from './customerQuestion'
import { entriesAt, signOffAt } from './entries'

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
    { title: 'When you may use it', says: useWords(question, kept) },
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
    ...yearsOf(question),
    ...(method.hole ? { depth: Math.max(method.hole.depth, ...Object.values(built?.depths ?? {}).map(Number)) } : {}),
  }
}

const curveOf = (years: StandingYears | undefined, method: string): PlumbYears | undefined =>
  years?.curves.find((each) => each.method === method)

/** How long it stands, drawn and in words; of a post that is signed off from that day on. */
function yearsOf({ job, at, method, years, now }: CustomerQuestion): Pick<CustomerPage, 'years'> {
  const curve = curveOf(years, method.method)
  if (!curve || !years) return {}
  const signed = signOffAt(job, at)
  const from = new Date(signed ? Date.parse(signed.at) : now).getUTCFullYear()
  const { fenceYears } = years.restsOn
  const says = [
    `${plumbSentence(curve, wholeYears(fenceYears), from)}, when the rest of the fence is reckoned to be done. ${medianWords(curve)}`,
    endsWords(curve.ends),
    restsOnWords(years.restsOn),
  ]
  return { years: { curve, from, fenceYears, says: says.filter(Boolean) } }
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

/** @example 'While the ground is not soaked it may begin to lean in a gust of 36 m/s, such as comes once in 25 years.' */
function leansWords(gust: number, often: number, { saturated }: CustomerQuestion['post'], says: Measures): string {
  if (isBeyondWind(gust)) return 'It takes more than any gust ever measured to make it lean.'
  const when = saturated ? 'It' : 'While the ground is not soaked it'
  return `${when} may begin to lean in a gust of ${says.gust(gust)}, such as comes ${periodWords(often)}.`
}

function standsWords({ method, years, says, post }: CustomerQuestion): string[] {
  const { holdingGust, leanGust, leanReturnYears } = method
  const isInGround = leanGust !== undefined
  if (holdingGust === undefined || !Number.isFinite(holdingGust)) return []
  const curve = curveOf(years, method.method)
  const fence = wholeYears(years?.restsOn.fenceYears ?? 0)
  return [
    ...(curve
      ? [
          `That the wind puts it over${isInGround ? ', soaked ground counted' : ''}: ${chanceWords(curve.gone[0]!)} in a year, ${chanceWords(curve.gone[fence - 1]!)} in the ${fence} years that the fence is reckoned to stand yet.`,
        ]
      : []),
    ...(!isInGround || leanGust > holdingGust - 1 ? [] : [leansWords(leanGust, leanReturnYears!, post, says)]),
  ]
}
