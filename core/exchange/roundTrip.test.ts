import { fc, test } from '@fast-check/vitest'
import { readdirSync, readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { tables } from '../../data/tables'
import { anyJob } from '../../tests/properties/anyJob'
import { checkJob, readJob } from '../document/check'
import type { Job, Post } from '../document/job'
import { guessHeading } from './columns'
import { jobGeoJson, linesOfGeoJson } from './geojson'
import { postsTable, readPosts } from './posts'
import { cases } from '../../tests/support/cases'

const jobs = anyJob(tables).filter((job) => checkJob(job, tables, { firstOnly: true }).length === 0)
const RUNS = { numRuns: cases(100, 500) }

/** As a file has it: what JSON does not tell apart is one. */
const asFile = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

function fromCsv(text: string) {
  const [headings, ...rows] = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data
  return readPosts(rows, headings!.map(guessHeading), 1, 'A')
}

describe('out and in again, unchanged', () => {
  test.prop([jobs], RUNS)('a job file', (job) => {
    const file = asFile(job)
    expect(readJob(file, tables)).toEqual(file)
    expect(asFile(readJob(file, tables))).toEqual(file)
  })

  test.prop([jobs], RUNS)('the posts as CSV: what the table holds comes back to the last digit', (job) => {
    const rows = postsTable(job)
    const { lines, problems } = fromCsv(`${Papa.unparse(rows, { newline: '\n' })}\n`)
    expect(problems).toEqual([])
    const again = postsTable({ ...job, lines: lines.map((line) => ({ ...line, posts: line.posts })) })
    expect(again).toEqual(rows)
  })

  test.prop(
    [
      jobs,
      fc.array(
        fc.tuple(fc.double({ min: -170, max: 170, noNaN: true }), fc.double({ min: -80, max: 80, noNaN: true })),
        { minLength: 2, maxLength: 5 },
      ),
    ],
    RUNS,
  )('the line on the earth, with its posts', (job, places) => {
    const course = places.map(([longitude, latitude]): [number, number] => [longitude + 0, latitude + 0])
    const placed: Job = { ...job, lines: job.lines.map((line) => ({ ...line, course })) }
    const file = asFile(jobGeoJson(placed, tables.causes))
    const lines = linesOfGeoJson(file, 'Z')
    const told = ({ id, station, duty, repair }: Post) =>
      asFile({ id, station, duty, repair: repair?.method === undefined ? undefined : { method: repair.method } })
    expect(lines).toEqual(
      placed.lines.map(({ id, name, kind, height, posts }) =>
        asFile({ id, name, kind, height, course, posts: posts.map(told) }),
      ),
    )
  })
})

describe('a job file of an earlier version of the program', () => {
  const folder = new URL('../../tests/files/', import.meta.url)
  it.each(readdirSync(folder).filter((name) => name.endsWith('.json')))(
    '%s opens, and nothing of it is lost',
    (name) => {
      const file: unknown = JSON.parse(readFileSync(new URL(name, folder), 'utf8'))
      expect(readJob(file, tables)).toEqual(file)
    },
  )
})
