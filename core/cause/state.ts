import { voicesOf, type Heard } from './readings'
import type { Observations } from './observations'
import { isOnPlate, type Cause, type CauseTables, type PostFacts } from './tables'
import { weigh } from './weigh'

/** What is known of a post. */
export const POST_STATES = ['not-looked-at', 'nothing-wrong', 'unsettled', 'failed'] as const
export type PostState = (typeof POST_STATES)[number]

/** A cause this likely must be answered, or the method says that it is not. */
export const MUST_ANSWER = 0.25

/**
 * Above this chance it costs less to leave the post than to mend it.
 *
 * @source leaving a failed post against mending a sound one, in visits
 * @example leaveAbove(tables.causes) // 1 / 1.6 = 0.625
 */
export function leaveAbove({ sound }: Pick<CauseTables, 'sound'>): number {
  const { leftFailed, mendedSound } = sound.visits
  return leftFailed / (leftFailed + mendedSound)
}

/**
 * State of a post from what was seen and judged of it.
 *
 * @param said a cause that digging or a person decided on
 * @param anySeen whether anything that was seen says anything at all
 */
export function stateOf(
  { sound, anySeen, likely }: { sound: number; anySeen: boolean; likely: readonly Cause[] },
  said: boolean,
  tables: CauseTables,
): PostState {
  if (said) return 'failed'
  if (!anySeen) return 'not-looked-at'
  if (sound > leaveAbove(tables)) return 'nothing-wrong'
  return likely.length > 0 ? 'failed' : 'unsettled'
}

/**
 * The same from the readings alone, without reasons or advice: for lists and drawings of many posts.
 *
 * @example stateOfReadings(softwood, { pushPivot: 'nothing-moves' }, false, tables.causes) // 'nothing-wrong'
 */
export function stateOfReadings(
  facts: PostFacts,
  seen: Observations,
  said: boolean,
  tables: CauseTables,
  heard: readonly Heard[] = [],
): PostState {
  const voices = voicesOf(seen, tables, isOnPlate(facts), heard)
  const { sound, posterior } = weigh(facts, voices, tables)
  const likely = tables.causes.flatMap(({ key }, i) => ((1 - sound) * posterior[i]! >= MUST_ANSWER ? [key] : []))
  return stateOf({ sound, anySeen: voices.some(({ from }) => from === undefined), likely }, said, tables)
}
