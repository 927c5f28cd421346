import type { Job, Line, Post } from '../../core/document/job'
import { fence, gardens, rotted, timber } from './setting'

/** An enclosure of mesh on the slab of the old pump house, whose anchors pulled out at one post. */
export function pumpHouse(): Job {
  const steel: Partial<Post> = {
    material: 'steel',
    section: { shape: 'tube', diameter: 0.06, wall: 0.003 },
    length: 1.8,
    ageYears: 9,
    soil: 'firm-clay',
    duty: 'plate-mounted',
    footing: { kind: 'plate' },
    slab: { thickness: 0.12, sound: true, edge: 0.14 },
    observations: { pushPivot: 'nothing-moves' },
  }
  const line: Line = {
    id: 'M',
    name: 'Pump slab',
    kind: 'mesh',
    height: 1.8,
    length: 5.8,
    remainingYears: 15,
    posts: [
      { ...steel, id: 'M1', station: 0 },
      {
        ...steel,
        id: 'M2',
        station: 2.9,
        observations: { pushPivot: 'at-plate' },
        mesh: { opening: 2.84, diamond: 0.05, fitting: 0.05, slabOver: 0.06, cup: 0.012 },
        plate: {
          diameter: 0.012,
          front: 0.14,
          thickness: 0.008,
          old: [
            { at: [-0.028, -0.04], diameter: 0.012, sound: true },
            { at: [0.052, -0.04], diameter: 0.012, sound: true },
            { at: [0.052, 0.04], diameter: 0.012, sound: true },
            { at: [-0.028, 0.04], diameter: 0.012, sound: true },
            { at: [0.012, 0.1], diameter: 0.012, sound: false },
          ],
        },
      },
      { ...steel, id: 'M3', station: 5.8 },
    ],
  }
  return fence('Pump house, mesh on the slab', { ...gardens, rules: 'halm-lowland' }, line)
}

/** The parcel box of the gardens, at the road. */
export function parcelBox(): Job {
  const line: Line = {
    id: 'P',
    name: 'Parcel box',
    kind: 'single',
    height: 1.3,
    posts: [
      {
        ...timber,
        id: 'P1',
        station: 0,
        length: 2.1,
        ageYears: 11,
        footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.55 },
        duty: 'roadside-box',
        box: { width: 0.4, height: 0.35 },
        roadside: { setBack: 0.18, faceToPost: 0.22, slot: 1.1, slotAbovePlate: 0.12, higher: 0.08 },
        observations: rotted,
      },
    ],
  }
  return fence('Parcel box at the road', { ...gardens, rules: 'halm-lowland' }, line)
}
