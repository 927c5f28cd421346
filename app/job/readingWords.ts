import { ACROSS, type LeanReading } from '~~/core/setout/lean'
import type { ObservationKey } from '~~/core/cause/observations'
import type { Metres } from '~~/core/units/types'
import { LOOK_PARTS } from './lookQuestions'
import { PUSH_PIVOT } from './words'

const ANSWERS = new Map(
  LOOK_PARTS.flatMap(({ questions }) => questions.map(({ key, answers }) => [key, answers] as const)),
)

/**
 * A reading in words.
 *
 * @example observationValue('probeAtGround', 0.03, show) // '0.03 m soft'
 */
export function observationValue(
  key: ObservationKey,
  value: unknown,
  show: (length: Metres) => string,
  small = show,
): string {
  if (value === null || value === undefined) return 'taken back'
  if (key === 'lean') return leanWords(value as LeanReading | LeanReading[], show, small)
  if (key === 'moisturePercent') return `${value as number} %`
  if (typeof value === 'number') return `${show(value)} soft`
  const answers = ANSWERS.get(key) ?? PUSH_PIVOT
  const words = (each: string) => answers.find((answer) => answer.value === each)?.words ?? each
  if (Array.isArray(value)) return value.length > 0 ? value.map(words).join(', ') : words('nothing')
  return words(value as string)
}

function leanWords(
  lean: LeanReading | LeanReading[],
  show: (length: Metres) => string,
  small: (length: Metres) => string,
): string {
  const list = Array.isArray(lean) ? lean : [lean]
  return list
    .map(({ offset, over, direction = ACROSS }) => {
      const way = direction === 0 ? 'along' : direction === ACROSS ? 'across' : `at ${direction}°`
      return `${small(offset)} over ${show(over)} ${way}`
    })
    .join('; ')
}
