import type { ConditionRow } from '../cause/conditions'
import type { CauseTables } from '../cause/tables'
import type { Filling, Mix } from '../concrete/bags'
import type { SupplyRow } from '../concrete/supply'
import type { DiggingCustoms } from '../ground/customs'
import type { AnySoil } from '../ground/soil'
import type { Exposure, LineKind } from '../wind/fence'
import type { Experience } from '../wind/experience'
import type { Materials } from '../timber/materials'
import type { Resin } from '../concrete/resin'
import type { Station } from '../weather/simulated'
import type { LearntRow } from './learnt'
import type { RepairParts } from './parts'
import type { LengthSystem } from '../units/length'
import type { Metres, MetresPerSecond, Years } from '../units/types'

/** What `plan()` takes for a fact that nobody gave. */
export interface Defaults {
  exposure: Exposure
  shelter: number
  gust50: MetresPerSecond
  frostDepth: Metres
  minimumDepth: Metres
  targetReturnYears: Years
  leanReturnYears: Years
  height: Metres
  gap: Metres
  postSize: Metres
  embedment: Metres
  /** Of a gate leaf that nobody weighed, kg for each square metre, and its width, m. */
  leafMass: number
  leafWidth: Metres
  /** On a single post, m. */
  box: { width: Metres; height: Metres }
  soil: string
  ageYears: Years
  stoneBed: Metres
  fillTop: Metres
  mix: string
  /** Where people or a roof stand on it. */
  carryingMix: string
  filling: string
}

/** What the wind map and the local office say of a place, under one name. */
export interface LocalRules {
  key: string
  name: string
  /** What kind of place it is, for whoever chooses. */
  says: string
  gust50: MetresPerSecond
  frostDepth: Metres
  minimumDepth: Metres
  /** What who delivers asks of a box by the road: its slot over the road, its face from the kerb; least and most. */
  roadside: { slot: readonly [Metres, Metres]; setBack: readonly [Metres, Metres] }
}

/** Every table that the core computes with; a workspace may replace rows. */
export interface Tables {
  soils: readonly AnySoil[]
  materials: Materials
  mixes: readonly Mix[]
  fillings: readonly Filling[]
  supply: readonly SupplyRow[]
  solidity: Record<LineKind, number>
  exposures: Record<Exposure, { name: string; factor: number }>
  parts: RepairParts
  causes: CauseTables
  conditions: readonly ConditionRow[]
  experience: Experience
  localRules: readonly LocalRules[]
  /** What bonds pins and anchors, and has a clock as concrete has. */
  resins: readonly Resin[]
  /** Where the weather is forecast for. */
  stations: readonly Station[]
  /** What people here read and dig in. */
  units: LengthSystem
  digging: DiggingCustoms
  /** What the workspace has learnt and put in use; nothing as shipped. */
  learnt: readonly LearntRow[]
  defaults: Defaults
}

/** @throws Error when a row is missing: tables are checked by their own tests */
export function row<T extends { key: string }>(rows: readonly T[], key: string): T {
  const found = rows.find((candidate) => candidate.key === key)
  if (!found) throw new Error(`no row "${key}"`)
  return found
}
