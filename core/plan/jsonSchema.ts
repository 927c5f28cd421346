import { SOUND } from '../cause/nextChecks'
import { HOLE_SHAPES } from '../document/vocabulary'
import { TARGETS } from '../wind/target'
import { POST_STATES } from '../cause/state'
import { CAUSES } from '../cause/tables'
import { OBSERVATION_KEYS } from '../cause/observations'
import { PLAN_FORMAT, PLAN_VERSION } from './types'

type JsonSchema = Record<string, unknown>

/* JSON Schema of the plan document. JSON has no infinity: a gust or a period without end is null there. */

const number = (description: string): JsonSchema => ({ type: 'number', description })
const endless = (description: string): JsonSchema => ({ type: ['number', 'null'], description })
const text = { type: 'string' }
const flag = { type: 'boolean' }
const listOf = (items: JsonSchema): JsonSchema => ({ type: 'array', items })
const texts = listOf(text)
const cause = { enum: [...CAUSES] }

/** Keys that end in `?` may be missing. */
function object(properties: Record<string, JsonSchema>): JsonSchema {
  const entries = Object.entries(properties).map(([key, schema]) => [key.replace(/\?$/, ''), schema] as const)
  return {
    type: 'object',
    properties: Object.fromEntries(entries),
    required: Object.keys(properties).filter((key) => !key.endsWith('?')),
  }
}

const link = object({
  link: text,
  name: text,
  'lean?': endless('m/s'),
  'code?': endless('m/s'),
  'over?': endless('m/s'),
  'bare?': endless('m/s by the bare formulas'),
  returnYears: endless('years'),
  'because?': text,
})

const thresholds = {
  'leanGust?': endless('m/s'),
  'leanReturnYears?': endless('years'),
  'holdingGust?': endless('m/s'),
  'returnYears?': endless('years'),
  'bareGust?': endless('m/s by the bare formulas'),
}

const evidence = object({
  observation: { enum: [...new Set([...OBSERVATION_KEYS, 'material', 'duty', 'ageYears'])] },
  decibans: number('10 log10 of odds'),
  says: text,
})

const diagnosis = object({
  nothingWrong: object({ probability: { type: 'number', minimum: 0, maximum: 1 }, evidence: listOf(evidence) }),
  causes: listOf(
    object({
      cause,
      name: text,
      probability: { type: 'number', minimum: 0, maximum: 1 },
      decibans: endless('odds; null where it cannot be'),
      start: endless('odds by commonness alone'),
      evidence: listOf(evidence),
      'impossible?': text,
    }),
  ),
  settled: flag,
  leading: listOf(cause),
  redFlags: texts,
  cleared: flag,
  state: { enum: [...POST_STATES] },
  inForce: listOf(cause),
  decidedBy: { enum: ['readings', 'technician', 'digging'] },
  conditions: listOf(object({ condition: text, name: text, advice: text, from: { enum: ['readings', 'person'] } })),
  dig: number('visits'),
  'together?': object({ causes: listOf(cause), name: text }),
  nextChecks: listOf(
    object({
      observation: { enum: [...OBSERVATION_KEYS] },
      check: text,
      minutes: number('min'),
      saves: number('visits'),
      gain: number('visits per minute'),
      separates: listOf({ enum: [...CAUSES, SOUND] }),
      why: text,
    }),
  ),
})

const hole = object({
  shape: { enum: [...HOLE_SHAPES] },
  diameter: number('m'),
  depth: number('m'),
  stoneBed: number('m'),
  fillTop: number('m'),
  footingBottom: number('m'),
  rule: text,
  'noHoleHolds?': { const: true },
  'bottomDiameter?': number('m, of a tapered hole'),
  'bellDiameter?': number('m'),
  'bellHeight?': number('m'),
  'crown?': { type: 'boolean' },
  'shift?': number('m, of what stands in it from its middle'),
  'stones?': number('share of the concrete'),
})

const concrete = object({
  'holes?': number('so many alike, all counted; one when absent'),
  hole: number('m³ dug'),
  concrete: number('m³'),
  stone: number('m³'),
  spoil: number('m³ loose'),
  topping: number('m³ over the fill'),
  solids: number('m³ standing in the concrete'),
  void: number('m³ left by an old block beyond the hole'),
  mix: text,
  filling: text,
  overdig: number('share'),
  'overdigFrom?': text,
  'bagsFrom?': text,
  bags: object({
    count: { type: 'integer' },
    exactCount: number('bags'),
    'short?': number('m³ short by measure'),
    water: number('m³'),
    ruleWater: number('m³'),
    strength: number('Pa'),
    'batch?': { type: 'object' },
  }),
  fill: { type: 'object' },
  cover: number('m'),
  warnings: texts,
  'oldConcrete?': object({ volume: number('m³'), mass: number('kg'), lifts: { type: 'integer' } }),
})

const packed = object({
  filling: text,
  overdig: number('share'),
  'overdigFrom?': text,
  hole: number('m³ dug'),
  volume: number('m³ tamped'),
  spoil: number('m³ loose'),
  fill: { type: 'object' },
  'oldConcrete?': object({ volume: number('m³'), mass: number('kg'), lifts: { type: 'integer' } }),
})

const target = object({
  gust: number('m/s'),
  returnYears: number('years'),
  leanGust: number('m/s'),
  leanReturnYears: number('years'),
  gust50: number('m/s'),
  by: { enum: [...TARGETS] },
})

const method = object({
  method: text,
  name: text,
  verdict: { enum: ['allowed', 'refused', 'not-known'] },
  allowed: flag,
  reasons: texts,
  links: listOf(link),
  'weakest?': text,
  ...thresholds,
  holdsTarget: flag,
  'hole?': hole,
  'concrete?': concrete,
  checks: listOf(object({ check: text, demand: number(''), capacity: number(''), unit: text })),
  parts: listOf(object({ kind: text, key: text, count: { type: 'integer' } })),
  'packed?': packed,
  'newPost?': object({ length: number('m'), third: number('m'), 'stock?': number('m'), 'short?': number('m') }),
  minutes: number('min'),
  cautions: texts,
  leavesUnsolved: texts,
  wastes: texts,
  comesOut: flag,
  unsuited: flag,
})

const post = object({
  line: text,
  post: text,
  target,
  'measured?': object({
    scale: number('of the soil over its working value, median'),
    low: number('5 % point'),
    high: number('95 % point'),
    used: number('what is counted of it'),
    pulls: { type: 'integer' },
    isHeld: flag,
  }),
  wind: object({ coefficient: number(''), force: number('N'), height: number('m'), gust: number('m/s') }),
  'gate?': object({ moment: number('N m'), 'hingeForce?': number('N') }),
  diagnosis,
  standing: object({
    state: { enum: ['holds', 'range', 'moves', 'given-way', 'not-known'] },
    links: listOf(link),
    'weakest?': text,
    ...thresholds,
    'range?': listOf(endless('m/s, least and most')),
    'says?': text,
  }),
  methods: listOf(method),
  depthRules: listOf(
    object({
      rule: text,
      name: text,
      assumes: text,
      depth: endless('m; null where the rule gives none'),
      'lean?': endless('m/s'),
      'over?': endless('m/s'),
      'code?': endless('m/s'),
      'returnYears?': endless('years'),
    }),
  ),
  'recommended?': object({ method: text, 'diameter?': number('m'), 'depth?': number('m'), because: text }),
})

/** JSON Schema of what `plan()` returns, as the shell and the routes write it. */
export const planJsonSchema: JsonSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: `Vindex plan, version ${PLAN_VERSION}`,
  ...object({
    format: { const: PLAN_FORMAT },
    version: { const: PLAN_VERSION },
    target,
    experience: object({ ground: number('share'), part: number('share'), byLine: { type: 'object' } }),
    digs: listOf(object({ line: text, post: text, worth: number('visits'), speaksFor: texts })),
    assumed: listOf(object({ post: { type: ['string', 'null'] }, key: text, value: {}, why: text })),
    posts: listOf(post),
  }),
}
