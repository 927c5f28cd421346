import type { Line } from '~~/core/document/job'
import type { ResolvedPost } from '~~/core/resolve/resolve'
import type { Soaked } from '~~/core/plan/soaked'
import type { Stouter } from '~~/core/plan/stouter'
import type { MethodPlan, Plan, PostPlan, StandingPlan } from '~~/core/plan/types'
import { thresholdWords } from '~~/core/plan/thresholds'
import type { Check } from '~~/core/repair/method'
import type { Measures } from '~~/core/units/quantity'
import { returnPeriodWords } from '~~/core/wind/returnPeriod'

/* What is known of a post, in sentences. */

/**
 * One sentence on the state of a post, for the screens that would otherwise ask for a repair.
 *
 * @example 'Nothing wrong found: nothing moves when pushed, hard wood at the ground line. It can carry the string.'
 */
export function stateSentence({ diagnosis }: Pick<PostPlan, 'diagnosis'>): string {
  switch (diagnosis.state) {
    case 'not-looked-at':
      return 'Not looked at yet.'
    case 'nothing-wrong': {
      const found = diagnosis.nothingWrong.evidence.filter(({ decibans }) => decibans > 0).map(({ says }) => says)
      const words = found.length > 0 ? `: ${found.slice(0, 3).join(', ')}` : ''
      const isTried = diagnosis.nothingWrong.evidence.some(({ observation }) => observation === 'pushPivot')
      return `Nothing wrong found${words}. ${isTried ? 'It can carry the string.' : 'Push it before you trust it.'}`
    }
    case 'unsettled':
      return 'Not settled: what was seen does not say what failed. Look further before you mend it.'
    case 'failed':
      return ''
  }
}

/**
 * What a sound post has to become, and whether it is that already.
 *
 * @param isLeafSaid somebody said what hangs on it, or will
 * @param show a gust in the units of the reader
 */
export function upgradeSentence(
  upgrade: ResolvedPost['upgrade'],
  isLeafSaid: boolean,
  { standing, recommended }: Pick<PostPlan, 'standing' | 'recommended'>,
  target: Plan['target'],
  show: (gust: number) => string,
): string {
  if (!upgrade) return ''
  if (upgrade === 'gate' && !isLeafSaid)
    return 'It is to become a gate post: say in Walk how wide the leaf is and what it weighs.'
  const more = recommended ? '' : ' Nothing that can be done here holds more.'
  return `It is to ${upgrade === 'gate' ? 'become a gate post' : 'hold more'}. ${nowWords(upgrade, standing, target, show)}${more}`
}

function nowWords(
  upgrade: 'gate' | 'stronger',
  { state, holdingGust: over, leanGust: lean = over }: StandingPlan,
  target: Plan['target'],
  show: (gust: number) => string,
): string {
  if (over === undefined || lean === undefined || state !== 'holds') return 'What it holds as it stands is not known.'
  if (lean < 1) return 'As it stands it leans without any wind.'
  if (lean < target.leanGust) return `As it stands it leans from ${show(lean)}, under the target.`
  if (over < target.gust) return `As it stands it goes over at ${show(over)}, under the target.`
  return `As it stands it goes over at ${show(over)} and ${upgrade === 'gate' ? 'carries the leaf' : 'holds both targets'}.`
}

/** What it holds as it stands, both thresholds in words. */
export function standingSentence(
  standing: StandingPlan,
  weakestName: string | undefined,
  show: (gust: number) => string,
): string {
  const { state, says, range, holdingGust, leanGust } = standing
  switch (state) {
    case 'given-way':
      return `It has given way: ${says}.`
    case 'moves':
      return `It moves by hand: it holds less than ${show(holdingGust!)}.`
    case 'range':
      return `Somewhere from ${show(range![0])} to ${show(range![1])}: ${says}.`
    case 'not-known':
      return `What it holds is not known: ${says}.`
    case 'holds': {
      if (holdingGust === 0) return `It holds nothing: ${weakestName}.`
      const words = thresholdWords(standing, show)
      return leanGust === undefined || !weakestName ? `It ${words}.` : `It ${words}: ${weakestName} first.`
    }
  }
}

/**
 * What soaked ground makes of it, and what to do about that.
 *
 * @example 'Soaked, this ground lets it go over at 33 m/s, once in 6 years. Where water stands in it, say so under Walk.'
 */
export const soakedSentence = ({ gust, returnYears }: Soaked, show: (gust: number) => string): string =>
  `Soaked, this ground lets it go over at ${show(gust)}, ${returnPeriodWords(returnYears)}. Where water stands in it, say so under Walk.`

/** @example 'By experience; the bare formulas would say 31, not 48 m/s.' */
export function experienceSentence(
  { holdingGust, bareGust }: { holdingGust?: number; bareGust?: number },
  show: (gust: number) => string,
): string {
  if (holdingGust === undefined || bareGust === undefined || !Number.isFinite(holdingGust)) return ''
  if (Math.round(holdingGust) === Math.round(bareGust)) return ''
  const [bare] = show(bareGust).split(' ')
  return `By experience; the bare formulas would say ${bare}, not ${show(holdingGust)}.`
}

/**
 * The stick to buy for a new post, beside what a third of it in the ground would be.
 *
 * @example 'The new post: 2.55 m at least, cut from 2.70 m. A third in the ground would be 0.85 m; here it is 0.75 m.'
 */
export function newPostSentence(
  { newPost, hole }: Pick<MethodPlan, 'newPost' | 'hole'>,
  show: (length: number) => string,
): string {
  if (!newPost || !hole) return ''
  const { length, third, stock, short } = newPost
  const from = stock === undefined ? 'longer than any that is sold: order it' : `cut from ${show(stock)}`
  return `The new post: ${show(length)} at least, ${from}. A third of it in the ground would be ${show(third)}; here it is ${show(hole.footingBottom)}.${atHand(short, show)}`
}

function atHand(short: number | undefined, show: (length: number) => string): string {
  if (short === undefined) return ''
  return short > 0 ? ` The post at hand is ${show(short)} too short.` : ' The post at hand is long enough.'
}

/** What a stouter post buys, in one line. */
export function stouterSentence({ name, holdingGust, before, first }: Stouter, show: (gust: number) => string): string {
  if (holdingGust < before + BUYS) return `A ${name} buys nothing: ${first} gives way first, at ${show(holdingGust)}.`
  return `A ${name} goes over at ${show(holdingGust)} instead of ${show(before)}; ${first} first.`
}
/** Less than this nobody notices, m/s. */
const BUYS = 1

/**
 * A check as a licensed person reads it.
 *
 * @example 'load on each prop: 3.6 kN of 9.1 kN'
 */
export function checkSentence({ check, demand, capacity, unit }: Check, measures: Measures): string {
  const say = { N: measures.force, m: measures.small, Pa: measures.pressure }[unit] ?? String
  return `${check}: ${say(demand)} of ${say(capacity)}`
}

/** A factor this much under or over the usual one is worth a word. */
const TELLS = 1.1
/** A factor this far from the usual one says more of what was noted than of the wind. */
const FAR = 2.5

/**
 * What the line's own history says of the wind here.
 *
 * @example 'This fence has stood 16 years: here gusts bite less than the book has it (0.26 of the bare wind, 0.16 to 0.40).'
 */
export function historySentence(
  { experience: { ground, byLine } }: Pick<Plan, 'experience'>,
  { id, history }: Pick<Line, 'id' | 'history'>,
): string {
  const learned = byLine[id]
  if (!history || !learned) return ''
  const bite =
    learned.median * TELLS < ground
      ? 'gusts bite less than the book has it'
      : learned.median > ground * TELLS
        ? 'gusts bite more than the book has it'
        : 'gusts bite about as the book has it'
  const stood =
    history.gone === 0
      ? `This fence has stood ${history.ageYears} years`
      : `${history.gone} of ${history.posts} posts went in ${history.ageYears} years`
  const [median, low, high] = [learned.median, learned.low, learned.high].map((factor) => factor.toFixed(2))
  const doubt =
    learned.median < ground / FAR || learned.median > ground * FAR
      ? ' That is far from the book: look again whether the footings and the soil are as they are noted.'
      : ''
  return `${stood}: here ${bite} (${median} of the bare wind, ${low} to ${high}; the book has ${ground.toFixed(2)}).${doubt}`
}

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/**
 * What pulls on a line say of its ground, and what is counted of it.
 *
 * @example 'By your pull the ground is 0.8 times what the thumb said (0.6 to 1.1), and all gusts here count that.'
 */
export function measuredSentence({ measured }: Pick<PostPlan, 'measured'>): string {
  if (!measured) return ''
  const { scale, low, high, used, isHeld } = measured
  const found = `By your pull the ground is ${times(scale)} what the thumb said (${low.toFixed(1)} to ${high.toFixed(1)})`
  if (used < scale && !isHeld)
    return `${found}. Measured dry, or only for a moment: no more than the book is counted; ask again after rain.`
  return `${found}: all gusts here are by that.`
}
const times = (scale: number) => (Math.abs(scale - 1) < 0.05 ? 'just' : `${scale.toFixed(1)} times`)
