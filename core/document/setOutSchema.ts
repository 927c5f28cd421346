import { array, mixed } from 'yup'
import { LIMITS } from '../limits'
import { choice, flag, listOfAtMost, needed, part, quantity, record, typed } from '../schema/fields'
import type { Place } from '../setout/platePose'
import { STRING_FITS } from '../setout/stringLine'
import { AGREEMENTS } from '../setout/stringGap'
import { TOP_LINES } from '../setout/topline/topLine'
import { CUT_ORDERS, HUNG_BY, STANDS, STANDING_SHAPES, STRING_SIDES } from './vocabulary'

/* What is set out: of the line once, of a post where it stands, of what goes on and round it. */

const height = () => quantity(0.05, 12, 'm')
const span = () => quantity(0, 10, 'm')

/** How a line is set out. */
export const lineSetOutSchema = part({
  top: choice(TOP_LINES),
  /** Heights over the ground at the two ends of a straight top. */
  first: height(),
  last: height(),
  /** Of slope from bay to bay that a following top may have. */
  change: quantity(0, 1, 'm per m'),
  step: quantity(0.005, 0.5, 'm'),
  /** The lower string over the ground where it is held. */
  low: quantity(0.02, 2, 'm'),
  side: choice(STRING_SIDES),
  spacer: quantity(0, 0.3, 'm'),
  agree: choice(AGREEMENTS),
  fit: choice(STRING_FITS),
  /** A post's top under the string, negative above it. */
  topDetail: quantity(-1, 1, 'm'),
  /** Of a sloping top, rad. */
  topAngle: quantity(0, 1.2, 'rad'),
  cut: choice(CUT_ORDERS),
  board: quantity(0.01, 2, 'm'),
  boardGap: quantity(0, 0.5, 'm'),
})

/** What the tape showed at a post: gaps to the two strings, and from the lower one to the bottom of the hole. */
export const foundSchema = part({
  gapLow: quantity(-1, 1, 'm'),
  gapHigh: quantity(-1, 1, 'm'),
  hole: quantity(0, 17, 'm'),
})
export const standsSchema = choice(STANDS)

const gap = () => quantity(0, 0.3, 'm')
export const gateSchema = record({
  leafWidth: quantity(0.3, 6, 'm'),
  leafMass: quantity(1, 1000, 'kg'),
  hingeSpacing: quantity(0.1, 3, 'm'),
  /** Measured on the hardware that is there. */
  hingeGap: gap(),
  latchGap: gap(),
  meetingGap: gap(),
  /** The opening is set to the leaf, or the leaf ordered to the opening. */
  hung: choice(HUNG_BY),
  /** Clear between the posts, measured at their feet and at their tops. */
  openingBottom: quantity(0.3, 12, 'm'),
  openingTop: quantity(0.3, 12, 'm'),
  /** The leaf's own widths, where it is not square any more. */
  leafBottom: quantity(0.3, 6, 'm'),
  leafTop: quantity(0.3, 6, 'm'),
  leafHeight: quantity(0.3, 4, 'm'),
  /** Of the ground across the swing, over the whole leaf. */
  rise: quantity(-2, 2, 'm'),
  /** Of the latch side. */
  sag: quantity(0, 0.5, 'm'),
})

const isPlace = (value: unknown) =>
  Array.isArray(value) && value.length === 2 && value.every((each) => typeof each === 'number' && Math.abs(each) <= 2)
const place = () => typed<Place>(mixed().test('place', '[x, y] within 2 m', isPlace).required('[x, y] within 2 m'))

/** A plate on a slab with old holes; all places about the wanted middle of the post. */
export const plateSchema = part({
  holes: array(place()).strict().typeError('a list of places').max(LIMITS.plateHoles, `at most ${LIMITS.plateHoles}`),
  diameter: quantity(0.004, 0.06, 'm'),
  old: listOfAtMost(
    LIMITS.oldHoles,
    'holes',
    record({ at: place(), diameter: needed(0.002, 0.1, 'm'), sound: flag() }),
  ),
  /** From the wanted middle to the slab's edges. */
  left: span(),
  right: span(),
  front: span(),
  back: span(),
  edge: quantity(0, 1, 'm'),
  shift: quantity(0, 0.5, 'm'),
  /** Under the plate, and its own thickness. */
  shims: quantity(0, 0.1, 'm'),
  thickness: quantity(0, 0.1, 'm'),
})

export const roadsideSchema = part({
  setBack: span(),
  faceToPost: quantity(0, 3, 'm'),
  slot: span(),
  slotAbovePlate: quantity(0, 3, 'm'),
  higher: quantity(-3, 3, 'm'),
})

/** Paving that a post comes up through; its middle from the corner of one unit. */
export const pavingSchema = part({
  along: quantity(0.03, 3, 'm'),
  across: quantity(0.03, 3, 'm'),
  joint: quantity(0, 0.1, 'm'),
  thickness: quantity(0.005, 0.5, 'm'),
  x: quantity(0, 3, 'm'),
  y: quantity(0, 3, 'm'),
  free: quantity(0, 0.3, 'm'),
  shape: choice(STANDING_SHAPES),
  bladeDepth: quantity(0, 0.5, 'm'),
})

export const meshSchema = part({
  opening: quantity(0.1, 100, 'm'),
  cup: quantity(0, 0.2, 'm'),
  diamond: quantity(0.01, 0.3, 'm'),
  every: quantity(1, 100),
  linePost: height(),
  fitting: quantity(0, 0.5, 'm'),
  slabOver: quantity(-1, 1, 'm'),
  oneSided: flag(),
  moves: quantity(0, 1, 'm'),
})

/** A raking prop to a post or panel that leans on it. */
export const proppedSchema = part({
  head: quantity(0.1, 6, 'm'),
  angle: quantity(0.1, 1.5, 'rad'),
  /** Of what leans, and how far its centre is out of plumb. */
  mass: quantity(0, 5_000, 'kg'),
  offset: quantity(0, 2, 'm'),
})

export const jackSchema = part({
  settled: quantity(0, 0.5, 'm'),
  bedding: quantity(0, 0.2, 'm'),
  shim: quantity(0, 0.1, 'm'),
  stroke: quantity(0, 2, 'm'),
})
