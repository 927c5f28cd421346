import type { AnchorPart, DowelPart, FixingPart, MenderPart, PartList, PinPart, PostPart, RepairParts, SleevePart, SpurPart, StakePart, StandOffPart, TimberPart } from '../core/tables/parts'
import type { CarriedRow } from '../core/repair/members/carried'
import { FOOT, INCH } from '../core/units/constants'
import { methodRows } from './methods'
import { stepFacts } from './stepFacts'

const MPA = 1e6
const SQUARE_MILLIMETRES = 1e-6

const FEET = 'feet-inches'

/* Working values; the maker's figure replaces them. */

const spur75 = { size: 0.075, length: 1, momentCapacity: 900, mass: 14, lowerFixing: 0.2, upperFixing: 0.42 }
const spur100 = { size: 0.1, length: 1.2, momentCapacity: 2_000, mass: 29, lowerFixing: 0.22, upperFixing: 0.52 }
const spur3in = { size: 3 * INCH, length: 40 * INCH, momentCapacity: 900, mass: 14, lowerFixing: 8 * INCH, upperFixing: 17 * INCH }
const spur4in = { size: 4 * INCH, length: 4 * FOOT, momentCapacity: 2_000, mass: 30, lowerFixing: 9 * INCH, upperFixing: 20 * INCH }

const spur: PartList<SpurPart> = {
  name: 'Spur',
  rows: [
    { key: 'spur-75', name: '75 mm spur, 1.0 m', soldIn: 'metric', ...spur75 },
    { key: 'spur-100', name: '100 mm spur, 1.2 m', soldIn: 'metric', ...spur100 },
    { key: 'spur-75-pair', name: 'pair of 75 mm spurs, 1.0 m, one on each face', soldIn: 'metric', isPair: true, ...spur75 },
    { key: 'spur-100-pair', name: 'pair of 100 mm spurs, 1.2 m, one on each face', soldIn: 'metric', isPair: true, ...spur100 },
    // The same spurs in a market of feet and inches.
    { key: 'spur-3in', name: '3 in spur, 3 ft 4 in', soldIn: FEET, ...spur3in },
    { key: 'spur-4in', name: '4 in spur, 4 ft', soldIn: FEET, ...spur4in },
    { key: 'spur-3in-pair', name: 'pair of 3 in spurs, 3 ft 4 in, one on each face', soldIn: FEET, isPair: true, ...spur3in },
    { key: 'spur-4in-pair', name: 'pair of 4 in spurs, 4 ft, one on each face', soldIn: FEET, isPair: true, ...spur4in },
  ],
}

const fixing: PartList<FixingPart> = {
  name: 'Fixings',
  rows: [
    { key: 'bolt-12', name: 'M12 through bolt, 50 mm washer', soldIn: 'metric', kind: 'bolt', diameter: 0.012, washer: 0.05, stressArea: 84.3 * SQUARE_MILLIMETRES, yield: 240 * MPA },
    { key: 'screw-10', name: '10 × 150 coach screw', soldIn: 'metric', kind: 'screw', diameter: 0.01, thread: 0.075 },
    { key: 'bolt-half-inch', name: '1⁄2 in through bolt, 2 in washer', soldIn: FEET, kind: 'bolt', diameter: INCH / 2, washer: 2 * INCH, stressArea: 91.5 * SQUARE_MILLIMETRES, yield: 240 * MPA },
    { key: 'screw-3-8', name: '3⁄8 × 6 in lag screw', soldIn: FEET, kind: 'screw', diameter: (3 * INCH) / 8, thread: 3 * INCH },
  ],
}

const pin: PartList<PinPart> = {
  name: 'Pin',
  rows: [
    { key: 'conduit-29', name: '29.5 × 1.45 conduit (1 in)', section: { shape: 'tube', diameter: 0.0295, wall: 0.00145 }, diameter: 0.0295, yield: 210 * MPA, insertion: 0.3 },
    { key: 'pipe-33', name: '33.4 × 3.38 pipe (1 in)', section: { shape: 'tube', diameter: 0.0334, wall: 0.00338 }, diameter: 0.0334, yield: 240 * MPA, insertion: 0.3 },
    { key: 'pipe-48', name: '48.3 × 3.68 pipe (1 1⁄2 in)', section: { shape: 'tube', diameter: 0.0483, wall: 0.00368 }, diameter: 0.0483, yield: 240 * MPA, insertion: 0.3 },
    { key: 'bar-20', name: '20 mm bar (3⁄4 in)', section: { shape: 'round', diameter: 0.02 }, diameter: 0.02, yield: 500 * MPA, insertion: 0.3 },
    { key: 'bar-25', name: '25 mm bar (1 in)', section: { shape: 'round', diameter: 0.025 }, diameter: 0.025, yield: 500 * MPA, insertion: 0.3 },
  ],
}

const square = (size: number) => ({ shape: 'rectangle', along: size, across: size }) as const
const post: PartList<PostPart> = {
  name: 'New post',
  rows: [
    { key: 'as-it-was', name: 'post of the same section' },
    { key: 'post-4x4', name: '4 × 4 post, 3 1⁄2 in square', soldIn: FEET, section: square(3.5 * INCH) },
    { key: 'post-5x5', name: '5 × 5 post, 4 1⁄2 in square', soldIn: FEET, section: square(4.5 * INCH) },
    { key: 'post-6x6', name: '6 × 6 post, 5 1⁄2 in square', soldIn: FEET, section: square(5.5 * INCH) },
    { key: 'post-8x8', name: '8 × 8 post, 7 1⁄2 in square', soldIn: FEET, section: square(7.5 * INCH) },
    { key: 'post-75', name: '75 × 75 post', soldIn: 'metric', section: square(0.075) },
    { key: 'post-100', name: '100 × 100 post', soldIn: 'metric', section: square(0.1) },
    { key: 'post-125', name: '125 × 125 post', soldIn: 'metric', section: square(0.125) },
    { key: 'post-150', name: '150 × 150 post', soldIn: 'metric', section: square(0.15) },
    { key: 'post-200', name: '200 × 200 post', soldIn: 'metric', section: square(0.2) },
  ],
}

const railFixing: PartList<FixingPart> = {
  name: 'Rail fixings',
  rows: [
    { key: 'screw-5x80', name: '5 × 80 screw', soldIn: 'metric', kind: 'screw', diameter: 0.005, thread: 0.04 },
    { key: 'screw-6x100', name: '6 × 100 screw', soldIn: 'metric', kind: 'screw', diameter: 0.006, thread: 0.055 },
    { key: 'screw-8x120', name: '8 × 120 coach screw', soldIn: 'metric', kind: 'screw', diameter: 0.008, thread: 0.065 },
    { key: 'screw-no10', name: 'No. 10 × 3 in screw', soldIn: FEET, kind: 'screw', diameter: 0.0048, thread: 1.5 * INCH },
    { key: 'screw-quarter', name: '1⁄4 × 4 in screw', soldIn: FEET, kind: 'screw', diameter: INCH / 4, thread: 2 * INCH },
    { key: 'screw-5-16', name: '5⁄16 × 5 in lag screw', soldIn: FEET, kind: 'screw', diameter: (5 * INCH) / 16, thread: 2.5 * INCH },
  ],
}

const anchor: PartList<AnchorPart> = {
  name: 'Anchors',
  rows: [
    { key: 'anchor-10x70', name: 'M10 anchor, 70 mm deep', depth: 0.07, tension: 58 * SQUARE_MILLIMETRES * 400 * MPA },
    { key: 'anchor-12x90', name: 'M12 anchor, 90 mm deep', depth: 0.09, tension: 84.3 * SQUARE_MILLIMETRES * 400 * MPA },
  ],
}

const mender: PartList<MenderPart> = {
  name: 'Mender',
  rows: [
    { key: 'mender-light', name: 'light pair of side plates, 2 bolts', momentCapacity: 1_200, lowerBolt: 0.1, upperBolt: 0.3, bolt: 0.012 },
    { key: 'mender-heavy', name: 'heavy pair of side plates, 2 bolts', momentCapacity: 2_400, lowerBolt: 0.1, upperBolt: 0.4, bolt: 0.012 },
  ],
}

const sleeve: PartList<SleevePart> = {
  name: 'Sleeve',
  rows: [
    { key: 'sleeve-450', name: 'galvanised sleeve, 450 mm deep', wall: 0.003, insertion: 0.45, clearance: 0.002, yield: 235 * MPA },
    { key: 'sleeve-600', name: 'galvanised sleeve, 600 mm deep', wall: 0.003, insertion: 0.6, clearance: 0.002, yield: 235 * MPA },
  ],
}

const rail: PartList<TimberPart> = {
  name: 'Rail',
  rows: [
    { key: 'rail-38x88', name: '38 × 88 rail', soldIn: 'metric', section: { along: 0.088, across: 0.038 } },
    { key: 'rail-47x100', name: '47 × 100 rail', soldIn: 'metric', section: { along: 0.1, across: 0.047 } },
    { key: 'rail-2x4', name: '2 × 4 rail', soldIn: FEET, section: { along: 3.5 * INCH, across: 1.5 * INCH } },
  ],
}

const prop: PartList<TimberPart> = {
  name: 'Props',
  rows: [
    { key: 'prop-38x88', name: '38 × 88 prop', soldIn: 'metric', section: { along: 0.088, across: 0.038 } },
    { key: 'prop-88', name: '88 × 88 prop', soldIn: 'metric', section: { along: 0.088, across: 0.088 } },
    { key: 'prop-100', name: '100 × 100 prop', soldIn: 'metric', section: { along: 0.1, across: 0.1 } },
    { key: 'prop-150', name: '150 × 150 prop', soldIn: 'metric', section: { along: 0.15, across: 0.15 } },
    { key: 'prop-2x4', name: '2 × 4 prop', soldIn: FEET, section: { along: 3.5 * INCH, across: 1.5 * INCH } },
    { key: 'prop-4x4', name: '4 × 4 prop', soldIn: FEET, section: { along: 3.5 * INCH, across: 3.5 * INCH } },
    { key: 'prop-6x6', name: '6 × 6 prop', soldIn: FEET, section: { along: 5.5 * INCH, across: 5.5 * INCH } },
  ],
}

const standOff: PartList<StandOffPart> = {
  name: 'Stand-off base',
  rows: [
    { key: 'stand-off-100', name: 'stand-off base for a 100 mm post, 25 mm clear', compression: 20_000, uplift: 3_500, lateral: 3_000 },
    { key: 'stand-off-150', name: 'stand-off base for a 150 mm post, 25 mm clear', compression: 35_000, uplift: 6_000, lateral: 5_000 },
  ],
}

const dowel: PartList<DowelPart> = {
  name: 'Dowels',
  rows: [
    { key: 'dowel-12', name: '12 mm ribbed bar, 300 mm', diameter: 0.012, yield: 500 * MPA },
    { key: 'dowel-16', name: '16 mm ribbed bar, 400 mm', diameter: 0.016, yield: 500 * MPA },
  ],
}

const stake: PartList<StakePart> = {
  name: 'Stakes',
  rows: [{ key: 'stake-25', name: '25 mm steel bar, 0.9 m, driven 0.6 m', diameter: 0.025, driven: 0.6 }],
}

/** After the usual residential code; others ask half as much again on decks; snow by hand. */
const carried: readonly CarriedRow[] = [
  { key: 'deck', name: 'a deck', dead: 500, live: 1_900 },
  { key: 'roof', name: 'a roof', dead: 600, live: 1_000 },
  { key: 'pergola', name: 'a pergola', dead: 300, live: 0 },
  { key: 'stairs', name: 'stairs', dead: 500, live: 1_900 },
]

export const parts: RepairParts = {
  lists: { spur, fixing, pin, post, 'rail-fixing': railFixing, anchor, mender, sleeve, rail, prop, 'stand-off': standOff, dowel, stake },
  // L of loam a minute by hand digger, L of old concrete a minute with a breaker, minutes for a bag of 10 L.
  rates: { digging: 3.5, breaking: 0.6, mixingPerBag: 6, placingPerBag: 3, tampingPerLayer: 4, changeover: 20 },
  carried,
  methods: methodRows,
  steps: stepFacts,
}
