import { bagOrder } from '../concrete/bags'
import { handBatch } from '../concrete/handBatch'
import { CEMENTS, cementPour, mixPour, setting } from '../concrete/setting'
import { supplyOptions } from '../concrete/supply'
import { holeVolumes } from '../concrete/volume'
import { InputError } from '../errors'
import { row } from '../tables/tables'
import { boredThrough, soundShell } from '../timber/cuts'
import { sectionProperties } from '../timber/section'
import { calculation, choice, group, keyOf, listOf, optional, quantity, shaped, type Field } from './calculation'
import { hole, section, sectionShapes, soilKey, soilWithFigures } from './fields'
import type { Section, SoftFaces } from '../timber/section'

const soft = quantity(0, 0.5, 'm')
const softFaces = group({ start: soft, end: soft, front: soft, back: soft })
const softWood: Field<number | SoftFaces> = {
  says: `${soft.says} on every face, or ${softFaces.says}`,
  read: (key, value, tables) =>
    typeof value === 'object' && value !== null ? softFaces.read(key, value, tables) : soft.read(key, value, tables),
}

export const sectionCalculation = calculation({
  name: 'section',
  says: 'section properties of a post: sound, with soft wood on its faces (one figure, or face by face), a sound `shell` round a rotten heart, or a hole of `bore` through it across the line',
  inputs: {
    shape: { says: Object.keys(sectionShapes).join(' | '), read: (_key, value) => value },
    along: passed('m'),
    across: passed('m'),
    diameter: passed('m'),
    wall: passed('m'),
    soft: optional(softWood, 0),
    shell: optional(quantity(0.001, 0.5, 'm')),
    bore: optional(quantity(0.001, 0.5, 'm')),
  },
  outputs: {
    modulus: 'm³, bending across the line',
    inertia: 'm⁴',
    modulusAlong: 'm³',
    inertiaAlong: 'm⁴',
    plasticModulus: 'm³',
    area: 'm²',
  },
  run({ soft, shell, bore, ...given }, tables) {
    const read = shaped<Section>(sectionShapes).read('section', given, tables)
    if (bore !== undefined && (soft !== 0 || shell !== undefined))
      throw new InputError('bore', bore, 'given alone: bore the section that is left')
    if (bore !== undefined) return { ...boredThrough(read, bore) }
    return { ...sectionProperties(shell === undefined ? read : soundShell(read, shell), soft) }
  },
})

/** Read by the shape, not by itself. */
function passed(unit: string) {
  return { says: `number, ${unit}, as the shape asks`, read: (_key: string, value: unknown) => value }
}

export const holeVolume = calculation({
  name: 'hole-volume',
  says: 'what a hole takes and gives',
  inputs: {
    hole,
    post: optional(section),
    insets: optional(listOf(quantity(-5, 5, 'm³'), 50), []),
    overdig: optional(quantity(0, 2), 0),
    soil: optional(soilKey, 'firm-clay'),
  },
  outputs: { hole: 'm³ dug', concrete: 'm³', stone: 'm³', spoil: 'm³ loose' },
  run: ({ soil, ...rest }, tables) => ({ ...holeVolumes({ ...rest, ground: soilWithFigures(soil, tables).kind }) }),
})

export const bags = calculation({
  name: 'bags',
  says: 'bags, water and strength for one hole',
  inputs: {
    concrete: quantity(0, 20, 'm³'),
    mix: keyOf('key of a mix', (tables) => tables.mixes),
    filling: keyOf('key of a way of filling', (tables) => tables.fillings),
    hole,
    post: optional(section),
  },
  outputs: {
    count: 'whole bags; of cement and ballast together where they are batched by hand',
    exactCount: 'bags',
    water: 'm³ by the label for the whole bags',
    ruleWater: "m³ by the filling's own rule",
    strength: 'Pa at 28 days with the rule’s water',
    batch: 'cement, ballast, water (kg), whole bags and barrow batches, by hand only',
  },
  run: ({ concrete, mix, filling, hole: shape, post }, tables) => ({
    ...bagOrder(concrete, row(tables.mixes, mix), row(tables.fillings, filling), shape, post),
  }),
})

export const handBatchCalculation = calculation({
  name: 'hand-batch',
  says: 'cement, all-in ballast and water by absolute volume',
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
  run: ({ concrete, ratio, waterCement, moisture }) => ({ ...handBatch(concrete, ratio, waterCement, moisture) }),
})

/** Longest forecast, h: 28 days. */
const LONGEST = 672
const temperature = () => quantity(-40, 60, '°C')

export const settingCalculation = calculation({
  name: 'setting',
  says: 'how far a pour has come, how long it can be worked and when it carries what',
  inputs: {
    mix: optional(keyOf('key of a mix', (tables) => tables.mixes)),
    cement: optional(choice(CEMENTS)),
    temperatures: optional(listOf(temperature(), LONGEST)),
    temperature: optional(temperature()),
    hours: optional(quantity(0, LONGEST, 'h')),
  },
  outputs: {
    equivalentAge: 'h at 20 °C',
    share: 'of the 28-day strength at the end',
    workingMinutes: 'minutes from the pour',
    milestones: '{ props, boards, gate } in hours from the pour, the last temperature held; null where it never comes',
    expected: '{ props, boards, gate } as { from, to } in hours: ± 25 % before three days at 20 °C',
  },
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
  inputs: { volume: quantity(0, 50, 'm³'), fromLorry: optional(quantity(0, 500, 'm'), 0) },
  outputs: { options: 'list of { key, minutes, cost in minor units, recommended, because }' },
  run: ({ volume, fromLorry }, tables) => ({ options: supplyOptions(volume, fromLorry, tables.supply) }),
})
