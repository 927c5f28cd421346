import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { PICKED, SEEN_TOGETHER, type Observations } from '../cause/observations'
import type { Coordinates, Job } from '../document/job'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { inTable } from '../../tests/support/postsTable'
import { guessHeading } from './columns'
import { distance, jobGeoJson, lineFromCourse, placeAt, readCourse } from './geojson'
import { guessBareUnit, guessHeadings, postsTable, readPosts } from './posts'

const readBack = (job: Job) => {
  const [headings, ...rows] = postsTable(job)
  return readPosts(rows, guessHeadings(headings!), 1, 'A')
}
const read = (headings: string[], rows: string[][], unit = 1) => readPosts(rows, guessHeadings(headings), unit, 'A')

describe('posts as a table', () => {
  it.each(demoJobs().map((job) => [job.name, job] as const))('%s comes back as it went out', (_name, job) => {
    const { lines, problems } = readBack(job)
    expect(problems).toEqual([])
    expect(lines).toEqual(job.lines.map(({ id, posts }) => ({ id, posts: posts.map(inTable) })))
  })

  const length = fc.double({ min: 0, max: 0.2, noNaN: true })
  const reading = fc.record({
    offset: length,
    over: fc.double({ min: 0.1, max: 4, noNaN: true }),
    direction: fc.constantFrom(0, 90),
  })
  const observations = fc.record(
    {
      lean: fc.oneof(reading, fc.tuple(reading, reading)),
      probeAtGround: length,
      probeBelow: length,
      probeAbove: length,
      moisturePercent: fc.double({ min: 0, max: 200, noNaN: true }),
      groundAround: fc.subarray([...SEEN_TOGETHER.groundAround]),
      ...Object.fromEntries(Object.entries(PICKED).map(([key, values]) => [key, fc.constantFrom(...values)])),
    },
    { requiredKeys: [] },
  ) as fc.Arbitrary<Observations>
  property.prop([observations])('every observation comes back to the last digit', (seen) => {
    const job = jobOf(
      runOfPosts(2, 2.4, (i) => (i === 1 && Object.keys(seen).length > 0 ? { observations: seen } : {})),
    )
    expect(readBack(job).lines[0]!.posts).toEqual(job.lines[0]!.posts)
  })

  property.prop([
    fc.constantFrom(..."=+-@'＝＋－＠"),
    fc.string({ maxLength: 20 }).filter((text) => text.trim() === text && text !== ''),
  ])('a name that begins like a formula is none in the table, and comes back as it was', (sign, rest) => {
    const id = `${sign}${rest}`
    const job = jobOf(runOfPosts(2, 2.4, (i) => (i === 1 ? { id } : {})))
    expect(postsTable(job)[2]![1]).toBe(`'${id}`)
    expect(readBack(job).lines[0]!.posts[1]!.id).toBe(id)
  })

  it('leaves an apostrophe where it only stands before a name', () => {
    expect(read(['post', 'tape'], [["'t A1", '0']]).lines[0]!.posts[0]!.id).toBe("'t A1")
  })

  it.each([
    ['Tape (ft)', 'station', 0.3048],
    ['POST', 'id', undefined],
    ['section.along (m)', 'section.along', 1],
    ['Footing depth mm', 'footing.bottom', 0.001],
    ['Soil', 'soil', undefined],
    ['push pivot', 'observations.pushPivot', undefined],
    ['remarks', undefined, undefined],
  ])('guesses the heading %j', (heading, path, unit) => {
    const guessed = guessHeading(heading)
    expect(guessed.column?.path).toBe(path)
    expect(guessed.unit).toBe(unit)
  })

  it.each([
    [['0', '2.4', '4.8'], 'm', 'm'],
    [['0', '2400', '4800'], 'm', 'mm'],
    [['0', '8', '16'], 'm', 'ft'],
    [['0', '2.4', '4.8'], 'ft', 'm'],
    [['0', '95', '190'], 'm', 'in'],
    [['0'], 'ft', 'ft'],
  ])('guesses what bare readings %j are in', (cells, usual, unit) => {
    expect(
      guessBareUnit(
        cells.map((cell) => [cell]),
        guessHeadings(['tape']),
        usual,
      ),
    ).toBe(unit)
  })

  it('takes columns in any order, in any unit, and numbers posts that have no name', () => {
    const { lines, problems } = read(
      ['Size (mm)', 'age', 'Tape (ft)', 'Wet'],
      [
        ['100', '12', '8', 'yes'],
        ['', '', '0', 'no'],
      ],
    )
    expect(problems).toEqual([])
    expect(lines[0]!.posts).toEqual([
      { id: 'A2', station: 0, saturated: false },
      {
        id: 'A1',
        station: 2.4384,
        ageYears: 12,
        saturated: true,
        section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      },
    ])
  })

  it.each([
    ['a missing column', ['post', 'age'], [['A1', '3']], 'station is missing; it must be one of the columns'],
    [
      'two posts at one station',
      ['post', 'tape'],
      [
        ['A1', '0'],
        ['A2', '0'],
      ],
      'A1 and A2 both stand there',
    ],
    ['mixed units', ['tape'], [['0'], ['8 ft'], ['4.8']], 'row 2, station is "0"; it must be with its unit'],
    ['a cell that is no length', ['tape', 'length'], [['0', 'long']], 'row 2, length is "long"'],
    [
      'a row without a reading',
      ['post', 'tape'],
      [
        ['A1', '0'],
        ['A2', ''],
      ],
      'row 3, station is missing',
    ],
    ['an unknown value', ['tape', 'duty'], [['0', 'hero']], 'row 2, duty is "hero"'],
    ['no rows', ['tape'], [], 'rows is 0'],
    ['one thing from two columns', ['tape', 'distance'], [['0', '1']], 'station is "two columns"'],
    [
      '5 000 rows',
      ['tape'],
      Array.from({ length: 5000 }, (_, i) => [String(i)]),
      'rows is 5000; it must be at most 2000 posts',
    ],
  ])('%s gets a clear answer', (_name, headings, rows, message) => {
    const { problems } = read(headings, rows)
    expect(problems[0]!.message).toContain(message)
  })
})

describe('a line on the earth', () => {
  const course: Coordinates[] = [
    [0, 52, 3],
    [0.001, 52, 3.5],
    [0.001, 52.0005, 3.2],
  ]

  it('is as long as the ground has it', () => {
    // One degree of latitude is 111 195 m on the mean sphere.
    expect(distance([0, 0], [0, 1])).toBeCloseTo(111_195, 0)
    expect(distance(course[0]!, course[1]!)).toBeCloseTo(111_195 * 0.001 * Math.cos((52 * Math.PI) / 180), 1)
  })

  it('becomes posts with stations, levels and corners', () => {
    const line = lineFromCourse(course, 'G')
    expect(line.posts.map(({ id, duty, groundLevel }) => [id, duty, groundLevel])).toEqual([
      ['G1', undefined, 0],
      ['G2', 'corner', 0.5],
      ['G3', undefined, 0.2],
    ])
    expect(line.posts[1]!.station).toBeCloseTo(68.5, 1)
    expect(line.length).toBe(line.posts[2]!.station)
  })

  it('goes out and comes in again', () => {
    const job = { ...jobOf(runOfPosts(2)), lines: [lineFromCourse(course, 'G')] }
    const out = jobGeoJson(job, tables.causes)
    expect(out.features).toHaveLength(4)
    expect(readCourse(JSON.parse(JSON.stringify(out)))).toEqual(course)
    const half = placeAt(course, lineFromCourse(course, 'G').posts[1]!.station / 2)
    expect(half[0]).toBeCloseTo(0.0005, 6)
  })

  it.each([
    [{ type: 'Point', coordinates: [0, 0] }, 'type is "Point"'],
    ['fence', 'type is missing'],
    [{ type: 'LineString', coordinates: [[0, 0]] }, 'coordinates is 1; it must be a list of 2 to 2000 places'],
    [
      {
        type: 'LineString',
        coordinates: [
          [0, 0],
          [0, 95],
        ],
      },
      'coordinates[1] is [0,95]',
    ],
  ])('refuses %j', (document, message) => {
    expect(() => readCourse(document)).toThrow(message)
  })

  it('refuses points that share a place, and jobs without a place', () => {
    expect(() =>
      lineFromCourse(
        [
          [0, 52],
          [0, 52],
        ],
        'G',
      ),
    ).toThrow('at least a millimetre')
    expect(() => jobGeoJson(jobOf(runOfPosts(2)), tables.causes)).toThrow('course is missing')
  })
})
