import type { FixingPart, PartList, PinPart, RepairParts, SpurPart } from '../core/tables/parts'
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

export const parts: RepairParts = {
  lists: { spur, fixing, pin },
  // L of loam a minute by hand digger, L of old concrete a minute with a breaker, minutes for a bag of 10 L.
  rates: { digging: 3.5, breaking: 0.6, mixingPerBag: 6, placingPerBag: 3 },
  methods: methodRows,
}
