import type { Tables } from '../core/tables/tables'
import { METRIC_CUSTOMS } from '../core/ground/customs'
import type { LengthSystem } from '../core/units/length'
import { conditions } from './conditions'
import { inUnits } from './customs'
import { diagnosis } from './diagnosis'
import { localRules } from './localRules'
import { materials } from './materials'
import { fillings, mixes } from './mixes'
import { parts } from './parts'
import { resins } from './resins'
import { soils } from './soils'
import { stations } from './stations'
import { supply } from './supply'

/** The product's own working values: shown as such, replaceable for a workspace and for a job. */
export const tables: Tables = {
  soils,
  materials,
  mixes,
  fillings,
  supply,
  parts,
  causes: diagnosis,
  conditions,
  // Solid area over gross area.
  solidity: { 'close-boarded': 1, panel: 1, 'hit-and-miss': 0.85, picket: 0.55, 'post-and-rail': 0.3, mesh: 0.15, vinyl: 1, single: 1 },
  // Kz at fence height, ASCE/SEI 7-16 Table 26.10-1.
  exposures: {
    sheltered: { name: 'Sheltered: houses, trees', factor: 0.57 },
    open: { name: 'Open country', factor: 0.85 },
    waterside: { name: 'Waterside', factor: 1.03 },
  },
  localRules,
  resins,
  stations,
  // Calibrated: the standard fence stands plumb for 12 to 15 years in its median; see docs/how-it-computes.md.
  experience: { ground: 0.4, part: 0.65 },
  units: 'metric',
  learnt: [],
  digging: METRIC_CUSTOMS,
  defaults: {
    exposure: 'sheltered',
    shelter: 1,
    gust50: 38,
    frostDepth: 0.45,
    minimumDepth: 0.6,
    targetReturnYears: 50,
    leanReturnYears: 10,
    height: 1.8,
    gap: 0.05,
    postSize: 0.1,
    embedment: 0.6,
    leafMass: 22,
    leafWidth: 1,
    box: { width: 0.35, height: 0.4 },
    soil: 'firm-clay',
    ageYears: 8,
    stoneBed: 0,
    fillTop: 0.05,
    mix: 'post-mix-20',
    carryingMix: 'general-20',
    filling: 'wet-barrow',
  },
}

/** The tables as they are where people read these units: their tools, their bags, their sticks. */
export const tablesIn: Record<LengthSystem, Tables> = { metric: tables, 'feet-inches': inUnits(tables, 'feet-inches') }
