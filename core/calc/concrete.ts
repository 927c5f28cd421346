import { lazy, mixed, object, type AnySchema } from 'yup'
import { neededSectionSchema, sectionShapes } from '../document/sectionSchema'
import { typed } from '../schema/fields'
import { readBy } from '../schema/violations'
import { bagOrder } from '../concrete/bags'
import { handBatch } from '../concrete/handBatch'
import { CEMENTS, cementPour, mixPour, setting } from '../concrete/setting'
import { supplyOptions } from '../concrete/supply'
import { holeVolumes } from '../concrete/volume'
import { InputError } from '../errors'
import { row } from '../tables/tables'
import { boredThrough, soundShell } from '../timber/cuts'
import { sectionProperties } from '../timber/section'
import { calculation } from './calculation'
import {
  choice,
  fieldWords,
  group,
  hole,
  keyOf,
  listOf,
  optional,
  optionalSection,
  quantity,
  said,
  soilKey,
  soilWithFigures,
} from './inputs'
import type { Section, SoftFaces } from '../timber/section'

const soft = quantity(0, 0.5, 'm')
const softFaces = group({ start: soft, end: soft, front: soft, back: soft })
const softWood = said<number | SoftFaces>(
  `${fieldWords(soft)} on every face, or ${fieldWords(softFaces)} (may be left out, else 0)`,
  typed(
    lazy((value: unknown) => {
      if (value === undefined) return mixed()
      return (typeof value === 'object' ? softFaces : soft) as AnySchema
    }),
  ),
)
/** Read by the shape, not by itself. */
const asShapeAsks = () => said<number | undefined>('number, m, as the shape asks', typed(mixed()))

export const sectionCalculation = calculation({
  name: 'section',
  says: 'section properties of a post: sound, with soft wood on its faces (one figure, or face by face), a sound `shell` round a rotten heart, or a hole of `bore` through it across the line',
  source: 'elementary bending theory',
  inputs: {
    shape: said<unknown>(Object.keys(sectionShapes).join(' | '), typed(mixed())),
    along: asShapeAsks(),
    across: asShapeAsks(),
    diameter: asShapeAsks(),
    wall: asShapeAsks(),
    soft: softWood,
    shell: optional(quantity(0.001, 0.5, 'm')),
    bore: optional(quantity(0.001, 0.5, 'm')),
  },
  outputs: {
    modulus: 'modulus in m³, bending across the line',
    inertia: 'm⁴',
    modulusAlong: 'modulus in m³',
    inertiaAlong: 'm⁴',
    plasticModulus: 'modulus in m³',
    area: 'm²',
  },
  example: [{ shape: 'tube', diameter: 0.0334, wall: 0.00338 }, { modulus: 2.1775e-6 }],
  run({ soft = 0, shell, bore, ...given }) {
    const read = readBy<{ section: Section }>(object({ section: neededSectionSchema }), { section: given }, 'section')
    const { section } = read
    if (bore !== undefined && (soft !== 0 || shell !== undefined))
      throw new InputError('bore', bore, 'given alone: bore the section that is left')
    if (bore !== undefined) return { ...boredThrough(section, bore) }
    return { ...sectionProperties(shell === undefined ? section : soundShell(section, shell), soft) }
  },
})

export const holeVolume = calculation({
  name: 'hole-volume',
  says: 'what a hole takes and gives',
  source: 'volumes of revolution; over-dig and loosening are working values',
  inputs: {
    hole,
    post: optionalSection,
    insets: optional(listOf(quantity(-5, 5, 'm³'), 50), []),
    overdig: optional(quantity(0, 2), 0),
    soil: optional(soilKey, 'firm-clay'),
  },
  outputs: {
    hole: 'm³ dug',
    concrete: 'm³',
    stone: 'm³',
    spoil: 'm³ loose',
    topping: 'm³ over the filling',
    solids: 'm³ that stands in the filling',
    void: 'm³ left by an old block',
  },
  example: [
    {
      hole: { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.075 },
      post: { shape: 'rectangle', along: 0.1, across: 0.1 },
    },
    { concrete: 0.03489 },
  ],
  run: ({ soil, ...rest }, tables) => ({ ...holeVolumes({ ...rest, ground: soilWithFigures(soil, tables).kind }) }),
})

export const bags = calculation({
  name: 'bags',
  says: 'bags, water and strength for one hole',
  source: 'yield and water by the label of the mix; strength by Abrams 1918',
  inputs: {
    concrete: quantity(0, 20, 'm³'),
    mix: keyOf('mix', (tables) => tables.mixes),
    filling: keyOf('way of filling', (tables) => tables.fillings),
    hole,
    post: optionalSection,
  },
  outputs: {
    count: 'whole bags; of cement and ballast together where they are batched by hand',
    exactCount: 'bags',
    water: 'm³ by the label for the whole bags',
    ruleWater: "m³ by the filling's own rule",
    strength: 'Pa at 28 days with the rule’s water',
    batch: 'cement, ballast, water (kg), whole bags and barrow batches, by hand only',
  },
  example: [
    {
      concrete: 0.03489,
      mix: 'post-mix-20',
      filling: 'wet-barrow',
      hole: { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.075 },
      post: { shape: 'rectangle', along: 0.1, across: 0.1 },
    },
    { count: 4, exactCount: 3.489 },
  ],
  run: ({ concrete, mix, filling, hole: shape, post }, tables) => ({
    ...bagOrder(concrete, row(tables.mixes, mix), row(tables.fillings, filling), shape, post),
  }),
})

export const handBatchCalculation = calculation({
  name: 'hand-batch',
  says: 'cement, all-in ballast and water by absolute volume',
  source: 'absolute volume: c/3150 + a/2650 + w/1000 and 2 % air',
  inputs: {
    concrete: quantity(0, 20, 'm³'),
    ratio: quantity(3, 10),
    waterCement: quantity(0.35, 0.9),
    moisture: optional(quantity(0, 0.15), 0.03),
  },
  outputs: {
    cement: 'kg',
    ballast: 'kg as weighed, damp',
    water: 'kg to add',
    bagsCement: 'whole bags of 25 kg',
    bagsBallast: 'whole bags of 25 kg',
  },
  example: [
    { concrete: 0.1, ratio: 6, waterCement: 0.6, moisture: 0 },
    { cement: 27.91, ballast: 191.9, water: 16.74 },
  ],
  run: ({ concrete, ratio, waterCement, moisture }) => ({ ...handBatch(concrete, ratio, waterCement, moisture) }),
})

/** Longest forecast, h: 28 days. */
const LONGEST = 672
const temperature = () => quantity(-40, 60, '°C')

export const settingCalculation = calculation({
  name: 'setting',
  says: 'how far a pour has come, how long it can be worked and when it carries what',
  source:
    'ripeness by ASTM C1074; share of strength by EN 1992-1-1 eq. 3.2; fast mixes and milestones are working values',
  inputs: {
    mix: optional(keyOf('mix', (tables) => tables.mixes)),
    cement: optional(choice(CEMENTS)),
    temperatures: optional(listOf(temperature(), LONGEST)),
    temperature: optional(temperature()),
    hours: optional(quantity(0, LONGEST, 'h')),
  },
  outputs: {
    equivalentAge: 'h at 20 °C',
    share: 'of the 28-day strength at the end',
    workingMinutes: 'minutes from the pour',
    milestones:
      '{ props, boards, gate, frostSafe } in hours from the pour, the last temperature held; null where it never comes, and frostSafe with cement',
    expected: '{ props, boards, gate, frostSafe } as { from, to } in hours: ± 25 % before three days at 20 °C',
  },
  example: [
    { cement: 'normal', temperature: 20, hours: 72 },
    { equivalentAge: 72, share: 0.5982, milestones: { props: 19.87 } },
  ],
  run({ mix, cement, temperatures, temperature: held, hours }, tables) {
    if ((mix === undefined) === (cement === undefined))
      throw new InputError('mix', mix, 'given, or else cement: one of the two')
    if (temperatures === undefined && held === undefined)
      throw new InputError('temperatures', temperatures, 'a list of hourly temperatures, or temperature with hours')
    if (temperatures?.length === 0) throw new InputError('temperatures', temperatures, 'at least one hour')
    const pour = mix === undefined ? cementPour(cement!) : mixPour(row(tables.mixes, mix))
    return {
      ...setting({ ...pour, ...(temperatures ? { temperatures } : { temperatures: [held!], hours: hours ?? 1 }) }),
    }
  },
})

export const supplyCalculation = calculation({
  name: 'supply',
  says: 'barrow, mixer or lorry for a day’s concrete, with the time and cost of each',
  source: 'working values of the yard for each way',
  inputs: { volume: quantity(0, 50, 'm³'), fromLorry: optional(quantity(0, 500, 'm'), 0) },
  outputs: { options: 'list of { key, minutes, cost in minor units, recommended, because }' },
  example: [
    { volume: 0.4 },
    { options: [{ recommended: false }, { key: 'mixer', recommended: true }, { recommended: false }] },
  ],
  run: ({ volume, fromLorry }, tables) => ({ options: supplyOptions(volume, fromLorry, tables.supply) }),
})
