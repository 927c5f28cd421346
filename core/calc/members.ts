import { anchorTension, concreteBreakout, thinnestSlab } from '../repair/members/basePlate'
import { formUplift, pierBearing } from '../repair/members/pier'
import { sleevePlay } from '../repair/members/sleeve'
import { beam } from '../timber/beam'
import { fixingFit } from '../repair/fixingFit'
import { measuresIn } from '../units/quantity'
import { calculation } from './calculation'
import { choice, flag, optional, quantity, soilKey, soilWithFigures } from './inputs'

export const sleevePlayCalculation = calculation({
  name: 'sleeve-play',
  says: 'how far a lift-out post rocks in its ground sleeve',
  source: 'two points of contact: rotation 2c/L',
  inputs: {
    clearance: quantity(0, 0.05, 'm'),
    insertion: quantity(0.05, 3, 'm'),
    height: quantity(0, 10, 'm'),
  },
  outputs: { rotation: 'rad each way', topOffset: 'm each way' },
  example: [
    { clearance: 0.001, insertion: 0.5, height: 1 },
    { rotation: 0.004, topOffset: 0.004 },
  ],
  run: ({ clearance, insertion, height }) => ({ ...sleevePlay(clearance, insertion, height) }),
})

export const basePlateCalculation = calculation({
  name: 'base-plate',
  says: 'tension in the anchors of a base plate, and what the slab holds of one of them',
  source: 'equilibrium, lever 0.9 of the way to the compressed edge; breakout after ACI 318-19 §17.6.2, simplified',
  inputs: {
    moment: quantity(0, 1e6, 'N m'),
    anchors: quantity(1, 24),
    anchorsInTension: quantity(1, 24),
    edgeToAnchors: quantity(0.02, 2, 'm'),
    deadLoad: optional(quantity(0, 1e6, 'N'), 0),
    concrete: quantity(5e6, 100e6, 'Pa'),
    depth: quantity(0.02, 0.6, 'm'),
    edge: optional(quantity(0.01, 100, 'm')),
    spacing: optional(quantity(0.02, 100, 'm')),
  },
  outputs: { tension: 'N each', code: 'N, breakout', over: 'N, breakout', thinnestSlab: 'm' },
  example: [
    { moment: 1_000, anchors: 4, anchorsInTension: 2, edgeToAnchors: 0.15, concrete: 25e6, depth: 0.08 },
    { tension: 3704, over: 25_044, thinnestSlab: 0.12 },
  ],
  run: ({ concrete, depth, edge, spacing, ...load }) => ({
    tension: anchorTension(load),
    ...concreteBreakout({ concrete, depth, edge, spacing }),
    thinnestSlab: thinnestSlab(depth),
  }),
})

export const fixingFitCalculation = calculation({
  name: 'fixing-fit',
  says: 'whether a bolt or screw fits its hole and its wood: every rule that is broken and by how much',
  source: 'working values of the trade: hole, grip, bite, edge, end and pilot; see methods',
  inputs: {
    kind: choice(['bolt', 'screw']),
    diameter: quantity(0.002, 0.05, 'm'),
    length: quantity(0.01, 1, 'm'),
    washer: optional(quantity(0, 0.2, 'm'), 0),
    isSelfDrilling: optional(flag(), false),
    coating: optional(choice(['bare', 'plated', 'hot-dip', 'stainless'])),
    hole: quantity(0.002, 0.1, 'm'),
    part: quantity(0, 0.5, 'm'),
    wood: quantity(0.01, 0.5, 'm'),
    isHard: optional(flag(), false),
    isHarsh: optional(flag(), false),
    isOneSided: optional(flag(), false),
    edge: optional(quantity(0, 2, 'm')),
    end: optional(quantity(0, 5, 'm')),
    between: optional(quantity(0, 2, 'm')),
  },
  outputs: {
    fits: 'true or false',
    refusals: 'in words',
    pilot: 'm, null where none is wanted',
    bite: 'm in the wood',
    socket: 'm across the flats, null for a size that is not made',
  },
  example: [
    { kind: 'bolt', diameter: 0.01, length: 0.2, hole: 0.008, part: 0.075, wood: 0.1 },
    { fits: false, pilot: 0.011, socket: 0.016 },
  ],
  run({ kind, diameter, length, washer, isSelfDrilling, coating, ...place }, tables) {
    const fixing = { kind, diameter, length, washer, isSelfDrilling, ...(coating ? { coating } : {}) }
    return { ...fixingFit(place, fixing, measuresIn(tables.units)) }
  },
})

export const beamCalculation = calculation({
  name: 'beam',
  says: 'how far a beam over posts sags, whether it holds, and how many posts it wants between',
  source: '5 w L⁴/(384 E I), M = w L²/8; a post between two such spans takes w L',
  inputs: {
    load: quantity(0, 1e5, 'N/m'),
    width: quantity(0.01, 1, 'm'),
    depth: quantity(0.01, 1.5, 'm'),
    span: quantity(0.1, 20, 'm'),
    bending: optional(quantity(1e5, 1e9, 'Pa'), 7e6),
    stiffness: optional(quantity(1e8, 1e12, 'Pa'), 8e9),
  },
  outputs: {
    sag: 'm',
    stress: 'Pa',
    holds: 'true or false, in bending',
    onPost: 'N on a post between two such spans',
    postsToAdd: 'whole posts, evenly between',
  },
  example: [
    { load: 1_500, width: 0.045, depth: 0.145, span: 2.4 },
    { sag: 0.0071, onPost: 3600, postsToAdd: 1 },
  ],
  run: ({ width, depth, ...rest }) => ({ ...beam({ ...rest, section: { width, depth } }) }),
})

export const pierCalculation = calculation({
  name: 'pier',
  says: 'bearing of a load-bearing pier and the lift on its form; a first look before the licensed one',
  source: 'load over base against working values of bearing; form lifted by wet concrete of 24 kN/m³',
  inputs: {
    load: quantity(0, 1e7, 'N'),
    base: quantity(0.001, 20, 'm²'),
    soil: soilKey,
    formDepth: optional(quantity(0, 5, 'm'), 0),
    taperArea: optional(quantity(0, 10, 'm²'), 0),
  },
  outputs: {
    pressure: 'Pa',
    allowable: 'Pa, null where the soil has no figure',
    holds: 'true or false',
    uplift: 'N on the form',
  },
  example: [
    { load: 6_000, base: 0.0707, soil: 'firm-clay', formDepth: 0.6, taperArea: 0.05 },
    { holds: true, uplift: 720 },
  ],
  run: ({ load, base, soil, formDepth, taperArea }, tables) => ({
    ...pierBearing(load, base, soilWithFigures(soil, tables)),
    uplift: formUplift(formDepth, taperArea),
  }),
})
