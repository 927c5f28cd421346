import { LIMITS } from '../limits'
import { codeDepth, codeForce } from '../ground/code'
import { momentRotation } from '../ground/curves'
import { findHole } from '../ground/holeFinder'
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
  inputs: { force: quantity(0, 1e6, 'N'), ...codePost },
  outputs: { depth: 'm' },
  run: ({ force, ...post }) => ({ depth: codeDepth(force, post) }),
})

export const codeForceCalculation = calculation({
  name: 'code-force',
  says: 'load that the building-code formula allows at an embedment',
  inputs: { depth: quantity(0.05, 20, 'm'), ...codePost },
  outputs: { force: 'N' },
  run: ({ depth, ...post }) => ({ force: codeForce(depth, post) }),
})

const buriedPost = {
  soil: soilKey,
  saturated: optional(flag(), false),
  ignoredTop: optional(quantity(0, 2, 'm'), 0),
  segments: listOf(
    group({ top: quantity(0, 5, 'm'), bottom: quantity(0.05, 5, 'm'), width: quantity(0.02, 3, 'm') }),
    LIMITS.segments,
  ),
  cohesion: optional(quantity(0, 1e5, 'Pa'), 0),
  height: quantity(0, 10, 'm'),
}

export const postInGround = calculation({
  name: 'post-in-ground',
  says: 'what the ground holds of a rigid post, and how it moves under a force',
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
  run({ soil, force, tolerance, ...rest }, tables) {
    const post = { ...rest, soil: soilWithFigures(soil, tables) }
    const capacity = groundCapacity(post, tolerance)
    if (force === undefined) return { ...capacity }
    const response = groundResponse(post, force)
    return { ...capacity, ...(response ?? { groundMovement: null, rotation: null, residual: null }) }
  },
})

export const momentRotationCalculation = calculation({
  name: 'moment-rotation',
  says: 'moment against rotation, and the rotation that stays, from rest to nearly the limit',
  inputs: { ...buriedPost, points: optional(quantity(2, 500), 40) },
  outputs: { points: 'list of { force N, moment N m, rotation rad, residual rad }' },
  run: ({ soil, points, ...rest }, tables) => ({
    points: momentRotation({ ...rest, soil: soilWithFigures(soil, tables) }, Math.round(points)),
  }),
})

export const findHoleCalculation = calculation({
  name: 'find-hole',
  says: 'the cheapest hole that holds a force, stands below the frost and is within reach, and every diameter with its depth',
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
    perCubicMetre: optional(quantity(0, 1e6), 150),
    perMinute: optional(quantity(0, 1e4), 0.6),
  },
  outputs: {
    best: '{ diameter, footing, depth m, concrete m³, minutes, cost, rule }, null when none holds within reach',
    curve: 'the same for every diameter, with outOfReach, thinCover and holds',
  },
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
