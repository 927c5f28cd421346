import type { Minutes, Pascals } from '../units/types'
import type { Mix } from './bags'
import { handBatchStrength } from './handBatch'

export type Hours = number
export type Celsius = number

/** How a concrete gains strength: by its cement, or as a fast-setting bagged mix. */
export type Hardening = { kind: 'cement'; cement: Cement } | { kind: 'fast'; hard: Minutes }

export const CEMENTS = ['rapid', 'normal', 'slow'] as const
export type Cement = (typeof CEMENTS)[number]

/** s of EN 1992-1-1 eq. 3.2. */
const CEMENT_FACTOR: Record<Cement, number> = { rapid: 0.2, normal: 0.25, slow: 0.38 }
const TWENTY_EIGHT_DAYS: Hours = 28 * 24

/** Share of the 28-day strength of fast-setting mixes by equivalent age; working values. */
const FAST_SHARES: readonly (readonly [age: Hours, share: number])[] = [
  [4, 0.3],
  [24, 0.5],
  [72, 0.65],
  [168, 0.8],
  [TWENTY_EIGHT_DAYS, 1],
]

const GAS_CONSTANT = 8.314
const REFERENCE = 293.15

/**
 * Speed of hardening against 20 °C.
 *
 * @param celsius −50 to 80
 * @returns 0 at or under freezing
 * @source Freiesleben Hansen and Pedersen 1977, as in ASTM C1074
 * @example hardeningRate(5) // 0.293
 * @example hardeningRate(30) // 1.574
 */
export function hardeningRate(celsius: Celsius): number {
  if (celsius <= 0) return 0
  const energy = 33_500 + (celsius < 20 ? 1_470 * (20 - celsius) : 0)
  return Math.exp((energy / GAS_CONSTANT) * (1 / REFERENCE - 1 / (celsius + 273.15)))
}

/**
 * Hours at 20 °C that harden as much as these hours did; the last temperature is held.
 *
 * @example equivalentAge([5], 67.9) // 19.9
 */
export function equivalentAge(temperatures: readonly Celsius[], hours: Hours = temperatures.length): Hours {
  const whole = Math.min(temperatures.length, Math.floor(hours))
  const given = temperatures.slice(0, whole).reduce((sum, celsius) => sum + hardeningRate(celsius), 0)
  return given + (hours - whole) * hardeningRate(temperatures[Math.min(whole, temperatures.length - 1)]!)
}

/**
 * Share of the 28-day strength at an equivalent age.
 *
 * Before three days a rough guide: ± 25 % in time.
 *
 * @source EN 1992-1-1 eq. 3.2; fast mixes by working values, linear in ln t
 * @example strengthShare(19.9, { kind: 'cement', cement: 'normal' }) // 0.30
 */
export function strengthShare(age: Hours, hardening: Hardening): number {
  if (age <= 0) return 0
  if (hardening.kind === 'cement') {
    return Math.exp(CEMENT_FACTOR[hardening.cement] * (1 - Math.sqrt(TWENTY_EIGHT_DAYS / age)))
  }
  const points = fastPoints(hardening.hard)
  if (age <= points[0]![0]) return 0
  for (let i = 1; i < points.length; i++) {
    const [t1, s1] = points[i]!
    if (age > t1) continue
    const [t0, s0] = points[i - 1]!
    return s0 + ((s1 - s0) * Math.log(age / t0)) / Math.log(t1 / t0)
  }
  return 1
}

/** Equivalent age at which a share is reached: the inverse of {@link strengthShare}. */
export function ageOfShare(share: number, hardening: Hardening): Hours {
  if (hardening.kind === 'cement') {
    const root = 1 - Math.log(share) / CEMENT_FACTOR[hardening.cement]
    return TWENTY_EIGHT_DAYS / root ** 2
  }
  const points = fastPoints(hardening.hard)
  const i = Math.max(
    1,
    points.findIndex(([, reached]) => reached >= share),
  )
  const [t0, s0] = points[i - 1]!
  const [t1, s1] = points[i]!
  return t0 * (t1 / t0) ** ((share - s0) / (s1 - s0))
}

const fastPoints = (hard: Minutes) => [[hard / 60, 0] as const, ...FAST_SHARES]

export interface Milestone {
  key: 'props' | 'boards' | 'gate' | 'frostSafe'
  says: string
  share: number
  /** And at least this much strength, Pa. */
  strength?: Pascals
}

/** Concrete must not freeze before it is this strong, after ACI 306, Pa. */
const FROST_PROOF: Pascals = 3.5e6

/** What may be done when. */
export const MILESTONES: readonly Milestone[] = [
  { key: 'props', says: 'props may be loosened', share: 0.3, strength: 3e6 },
  { key: 'boards', says: 'rails and boards back', share: 0.45 },
  { key: 'gate', says: 'gate hung, load on', share: 0.7 },
  // By its strength alone: of concrete whose class is unknown it is not known either.
  { key: 'frostSafe', says: 'frost can do it no harm', share: 0, strength: FROST_PROOF },
]

/**
 * The share of its 28-day strength that a milestone wants of a concrete.
 *
 * @param strength at 28 days, where it is known, Pa
 * @returns null where nothing can be said, or it never gets so strong
 * @example shareWanted(frostSafe, 15e6) // 0.233
 */
export function shareWanted(
  { share, strength: least }: Pick<Milestone, 'share' | 'strength'>,
  strength: Pascals | undefined,
): number | null {
  if (least === undefined) return share
  if (strength === undefined) return share > 0 ? share : null
  const wanted = Math.max(share, least / strength)
  return wanted > 1 ? null : wanted
}

export interface SettingQuestion {
  hardening: Hardening
  stiffens: Minutes
  /** 28-day strength, where it is known, Pa. */
  strength?: Pascals
  /** Of the concrete hour by hour from the pour; the last one is held after it. */
  temperatures: readonly Celsius[]
  /** Hours from the pour that are asked about; as many as there are temperatures unless given. */
  hours?: Hours
}

export interface Setting {
  equivalentAge: Hours
  share: number
  /** Null where it never stiffens: at or under freezing. */
  workingMinutes: Minutes | null
  /** Hours from the pour; null where the last temperature never brings it. */
  milestones: Record<Milestone['key'], Hours | null>
  /** Between which hours each is to be expected. */
  expected: Record<Milestone['key'], { from: Hours; to: Hours } | null>
}

/**
 * How far a pour has come, how long it can be worked, and when it carries what.
 *
 * @example normal cement held at 5 °C: props after 67.9 h
 */
export function setting(question: SettingQuestion): Setting {
  const { hardening, stiffens, strength, temperatures, hours } = question
  const age = equivalentAge(temperatures, hours)
  const stiff = hoursToAge(stiffens / 60, temperatures)
  const reached = MILESTONES.map((milestone) => {
    const wanted = shareWanted(milestone, strength)
    const { key } = milestone
    if (wanted === null) return { key, hours: null, expected: null }
    const ageThen = ageOfShare(wanted, hardening)
    const hoursThen = hoursToAge(ageThen, temperatures)
    return { key, hours: hoursThen, expected: hoursThen === null ? null : expectedBetween(hoursThen, ageThen) }
  })
  return {
    equivalentAge: age,
    share: strengthShare(age, hardening),
    workingMinutes: stiff === null ? null : 60 * stiff,
    milestones: Object.fromEntries(reached.map((each) => [each.key, each.hours])) as Setting['milestones'],
    expected: Object.fromEntries(reached.map((each) => [each.key, each.expected])) as Setting['expected'],
  }
}

/** Hours from the pour until an equivalent age, the last temperature held. */
export function hoursToAge(age: Hours, temperatures: readonly Celsius[]): Hours | null {
  let reached = 0
  for (const [hour, celsius] of temperatures.entries()) {
    const rate = hardeningRate(celsius)
    if (rate > 0 && reached + rate >= age) return hour + (age - reached) / rate
    reached += rate
  }
  const rate = hardeningRate(temperatures[temperatures.length - 1]!)
  return rate > 0 ? temperatures.length + (age - reached) / rate : null
}

/** Before three days the strength curve is a rough guide: share of the time either way. */
const ROUGH_BEFORE: Hours = 72
const ROUGH = 0.25

/**
 * Between which hours a milestone is to be expected.
 *
 * @param age equivalent age at the milestone, h
 * @source EN 1992-1-1 eq. 3.2 is given from three days on; ± 25 % before, a working value
 * @example expectedBetween(67.9, 19.9) // from 50.9 to 84.9 h
 */
export function expectedBetween(hours: Hours, age: Hours): { from: Hours; to: Hours } {
  const rough = age < ROUGH_BEFORE ? ROUGH : 0
  return { from: hours * (1 - rough), to: hours * (1 + rough) }
}

/** Times of ordinary concrete at 20 °C. */
const ORDINARY_STIFFENS: Minutes = 90

/** A pour of ordinary concrete, its class unknown. */
export function cementPour(cement: Cement): Pick<SettingQuestion, 'hardening' | 'stiffens'> {
  return { hardening: { kind: 'cement', cement }, stiffens: ORDINARY_STIFFENS }
}

/** A pour of a mix: one that is hard within the hour is a fast one. */
export function mixPour(mix: Mix): Omit<SettingQuestion, 'temperatures'> {
  const fast = mix.hard < 60
  const hardening: Hardening = fast ? { kind: 'fast', hard: mix.hard } : { kind: 'cement', cement: 'normal' }
  const strength = mix.supply === 'batch' ? handBatchStrength(mix.waterCement) : mix.strength
  return { hardening, stiffens: mix.stiffens, strength }
}

/** Air to ground where only air is forecast: the mean of the 24 h before; a working value. */
export function groundTemperatures(air: readonly Celsius[]): Celsius[] {
  return air.map((_celsius, hour) => {
    const before = air.slice(Math.max(0, hour - 23), hour + 1)
    return before.reduce((sum, celsius) => sum + celsius, 0) / before.length
  })
}
