import fc from 'fast-check'
import { CUT_ORDERS, HUNG_BY, STANDS, STANDING_SHAPES, STRING_SIDES } from '../../core/document/vocabulary'
import { AGREEMENTS } from '../../core/setout/stringGap'
import { STRING_FITS } from '../../core/setout/stringLine'
import { TOP_LINES } from '../../core/setout/topline/topLine'
import { between } from './between'

/* What is set out, as a job file may hold it, with measures missing at random. */

const some = <T>(fields: { [K in keyof T]: fc.Arbitrary<T[K]> }) => fc.record(fields, { requiredKeys: [] })
const place = fc.tuple(between(-1, 1), between(-1, 1))

export const setOutOfLine = some({
  top: fc.constantFrom(...TOP_LINES),
  first: between(0.05, 4),
  last: between(0.05, 4),
  change: between(0, 0.2),
  step: between(0.005, 0.5),
  low: between(0.02, 2),
  side: fc.constantFrom(...STRING_SIDES),
  spacer: between(0, 0.3),
  agree: fc.constantFrom(...AGREEMENTS),
  fit: fc.constantFrom(...STRING_FITS),
  topDetail: between(-0.2, 0.02),
  topAngle: between(0, 1.2),
  cut: fc.constantFrom(...CUT_ORDERS),
  board: between(0.01, 2),
  boardGap: between(0, 0.5),
})

export const setOutOfPost = {
  found: some({ gapLow: between(-1, 1), gapHigh: between(-1, 1), hole: between(0, 17) }),
  stands: fc.constantFrom(...STANDS),
  plate: some({
    holes: fc.array(place, { maxLength: 4 }),
    diameter: between(0.004, 0.06),
    old: fc.array(fc.record({ at: place, diameter: between(0.002, 0.1), sound: fc.boolean() }), { maxLength: 4 }),
    left: between(0, 10),
    right: between(0, 10),
    front: between(0, 10),
    back: between(0, 10),
    edge: between(0, 1),
    shift: between(0, 0.5),
    shims: between(0, 0.1),
    thickness: between(0, 0.1),
  }),
  roadside: some({
    setBack: between(0, 10),
    faceToPost: between(0, 3),
    slot: between(0, 10),
    slotAbovePlate: between(0, 3),
    higher: between(-3, 3),
  }),
  paving: some({
    along: between(0.03, 3),
    across: between(0.03, 3),
    joint: between(0, 0.1),
    thickness: between(0.005, 0.5),
    x: between(0, 3),
    y: between(0, 3),
    free: between(0, 0.3),
    shape: fc.constantFrom(...STANDING_SHAPES),
    bladeDepth: between(0, 0.5),
  }),
  mesh: some({
    opening: between(0.1, 100),
    cup: between(0, 0.2),
    diamond: between(0.01, 0.3),
    every: fc.integer({ min: 1, max: 100 }),
    linePost: between(0.05, 4),
    fitting: between(0, 0.5),
    slabOver: between(-1, 1),
    oneSided: fc.boolean(),
    moves: between(0, 1),
  }),
  propped: some({ head: between(0.1, 6), angle: between(0.1, 1.5), mass: between(0, 5_000), offset: between(0, 2) }),
  jack: some({ settled: between(0, 0.5), bedding: between(0, 0.2), shim: between(0, 0.1), stroke: between(0, 2) }),
}

export const anyGate = some({
  leafWidth: between(0.3, 6),
  leafMass: between(1, 1000),
  hingeSpacing: between(0.1, 3),
  hingeGap: between(0, 0.3),
  latchGap: between(0, 0.3),
  meetingGap: between(0, 0.3),
  hung: fc.constantFrom(...HUNG_BY),
  openingBottom: between(0.3, 12),
  openingTop: between(0.3, 12),
  leafBottom: between(0.3, 6),
  leafTop: between(0.3, 6),
  leafHeight: between(0.3, 4),
  rise: between(-2, 2),
  sag: between(0, 0.5),
})
