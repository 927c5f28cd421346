import type { Level } from '~~/core/practice/case'
import { LEAVE } from '~~/core/practice/cost'
import type { Mistake } from '~~/core/practice/review'
import { row, type Tables } from '~~/core/tables/tables'

export const LEVEL_CHOICES: readonly { value: Level; words: string }[] = [
  { value: 'easy', words: 'easy' },
  { value: 'ordinary', words: 'ordinary' },
  { value: 'misleading', words: 'misleading' },
]

export const MISTAKE_WORDS: Readonly<Record<Mistake, string>> = {
  'dug-too-early': 'Dug too early: something quicker would have told as much.',
  'stopped-too-early': 'Stopped too early: one more look was worth its minutes.',
  'hole-too-small': 'The hole is too small for the target.',
  'right-cause-wrong-method': 'The cause was right, and the repair leaves it as it is.',
}
export const MISTAKE_NAMES: Readonly<Record<Mistake, string>> = {
  'dug-too-early': 'dug too early',
  'stopped-too-early': 'stopped too early',
  'hole-too-small': 'hole too small',
  'right-cause-wrong-method': 'right cause, wrong repair',
}

export const truthName = (truth: string, { causes }: Tables): string =>
  truth === 'nothing-wrong' ? 'Nothing wrong' : row(causes.causes, truth).name

export const wayName = (method: string, { parts }: Tables): string =>
  method === LEAVE ? 'Leave it as it is' : row(parts.methods, method).name

/** @example decibanWords(7.3) // 'for it, 7 decibans' */
export const decibanWords = (decibans: number): string => {
  const size = Math.round(Math.abs(decibans))
  if (size < 1) return 'told nothing of it'
  return `${decibans > 0 ? 'for' : 'against'} it, ${size} ${size === 1 ? 'deciban' : 'decibans'}`
}
