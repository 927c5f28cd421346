import type { Observations } from '../../core/cause/observations'
import type { Job, Line, Post } from '../../core/document/job'
import { beeHedge, nursery, storeVeranda } from './inHand'
import { laneEntrance } from './laneEntrance'
import { orchardSide } from './orchardSide'
import { carPark, orchardRails, tractorGap } from './rails'
import { parcelBox, pumpHouse } from './roadside'
import { fence, gardens, run, stands, timber } from './setting'

/** A morning of autumn. */
const DEMO_DAY = new Date('2026-11-16T09:00:00Z')

/**
 * The jobs of the demo, as the place stands on a day.
 *
 * @param now what is under way is dated from it
 */
export function demoJobs(now = DEMO_DAY): Job[] {
  // The list shows what was written last first.
  return [longBank(), orchardSide(), nursery(now), tractorGap(), parcelBox(), pumpHouse(), laneEntrance(), orchardRails(), carPark(), storeVeranda(now), beeHedge(now), compostYard(), laneSide(), bankSide()]
}

/** A storm-broken close-boarded line with several rotted posts. */
function bankSide(): Job {
  const common: Partial<Post> = {
    ...timber,
    length: 2.4,
    ageYears: 14,
    footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
    observations: stands,
  }
  const rotted = (offset: number): Observations => ({
    lean: { offset, over: 1.2, direction: 0 },
    pushPivot: 'at-ground-line',
    comesUpright: 'easily',
    probeAtGround: 0.03,
    probeBelow: 0.018,
    probeAbove: 0,
    onset: 'after-storm',
  })
  const line: Line = {
    id: 'B',
    name: 'Bank side',
    kind: 'close-boarded',
    height: 1.8,
    gap: 0.05,
    length: 45.6,
    cornerAtStart: false,
    cornerAtEnd: true,
    remainingYears: 8,
    marks: [
      { id: 'lamp-cable', kind: 'service', service: 'electricity', station: 31.4, offset: 0.4, note: 'feeds the lamp at the bowser' },
      { id: 'alder', kind: 'tree', station: 38.9, offset: 1.6, size: 0.22 },
    ],
    posts: run({ letter: 'B', count: 20, bay: 2.4 }, common, {
      4: { observations: { ...rotted(-0.05), footingFound: 'adequate' } },
      7: { observations: { ...rotted(-0.067), breakFace: 'brown-and-crumbly' } },
      8: { observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.014 } },
      9: { observations: {} },
      12: { observations: { pushPivot: 'nothing-moves', probeAtGround: 0.006, lean: { offset: -0.02, over: 1.2, direction: 0 } } },
      13: { observations: rotted(-0.09) },
      17: { footing: { kind: 'unknown' }, observations: { pushPivot: 'footing-moves', comesUpright: 'will-not', probeAtGround: 0, probeBelow: 0.002, onset: 'after-storm', lean: { offset: 0.04, over: 1.2, direction: 0 } } },
      20: { duty: 'corner' },
    }),
  }
  return fence('Bank side after the March storm', gardens, line)
}

/** Sound young posts that tilt in footings that were made too small. */
function laneSide(): Job {
  const small = { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.4 } as const
  const line: Line = {
    id: 'L',
    name: 'Lane side',
    kind: 'panel',
    height: 1.8,
    gap: 0.05,
    length: 20.13,
    cornerAtStart: true,
    cornerAtEnd: false,
    remainingYears: 15,
    levelReference: 1.2,
    // A place in the open sea: the gardens are invented.
    course: [
      [2.05, 54.02],
      [2.0502, 54.02013],
    ],
    marks: [{ id: 'downpipe', kind: 'downpipe', station: 16.2, offset: -0.3 }],
    posts: run(
      { letter: 'L', count: 12, bay: 1.83, fall: 0.035 },
      {
        ...timber,
        length: 2.2,
        ageYears: 3,
        soil: 'medium-sand',
        footing: small,
        observations: stands,
      },
      {
        3: { observations: { pushPivot: 'footing-moves', comesUpright: 'with-force', probeAtGround: 0, footingFound: 'small', onset: 'after-storm', lean: { offset: 0.05, over: 1.2, direction: 0 } } },
        4: { observations: { pushPivot: 'footing-moves', comesUpright: 'will-not', probeAtGround: 0, lean: { offset: 0.06, over: 1.2, direction: 0 } } },
        8: { observations: { pushPivot: 'in-the-soil', probeAtGround: 0, lean: { offset: -0.03, over: 1.2, direction: 0 } }, repair: { method: 'new-post-stone' } },
        11: { duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass: 32, hingeSpacing: 0.9 }, observations: { pushPivot: 'footing-moves', onset: 'slowly' } },
      },
    ),
  }
  return fence('Lane side, small footings', { ...gardens, shelter: 1 }, line)
}

/** A long post-and-rail boundary: 120 posts, most of them sound. */
function longBank(): Job {
  const tired: Observations = { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.028 }
  const changes: Record<number, Partial<Post>> = {}
  for (const number of [9, 23, 24, 47, 71, 72, 73, 98, 115]) changes[number] = { observations: tired }
  for (const number of [15, 31, 58, 90]) changes[number] = { observations: { pushPivot: 'nothing-moves', probeAtGround: 0.007 } }
  for (const number of [36, 64, 105]) changes[number] = { observations: {} }
  const line: Line = {
    id: 'F',
    name: 'Flood bank',
    kind: 'post-and-rail',
    height: 1.2,
    gap: 0.15,
    length: 238,
    remainingYears: 20,
    posts: run(
      { letter: 'F', count: 120, bay: 2 },
      {
        material: 'oak',
        section: { shape: 'rectangle', along: 0.125, across: 0.075 },
        length: 1.8,
        ageYears: 18,
        soil: 'stiff-clay',
        footing: { kind: 'soil' },
        observations: stands,
      },
      changes,
    ),
  }
  return fence('Flood bank, the long boundary', { ...gardens, exposure: 'waterside', shelter: 1 }, line)
}

/** Panels round the compost: one post rotten in a footing that was too small, one that is not yet clear. */
function compostYard(): Job {
  const line: Line = {
    id: 'C',
    name: 'Compost yard',
    kind: 'hit-and-miss',
    height: 1.5,
    gap: 0.05,
    length: 14.4,
    cornerAtStart: true,
    cornerAtEnd: true,
    remainingYears: 10,
    posts: run(
      { letter: 'C', count: 9, bay: 1.8 },
      {
        ...timber,
        length: 2,
        ageYears: 12,
        footing: { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.4 },
        observations: stands,
      },
      {
        3: { observations: { pushPivot: 'footing-moves', comesUpright: 'with-force', probeAtGround: 0.022, tap: 'dull', footingFound: 'small', groundAround: ['heaped-soil', 'gap-beside-post'], onset: 'slowly', lean: { offset: 0.05, over: 1.2, direction: 0 } } },
        5: { observations: { pushPivot: 'in-the-soil', comesUpright: 'with-force', lean: { offset: 0.04, over: 1.2, direction: 0 } }, repair: { method: 'new-post-keyed' } },
        7: { observations: { sideLoad: 'stacked-goods', comesUpright: 'will-not', onset: 'slowly', lean: { offset: -0.06, over: 1.2, direction: 0 } } },
      },
    ),
  }
  return fence('Compost yard', { ...gardens, exposure: 'sheltered' }, line)
}
