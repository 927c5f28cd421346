import { leanSlopes, type LeanReading } from '../setout/lean'
import type { ObservationKey, Observations } from './observations'
import { remembered } from '../numeric/remember'
import type { CauseTables, EvidenceRow, PostFact } from './tables'

/** Least likelihood of a value that is physically possible. */
const FLOOR = 0.01

/** One thing that speaks for and against causes: a reading, or what the post is. */
export interface Voice {
  source: ObservationKey | PostFact
  group?: string
  says: string
  /** ln of the likelihood under every cause, in the tables' order. */
  column: readonly number[]
  /** The same where nothing has failed. */
  sound: number
  /** Another post of the same make at which it was seen. */
  from?: string
}

/** What was seen at another post of the same make. */
export interface Heard {
  observation: ObservationKey
  value: unknown
  from: string
}

/**
 * The voices of all readings; blank answers have none.
 *
 * @param heard from other posts: each speaks with the weight that its row carries
 */
export function voicesOf(
  observations: Observations,
  tables: CauseTables,
  isOnPlate = false,
  heard: readonly Heard[] = [],
): Voice[] {
  return [...ownVoices(observations, tables, isOnPlate), ...heard.flatMap((each) => heardVoices(each, tables))]
}

function heardVoices({ observation, value, from }: Heard, tables: CauseTables): Voice[] {
  const { carries = 0 } = tables.evidence.find((row) => row.observation === observation) ?? {}
  return ownVoices({ [observation]: value }, tables, false).map((voice) => ({
    ...voice,
    from,
    says: `from ${from}: ${voice.says}`,
    column: voice.column.map((each) => carries * each),
    sound: carries * voice.sound,
  }))
}

function ownVoices(observations: Observations, tables: CauseTables, isOnPlate: boolean): Voice[] {
  return tables.evidence.flatMap((row) => {
    const reading = observations[row.observation]
    if (reading === undefined) return []
    if (row.logistic) return [logisticVoice(row, numberOf(reading), tables)]
    return valuesOf(reading, row).map((value) => voiceOf(row, value, tables, isOnPlate))
  })
}

/** What is said by one value of a row. */
export function voiceOf(row: EvidenceRow, value: string, tables: CauseTables, isOnPlate = false): Voice {
  return {
    source: row.observation,
    group: row.group,
    says: row.words[value] ?? value,
    column: logLikelihoods(row, value, tables),
    sound: isOnPlate ? logOnPlate(row, value, tables) : logSound(row, value),
  }
}

/** A post on a plate turns there or nowhere. */
function logOnPlate(row: EvidenceRow, value: string, { sound: { onPlate } }: CauseTables): number {
  if (row.observation !== onPlate.observation) return logSound(row, value)
  if (onPlate.instead.includes(value)) return Math.log(FLOOR)
  return value === onPlate.value ? Math.log(onPlate.share) : logSound(row, value)
}

/** ln P(value) on a post in which nothing has failed. */
export const logSound = (row: EvidenceRow, value: string): number => Math.log(Math.max(FLOOR, row.sound[value] ?? 0))

/** Values that a check may come to, with those that tell nothing left out. */
export const outcomesOf = (row: EvidenceRow): string[] =>
  Object.keys(row.usual).filter((value) => !row.silent?.includes(value))

export function valuesOf(reading: unknown, row: EvidenceRow): string[] {
  if (row.bands && typeof reading === 'number') {
    return [
      (row.bands.find(({ upTo }) => upTo !== undefined && reading <= upTo) ?? row.bands[row.bands.length - 1]!).value,
    ]
  }
  // Somebody looked, and there was nothing.
  if (Array.isArray(reading)) return reading.length > 0 ? (reading as string[]) : ['nothing']
  const value = reading as string
  return row.silent?.includes(value) ? [] : [value]
}

/** A lean counts by how far it is off plumb, whichever way. */
function numberOf(reading: unknown): number {
  if (typeof reading === 'number') return reading
  const { along, across } = leanSlopes(reading as LeanReading | LeanReading[])
  return Math.hypot(along, across)
}

function logisticVoice(row: EvidenceRow, reading: number, tables: CauseTables): Voice {
  const { middle, width } = row.logistic!
  const high = 1 / (1 + Math.exp(-(reading - middle) / width))
  const column = tables.causes.map((_cause, i) =>
    Math.log(
      high * Math.exp(logLikelihoods(row, 'high', tables)[i]!) +
        (1 - high) * Math.exp(logLikelihoods(row, 'low', tables)[i]!),
    ),
  )
  const common = { source: row.observation, group: row.group, says: row.words[high >= 0.5 ? 'high' : 'low']! }
  if (row.observation === 'lean') return { ...common, ...asDensity(column, reading, tables) }
  const sound = Math.log(high * (row.sound.high ?? 0) + (1 - high) * (row.sound.low ?? 0))
  return { ...common, column, sound }
}

/**
 * A lean tells a sound post from a failed one by how far it is off plumb, not by a step: densities in its place. Among
 * causes it counts as it did.
 *
 * @source half-normal for sound posts, log-normal with a share of sound ones for failed posts: working values
 */
function asDensity(column: readonly number[], lean: number, { causes, sound }: CauseTables) {
  const { sound: spread, failedSound, failedMedian, failedScatter } = sound.lean
  const upright = (Math.sqrt(2 / Math.PI) / spread) * Math.exp(-((lean / spread) ** 2) / 2)
  // A density over ln needs a lean; under half a millimetre in a metre nobody reads one.
  const read = Math.max(lean, 5e-4)
  const logs = Math.log(read / failedMedian) / failedScatter
  const leaning = Math.exp(-(logs ** 2) / 2) / (read * failedScatter * Math.sqrt(2 * Math.PI))
  const failed = failedSound * upright + (1 - failedSound) * leaning
  const commonness = causes.reduce((sum, { prior }) => sum + prior, 0)
  const mean = column.reduce((sum, each, i) => sum + causes[i]!.prior * Math.exp(each), 0) / commonness
  return {
    column: column.map((each) => each - Math.log(mean) + Math.log(failed)),
    sound: Math.log(Math.max(upright, Number.MIN_VALUE)),
  }
}

/**
 * ln P(value | cause) for every cause in the tables' order, never quite nothing. Worked out once
 * for each value: next checks ask for the same columns hundreds of times.
 */
export function logLikelihoods(row: EvidenceRow, value: string, tables: CauseTables): readonly number[] {
  const ofTables = remembered(columnsOf, tables, () => new Map<EvidenceRow, Map<string, readonly number[]>>())
  const ofRow = remembered(ofTables, row, () => new Map<string, readonly number[]>())
  return remembered(ofRow, value, () =>
    tables.causes.map(({ key }) => {
      const weights = row.byCause[key]?.weights ?? row.usual
      const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0)
      return Math.log(Math.max(row.floor ?? FLOOR, (weights[value] ?? 0) / total))
    }),
  )
}

const columnsOf = new WeakMap<CauseTables, Map<EvidenceRow, Map<string, readonly number[]>>>()

/** A reading that counts as this value: what-if and drawn posts need one. */
export function readingFor(row: EvidenceRow, value: string): unknown {
  if (row.logistic) {
    const { middle, width } = row.logistic
    const number = middle + (value === 'high' ? 3 : -3) * width
    return row.observation === 'lean' ? { offset: Math.max(0, number) * 1.2, over: 1.2, direction: 0 } : number
  }
  if (row.bands) {
    const at = row.bands.findIndex((band) => band.value === value)
    const low = row.bands[at - 1]?.upTo ?? 0
    const high = row.bands[at]!.upTo
    return high === undefined ? low * 1.2 : (low + high) / 2
  }
  if (row.observation === 'groundAround') return value === 'nothing' ? [] : [value]
  return value
}
