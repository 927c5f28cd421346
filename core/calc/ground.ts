import { codeDepth, codeForce } from '../ground/code'
import { groundCapacity, groundResponse } from '../ground/postInGround'
import { calculation, flag, group, listOf, optional, quantity } from './calculation'
import { soilKey, soilWithFigures } from './fields'

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

export const postInGround = calculation({
  name: 'post-in-ground',
  says: 'what the ground holds of a rigid post, and how it moves under a force',
  inputs: {
    soil: soilKey,
    saturated: optional(flag(), false),
    ignoredTop: optional(quantity(0, 2, 'm'), 0),
    segments: listOf(
      group({ top: quantity(0, 5, 'm'), bottom: quantity(0.05, 5, 'm'), width: quantity(0.02, 3, 'm') }),
      20,
    ),
    height: quantity(0, 10, 'm'),
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
