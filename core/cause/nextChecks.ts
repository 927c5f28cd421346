import { greaterFirst } from '../numeric/rounding'
import { holds } from '../rules'
import type { ObservationKey, Observations } from './observations'
import { remembered } from '../numeric/remember'
import type { Minutes } from '../units/types'
import { outcomesOf, voiceOf, type Voice } from './readings'
import type { Cause, CauseTables, EvidenceRow } from './tables'
import { exponentsOf, normalised, tempered, type Weighing } from './weigh'

export interface NextCheck {
  observation: ObservationKey
  check: string
  minutes: Minutes
  /** Expected fall of the visits wasted by repairing for the wrong cause. */
  saves: number
  /** The same for each minute that the check takes: what the checks are ordered by. */
  gain: number
  /** The two causes that it tells apart best. */
  separates: [Cause | Sound, Cause | Sound]
  /** In one sentence. */
  why: string
}

/** How many are advised. */
const ADVISED = 3
/** Where no check alone changes the choice, the one that tells most goes first: visits for a bit of entropy. */
const VISITS_PER_BIT = 0.01

/**
 * A check not made yet, and what is to be thought after each thing that it may show: of every cause, and last that
 * nothing has failed.
 */
export interface Outlook {
  row: EvidenceRow
  outcomes: { chance: number; after: number[] }[]
}

/** Every check not made yet, with its outcomes as they are expected now. */
export function outlooks(
  weighing: Weighing,
  seen: readonly Voice[],
  observations: Observations,
  tables: CauseTables,
): Outlook[] {
  const posterior = withSound(weighing)
  return tables.evidence
    .filter(({ observation }) => !seen.some(({ source, from }) => source === observation && from === undefined))
    .filter(({ askedWhen }) => !askedWhen || holds(askedWhen, { ...observations }))
    .map((row) => {
      const company = seen.filter((voice) => voice.group === row.group)
      const inCompany = companyOf(row, company, weighing, tables)
      const outcomes = answersTo(row, tables).map((answer) => {
        const { voice, shares, ifSound } = askedOf(answer, row, weighing)
        const chance = sumOfProducts(posterior, shares) + posterior[shares.length]! * ifSound
        // Nothing of its group was seen: nothing is tempered by it.
        if (company.length === 0)
          return { chance, after: posterior.map((each, i) => (each * (shares[i] ?? ifSound)) / chance) }
        return { chance, after: inCompany(voice) }
      })
      const all = outcomes.reduce((sum, { chance }) => sum + chance, 0)
      return { row, outcomes: outcomes.map(({ chance, after }) => ({ chance: chance / all, after })) }
    })
}

/**
 * What a sound post would say to a check that is asked for. That somebody complains of its own accord speaks against a
 * sound post; that one is asked what there is to complain of does not.
 */
function askedOf(answer: Answer, row: EvidenceRow, { posterior }: Weighing): Answer {
  const all = Object.values(row.sound).reduce((sum, share) => sum + share, 0)
  if (all > SAYS_SOMETHING) return answer
  const ifSound = sumOfProducts(posterior, answer.shares)
  return { ...answer, voice: { ...answer.voice, sound: Math.log(ifSound) }, ifSound }
}
/** Shares of a sound post that come to less than this are of complaints. */
const SAYS_SOMETHING = 0.9

/** Something that a check may show. */
interface Answer {
  voice: Voice
  /** P(value) under every cause. */
  shares: readonly number[]
  /** P(value) where nothing has failed. */
  ifSound: number
}

/** All that a check may show: the same for every post, so worked out once for the tables. */
function answersTo(row: EvidenceRow, tables: CauseTables): readonly Answer[] {
  const ofTables = remembered(answersOf, tables, () => new Map<EvidenceRow, readonly Answer[]>())
  return remembered(ofTables, row, () =>
    outcomesOf(row).map((value) => {
      const voice = voiceOf(row, value, tables)
      return { voice, shares: voice.column.map(Math.exp), ifSound: Math.exp(voice.sound) }
    }),
  )
}
const answersOf = new WeakMap<CauseTables, Map<EvidenceRow, readonly Answer[]>>()

function sumOfProducts(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < b.length; i++) sum += a[i]! * b[i]!
  return sum
}

/** What is thought when a reading joins others of its group: all of them are tempered anew. */
function companyOf(row: EvidenceRow, company: readonly Voice[], weighing: Weighing, tables: CauseTables) {
  const now = sumsOf(tempered(company, tables), tables)
  const without = [...weighing.logWeights, weighing.soundLog].map((weight, i) => weight - now[i]!)
  const possible = [...weighing.possible, tables.causes.length]
  // Its own word takes the place of what was heard from others.
  const kept = company.filter(({ source }) => source !== row.observation)
  const columns = kept.map(({ column }) => column)
  return (voice: Voice): number[] => {
    const exponents = exponentsOf([...columns, voice.column], tables)
    const then = [...without]
    for (const [v, each] of [...kept, voice].entries()) add(then, each, exponents[v]!)
    return normalised(then, possible)
  }
}

function add(sums: number[], { column, sound }: Voice, exponent: number): void {
  for (let i = 0; i < column.length; i++) sums[i]! += exponent * column[i]!
  sums[column.length]! += exponent * sound
}

/** What voices add to each cause, and last to a sound post. */
function sumsOf(voices: readonly Voice[], { causes }: CauseTables): number[] {
  const sums = new Array<number>(causes.length + 1).fill(0)
  for (const voice of voices) add(sums, voice, 1)
  return sums
}

/** Chances of every cause, and last that nothing has failed. */
const withSound = ({ posterior, sound }: Weighing): number[] => [...posterior.map((each) => (1 - sound) * each), sound]

/**
 * Checks not made yet, by the expected fall in the cost of repairing the wrong cause per minute.
 *
 * @example a post that hinges at the ground, nothing else seen: probing there comes first
 */
export function nextChecks(ahead: readonly Outlook[], weighing: Weighing, tables: CauseTables): NextCheck[] {
  const now = nowOf(weighing, tables)
  return ahead
    .map((outlook) => valueOf(outlook, now, tables))
    .filter(({ row }) => bestParted(row, now, tables).share > PARTS_NOTHING)
    .sort((a, b) => greaterFirst(a.gain, b.gain))
    .slice(0, ADVISED)
    .map((value) => advised(value, now, tables))
}
/** A check that parts no two likely causes more than this is not spoken of: it would be said of it all the same. */
const PARTS_NOTHING = 1e-3

/** What a check that speaks for other posts too is worth here, by what the checks are ordered; 0 where it is made. */
export function digWorth(ahead: readonly Outlook[], weighing: Weighing, tables: CauseTables): number {
  const now = nowOf(weighing, tables)
  return ahead
    .filter(({ row }) => row.carries !== undefined)
    .reduce((most, outlook) => Math.max(most, valueOf(outlook, now, tables).gain * outlook.row.minutes), 0)
}

/** How things stand before a check. */
interface Now {
  cost: number
  entropy: number
  posterior: readonly number[]
  /** Causes worth comparing, the likeliest first. */
  likely: readonly number[]
}

function nowOf(weighing: Weighing, tables: CauseTables): Now {
  const posterior = withSound(weighing)
  const possible = [...weighing.possible, tables.causes.length]
  return {
    cost: leastWaste(posterior, tables),
    entropy: entropy(posterior),
    posterior,
    likely: possible.sort((a, b) => greaterFirst(posterior[a]!, posterior[b]!)).slice(0, COMPARED),
  }
}

interface Value extends Pick<NextCheck, 'saves' | 'gain'> {
  row: EvidenceRow
}

function valueOf({ row, outcomes }: Outlook, now: Now, tables: CauseTables): Value {
  let cost = 0
  let left = 0
  for (const { chance, after } of outcomes) {
    cost += chance * leastWaste(after, tables)
    left += chance * entropy(after)
  }
  const saves = withoutDust(now.cost - cost)
  const told = withoutDust(now.entropy - left)
  return { row, saves, gain: (saves + VISITS_PER_BIT * told) / row.minutes }
}

function advised({ row, saves, gain }: Value, now: Now, tables: CauseTables): NextCheck {
  const { told: separates } = bestParted(row, now, tables)
  return {
    observation: row.observation,
    check: row.check,
    minutes: row.minutes,
    saves,
    gain,
    separates: [separates[0].key, separates[1].key],
    why: whyOf(row, separates, saves),
  }
}

/** What only rounding makes of two equal sums is nothing. */
const withoutDust = (fall: number) => (fall > 1e-9 ? fall : 0)

/** Visits wasted on average when the best choice is made now. */
function leastWaste(posterior: readonly number[], tables: CauseTables): number {
  let least = Infinity
  for (const row of choicesOf(tables)) {
    let waste = 0
    for (let j = 0; j < posterior.length; j++) waste += posterior[j]! * row[j]!
    if (waste < least) least = waste
  }
  return least
}

const wasteTables = new WeakMap<CauseTables, number[][]>()

/** Visits wasted by cause repaired for and cause that was true; last, by leaving the post and where it was sound. */
export function wasteOf(tables: CauseTables): number[][] {
  const { causes, wasted } = tables
  const { leftFailed, mendedSound } = tables.sound.visits
  return remembered(wasteTables, tables, () => [
    ...causes.map((mine) => [
      ...causes.map((truth) => {
        if (mine === truth) return 0
        if (mine.part !== truth.part) return wasted.byPart[mine.part][truth.part]
        const shared = truth.answeredBy.filter((method) => mine.answeredBy.includes(method)).length
        if (shared === 0) return wasted.samePart.noRepairShared
        const same = shared === truth.answeredBy.length && shared === mine.answeredBy.length
        return same ? 0 : wasted.samePart.someRepairsShared
      }),
      mendedSound,
    ]),
    [...causes.map(() => leftFailed), 0],
  ])
}

/** Causes that the same repairs answer waste the same: what is to be chosen from is asked once each. */
const choicesOf = (tables: CauseTables): readonly number[][] =>
  remembered(choiceTables, tables, () => [...new Map(wasteOf(tables).map((row) => [row.join(), row])).values()])
const choiceTables = new WeakMap<CauseTables, readonly number[][]>()

function entropy(probabilities: readonly number[]): number {
  return probabilities.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)
}

/** Likely causes are compared; a check that parts two unlikely ones helps nobody. */
const COMPARED = 4

function bestParted(
  row: EvidenceRow,
  { likely, posterior }: Now,
  tables: CauseTables,
): { told: [Told, Told]; share: number } {
  let best: [number, number] = [likely[0]!, likely[1] ?? likely[0]!]
  let most = -1
  for (const [x, a] of likely.entries()) {
    for (const b of likely.slice(x + 1)) {
      const rarer = Math.min(posterior[a]!, posterior[b]!)
      if (rarer <= most) continue
      const parted = rarer * distanceOf(row, a, b, tables)
      if (parted > most) {
        most = parted
        best = [a, b]
      }
    }
  }
  const told = (i: number): Told => tables.causes[i] ?? SOUND_POST
  return { told: [told(best[0]), told(best[1])], share: most }
}

/** What a check tells apart: causes, or a cause from a post in which nothing has failed. */
export const SOUND = 'nothing-wrong'
export type Sound = typeof SOUND
type Told = { key: Cause | Sound; short: string }
const SOUND_POST: Told = { key: SOUND, short: 'a sound post' }

/** Half the sum of the differences of two causes' likelihoods: 0 alike, 1 never the same. */
function distanceOf(row: EvidenceRow, a: number, b: number, tables: CauseTables): number {
  const share = ({ shares, ifSound }: Answer, i: number) => shares[i] ?? ifSound
  return answersTo(row, tables).reduce((sum, each) => sum + Math.abs(share(each, a) - share(each, b)), 0) / 2
}

/** Fewer visits than this are not spoken of. */
const WORTH_SAYING = 0.005

function whyOf({ doing, minutes }: EvidenceRow, [a, b]: [Told, Told], saves: number): string {
  const sentence = `${doing[0]!.toUpperCase()}${doing.slice(1)} tells ${a.short} from ${b.short}`
  const time = `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`
  return saves < WORTH_SAYING
    ? `${sentence}: ${time}.`
    : `${sentence}: ${time}, saves about ${saves.toFixed(2)} visits.`
}
