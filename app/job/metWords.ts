import type { Answer } from '~/controls/AnswerTiles.vue'
import type { MET_DECISIONS, MET_KINDS, MET_SIDES } from '~~/core/document/vocabulary'

/* What is met in a hole, in short words. */

type Words<K extends readonly string[]> = Record<K[number], string>
const kind: Words<typeof MET_KINDS> = {
  root: 'root',
  boulder: 'rock',
  service: 'pipe or cable',
  water: 'water',
  'old-footing': 'old footing',
  plinth: 'wall foot',
  'made-ground': 'loose fill',
  crater: 'crater of a rock',
  'tool-reach': 'tool at its end',
}
const side: Words<typeof MET_SIDES> = {
  left: 'on the left',
  right: 'on the right',
  front: 'in front',
  back: 'behind',
  'all-round': 'all round',
}
const decision: Words<typeof MET_DECISIONS> = {
  round: 'went round it',
  through: 'went through it',
  wider: 'dug wider',
  bell: 'dug a bell',
  key: 'set a key',
  'stone-and-key': 'stone and a key',
  moved: 'moved the hole',
  socket: 'drilled a socket',
  'other-method': 'mended otherwise',
  'left-short': 'left as deep as it was',
  stopped: 'stopped and called',
}
export const MET_WORDS = { kind, side, decision }
const answers = (words: Record<string, string>): Answer[] =>
  Object.entries(words).map(([value, text]) => ({ value, words: text }))
export const MET_ANSWERS = answers(kind)
export const SIDE_ANSWERS = answers(side)
