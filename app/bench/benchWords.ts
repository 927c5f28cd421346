import type { Calculation } from '~~/core/calc/calculation'
import { named } from '~~/core/calc/form'
import type { Path } from '~~/core/calc/sweep'
import { figureWords, unitIn } from '~~/core/units/readerUnit'
import type { LengthSystem } from '~~/core/units/length'

/** Where a figure stands, in words. @example pathWords(['segments', 0, 'width']) // 'segments 1, width' */
export const pathWords = (path: Path): string =>
  path
    .map((key) => (typeof key === 'number' ? String(key + 1) : named(key)))
    .join(', ')
    .replaceAll(/, (\d+)/g, ' $1')

/** Unit of one figure of an answer, by the words of its listing; of figures inside a list none is known. */
export const unitOfFigure = ({ outputs }: Pick<Calculation, 'outputs'>, path: Path): string =>
  path.length === 1 || typeof path[1] === 'number' ? unitIn(outputs[String(path[0])] ?? '') : ''

export interface AnswerLine {
  key: string
  name: string
  /** A single thing. */
  words?: string
  /** A list of things alike. */
  rows?: { headings: string[]; cells: string[][] }
  /** What the listing says of it beyond its unit. */
  says: string
}

/** Keys that say too little by themselves. */
const CALLED: Readonly<Record<string, string>> = {
  over: 'goes over at',
  lean: 'leans from',
  code: 'the code allows',
}
const called = (key: string, unit: string): string => (unit === 'N' && CALLED[key]) || named(key)

const MOST_ROWS = 60

/** An answer, line by line, each with what its listing says of it. */
export function answerLines(
  { outputs }: Pick<Calculation, 'outputs'>,
  found: Readonly<Record<string, unknown>>,
  system: LengthSystem,
): AnswerLine[] {
  const known = Object.keys(outputs)
  const more = Object.keys(found).filter((key) => !known.includes(key))
  return [...known, ...more].flatMap((key): AnswerLine[] => {
    const value = found[key]
    if (value === undefined) return []
    const says = outputs[key] ?? ''
    const unit = unitIn(says)
    const rest = { key, name: called(key, unit), says: restOf(says, unit) }
    const one = (each: unknown): string => wordsOf(each, unit, system)
    if (!Array.isArray(value)) {
      if (isPlainObject(value)) return [{ ...rest, rows: tableOf([value], system) }]
      return [{ ...rest, words: one(value) }]
    }
    if (value.every((each) => typeof each !== 'object' || each === null))
      return [{ ...rest, words: value.map(one).join(' · ') || 'none' }]
    return [{ ...rest, rows: tableOf(value.slice(0, MOST_ROWS) as Record<string, unknown>[], system) }]
  })
}

/** What a listing says beyond the unit, in words for whoever reads no code. */
const restOf = (says: string, unit: string): string =>
  says
    .slice(unit.length)
    .replace(/^[,; ]+/, '')
    .replaceAll(/\bnull\b/g, 'none')

const isPlainObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

function wordsOf(value: unknown, unit: string, system: LengthSystem): string {
  if (typeof value === 'number') return figureWords(value, unit, system)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (value === null) return 'none'
  if (typeof value === 'string') return value
  return JSON.stringify(value, (_key, each: unknown) => (typeof each === 'number' ? Number(each.toPrecision(4)) : each))
}

function tableOf(rows: readonly Record<string, unknown>[], system: LengthSystem) {
  const keys = [...new Set(rows.flatMap((each) => Object.keys(each)))]
  return {
    headings: keys.map(named),
    cells: rows.map((each) => keys.map((key) => wordsOf(each[key] ?? '', '', system))),
  }
}
