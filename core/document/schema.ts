import { array, lazy, mixed, number, string, type InferType } from 'yup'
import {
  INSTRUMENTS,
  MEASURED,
  OBSERVATION_KEYS,
  PICKED,
  SEEN_TOGETHER,
  type Observations,
} from '../cause/observations'
import { CAUSES } from '../cause/tables'
import { DIGGING_TOOLS } from '../concrete/overdig'
import { SEASONS } from '../ground/soil'
import { LIMITS, LONGEST } from '../limits'
import {
  choice,
  flag,
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededKey,
  neededTime,
  part,
  quantity,
  record,
  tableKey,
  text,
  time,
  typed,
} from '../schema/fields'
import type { LeanReading } from '../setout/lean'
import { MATERIALS } from '../timber/materials'
import type { Section } from '../timber/section'
import { EXPOSURES, LINE_KINDS } from '../wind/fence'
import { TARGETS } from '../wind/target'
import {
  CARRIED,
  CLEAR_FACES,
  RAIL_MENDINGS,
  COATINGS,
  DUTIES,
  FOOTING_KINDS,
  HARD_THINGS,
  UPGRADES,
  HOLE_SHAPES,
  JOB_FORMAT,
  JOB_VERSION,
  MARK_KINDS,
  SERVICES,
  SET_ORDERS,
  STAGES,
} from './vocabulary'
import {
  foundSchema,
  gateSchema,
  jackSchema,
  lineSetOutSchema,
  meshSchema,
  pavingSchema,
  plateSchema,
  proppedSchema,
  roadsideSchema,
  standsSchema,
} from './setOutSchema'
import { daySchema } from './daySchema'
import { loadSchema } from './loadSchema'
import { pourSchema } from './pourSchema'
import { entrySchema, metSchema, visitSchema } from './recordSchema'
import type { Tables } from '../tables/tables'

/*
 * What a job file may hold: the one source of the document's types (job.ts), of its JSON Schema, of what
 * commands may write and of what calculations take. Unknown keys are kept.
 */

const size = () => needed(0.02, 1, 'm')
const wall = () => needed(0.0005, 0.2, 'm')
export const sectionShapes = {
  rectangle: record({ along: size(), across: size() }),
  round: record({ diameter: size() }),
  tube: record({ diameter: size(), wall: wall() }),
  hollow: record({ along: size(), across: size(), wall: wall() }),
}
const shapeless = record({ shape: neededChoice(Object.keys(sectionShapes)) })
const ofShape = (value: unknown) => {
  const shape = (value as { shape?: keyof typeof sectionShapes } | null | undefined)?.shape
  return shape !== undefined && Object.hasOwn(sectionShapes, shape) ? sectionShapes[shape] : shapeless
}
/** A post's section: its sizes depend on its shape. */
export const neededSectionSchema = typed<Section>(lazy(ofShape))
export const sectionSchema = typed<Section | undefined>(
  lazy((value: unknown) => (value === undefined ? mixed().notRequired() : ofShape(value))),
)

export const leanReadingSchema = record({
  offset: needed(-2, 2, 'm'),
  over: needed(0.1, 4, 'm'),
  direction: quantity(0, 360, 'degrees'),
})
const leanSchema = typed<LeanReading | LeanReading[] | undefined>(
  lazy((value: unknown) => {
    if (value === undefined) return mixed().notRequired()
    return Array.isArray(value) ? array(leanReadingSchema).strict().max(2, 'at most two readings') : leanReadingSchema
  }),
)

const fieldsOf = <V>(values: Readonly<Record<string, V>>, field: (value: V) => ReturnType<typeof typed>) =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, field(value)]))
export const observationsSchema = typed<Observations | undefined>(
  part({
    lean: leanSchema,
    ...fieldsOf(MEASURED, ({ minimum, maximum, unit }) => quantity(minimum, maximum, unit)),
    ...fieldsOf(PICKED, (values) => choice<string>(values)),
    ...fieldsOf(SEEN_TOGETHER, (values) => array(choice<string>(values)).strict().typeError('a list')),
  }),
)

export const footingSchema = record({
  kind: neededChoice(FOOTING_KINDS),
  diameter: quantity(0.05, 3, 'm'),
  top: quantity(0, 3, 'm'),
  bottom: quantity(0.05, 5, 'm').test('below-top', 'deeper than its top', function (bottom) {
    return bottom === undefined || bottom > ((this.parent as { top?: number }).top ?? 0)
  }),
})

export const holeSchema = record({
  shape: choice(HOLE_SHAPES),
  diameter: quantity(0.1, 2, 'm'),
  depth: quantity(0.2, 4, 'm').test('room', 'deeper than its stone bed and its topping together', function (depth) {
    const { stoneBed = 0, fillTop = 0.05 } = this.parent as { stoneBed?: number; fillTop?: number }
    return depth === undefined || depth - stoneBed > Math.max(0.05, fillTop)
  }),
  stoneBed: quantity(0, 1, 'm'),
  fillTop: quantity(-0.2, 1, 'm'),
  /** Of a tapered hole, whose `diameter` is that of its top. */
  bottomDiameter: quantity(0.1, 2, 'm'),
  bellDiameter: quantity(0.1, 2, 'm'),
  bellHeight: quantity(0.05, 1, 'm'),
  /** Sloped up to the post, shedding water. */
  crown: flag(),
  /** Of what stands in it from the middle of the hole, to the right positive. */
  shift: quantity(-0.5, 0.5, 'm'),
  /** Wedged into the concrete, share of its volume. */
  stones: quantity(0, 0.4),
  /** A board across the push near the surface, on both faces. */
  key: flag(),
})

const partKey = (kind: string) => tableKey(kind, ({ parts }: Tables) => parts.lists[kind]?.rows ?? [])
/** Parts by their kind: which kinds there are, the tables say. */
const partsSchema = typed<Record<string, string> | undefined>(
  lazy((value: unknown) => {
    if (value === undefined) return mixed().notRequired()
    const kinds = typeof value === 'object' && value !== null ? Object.keys(value) : []
    return record(Object.fromEntries(kinds.map((kind) => [kind, partKey(kind).required(`the key of a ${kind}`)])))
  }),
)
/** What was set of the hole of each method, by its key: comparing stays true after one was changed. */
const holesSchema = typed<Record<string, InferType<typeof holeSchema>> | undefined>(
  lazy((value: unknown) => {
    if (value === undefined) return mixed().notRequired()
    const keys = typeof value === 'object' && value !== null ? Object.keys(value) : []
    return record(Object.fromEntries(keys.map((key) => [key, holeSchema.required()])))
  }),
)
export const licensedSchema = record({ name: name(LONGEST.person), note: text(LONGEST.note), at: time() })
export const repairSchema = record({
  method: tableKey('method', ({ parts }: Tables) => parts.methods),
  mix: tableKey('mix', ({ mixes }: Tables) => mixes),
  filling: tableKey('way of filling', ({ fillings }: Tables) => fillings),
  // As older files have them; `parts` stands before them.
  spur: partKey('spur'),
  fixing: partKey('fixing'),
  pin: partKey('pin'),
  parts: partsSchema,
  // Of the method in hand, as older files have it; `holes` stands before it.
  hole: holeSchema.optional(),
  holes: holesSchema,
  /** The new post, where it is not one of those that are sold. */
  post: part({ section: sectionSchema, length: quantity(0.3, 12, 'm'), material: choice(MATERIALS) }),
  /** What really went in: bags, water in all, and how far the concrete's face lies below the ground. */
  poured: part({ bags: quantity(0, 500), water: quantity(0, 5, 'm³'), face: quantity(-0.3, 4, 'm') }),
  sleeve: part({ clearance: quantity(0, 0.05, 'm'), insertion: quantity(0.1, 2, 'm'), drains: flag() }),
  /** What the hole is dug with. */
  tool: choice(DIGGING_TOOLS),
  setOrder: choice(SET_ORDERS),
  coating: choice(COATINGS),
  /** The licensed person who decides on a load-bearing post. */
  licensed: licensedSchema.optional(),
})

const readingNote = {
  id: name(LONGEST.identity),
  at: neededTime(),
  by: text(LONGEST.person),
  instrument: choice(INSTRUMENTS),
}
/** Time, person and instrument of a reading, as a command brings them. */
export const readingNoteSchema = part(readingNote)
export const readingSchema = record({
  ...readingNote,
  observation: neededChoice(OBSERVATION_KEYS),
  // Null when the observation was taken back.
  value: typed<unknown>(mixed()),
  // Nothing is taken out of the record: who took it back, and why.
  withdrawn: part({ by: text(LONGEST.person), why: text(LONGEST.note) }),
})

const said = { at: neededTime(), by: text(LONGEST.person) }
const verdictSchema = record({
  ...said,
  cause: neededChoice(CAUSES),
  /** Others that were found with it. */
  also: listOfAtMost(3, 'causes', neededChoice(CAUSES)),
  note: text(LONGEST.judgement),
})
export const judgementSchema = record({
  overruled: verdictSchema.optional(),
  found: verdictSchema.optional(),
  cleared: part({ ...said, note: name(LONGEST.judgement) }),
})

const pixels = () => array(needed(0, 20_000)).strict().required('x, y').length(2, 'x, y')
const drawnLine = () => array(pixels()).strict().required('two points').length(2, 'two points')

export const photographSchema = record({
  id: name(LONGEST.identity),
  height: quantity(-3, 12, 'm'),
  pixelWidth: needed(1, 20_000),
  pixelHeight: needed(1, 20_000),
  at: time(),
  by: text(LONGEST.person),
  note: text(LONGEST.note),
  /** Laid along the post and along something plumb, pixels, each from its lower to its upper end. */
  lines: part({ post: drawnLine(), plumb: drawnLine() }),
  /** Of the work: before it, with the hole open, after it. */
  stage: choice(STAGES),
  place: part({ latitude: needed(-90, 90, 'degrees'), longitude: needed(-180, 180, 'degrees') }),
})

export const carriesSchema = record({
  area: needed(0.1, 200, 'm²'),
  from: neededChoice(CARRIED),
  dead: quantity(0, 20_000, 'Pa'),
  live: quantity(0, 20_000, 'Pa'),
})

export const slabSchema = record({
  thickness: quantity(0.02, 1, 'm'),
  sound: flag(),
  /** From the nearest anchor to its edge. */
  edge: quantity(0.01, 10, 'm'),
  strength: quantity(5e6, 100e6, 'Pa'),
})

/** As they were met from the ground down. */
export const layersSchema = listOfAtMost(
  LIMITS.layers,
  'layers',
  record({
    bottom: needed(0.05, 5, 'm'),
    soil: neededKey('soil', ({ soils }: Tables) => soils),
    saturated: flag(),
  }),
).test('downwards', 'each deeper than the one above', (layers: unknown) => {
  const given = (layers ?? []) as readonly { bottom?: number }[]
  return given.every(({ bottom = 0 }, i) => i === 0 || bottom > (given[i - 1]?.bottom ?? 0))
})

/** A known force on the post, square to its line, and how far it moved at a height. */
export const pullSchema = record({
  force: needed(1, 5_000, 'N'),
  height: needed(0.05, 4, 'm'),
  at: needed(0, 4, 'm'),
  movement: needed(0, 1, 'm'),
  /** What stayed when it was let go: shown, not weighed. */
  residual: quantity(0, 1, 'm'),
  /** Held for a minute on wet ground: only then may it say that the ground is stronger. */
  held: flag(),
  /** Water stood in the ground that day. */
  saturated: flag(),
})

export const postSchema = record({
  id: name(LONGEST.lineOrPost),
  station: needed(0, 20_000, 'm'),
  groundLevel: quantity(-50, 50, 'm'),
  duty: choice(DUTIES),
  /** Beside the first. */
  duties: listOfAtMost(DUTIES.length, 'duties', neededChoice(DUTIES)),
  /** A word that posts share which were built by the same hand at the same time. */
  make: text(LONGEST.name),
  material: choice(MATERIALS),
  section: sectionSchema,
  length: quantity(0.3, 12, 'm'),
  ageYears: quantity(0, 200, 'years'),
  soil: tableKey('soil', ({ soils }: Tables) => soils),
  saturated: flag(),
  /** Stands before `soil` where it is given. */
  layers: layersSchema,
  pulls: listOfAtMost(LIMITS.pulls, 'pulls', pullSchema),
  met: listOfAtMost(LIMITS.met, 'things', metSchema),
  footing: footingSchema.optional(),
  gate: gateSchema.optional(),
  /** What a single post carries: a letter box, a sign. */
  box: part({ width: needed(0.05, 3, 'm'), height: needed(0.05, 3, 'm') }),
  /** What rests on a load-bearing post: its share of the floor or roof, and by how much it weighs, Pa. */
  carries: carriesSchema.optional(),
  /** What a plate stands on. */
  slab: slabSchema.optional(),
  /** Has to come out again. */
  removable: flag(),
  clearFaces: choice(CLEAR_FACES),
  hardAgainst: choice(HARD_THINGS),
  roomToDig: flag(),
  /** Ground or air that eats steel: salt, cinders, manure. */
  corrosive: flag(),
  steadyLoad: part({ pressure: needed(0, 20_000, 'Pa'), height: needed(0.05, 4, 'm') }),
  /** Of the rails and boards at it: rotten or torn ends, how much of one is torn off, boards that serve again or not. */
  cladding: part({
    railEnds: quantity(0, 12),
    torn: quantity(0, 3, 'm'),
    salvaged: quantity(0, 200),
    broken: quantity(0, 200),
    mend: choice(RAIL_MENDINGS),
  }),
  observations: observationsSchema,
  /** Nothing has failed, and it is to become more than it is. */
  upgrade: choice(UPGRADES),
  /** The post that somebody was called for. */
  pointedAt: flag(),
  /** The string is pulled straight from one of these to the next. */
  carriesString: flag(),
  found: foundSchema,
  /** Plumb, or as its neighbours lean. */
  stands: standsSchema,
  plate: plateSchema,
  roadside: roadsideSchema,
  paving: pavingSchema,
  mesh: meshSchema,
  propped: proppedSchema,
  jack: jackSchema,
  conditions: listOfAtMost(LIMITS.conditions, 'conditions', text(LONGEST.key).defined()),
  judgement: judgementSchema.optional(),
  readings: listOfAtMost(LIMITS.readings, 'readings', readingSchema),
  photographs: listOfAtMost(LIMITS.photographs, 'photographs', photographSchema),
  repair: repairSchema.optional(),
})

export const markSchema = record({
  id: name(LONGEST.lineOrPost),
  kind: neededChoice(MARK_KINDS),
  station: needed(0, 20_000, 'm'),
  /** Where a run of it ends. */
  to: quantity(0, 20_000, 'm'),
  offset: quantity(-100, 100, 'm'),
  /** It hangs on the fence or runs above the ground. */
  above: flag(),
  /** It stays live: supported while the work goes on, clipped back at its end. */
  keep: flag(),
  /** Found, marked and kept clear of: said once for all of it. */
  inHand: part({ at: neededTime(), by: text(LONGEST.person), note: text(LONGEST.note) }),
  size: quantity(0.005, 5, 'm'),
  service: choice(SERVICES),
  note: text(LONGEST.note),
})

export type Coordinates = [longitude: number, latitude: number] | [longitude: number, latitude: number, height: number]
const coordinatesSay = 'longitude, latitude and perhaps a height'
const coordinatesSchema = array(number().strict().required('a number'))
  .strict()
  .min(2, coordinatesSay)
  .max(3, coordinatesSay)

/** Of a fence, m. */
export const FENCE_HEIGHT = [0.3, 4, 'm'] as const

export const lineSchema = record({
  id: name(LONGEST.lineOrPost),
  name: text(LONGEST.name),
  kind: choice(LINE_KINDS),
  height: quantity(...FENCE_HEIGHT),
  gap: quantity(0, 1, 'm').test('under-cladding', 'less than the height of the fence', function (gap) {
    const { height = 1.8 } = this.parent as { height?: number }
    // A height that is none is said of itself.
    return gap === undefined || !(height >= FENCE_HEIGHT[0]) || gap < height
  }),
  solidity: quantity(0.02, 1),
  length: quantity(0.3, 20_000, 'm'),
  cornerAtStart: flag(),
  cornerAtEnd: flag(),
  remainingYears: quantity(0, 200, 'years'),
  levelReference: quantity(-20, 20, 'm'),
  /** What became of the posts of the line: those gone by their footing, of so many, in so many years. */
  history: record({
    posts: needed(1, 2000),
    ageYears: needed(0.5, 100, 'years'),
    gone: needed(0, 2000).test('of-them', 'at most as many as its posts', function (gone) {
      return gone === undefined || gone <= ((this.parent as { posts?: number }).posts ?? Infinity)
    }),
  }).optional(),
  setOut: lineSetOutSchema,
  marks: listOfAtMost(LIMITS.marks, 'marks', markSchema),
  course: listOfAtMost(LIMITS.coursePoints, 'points', typed<Coordinates>(coordinatesSchema)),
  posts: array(postSchema)
    .strict()
    .typeError('a list of posts')
    .required('a list of posts')
    .min(1, 'at least one post')
    .max(LIMITS.posts, `at most ${LIMITS.posts} posts`),
})

export const siteSchema = record({
  name: text(LONGEST.name),
  exposure: choice(EXPOSURES),
  shelter: quantity(0.1, 1),
  gust50: quantity(10, 100, 'm/s'),
  frostDepth: quantity(0, 3, 'm'),
  minimumDepth: quantity(0, 3, 'm'),
  targetReturnYears: quantity(2, 1000, 'years'),
  /** How that is asked: by years, by the life that the fence has left, by what its sound posts stand. */
  target: part({ by: neededChoice(TARGETS), chance: quantity(0.01, 0.9) }),
  /** What is on the van for today's holes. */
  van: part({ mix: tableKey('mix', ({ mixes }: Tables) => mixes), bags: quantity(0, 500) }),
  /** Of the gust from which a repair must spring back to plumb. */
  leanReturnYears: quantity(1.1, 1000, 'years'),
  season: choice(SEASONS),
  /** A set of local rules: its figures hold where none is given here. */
  rules: tableKey('set of local rules', ({ localRules }: Tables) => localRules),
  /** The station of its forecast, and the zone that its hours are shown in. */
  place: tableKey('station', ({ stations }: Tables) => stations),
  timeZone: text(LONGEST.key).test(
    'zone',
    'the name of a time zone, as Europe/Lisbon',
    (zone) => zone === undefined || isTimeZone(zone),
  ),
})

/** Whether times can be shown in it. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

const exactly = <const T extends string>(value: T) => string().required(`"${value}"`).oneOf([value], `"${value}"`)
export const jobSchema = record({
  format: exactly(JOB_FORMAT),
  version: number()
    .required(`${JOB_VERSION}`)
    .oneOf([JOB_VERSION] as const, `${JOB_VERSION}`),
  name: name(LONGEST.name),
  site: siteSchema.optional(),
  lines: array(lineSchema)
    .strict()
    .typeError('a list of lines')
    .required('a list of lines')
    .min(1, 'at least one line')
    .max(LIMITS.lines, `at most ${LIMITS.lines} lines`),
  pours: listOfAtMost(LIMITS.pours, 'pours', pourSchema),
  day: daySchema,
  load: loadSchema,
  entries: listOfAtMost(LIMITS.entries, 'entries', entrySchema),
  visits: listOfAtMost(LIMITS.visits, 'visits', visitSchema),
})
