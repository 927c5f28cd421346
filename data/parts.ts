import type { AnchorPart, FixingPart, PartList, PinPart, PostPart, RepairParts, SpurPart } from '../core/tables/parts'
import { methodRows } from './methods'

const MPA = 1e6
const SQUARE_MILLIMETRES = 1e-6

/* Working values; the maker's figure replaces them. */

const spur: PartList<SpurPart> = {
  name: 'Spur',
  rows: [
    { key: 'spur-75', name: '75 mm spur, 1.0 m', size: 0.075, length: 1, momentCapacity: 900, mass: 14, lowerFixing: 0.2, upperFixing: 0.42 },
    { key: 'spur-100', name: '100 mm spur, 1.2 m', size: 0.1, length: 1.2, momentCapacity: 2_000, mass: 29, lowerFixing: 0.22, upperFixing: 0.52 },
  ],
}

const fixing: PartList<FixingPart> = {
  name: 'Fixings',
  rows: [
    { key: 'bolt-12', name: 'M12 through bolt, 50 mm washer', kind: 'bolt', diameter: 0.012, washer: 0.05, stressArea: 84.3 * SQUARE_MILLIMETRES, yield: 240 * MPA },
    { key: 'screw-10', name: '10 × 150 coach screw', kind: 'screw', diameter: 0.01, thread: 0.075 },
  ],
}

const pin: PartList<PinPart> = {
  name: 'Pin',
  rows: [
    { key: 'conduit-29', name: '29.5 × 1.45 conduit', section: { shape: 'tube', diameter: 0.0295, wall: 0.00145 }, diameter: 0.0295, yield: 210 * MPA, insertion: 0.3 },
    { key: 'pipe-33', name: '33.4 × 3.38 pipe', section: { shape: 'tube', diameter: 0.0334, wall: 0.00338 }, diameter: 0.0334, yield: 240 * MPA, insertion: 0.3 },
    { key: 'pipe-48', name: '48.3 × 3.68 pipe', section: { shape: 'tube', diameter: 0.0483, wall: 0.00368 }, diameter: 0.0483, yield: 240 * MPA, insertion: 0.3 },
    { key: 'bar-20', name: '20 mm bar', section: { shape: 'round', diameter: 0.02 }, diameter: 0.02, yield: 500 * MPA, insertion: 0.3 },
    { key: 'bar-25', name: '25 mm bar', section: { shape: 'round', diameter: 0.025 }, diameter: 0.025, yield: 500 * MPA, insertion: 0.3 },
  ],
}

const square = (size: number) => ({ shape: 'rectangle', along: size, across: size }) as const
const post: PartList<PostPart> = {
  name: 'New post',
  rows: [
    { key: 'as-it-was', name: 'post of the same section' },
    { key: 'post-75', name: '75 × 75 post', section: square(0.075) },
    { key: 'post-100', name: '100 × 100 post', section: square(0.1) },
    { key: 'post-125', name: '125 × 125 post', section: square(0.125) },
    { key: 'post-150', name: '150 × 150 post', section: square(0.15) },
    { key: 'post-200', name: '200 × 200 post', section: square(0.2) },
  ],
}

const railFixing: PartList<FixingPart> = {
  name: 'Rail fixings',
  rows: [
    { key: 'screw-5x80', name: '5 × 80 screw', kind: 'screw', diameter: 0.005, thread: 0.04 },
    { key: 'screw-6x100', name: '6 × 100 screw', kind: 'screw', diameter: 0.006, thread: 0.055 },
    { key: 'screw-8x120', name: '8 × 120 coach screw', kind: 'screw', diameter: 0.008, thread: 0.065 },
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
