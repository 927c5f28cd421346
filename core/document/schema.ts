import { array, lazy, mixed, number, string } from 'yup'
import { InputError } from '../errors'
import {
  DUTIES,
  EXPOSURES,
  FOOTING_KINDS,
  JOB_FORMAT,
  JOB_VERSION,
  LINE_KINDS,
  MARK_KINDS,
  MATERIALS,
  SERVICES,
  SEASONS,
  type Job,
} from './job'
import { CAUSES } from '../cause/tables'
import { INSTRUMENTS, OBSERVATION_KEYS, OBSERVATION_VALUES } from '../cause/observations'
import { choice, flag, listOfAtMost, name, part, quantity, range, text, time, TIME_SAYS } from './fields'
import { violationsOf } from './violations'

/* What a job file may hold. Unknown keys are kept. */

const coordinatesSay = 'longitude, latitude and perhaps a height'

export const sectionShapes: Record<string, ReturnType<typeof part>> = {
  rectangle: part({ along: size(), across: size() }),
  round: part({ diameter: size() }),
  tube: part({ diameter: size(), wall: wall() }),
  hollow: part({ along: size(), across: size(), wall: wall() }),
}
function size() {
  return quantity(0.02, 1, 'm').required(range(0.02, 1, 'm'))
}
function wall() {
  return quantity(0.0005, 0.2, 'm').required(range(0.0005, 0.2, 'm'))
}
const section = lazy((value: unknown) => {
  if (value === undefined) return mixed().notRequired()
  const shape = (value as { shape?: string } | null)?.shape ?? ''
  const shapes = Object.keys(sectionShapes)
  const says = `one of ${shapes.join(', ')}`
  return sectionShapes[shape] ?? part({ shape: choice(shapes).required(says) })
})

export const leanReading = part({
  offset: quantity(-2, 2, 'm').required(range(-2, 2, 'm')),
  over: quantity(0.1, 4, 'm').required(range(0.1, 4, 'm')),
  direction: quantity(0, 360, 'degrees'),
})

const observations = part({
  lean: lazy((value: unknown) =>
    Array.isArray(value) ? array().of(leanReading).max(2, 'at most two readings') : leanReading,
  ),
  probeAtGround: quantity(0, 0.2, 'm'),
  probeBelow: quantity(0, 0.2, 'm'),
  probeAbove: quantity(0, 0.2, 'm'),
  moisturePercent: quantity(0, 200, '%'),
  groundAround: array().of(choice(OBSERVATION_VALUES.groundAround)).strict().typeError('a list'),
  ...Object.fromEntries(
    Object.entries(OBSERVATION_VALUES)
      .filter(([key]) => key !== 'groundAround')
      .map(([key, values]) => [key, choice(values)]),
  ),
})

const footing = part({
  kind: choice(FOOTING_KINDS).required(`one of ${FOOTING_KINDS.join(', ')}`),
  diameter: quantity(0.05, 3, 'm'),
  top: quantity(0, 3, 'm'),
  bottom: quantity(0.05, 5, 'm').test('below-top', 'deeper than its top', function (bottom) {
    return bottom === undefined || bottom > ((this.parent as { top?: number }).top ?? 0)
  }),
})

const repair = part({
  method: text(60),
  mix: text(60),
  filling: text(60),
  spur: text(60),
  fixing: text(60),
  pin: text(60),
  hole: part({
    shape: choice(['round']),
    diameter: quantity(0.1, 2, 'm'),
    depth: quantity(0.2, 4, 'm').test('room', 'deeper than its stone bed and its topping together', function (depth) {
      const { stoneBed = 0.1, fillTop = 0.075 } = this.parent as { stoneBed?: number; fillTop?: number }
      return depth === undefined || depth - stoneBed > Math.max(0.05, fillTop)
    }),
    stoneBed: quantity(0, 1, 'm'),
    fillTop: quantity(-0.2, 1, 'm'),
  }),
})

const readingNote = {
  id: name(64),
  at: time.required(TIME_SAYS),
  by: text(100),
  instrument: choice(INSTRUMENTS),
}
/** Time, person and instrument of a reading, as a command brings them. */
export const readingNoteSchema = part(readingNote)

const said = { at: time.required(TIME_SAYS), by: text(100) }
const verdict = part({ ...said, cause: choice(CAUSES).required(`one of ${CAUSES.join(', ')}`), note: text(1000) })

export const photographSchema = part({
  id: name(64),
  height: quantity(-3, 12, 'm'),
  pixelWidth: quantity(1, 20_000).required(range(1, 20_000, '')),
  pixelHeight: quantity(1, 20_000).required(range(1, 20_000, '')),
  at: time,
  by: text(100),
  note: text(500),
  place: part({
    latitude: quantity(-90, 90, 'degrees').required(range(-90, 90, 'degrees')),
    longitude: quantity(-180, 180, 'degrees').required(range(-180, 180, 'degrees')),
  }),
})

export const postSchema = part({
  id: name(40),
  station: quantity(0, 20_000, 'm').required(range(0, 20_000, 'm')),
  groundLevel: quantity(-50, 50, 'm'),
  duty: choice(DUTIES),
  material: choice(MATERIALS),
  section,
  length: quantity(0.3, 12, 'm'),
  ageYears: quantity(0, 200, 'years'),
  soil: text(40),
  saturated: flag(),
  footing,
  gate: part({
    leafWidth: quantity(0.3, 6, 'm'),
    leafMass: quantity(1, 1000, 'kg'),
    hingeSpacing: quantity(0.1, 3, 'm'),
  }),
  steadyLoad: part({
    pressure: quantity(0, 20_000, 'Pa').required(range(0, 20_000, 'Pa')),
    height: quantity(0.05, 4, 'm').required(range(0.05, 4, 'm')),
  }),
  observations,
  conditions: listOfAtMost(40, 'conditions', text(60)),
  judgement: part({ overruled: verdict, found: verdict, cleared: part({ ...said, note: name(1000) }) }),
  readings: listOfAtMost(
    1000,
    'readings',
    part({ ...readingNote, observation: choice(OBSERVATION_KEYS).required(), value: mixed() }),
  ),
  photographs: listOfAtMost(100, 'photographs', photographSchema),
  repair,
})

export const markSchema = part({
  id: name(40),
  kind: choice(MARK_KINDS).required(`one of ${MARK_KINDS.join(', ')}`),
  station: quantity(0, 20_000, 'm').required(range(0, 20_000, 'm')),
  offset: quantity(-100, 100, 'm'),
  size: quantity(0.005, 5, 'm'),
  service: choice(SERVICES),
  note: text(500),
})

export const lineSchema = part({
  id: name(40),
  name: text(200),
  kind: choice(LINE_KINDS),
  height: quantity(0.3, 4, 'm'),
  gap: quantity(0, 1, 'm').test('under-cladding', 'less than the height of the fence', function (gap) {
    return gap === undefined || gap < ((this.parent as { height?: number }).height ?? 1.8)
  }),
  solidity: quantity(0.02, 1),
  length: quantity(0.3, 20_000, 'm'),
  cornerAtStart: flag(),
  cornerAtEnd: flag(),
  remainingYears: quantity(0, 200, 'years'),
  levelReference: quantity(-20, 20, 'm'),
  marks: listOfAtMost(500, 'marks', markSchema),
  course: listOfAtMost(
    5000,
    'points',
    array().of(number().strict().required('a number')).strict().min(2, coordinatesSay).max(3, coordinatesSay),
  ),
  posts: array()
    .of(postSchema)
    .strict()
    .typeError('a list of posts')
    .required('a list of posts')
    .min(1, 'at least one post')
    .max(2000, 'at most 2000 posts'),
})

export const jobSchema = part({
  format: string().required(`"${JOB_FORMAT}"`).oneOf([JOB_FORMAT], `"${JOB_FORMAT}"`),
  version: number().required(`${JOB_VERSION}`).oneOf([JOB_VERSION], `${JOB_VERSION}`),
  name: name(200),
  site: part({
    name: text(200),
    exposure: choice(EXPOSURES),
    shelter: quantity(0.1, 1),
    gust50: quantity(10, 100, 'm/s'),
    frostDepth: quantity(0, 3, 'm'),
    minimumDepth: quantity(0, 3, 'm'),
    targetReturnYears: quantity(2, 1000, 'years'),
    season: choice(SEASONS),
  }),
  lines: array()
    .of(lineSchema)
    .strict()
    .typeError('a list of lines')
    .required('a list of lines')
    .min(1, 'at least one line')
    .max(50, 'at most 50 lines'),
}).required('an object')

/** Known soils, mixes and methods, to check names against. */
export interface KnownKeys {
  soils: readonly string[]
  methods: readonly string[]
  mixes: readonly string[]
  fillings: readonly string[]
  spurs: readonly string[]
  fixings: readonly string[]
  pins: readonly string[]
}

/**
 * Everything that is wrong with a document, each with key, value and range.
 *
 * @example checkJob({ format: 'vindex-job', version: 1, name: '', lines: [] }, known).length // 2
 */
export function checkJob(document: unknown, known: KnownKeys): InputError[] {
  const newer = newerVersion(document)
  if (newer) return [newer]
  const violations = violationsOf(jobSchema, document, 'document')
  if (violations.length > 0) return violations
  return [...checkOrder(document as Job), ...checkKeys(document as Job, known)]
}

/** @throws InputError, the first of {@link checkJob} */
export function readJob(document: unknown, known: KnownKeys): Job {
  const [first] = checkJob(document, known)
  if (first) throw first
  return document as Job
}

function newerVersion(document: unknown): InputError | undefined {
  const { format, version } = (document ?? {}) as Partial<Record<'format' | 'version', unknown>>
  if (format !== JOB_FORMAT || typeof version !== 'number' || version <= JOB_VERSION) return undefined
  return new InputError('version', version, `${JOB_VERSION}: this file comes from a newer Vindex, which has to open it`)
}

/** What only the whole job shows: names used twice, posts out of order. */
export function checkOrder(job: Job): InputError[] {
  const errors: InputError[] = []
  const seen = new Set<string>()
  job.lines.forEach((each, l) => {
    if (job.lines.findIndex((other) => other.id === each.id) !== l)
      errors.push(new InputError(`lines[${l}].id`, each.id, 'used once in the job'))
    each.posts.forEach((p, i) => {
      const key = `lines[${l}].posts[${i}]`
      if (seen.has(p.id)) errors.push(new InputError(`${key}.id`, p.id, 'used once in the job'))
      seen.add(p.id)
      const before = each.posts[i - 1]
      if (before && p.station <= before.station)
        errors.push(
          new InputError(`${key}.station`, p.station, `beyond ${before.station} m, where the post before stands`),
        )
    })
  })
  return errors
}

function checkKeys(job: Job, known: KnownKeys): InputError[] {
  const errors: InputError[] = []
  const check = (key: string, value: string | undefined, among: readonly string[]) => {
    if (value !== undefined && !among.includes(value))
      errors.push(new InputError(key, value, `one of ${among.join(', ')}`))
  }
  job.lines.forEach((each, l) =>
    each.posts.forEach((p, i) => {
      const key = `lines[${l}].posts[${i}]`
      check(`${key}.soil`, p.soil, known.soils)
      check(`${key}.repair.method`, p.repair?.method, known.methods)
      check(`${key}.repair.mix`, p.repair?.mix, known.mixes)
      check(`${key}.repair.filling`, p.repair?.filling, known.fillings)
      check(`${key}.repair.spur`, p.repair?.spur, known.spurs)
      check(`${key}.repair.fixing`, p.repair?.fixing, known.fixings)
      check(`${key}.repair.pin`, p.repair?.pin, known.pins)
    }),
  )
  return errors
}
