import type { Post } from '../../core/document/job'

/*
 * What a table of posts carries: facts and what was seen. Readings and verdicts have tables of their own; repairs and ticks are chosen in the program, holes are dug and
 * posts set out in it.
 */

const CHOSEN_HERE = [
  'repair',
  'conditions',
  'layers',
  'pulls',
  'met',
  'readings',
  'photographs',
  'judgement',
  'found',
  'stands',
  'plate',
  'roadside',
  'paving',
  'mesh',
  'propped',
  'jack',
] as const
const OF_GATE = ['leafWidth', 'leafMass', 'hingeSpacing'] as const

export function inTable(post: Post): Partial<Post> {
  const { observations, gate = {}, ...rest } = post
  const kept = Object.fromEntries(
    Object.entries(rest).filter(([key]) => !(CHOSEN_HERE as readonly string[]).includes(key)),
  )
  const leaf = Object.fromEntries(OF_GATE.flatMap((key) => (gate[key] === undefined ? [] : [[key, gate[key]]])))
  return {
    ...kept,
    ...(Object.keys(leaf).length > 0 ? { gate: leaf } : {}),
    // Nothing seen is nothing said.
    ...(Object.keys(observations ?? {}).length > 0 ? { observations } : {}),
  }
}
