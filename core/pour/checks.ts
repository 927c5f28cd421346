import type { Pour, PourCheck } from '../document/job'
import { FACES, type CHECKED_HOW } from '../document/vocabulary'
import type { Metres } from '../units/types'

export type Face = (typeof FACES)[number]
export type CheckedHow = (typeof CHECKED_HOW)[number]

/** Out by no more than this over a metre and a fifth is as plumb as a level reads; a working value. */
const PLUMB = 0.002 / 1.2

/** How each face was read last; by eye counts as by eye, and never in place of a level. */
export function facesOf({ checks = [] }: Pick<Pour, 'checks'>): Partial<Record<Face, CheckedHow>> {
  return Object.fromEntries(
    FACES.flatMap((face) => {
      const ofFace = checks.filter((each) => each.face === face)
      const best = ofFace.findLast(({ how }) => how !== 'eye') ?? ofFace.at(-1)
      return best ? [[face, best.how] as const] : []
    }),
  )
}

/** The last reading of a face. */
export const lastCheck = ({ checks = [] }: Pick<Pour, 'checks'>, face: Face): PourCheck | undefined =>
  checks.findLast((each) => each.face === face)

export type CheckAnswer = { action: 'leave' } | { action: 'push'; by: Metres; towards: 'plus' | 'minus' }

/**
 * What a reading asks for while the post still moves.
 *
 * @param wanted slope that it is to stand at, m per m: 0 for plumb
 * @param height of the top, where it is pushed, m
 * @example checkAnswer({ offset: 0.006, over: 1.2 }, 0, 1.8) // push it 9 mm back at the top
 */
export function checkAnswer(
  { offset = 0, over = 1 }: Pick<PourCheck, 'offset' | 'over'>,
  wanted: number,
  height: Metres,
): CheckAnswer {
  const out = offset / over - wanted
  if (Math.abs(out) <= PLUMB) return { action: 'leave' }
  return { action: 'push', by: Math.abs(out) * height, towards: out > 0 ? 'minus' : 'plus' }
}

/** What is done at once where a post moves that was let go of. */
export const RELEASE_ANSWERS = {
  'thin-back': 'Rod mix in behind it, push it back, and hold it.',
  'too-wet': 'It flows: push it back, prop both ways, and let go of it again later.',
  'string-pushed': 'Shift the string off it, set it back by the level, then bring the string to it.',
  none: 'Push it back and prop it both ways until it holds.',
} as const
