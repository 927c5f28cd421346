import { LIMITS } from '../limits'
import { gateOpening } from '../setout/gate'
import { leanOf } from '../setout/lean'
import { prop } from '../setout/prop'
import { panelSpacing, spacing } from '../setout/spacing'
import { STRING_FITS, stringLine, stringSag, supportsFor, whichIsOut } from '../setout/stringLine'
import { calculation } from './calculation'
import { choice, group, listOf, optional, quantity } from './inputs'

const reading = { offset: quantity(-2, 2, 'm'), over: quantity(0.1, 4, 'm') }
const station = () => quantity(0, 20_000, 'm')

export const lean = calculation({
  name: 'lean',
  says: "lean of a post from offsets over a level's length",
  source: 'angle = atan(offset / length); two readings add as a vector',
  inputs: { ...reading, height: quantity(0.1, 12, 'm'), second: optional(group(reading)) },
  outputs: { angle: 'rad', topOffset: 'm', direction: 'rad' },
  example: [
    { offset: 0.03, over: 0.6, height: 1.8 },
    { angle: 0.05, topOffset: 0.09 },
  ],
  run: ({ offset, over, height, second }) => ({ ...leanOf({ offset, over }, height, second) }),
})

export const stringLineCalculation = calculation({
  name: 'string-line',
  says: 'straight line through good posts, and how far each of them misses it',
  source: 'least squares, or the smallest largest miss; one point left out in turn finds the one that is out',
  inputs: {
    points: listOf(group({ station: station(), offset: quantity(-10, 10, 'm') }), 500),
    fit: choice(STRING_FITS),
  },
  outputs: {
    slope: 'm per m',
    intercept: 'm',
    misses: 'm, point minus line',
    out: 'index of the reference post that is itself out, or null',
  },
  example: [
    { points: [0, 0, 0.04, 0, 0].map((offset, station) => ({ station, offset })), fit: 'minimax' },
    { slope: 0, intercept: 0.02, misses: [-0.02, -0.02, 0.02, -0.02, -0.02], out: 2 },
  ],
  run: ({ points, fit }) => ({ ...stringLine(points, fit), out: whichIsOut(points, fit) ?? null }),
})

export const stringSagCalculation = calculation({
  name: 'string-sag',
  says: 'sag of a pulled string',
  source: 'w s²/(8 T): the parabola of a tight string',
  inputs: { span: quantity(0.1, 500, 'm'), massPerMetre: quantity(1e-5, 1, 'kg/m'), pull: quantity(1, 2_000, 'N') },
  outputs: { sag: 'm', supports: 'fewest in between that keep every span within 2 mm' },
  example: [
    { span: 20, massPerMetre: 0.001, pull: 50 },
    { sag: 0.0098, supports: 2 },
  ],
  run({ span, massPerMetre, pull }) {
    const sag = stringSag(span, massPerMetre, pull)
    return { sag, supports: supportsFor(sag) }
  },
})

export const spacingCalculation = calculation({
  name: 'spacing',
  says: 'running tape readings of posts, clear of obstacles',
  source: 'fewest bays, then the smallest largest bay, then the largest smallest; places followed as intervals, exact',
  inputs: {
    length: quantity(0.3, 2_000, 'm'),
    maxBay: quantity(0.3, 10, 'm'),
    avoid: optional(listOf(group({ at: station(), clear: quantity(0, 10, 'm') }), LIMITS.obstacles), []),
    fixedBay: optional(quantity(0.3, 10, 'm')),
  },
  outputs: { stations: 'm' },
  example: [
    { length: 20, maxBay: 2.44, avoid: [{ at: 11.1, clear: 0.4 }] },
    { stations: [0, 2.3, 4.6, 6.9, 9.2, 11.5, 13.625, 15.75, 17.875, 20] },
  ],
  run: ({ length, maxBay, avoid, fixedBay }) => ({
    stations: fixedBay === undefined ? spacing(length, maxBay, avoid) : panelSpacing(length, fixedBay, avoid),
  }),
})

const gap = () => optional(quantity(0, 0.3, 'm'), 0)

export const gateOpeningCalculation = calculation({
  name: 'gate-opening',
  says: 'clear opening and centres of gate posts from measured hardware',
  source: 'leaves and gaps laid end to end',
  inputs: {
    leaves: listOf(quantity(0.3, 6, 'm'), 2),
    hingeGap: gap(),
    latchGap: gap(),
    meetingGap: gap(),
    post: quantity(0.02, 1, 'm'),
  },
  outputs: { opening: 'm', centres: 'm' },
  example: [
    { leaves: [1.2, 1.2], hingeGap: 0.01, meetingGap: 0.015, post: 0.1 },
    { opening: 2.435, centres: 2.535 },
  ],
  run: (hardware) => ({ ...gateOpening(hardware) }),
})

export const propCalculation = calculation({
  name: 'prop',
  says: 'length and foot of a raking prop',
  source: 'plane geometry',
  inputs: {
    height: quantity(0.1, 10, 'm'),
    angle: optional(quantity(0.1, 1.5, 'rad')),
    foot: optional(quantity(0.05, 20, 'm')),
  },
  outputs: { length: 'm', foot: 'm', angle: 'rad' },
  example: [
    { height: 1.2, angle: Math.PI / 3 },
    { length: 1.3856, foot: 0.6928 },
  ],
  run: ({ height, angle, foot }) => ({ ...prop(height, { angle, foot }) }),
})
