import type { Job, Mark, Pour, Post } from '../document/job'
import { FACES } from '../document/vocabulary'
import type { PostAddress } from '../edit/changes'
import type { StepPlan } from '../plan/steps'
import { pourClock, type PourClock } from '../pour/clock'
import type { Face } from '../pour/checks'
import { pourAt } from '../pour/planned'
import { ACROSS, ALONG, leanIn } from '../setout/lean'
import type { LeanReading } from '../setout/lean'
import type { Tables } from '../tables/tables'
import type { HourlyAir, Moment } from '../weather/forecast'
import { entriesAt } from './entries'

/** What a post still lacks before it can be signed off, with where it is mended. */
export type Missing =
  | { what: 'step'; step: string; says: string; why: string }
  | { what: 'plumb'; face: Face; says: string }
  | { what: 'too-early'; step: string; says: string }
  | { what: 'photograph'; says: string }

/** At the end what ran on the fence is clipped back: a step that no method has. */
const CLIP_BACK = 'clip-back'

/**
 * The steps of a method, and what the services that run on the fence ask for at the end.
 *
 * @param marks near the post
 */
export function signOffSteps(steps: readonly StepPlan[], marks: readonly Mark[]): StepPlan[] {
  const hung = marks.some(({ kind, above }) => kind === 'service' && above)
  if (!hung) return [...steps]
  const clip: StepPlan = {
    key: CLIP_BACK,
    text: 'Clip back what runs on the fence.',
    doNotSkip: 'A line that hangs from its ends is torn off by the first storm.',
    minutes: 0,
    hands: 1,
    first: [],
  }
  return [...steps, clip]
}

/** What is asked of a post before it is signed off. */
export interface SignOffQuestion {
  job: Job
  at: PostAddress
  post: Post
  steps: readonly StepPlan[]
  now: Moment
  tables: Pick<Tables, 'mixes' | 'resins'>
  /** As the newest forecast has it. */
  air?: HourlyAir
}

const FACE_WORDS: Readonly<Record<Face, string>> = { along: 'along the line', across: 'across the line' }
/** The one step that the record of the pour ticks by itself. */
const READ_AGAIN = 'plumb-again'

/**
 * What is missing: steps that are not to be skipped without tick or reason, faces that nobody read after the concrete
 * had set (by eye is no reading), what was loaded before its time without a reason, a photograph.
 *
 * @returns nothing where the post may be signed off
 */
export function missingFor(question: SignOffQuestion): Missing[] {
  const { job, at, post, steps, now, tables, air } = question
  const pour = pourAt(job, at.line, at.post)
  const clock = pour && pourClock(pour, now, tables, air)
  const ticks = new Map(entriesAt(job, at, 'tick').map((entry) => [entry.value.step, entry]))
  const unticked = steps.flatMap(({ key, text, doNotSkip }): Missing[] => {
    if (doNotSkip === undefined || ticks.has(key)) return []
    if (key === READ_AGAIN && pour && clock && wasReadWet(pour, clock)) return []
    return [{ what: 'step', step: key, says: text, why: doNotSkip }]
  })
  const early = steps.flatMap(({ key, text, after }): Missing[] => {
    const tick = ticks.get(key)
    const due = after && clock?.milestones.find((each) => each.key === after.milestone)?.earliest
    if (!tick || tick.value.reason || !due || Date.parse(tick.at) >= due) return []
    return [{ what: 'too-early', step: key, says: `${text} It was ticked before the concrete could: say why.` }]
  })
  const faces = FACES.filter((face) => !isReadHard(question, face, clock)).map(
    (face): Missing => ({
      what: 'plumb',
      face,
      says: `Read the face ${FACE_WORDS[face]} with a level, now that it is hard${
        wasByEye(question, face) ? ': by eye is no reading' : ''
      }.`,
    }),
  )
  const pictures: Missing[] =
    (post.photographs ?? []).length > 0 ? [] : [{ what: 'photograph', says: 'A photograph of it as it stands now.' }]
  return [...unticked, ...early, ...faces, ...pictures]
}

/** Both faces, by more than the eye, while it could still be moved. */
function wasReadWet({ checks = [] }: Pour, { stiff }: PourClock): boolean {
  return FACES.every((face) =>
    checks.some((each) => each.face === face && each.how !== 'eye' && (stiff === null || Date.parse(each.at) <= stiff)),
  )
}

/** When what holds it was hard: of what has nothing to set, when the work on it began. */
function hardFrom({ job, at }: SignOffQuestion, clock: PourClock | undefined): Moment {
  if (clock) return clock.stiff ?? Infinity
  const first = entriesAt(job, at, 'tick')[0]
  return first ? Date.parse(first.at) : -Infinity
}

function isReadHard(question: SignOffQuestion, face: Face, clock: PourClock | undefined): boolean {
  const { job, at, post } = question
  const from = hardFrom(question, clock)
  const isIn = (time: string) => Date.parse(time) >= from
  const checked = (pourAt(job, at.line, at.post)?.checks ?? []).some(
    (each) => each.face === face && each.how !== 'eye' && isIn(each.at),
  )
  const entered = entriesAt(job, at, 'as-built').some(
    ({ at: time, value }) => value.plumb?.[face] && value.plumb[face].how !== 'eye' && isIn(time),
  )
  const read = (post.readings ?? []).some(
    ({ observation, value, at: time, instrument, withdrawn }) =>
      observation === 'lean' &&
      !withdrawn &&
      (instrument ?? 'eye') !== 'eye' &&
      isIn(time) &&
      leanIn(value as LeanReading | LeanReading[], face === 'along' ? ALONG : ACROSS) !== undefined,
  )
  return checked || entered || read
}

const wasByEye = ({ job, at }: SignOffQuestion, face: Face): boolean =>
  (pourAt(job, at.line, at.post)?.checks ?? []).some((each) => each.face === face && each.how === 'eye') ||
  entriesAt(job, at, 'as-built').some(({ value }) => value.plumb?.[face]?.how === 'eye')
