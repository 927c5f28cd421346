import type { AnchorPart, FixingPart, PartList, PinPart, PostPart, RepairParts, SpurPart } from '../core/tables/parts'
import { FOOT, INCH } from '../core/units/constants'
import { methodRows } from './methods'

const MPA = 1e6
const SQUARE_MILLIMETRES = 1e-6

const FEET = 'feet-inches'

/* Working values; the maker's figure replaces them. */

const spur: PartList<SpurPart> = {
  name: 'Spur',
  rows: [
    { key: 'spur-75', name: '75 mm spur, 1.0 m', soldIn: 'metric', size: 0.075, length: 1, momentCapacity: 900, mass: 14, lowerFixing: 0.2, upperFixing: 0.42 },
    { key: 'spur-100', name: '100 mm spur, 1.2 m', soldIn: 'metric', size: 0.1, length: 1.2, momentCapacity: 2_000, mass: 29, lowerFixing: 0.22, upperFixing: 0.52 },
    // The same spurs in a market of feet and inches.
    { key: 'spur-3in', name: '3 in spur, 3 ft 4 in', soldIn: FEET, size: 3 * INCH, length: 40 * INCH, momentCapacity: 900, mass: 14, lowerFixing: 8 * INCH, upperFixing: 17 * INCH },
    { key: 'spur-4in', name: '4 in spur, 4 ft', soldIn: FEET, size: 4 * INCH, length: 4 * FOOT, momentCapacity: 2_000, mass: 30, lowerFixing: 9 * INCH, upperFixing: 20 * INCH },
  ],
}

const fixing: PartList<FixingPart> = {
  name: 'Fixings',
  rows: [
    { key: 'bolt-12', name: 'M12 through bolt, 50 mm washer', soldIn: 'metric', kind: 'bolt', diameter: 0.012, washer: 0.05, stressArea: 84.3 * SQUARE_MILLIMETRES, yield: 240 * MPA },
    { key: 'screw-10', name: '10 × 150 coach screw', soldIn: 'metric', kind: 'screw', diameter: 0.01, thread: 0.075 },
    { key: 'bolt-half-inch', name: '1⁄2 in through bolt, 2 in washer', soldIn: FEET, kind: 'bolt', diameter: INCH / 2, washer: 2 * INCH, stressArea: 91.5 * SQUARE_MILLIMETRES, yield: 240 * MPA },
    { key: 'screw-3-8', name: '3⁄8 × 6 in lag screw', soldIn: FEET, kind: 'screw', diameter: 3 * INCH / 8, thread: 3 * INCH },
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
    { key: 'screw-5-16', name: '5⁄16 × 5 in lag screw', soldIn: FEET, kind: 'screw', diameter: 5 * INCH / 16, thread: 2.5 * INCH },
  ],
}

const anchor: PartList<AnchorPart> = {
  name: 'Anchors',
  rows: [
    { key: 'anchor-10x70', name: 'M10 anchor, 70 mm deep', depth: 0.07, tension: 58 * SQUARE_MILLIMETRES * 400 * MPA },
    { key: 'anchor-12x90', name: 'M12 anchor, 90 mm deep', depth: 0.09, tension: 84.3 * SQUARE_MILLIMETRES * 400 * MPA },
  ],
}

export const parts: RepairParts = {
  lists: { spur, fixing, pin, post, 'rail-fixing': railFixing, anchor },
  // L of loam a minute by hand digger, L of old concrete a minute with a breaker, minutes for a bag of 10 L.
  rates: { digging: 3.5, breaking: 0.6, mixingPerBag: 6, placingPerBag: 3 },
  methods: methodRows,
}
