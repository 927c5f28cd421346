import type { Job, Line, Post, Site } from '../../core/document/job'
import type { Observations } from '../../core/cause/observations'

const stands: Observations = { pushPivot: 'nothing-moves', probeAtGround: 0 }
/** Off plumb across the line, away positive, by a level of 1.2 m. */
const leaning = (offset: number): Observations => ({ ...stands, lean: { offset, over: 1.2, direction: 90 } })
const rotted: Observations = { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03, onset: 'after-storm' }

const timber: Partial<Post> = {
  material: 'treated-softwood',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  length: 2.1,
  ageYears: 11,
  soil: 'firm-clay',
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.55 },
}

/** Where the lane comes in: a double gate that drops, mesh on a slab, and a box by the road. */
export const laneEntrance = (site: Site): Job => ({
  format: 'vindex-job',
  version: 1,
  name: 'Lane entrance, gate and slab',
  site: { ...site, rules: 'halm-lowland' },
  lines: [fence(), mesh(), box()],
})

/** Two rotted posts between old ones that lean a little, and a gate on rising ground. */
function fence(): Line {
  const leaf = { leafWidth: 1.3, leafMass: 38, hingeSpacing: 0.9, leafHeight: 1.4, hingeGap: 0.018, meetingGap: 0.012 }
  const post = (id: string, station: number, groundLevel: number, own: Partial<Post>): Post => ({
    ...timber,
    id,
    station,
    groundLevel,
    ...own,
  })
  return {
    id: 'E',
    name: 'Lane entrance',
    kind: 'close-boarded',
    height: 1.5,
    gap: 0.06,
    length: 14.8,
    remainingYears: 12,
    marks: [
      { id: 'tap-pipe', kind: 'service', service: 'water', station: 0.4, to: 8.6, above: true, keep: true, note: 'clipped along the rails to the tap' },
    ],
    posts: [
      post('E1', 0, 0, { carriesString: true, observations: leaning(0.012) }),
      post('E2', 2.4, -0.03, { observations: rotted, pointedAt: true }),
      post('E3', 4.8, -0.07, { observations: { ...rotted, lean: { offset: -0.05, over: 1.2, direction: 90 } }, pointedAt: true }),
      post('E4', 7.2, -0.06, { observations: leaning(0.028), found: { gapLow: 0.05 } }),
      post('E5', 9.6, -0.05, {
        duty: 'gate-hinge',
        section: { shape: 'rectangle', along: 0.125, across: 0.125 },
        gate: { ...leaf, rise: 0.06, sag: 0.024, openingBottom: 2.652, openingTop: 2.634 },
        observations: { ...stands, onset: 'slowly' },
      }),
      post('E6', 12.38, -0.02, { duty: 'gate-hinge', section: { shape: 'rectangle', along: 0.125, across: 0.125 }, gate: leaf, observations: stands }),
      post('E7', 14.8, 0, {
        carriesString: true,
        hardAgainst: 'paving',
        paving: { along: 0.4, across: 0.4, joint: 0.005, thickness: 0.04, x: 0.2, y: 0.39 },
        observations: stands,
      }),
    ],
  }
}

/** An enclosure of mesh on the slab of the old pump house, whose anchors pulled out at one post. */
function mesh(): Line {
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
  return {
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
}

/** The parcel box of the gardens, at the road. */
function box(): Line {
  return {
    id: 'P',
    name: 'Parcel box',
    kind: 'single',
    height: 1.3,
    posts: [
      {
        ...timber,
        id: 'P1',
        station: 0,
        duty: 'roadside-box',
        box: { width: 0.4, height: 0.35 },
        roadside: { setBack: 0.18, faceToPost: 0.22, slot: 1.1, slotAbovePlate: 0.12, higher: 0.08 },
        observations: { ...rotted },
      },
    ],
  }
}
