import { InputError } from '../errors'

/*
 * What comes from outside is measured before its meaning is looked at: a file of a few hundred kilobytes can hold
 * enough to keep a checker of meanings busy for minutes.
 */

const MOST = {
  /** Numbers, texts, lists and parts in the whole; a job of 4000 posts with all that is known of them has half. */
  values: 400_000,
  /** Parts within parts; a document has eight. */
  depth: 24,
  /** Longest list, of anything. */
  list: 20_000,
  /** Keys of one part, and letters of a key and of a text. */
  keys: 1_000,
  key: 200,
  text: 50_000,
} as const

/** Keys that mean something to the language itself. */
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype'])

/**
 * @param whole name of the value itself, where no key inside it is to blame
 * @throws InputError for the first thing that is too large, too deep, no finite number or no text
 * @example requireBounded(JSON.parse('{"height": 1e999}'), 'body') // throws: height is null; it must be a finite number
 */
export function requireBounded(value: unknown, whole: string): void {
  const path: (string | number)[] = []
  let left = MOST.values
  const wrong = (of: unknown, range: string) => new InputError(words(path) || whole, of, range)

  function visit(at: unknown): void {
    if (--left < 0) throw new InputError(whole, `more than ${MOST.values} values`, `at most ${MOST.values} values`)
    if (typeof at === 'number' && !Number.isFinite(at)) throw wrong(String(at), 'a finite number')
    if (typeof at === 'string') requireText(at)
    if (typeof at !== 'object' || at === null) return
    if (path.length >= MOST.depth) throw wrong('deeper', `at most ${MOST.depth} parts within parts`)
    if (Array.isArray(at)) visitList(at)
    else visitPart(at as Record<string, unknown>)
  }
  function visitList(list: readonly unknown[]): void {
    if (list.length > MOST.list) throw wrong(`a list of ${list.length}`, `a list of at most ${MOST.list}`)
    for (const [index, each] of list.entries()) {
      path.push(index)
      visit(each)
      path.pop()
    }
  }
  function visitPart(part: Record<string, unknown>): void {
    const keys = Object.keys(part)
    if (keys.length > MOST.keys) throw wrong(`${keys.length} keys`, `at most ${MOST.keys} keys`)
    for (const key of keys) {
      if (FORBIDDEN.has(key) || key.length > MOST.key || !key.isWellFormed())
        throw wrong(`with the key ${JSON.stringify(key.slice(0, 40))}`, 'with keys that are plain words')
      path.push(key)
      visit(part[key])
      path.pop()
    }
  }
  function requireText(text: string): void {
    if (text.length > MOST.text) throw wrong(`${text.length} letters`, `text of at most ${MOST.text} letters`)
    if (!text.isWellFormed()) throw wrong('text with half a letter', 'text of whole letters')
  }
  visit(value)
}

/** @example words(['lines', 0, 'posts', 3, 'id']) // 'lines[0].posts[3].id' */
const words = (path: readonly (string | number)[]): string =>
  path.reduce<string>((so, step) => (typeof step === 'number' ? `${so}[${step}]` : so ? `${so}.${step}` : step), '')
