import { mixed } from 'yup'
import { InputError } from '../errors'
import { typed } from '../schema/fields'
import { finishLevel } from '../setout/finishLevel'
import { jacking, USUAL_SHIM } from '../setout/jack'
import { meshSection } from '../setout/meshSection'
import { pavingCuts } from '../setout/pavingCut'
import { platePoses, type Place } from '../setout/platePose'
import { propForce } from '../setout/propForce'
import { roadsideBox } from '../setout/roadsideBox'
import { panelSpacing } from '../setout/spacing'
import { LIMITS } from '../limits'
import { calculation } from './calculation'
import { choice, flag, group, listOf, optional, quantity, said } from './inputs'

/* What goes on, under and beside a post: props, boxes, plates, jacks, paving, mesh. */

const size = () => quantity(0.005, 5, 'm')
const height = () => quantity(0.05, 12, 'm')

export const propForceCalculation = calculation({
  name: 'prop-force',
  says: 'forces in a raking prop, from a push at its head or from a weight out of plumb',
  source: 'equilibrium at the head and about the foot',
  inputs: {
    horizontal: optional(quantity(0, 1e6, 'N')),
    weight: optional(quantity(0, 1e6, 'N')),
    offset: optional(quantity(0, 5, 'm')),
    head: optional(quantity(0.1, 12, 'm')),
    angle: quantity(0.05, 1.55, 'rad'),
  },
  outputs: { horizontal: 'N', force: 'N along the prop', push: 'N at the foot' },
  example: [
    { weight: 600, offset: 0.12, head: 1.2, angle: Math.PI / 3 },
    { horizontal: 60, force: 120, push: 60 },
  ],
  run({ horizontal, weight, offset, head, angle }) {
    if (horizontal !== undefined) {
      if (weight !== undefined) throw new InputError('weight', weight, 'left out where horizontal is given')
      return { ...propForce({ horizontal }, angle) }
    }
    const given = { weight, offset, head }
    for (const [key, value] of Object.entries(given))
      if (value === undefined) throw new InputError(key, value, 'given, or else horizontal')
    return { ...propForce({ weight: weight!, offset: offset!, head: head! }, angle) }
  },
})

const span = () => quantity(0, 10, 'm')
export const roadsideBoxCalculation = calculation({
  name: 'roadside-box',
  says: 'where the hole of a box by the road is dug, and how high its post stands',
  source: 'set back and height as whoever delivers asks, added up at the post',
  inputs: {
    setBack: span(),
    faceToPost: quantity(0, 3, 'm'),
    slot: span(),
    slotAbovePlate: quantity(0, 3, 'm'),
    higher: optional(quantity(-3, 3, 'm'), 0),
  },
  outputs: { centre: 'm from the kerb', postAboveGround: 'm' },
  example: [
    { setBack: 0.18, faceToPost: 0.25, slot: 1.1, slotAbovePlate: 0.12, higher: 0.1 },
    { centre: 0.43, postAboveGround: 0.88 },
  ],
  run: ({ higher, ...of }) => ({ ...roadsideBox({ ...of, higher: higher ?? 0 }) }),
})

const isPair = (value: unknown): value is Place =>
  Array.isArray(value) && value.length === 2 && value.every((each) => typeof each === 'number' && Number.isFinite(each))
const place = () => said<Place>('[x, y], m', typed(mixed().test('pair', '[x, y], m', isPair).required('[x, y], m')))
const side = () => place()
export const platePoseCalculation = calculation({
  name: 'plate-pose',
  says: 'where a plate goes on a slab with old holes: most sound holes used again, none drilled too near',
  source: 'every crossing of the places at which old holes meet or forbid, four turns; exact',
  inputs: {
    plate: listOf(place(), 12),
    old: listOf(group({ at: place(), diameter: quantity(0.001, 0.1, 'm'), sound: flag() }), 40),
    diameter: quantity(0.002, 0.06, 'm'),
    slab: group({ x: side(), y: side() }),
    edge: quantity(0, 1, 'm'),
    shift: quantity(0, 1, 'm'),
  },
  outputs: { reused: 'most sound holes used again', poses: '[{ x, y, rotation, reused }], m and degrees, best five' },
  example: [
    {
      plate: [
        [-0.04, -0.04],
        [0.04, -0.04],
        [0.04, 0.04],
        [-0.04, 0.04],
      ],
      old: [
        { at: [-0.02, -0.04], diameter: 0.01, sound: true },
        { at: [0.06, -0.04], diameter: 0.01, sound: true },
        { at: [0.06, 0.04], diameter: 0.01, sound: true },
        { at: [-0.02, 0.04], diameter: 0.01, sound: true },
      ],
      diameter: 0.01,
      slab: { x: [-0.3, 0.3], y: [-0.3, 0.3] },
      edge: 0.06,
      shift: 0.03,
    },
    { reused: 4 },
  ],
  run({ plate, old, diameter, slab, edge, shift }) {
    if (plate.length === 0) throw new InputError('plate', plate, 'one hole at least')
    const poses = platePoses({ plate, old, diameter, slab, edge, shift })
    return { reused: poses[0]?.reused ?? 0, poses }
  },
})

export const jackCalculation = calculation({
  name: 'jack',
  says: 'lifting a beam off its post: lift and over-lift, spreader, and where the props stand',
  source: 'load over bearing; over-lift and distance from the dig are working values',
  inputs: {
    load: quantity(0, 1e6, 'N'),
    settled: optional(quantity(0, 0.5, 'm'), 0),
    bedding: quantity(0, 0.2, 'm'),
    shim: optional(quantity(0, 0.1, 'm'), USUAL_SHIM),
    bearing: quantity(1_000, 1e8, 'Pa'),
    digDepth: optional(quantity(0, 5, 'm'), 0),
    angle: optional(quantity(-1, 1, 'rad'), 0),
    stroke: optional(quantity(0, 2, 'm')),
  },
  outputs: {
    overLift: 'm',
    lift: 'm',
    area: 'm²',
    side: 'm, square',
    propsAway: 'm from the dig',
    strokeDoes: 'with stroke',
  },
  example: [
    { load: 6000, settled: 0.02, bedding: 0.01, bearing: 75_000, digDepth: 0.6, stroke: 0.05 },
    { overLift: 0.016, lift: 0.036, area: 0.08, side: Math.sqrt(0.08), propsAway: 0.6, strokeDoes: true },
  ],
  run: ({ settled = 0, shim = USUAL_SHIM, digDepth = 0, angle = 0, ...of }) => ({
    ...jacking({ ...of, settled, shim, digDepth, angle }),
  }),
})

export const pavingCutCalculation = calculation({
  name: 'paving-cut',
  says: 'paving units that a post comes up through, and what is cut out of each',
  source: 'plane geometry of units in rows',
  inputs: {
    along: quantity(0.03, 3, 'm'),
    across: quantity(0.03, 3, 'm'),
    joint: optional(quantity(0, 0.1, 'm'), 0),
    thickness: quantity(0.005, 0.5, 'm'),
    shape: choice(['square', 'round']),
    size: size(),
    x: quantity(-5, 5, 'm'),
    y: quantity(-5, 5, 'm'),
    bladeDepth: quantity(0, 0.5, 'm'),
  },
  outputs: { units: '[{ column, row, cut: { x, y } in its own measure, shape, goes, bothFaces }], m' },
  example: [
    {
      along: 0.4,
      across: 0.4,
      joint: 0.005,
      thickness: 0.04,
      shape: 'square',
      size: 0.12,
      x: 0.2,
      y: 0.4,
      bladeDepth: 0.05,
    },
    {
      units: [
        {
          column: 0,
          row: 0,
          cut: { x: [0.14, 0.26], y: [0.34, 0.4] },
          shape: 'rectangle',
          goes: false,
          bothFaces: true,
        },
        {
          column: 0,
          row: 1,
          cut: { x: [0.14, 0.26], y: [0, 0.055] },
          shape: 'rectangle',
          goes: false,
          bothFaces: true,
        },
      ],
    },
  ],
  run: ({ along, across, joint = 0, thickness, shape, size: wide, x, y, bladeDepth }) => ({
    units: pavingCuts({ along, across, joint, thickness }, { shape, size: wide, x, y }, bladeDepth),
  }),
})

export const meshSectionCalculation = calculation({
  name: 'mesh-section',
  says: 'a section of mesh to a new post: post, rail, diamonds, ties, and whether it is taut',
  source: 'whole diamonds over the opening; stretch and ties are working values',
  inputs: {
    opening: quantity(0.1, 100, 'm'),
    cup: optional(quantity(0, 0.2, 'm'), 0),
    diamond: quantity(0.01, 0.3, 'm'),
    every: quantity(1, 100),
    linePost: height(),
    fitting: optional(quantity(0, 0.5, 'm'), 0),
    slabOver: optional(quantity(-1, 1, 'm'), 0),
    oneSided: optional(flag(), false),
    moves: optional(quantity(0, 1, 'm')),
  },
  outputs: {
    post: 'm over what it stands on',
    rail: 'm',
    diamonds: 'whole',
    mesh: 'm',
    stretch: 'm',
    ties: 'count',
    trussRod: 'wanted',
    tension: 'taut | slack, with moves',
  },
  example: [
    {
      opening: 2.9,
      cup: 0.01,
      diamond: 0.06,
      every: 6,
      linePost: 1.8,
      fitting: 0.05,
      slabOver: 0.1,
      oneSided: true,
      moves: 0.04,
    },
    {
      post: 1.75,
      rail: 2.88,
      diamonds: 48,
      mesh: 2.88,
      stretch: 0.02,
      ties: 7,
      trussRod: true,
      tension: 'slack',
    },
  ],
  run: ({ cup = 0, fitting = 0, slabOver = 0, oneSided = false, ...of }) => ({
    ...meshSection({ ...of, cup, fitting, slabOver, oneSided }),
  }),
})

export const panelSpacingCalculation = calculation({
  name: 'panel-spacing',
  says: 'running readings of post centres for stock panels, clear of obstacles, and the panel that is cut',
  source: 'whole panels from the start, the last one cut; obstacles by moving what is before them',
  inputs: {
    length: quantity(0.3, 2_000, 'm'),
    panel: quantity(0.3, 10, 'm'),
    post: quantity(0.02, 1, 'm'),
    avoid: optional(listOf(group({ at: quantity(0, 20_000, 'm'), clear: quantity(0, 10, 'm') }), LIMITS.obstacles), []),
  },
  outputs: { stations: 'm, middles of posts', last: 'm, the last panel between its posts' },
  example: [
    { length: 5, panel: 1.83, post: 0.1 },
    { stations: [0, 1.93, 3.86, 5], last: 1.04 },
  ],
  run({ length, panel, post, avoid = [] }) {
    const stations = panelSpacing(length, panel + post, avoid)
    const [before, last] = stations.slice(-2)
    return { stations, last: last! - before! - post }
  },
})

export const finishLevelCalculation = calculation({
  name: 'finish-level',
  says: 'level of soil, turf or gravel about a post, so that wood stays clear of it',
  source: 'working values: wood stays 50 mm clear, concrete 25 mm under the finish',
  inputs: { cladding: quantity(0, 2, 'm'), thickness: optional(quantity(0, 0.5, 'm'), 0) },
  outputs: { finish: 'm over the ground as it is, at most', concreteBelow: 'm below the finish' },
  example: [
    { cladding: 0.08, thickness: 0.04 },
    { finish: 0.03, concreteBelow: 0.065 },
  ],
  run: ({ cladding, thickness }) => ({ ...finishLevel(cladding, thickness ?? 0) }),
})
