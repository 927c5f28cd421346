import { InputError } from '../errors'
import type { Ground } from '../ground/strata'
import { LIMITS } from '../limits'
import type { Tables } from '../tables/tables'
import { codeDepth, codeForce } from '../ground/code'
import { momentRotation } from '../ground/curves'
import { findHole, USUAL_WEIGHTS } from '../ground/holeFinder'
import { groundCapacity, groundResponse } from '../ground/postInGround'
import { calculation } from './calculation'
import { flag, group, listOf, optional, quantity, section, soilKey, soilWithFigures } from './inputs'

const codePost = {
  height: quantity(0, 10, 'm'),
  width: quantity(0.02, 3, 'm'),
  lateral: quantity(1_000, 1_000_000, 'Pa/m'),
  isolated: optional(flag(), true),
}

export const codeDepthCalculation = calculation({
  name: 'code-depth',
  says: 'embedment that the building-code formula asks for; `lateral` is undoubled',
  source: 'IBC 2021 §1807.3.2.1, unrestrained, solved for the depth',
  inputs: { force: quantity(0, 1e6, 'N'), ...codePost },
  outputs: { depth: 'm' },
  example: [{ force: 2544, height: 0.914, width: 0.254, lateral: 15_709 }, { depth: 1.8547 }],
  run: ({ force, ...post }) => ({ depth: codeDepth(force, post) }),
})

export const codeForceCalculation = calculation({
  name: 'code-force',
  says: 'load that the building-code formula allows at an embedment',
  source: 'IBC 2021 §1807.3.2.1, solved for the load',
  inputs: { depth: quantity(0.05, 20, 'm'), ...codePost },
  outputs: { force: 'N' },
  example: [{ depth: 0.76, height: 0.94, width: 0.25, lateral: 23_563 }, { force: 412.8 }],
  run: ({ depth, ...post }) => ({ force: codeForce(depth, post) }),
})

const layer = { bottom: quantity(0.01, 20, 'm'), soil: soilKey, saturated: optional(flag()) }

/** A post in its ground: of one soil, or in layers. */
export const buriedPost = {
  soil: soilKey,
  saturated: optional(flag(), false),
  layers: optional(listOf(group(layer), LIMITS.layers)),
  ignoredTop: optional(quantity(0, 2, 'm'), 0),
  segments: listOf(
    group({ top: quantity(0, 5, 'm'), bottom: quantity(0.05, 5, 'm'), width: quantity(0.02, 3, 'm') }),
    LIMITS.segments,
  ),
  cohesion: optional(quantity(0, 1e5, 'Pa'), 0),
  height: quantity(0, 10, 'm'),
}

interface GivenGround {
  soil: string
  saturated: boolean
  cohesion: number
  layers?: readonly { bottom: number; soil: string; saturated?: boolean }[] | undefined
}

/** @throws InputError for a soil that has no figure, and for layers that do not go down */
export function groundOf({ soil, saturated, cohesion, layers }: GivenGround, tables: Tables): Ground {
  const plain = { soil: soilWithFigures(soil, tables), saturated, cohesion }
  if (!layers || layers.length === 0) return plain
  const upwards = layers.findIndex(({ bottom }, i) => bottom <= (layers[i - 1]?.bottom ?? 0))
  if (upwards >= 0)
    throw new InputError(`layers[${upwards}].bottom`, layers[upwards]!.bottom, 'deeper than the layer above ends')
  return {
    ...plain,
    layers: layers.map((each) => ({
      bottom: each.bottom,
      soil: soilWithFigures(each.soil, tables),
      saturated: each.saturated ?? saturated,
      cohesion,
    })),
  }
}

export const postInGround = calculation({
  name: 'post-in-ground',
  says: 'what the ground holds of a rigid post, and how it moves under a force',
  source: 'clay: Matlock 1970; sand: Broms 1964; rigid post on hyperbolic springs',
  inputs: {
    ...buriedPost,
    tolerance: optional(quantity(1e-4, 0.2, 'rad'), 1 / 120),
    force: optional(quantity(0, 1e6, 'N')),
  },
  outputs: {
    over: 'N',
    lean: 'N',
    code: 'N, null where the code gives no pressure',
    pivot: 'm',
    groundMovement: 'm, with force; null at or over the limit',
    rotation: 'rad, with force',
    residual: 'rad, with force',
  },
  example: [
    { soil: 'firm-clay', segments: [{ top: 0, bottom: 0.6, width: 0.25 }], height: 0.94, force: 1_000 },
    { over: 1737, lean: 1052, code: 148.8, groundMovement: 0.0038, rotation: 0.0113 },
  ],
  run({ force, tolerance, height, segments, ignoredTop, ...ground }, tables) {
    const post = { height, segments, ignoredTop, ...groundOf(ground, tables) }
    const capacity = groundCapacity(post, tolerance)
    if (force === undefined) return { ...capacity }
    const response = groundResponse(post, force)
    return { ...capacity, ...(response ?? { groundMovement: null, rotation: null, residual: null }) }
  },
})

export const momentRotationCalculation = calculation({
  name: 'moment-rotation',
  says: 'moment against rotation, and the rotation that stays, from rest to nearly the limit',
  source: 'the rigid post of post-in-ground, unloaded along its first stiffness',
  inputs: { ...buriedPost, points: optional(quantity(2, 500), 40) },
  outputs: { points: 'list of { force N, moment N m, rotation rad, residual rad }' },
  example: [
    { soil: 'firm-clay', segments: [{ top: 0, bottom: 0.6, width: 0.25 }], height: 0.94, points: 3 },
    { points: [{ moment: 0 }, { moment: 1200 }, { moment: 1600 }] },
  ],
  run: ({ points, height, segments, ignoredTop, ...ground }, tables) => ({
    points: momentRotation({ height, segments, ignoredTop, ...groundOf(ground, tables) }, Math.round(points)),
  }),
})

export const findHoleCalculation = calculation({
  name: 'find-hole',
  says: 'the cheapest hole that holds a force, stands below the frost and is within reach, and every diameter with its depth',
  source:
    'every diameter by the rules of depth, the cheapest that is within reach; prices and minutes are working values',
  inputs: {
    soil: soilKey,
    saturated: optional(flag(), false),
    ignoredTop: optional(quantity(0, 2, 'm'), 0.15),
    force: quantity(0, 1e5, 'N'),
    height: quantity(0, 10, 'm'),
    post: section,
    postLength: optional(quantity(0.3, 12, 'm'), 2.4),
    frostDepth: quantity(0, 3, 'm'),
    minimumDepth: quantity(0, 3, 'm'),
    stoneBed: optional(quantity(0, 1, 'm'), 0.1),
    fillTop: optional(quantity(-0.2, 0.5, 'm'), 0.075),
    diameters: listOf(quantity(0.1, 2, 'm'), 40),
    reach: quantity(0.2, 4, 'm'),
    perCubicMetre: optional(quantity(0, 1e6), USUAL_WEIGHTS.perCubicMetre),
    perMinute: optional(quantity(0, 1e4), USUAL_WEIGHTS.perMinute),
  },
  outputs: {
    best: '{ diameter, footing, depth m, concrete m³, minutes, cost, rule }, null when none holds within reach',
    curve: 'the same for every diameter, with outOfReach, thinCover and holds',
  },
  example: [
    {
      soil: 'firm-clay',
      force: 1_200,
      height: 0.94,
      post: { shape: 'rectangle', along: 0.1, across: 0.1 },
      frostDepth: 0.45,
      minimumDepth: 0.6,
      diameters: [0.25, 0.3, 0.4],
      reach: 1.2,
    },
    { best: { diameter: 0.25, footing: 0.7, depth: 0.8 } },
  ],
  run(input, tables) {
    const { post, stoneBed, fillTop, diameters, reach, perCubicMetre, perMinute, ...question } = input
    const soil = soilWithFigures(input.soil, tables)
    const { digging, mixingPerBag, placingPerBag } = tables.parts.rates
    return {
      ...findHole(
        { ...question, soil, width: 0 },
        post,
        stoneBed,
        fillTop,
        { diameters, reach },
        {
          digging: digging / soil.digging,
          // The rates speak of bags of ten litres.
          pouring: (mixingPerBag + placingPerBag) / 10,
          perCubicMetre,
          perMinute,
        },
      ),
    }
  },
})
