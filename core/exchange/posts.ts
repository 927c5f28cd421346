import { InputError } from '../errors'
import { LIMITS } from '../limits'
import { median } from '../numeric/statistics'
import type { Job, Line, Post } from '../document/job'
import { BARE, escaped, readChoice, readFlag, readLengthCell, readNumber, unescaped } from './cells'
import { COLUMNS, guessHeading, HEADING_UNITS, type Column, type Heading } from './columns'

/* Posts as a table of text, one row each: what a CSV file holds. Quoting is left to whoever writes the file. */

/**
 * Headings and rows of every post of a job; lengths in metres, unrounded. Columns that no post fills are left out.
 *
 * @example postsTable(job)[0] // ['line', 'id', 'station (m)', 'duty', …]
 */
export function postsTable(job: Job): string[][] {
  const rows = job.lines.flatMap((line) =>
    line.posts.map((post) => COLUMNS.map((column) => cellOf(line, post, column))),
  )
  const filled = COLUMNS.map((_column, i) => rows.some((row) => row[i] !== ''))
  const kept = <T>(row: readonly T[]) => row.filter((_cell, i) => filled[i])
  return [kept(COLUMNS.map(({ path, kind }) => (kind === 'length' ? `${path} (m)` : path))), ...rows.map(kept)]
}

function cellOf(line: Line, post: Post, { path, kind }: Column): string {
  const value = path === 'line' ? line.id : valueAt(post, path)
  if (value === undefined || value === null) return ''
  if (kind === 'text') return escaped(String(value))
  if (kind === 'list') return (value as string[]).join(' ') || NOTHING
  return String(value)
}

function valueAt(post: Post, path: string): unknown {
  return path.split('.').reduce<unknown>((part, key) => {
    if (typeof part !== 'object' || part === null) return undefined
    // One lean stands by itself, two as a list.
    if (key === '0' && !Array.isArray(part)) return part
    return (part as Record<string, unknown>)[key]
  }, post)
}

/** Looked at, and there was none of it: an empty list. */
const NOTHING = 'nothing'

export interface PostsRead {
  /** Posts by the line that the table names, in its order. */
  lines: { id: string; posts: Post[] }[]
  /** Everything that is wrong, each with its row and column; nothing may be taken over while there is any. */
  problems: InputError[]
}

/**
 * Posts out of a table of text.
 *
 * @param rows     cells below the headings
 * @param headings what each column means: guessed by `guessHeadings`, corrected by a person
 * @param bareUnit metres for a bare number under a heading without a unit
 * @param line     identity of the line where the table names none
 * @example readPosts([['0'], ['2.4']], guessHeadings(['tape']), 1, 'A').lines[0].posts[1] // { id: 'A2', station: 2.4 }
 */
export function readPosts(
  rows: readonly (readonly string[])[],
  headings: readonly Heading[],
  bareUnit: number,
  line: string,
): PostsRead {
  const refused = wholeTable(rows, headings)
  if (refused) return { lines: [], problems: [refused] }
  const problems = mixedUnits(rows, headings)
  const lines = new Map<string, Post[]>()
  rows.forEach((row, r) => {
    const draft: Draft = { line, post: {} }
    headings.forEach(({ column, unit }, c) => {
      const cell = (row[c] ?? '').trim()
      if (!column || cell === '') return
      try {
        put(draft, column.path, readCell(cell, column, unit ?? bareUnit, `row ${r + 2}, ${column.path}`))
      } catch (error) {
        if (!(error instanceof InputError)) throw error
        problems.push(error)
      }
    })
    const posts = lines.get(draft.line) ?? []
    lines.set(draft.line, [...posts, finished(draft, posts.length)])
  })
  const sorted = [...lines].map(([id, posts]) => ({ id, posts: [...posts].sort((a, b) => a.station - b.station) }))
  return { lines: sorted, problems: [...problems, ...sharedStations(rows, headings, sorted)] }
}

/** Between these a bay is likely, m. */
const LIKELY_BAY = { least: 1.2, most: 4 }

/**
 * What bare tape readings are likely in: the unit that makes usual bays of them.
 *
 * @param usual the person's own unit, tried first
 * @example guessBareUnit([['0'], ['2400'], ['4800']], guessHeadings(['tape']), 'm') // 'mm'
 */
export function guessBareUnit(
  rows: readonly (readonly string[])[],
  headings: readonly Heading[],
  usual: string,
): string {
  const at = headings.findIndex(({ column }) => column?.path === 'station')
  const stations = rows.map((row) => Number((row[at] ?? '').replace(',', '.'))).filter(Number.isFinite)
  const bays = stations.slice(1).map((station, i) => Math.abs(station - stations[i]!))
  if (bays.length === 0) return usual
  const middle = median(bays)
  const likely = (unit: string) => {
    const bay = middle * HEADING_UNITS[unit]!
    return bay >= LIKELY_BAY.least && bay <= LIKELY_BAY.most
  }
  return [usual, ...Object.keys(HEADING_UNITS)].find(likely) ?? usual
}

export const guessHeadings = (headings: readonly string[]): Heading[] => headings.map(guessHeading)

interface Draft {
  line: string
  post: Record<string, unknown>
}

function wholeTable(rows: readonly unknown[], headings: readonly Heading[]): InputError | undefined {
  if (rows.length === 0) return new InputError('rows', 0, 'at least one post below the headings')
  if (rows.length > LIMITS.posts)
    return new InputError('rows', rows.length, `at most ${LIMITS.posts} posts: split the file`)
  const paths = headings.flatMap(({ column }) => (column ? [column.path] : []))
  if (!paths.includes('station'))
    return new InputError('station', undefined, 'one of the columns: say which one holds the tape readings')
  const twice = paths.find((path, i) => paths.indexOf(path) !== i)
  return twice === undefined ? undefined : new InputError(twice, 'two columns', 'taken from one column only')
}

/** Bare numbers among lengths with units: nobody can tell what they are in. */
function mixedUnits(rows: readonly (readonly string[])[], headings: readonly Heading[]): InputError[] {
  return headings.flatMap(({ column, unit }, c) => {
    if (column?.kind !== 'length' || unit !== undefined) return []
    const cells = rows.map((row) => (row[c] ?? '').trim())
    const bare = cells.findIndex((cell) => BARE.test(cell))
    const withUnit = cells.some((cell) => cell !== '' && !BARE.test(cell))
    return bare >= 0 && withUnit
      ? [
          new InputError(
            `row ${bare + 2}, ${column.path}`,
            cells[bare],
            'with its unit, as others in this column have one',
          ),
        ]
      : []
  })
}

function readCell(cell: string, { kind, values }: Column, unit: number, key: string): unknown {
  switch (kind) {
    case 'length':
      return readLengthCell(cell, unit, key)
    case 'number':
      return readNumber(cell, key)
    case 'flag':
      return readFlag(cell, key)
    case 'choice':
      return readChoice(cell, values!, key)
    case 'list':
      if (cell.toLowerCase() === NOTHING) return []
      return cell.split(/[\s;]+/).map((each) => readChoice(each, values!, key))
    case 'text':
      return unescaped(cell)
  }
}

function put(draft: Draft, path: string, value: unknown): void {
  if (path === 'line') draft.line = String(value)
  else {
    const keys = path.split('.')
    const last = keys.pop()!
    const part = keys.reduce<Record<string, unknown>>(
      (at, key) => (at[key] ??= {}) as Record<string, unknown>,
      draft.post,
    )
    part[last] = value
  }
}

/** Leans come as `lean.0` and `lean.1`; a section of which one side was measured is square. */
function finished({ line, post }: Draft, index: number): Post {
  const { observations, section, ...rest } = post as Record<string, Record<string, unknown> | undefined>
  const { lean, ...seen } = observations ?? {}
  const leans = Object.values((lean ?? {}) as Record<string, unknown>)
  const all = { ...seen, ...(leans.length > 0 ? { lean: leans.length === 1 ? leans[0] : leans } : {}) }
  return {
    ...rest,
    id: (post.id as string | undefined) ?? `${line}${index + 1}`,
    station: post.station as number,
    ...(section ? { section: wholeSection(section) } : {}),
    ...(Object.keys(all).length > 0 ? { observations: all } : {}),
  } as Post
}

function wholeSection(section: Record<string, unknown>): Record<string, unknown> {
  const { shape, along, across, diameter } = section
  if (shape !== undefined) return section
  if (diameter !== undefined) return { ...section, shape: section.wall === undefined ? 'round' : 'tube' }
  return { shape: 'rectangle', along: along ?? across, across: across ?? along }
}

function sharedStations(
  rows: readonly (readonly string[])[],
  headings: readonly Heading[],
  lines: PostsRead['lines'],
): InputError[] {
  const at = headings.findIndex(({ column }) => column?.path === 'station')
  const missing = rows.findIndex((row) => (row[at] ?? '').trim() === '')
  if (missing >= 0) return [new InputError(`row ${missing + 2}, station`, undefined, 'a tape reading')]
  return lines.flatMap(({ posts }) =>
    posts.flatMap((post, i) =>
      i > 0 && post.station === posts[i - 1]!.station
        ? [
            new InputError(
              'station',
              post.station,
              `of one post only: ${posts[i - 1]!.id} and ${post.id} both stand there`,
            ),
          ]
        : [],
    ),
  )
}
