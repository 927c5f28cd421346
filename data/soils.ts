import type { AnySoil } from '../core/ground/soil'

const KILOPASCALS = 1_000
const DEGREES = Math.PI / 180
/** 1 psf per foot of depth, Pa/m. */
const PSF_PER_FOOT = 157.09

const clayLateral = 100 * PSF_PER_FOOT
const sandLateral = 150 * PSF_PER_FOOT
const gravelLateral = 200 * PSF_PER_FOOT

/**
 * Soils by field test. Strengths, weights and stiffnesses are presumptive figures for the named
 * consistency; lateral pressures are IBC 2021 Table 1806.2; bearing, digging rates and over-dig are
 * working values against loam dug by hand; so are the apparent cohesions.
 */
export const soils: readonly AnySoil[] = [
  { key: 'soft-clay', name: 'Soft clay', kind: 'clay', fieldTest: 'a thumb goes in easily', unitWeight: 17_000, saturatedUnitWeight: 17_500, cohesion: 20 * KILOPASCALS, depthFactor: 0.5, lateral: clayLateral, bearing: 40 * KILOPASCALS, drySeasonIgnored: 0.15, digging: 1, overdig: 0 },
  { key: 'firm-clay', name: 'Firm clay', kind: 'clay', fieldTest: 'a thumb goes in with effort', unitWeight: 18_000, saturatedUnitWeight: 18_500, cohesion: 40 * KILOPASCALS, depthFactor: 0.25, lateral: clayLateral, bearing: 100 * KILOPASCALS, drySeasonIgnored: 0.15, digging: 1, overdig: 0 },
  { key: 'stiff-clay', name: 'Stiff clay', kind: 'clay', fieldTest: 'a thumb only dents it', unitWeight: 19_000, saturatedUnitWeight: 19_500, cohesion: 80 * KILOPASCALS, depthFactor: 0.25, lateral: clayLateral, bearing: 150 * KILOPASCALS, drySeasonIgnored: 0.15, digging: 1.6, overdig: 0 },
  { key: 'hard-clay', name: 'Hard clay', kind: 'clay', fieldTest: 'a thumbnail only scratches it', unitWeight: 20_000, saturatedUnitWeight: 20_500, cohesion: 150 * KILOPASCALS, depthFactor: 0.25, lateral: clayLateral, bearing: 200 * KILOPASCALS, drySeasonIgnored: 0.15, digging: 1.6, overdig: 0 },
  {
    key: 'loose-sand',
    name: 'Loose sand',
    kind: 'sand',
    fieldTest: 'a 12 mm bar is pushed in by hand',
    unitWeight: 16_000,
    saturatedUnitWeight: 18_500,
    friction: 28 * DEGREES,
    apparentCohesion: 2 * KILOPASCALS,
    stiffnessRate: 4.4e6,
    lateral: sandLateral,
    bearing: 75 * KILOPASCALS,
    drySeasonIgnored: 0,
    digging: 0.8,
    overdig: 0,
  },
  {
    key: 'medium-sand',
    name: 'Medium sand',
    kind: 'sand',
    fieldTest: 'a bar is driven easily by hammer',
    unitWeight: 18_000,
    saturatedUnitWeight: 19_500,
    friction: 32 * DEGREES,
    apparentCohesion: 2 * KILOPASCALS,
    stiffnessRate: 13.2e6,
    lateral: sandLateral,
    bearing: 150 * KILOPASCALS,
    drySeasonIgnored: 0,
    digging: 0.8,
    overdig: 0,
  },
  {
    key: 'dense-sand',
    name: 'Dense sand',
    kind: 'sand',
    fieldTest: 'a bar goes 30 mm per hard blow at most',
    unitWeight: 19_000,
    saturatedUnitWeight: 20_500,
    friction: 36 * DEGREES,
    apparentCohesion: 3 * KILOPASCALS,
    stiffnessRate: 35.2e6,
    lateral: sandLateral,
    bearing: 200 * KILOPASCALS,
    drySeasonIgnored: 0,
    digging: 0.8,
    overdig: 0,
  },
  { key: 'gravel', name: 'Gravel', kind: 'sand', fieldTest: 'a pick is needed', unitWeight: 20_000, saturatedUnitWeight: 21_500, friction: 38 * DEGREES, apparentCohesion: 2 * KILOPASCALS, stiffnessRate: 40e6, lateral: gravelLateral, bearing: 250 * KILOPASCALS, drySeasonIgnored: 0, digging: 2.5, overdig: 0.1 },
  {
    key: 'made-ground',
    name: 'Made ground',
    kind: 'sand',
    fieldTest: 'topsoil or garden fill, under 1 m of it',
    unitWeight: 15_000,
    saturatedUnitWeight: 17_000,
    friction: 26 * DEGREES,
    apparentCohesion: 4 * KILOPASCALS,
    stiffnessRate: 3e6,
    lateral: null,
    bearing: null,
    drySeasonIgnored: 0.15,
    digging: 1,
    overdig: 0.1,
  },
  { key: 'peat', name: 'Peat', kind: 'none', fieldTest: 'dark, fibrous, springs under the boot', advice: 'Peat gives no reliable hold: ask an engineer.' },
  { key: 'deep-fill', name: 'Deep fill', kind: 'none', fieldTest: 'more than 1 m of tipped ground', advice: 'Deep fill gives no reliable hold: ask an engineer.' },
  { key: 'rock', name: 'Rock', kind: 'none', fieldTest: 'the bar rings and bounces', advice: 'In rock a drilled socket holds the post: ask an engineer for its depth.' },
]
