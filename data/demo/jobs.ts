import type { Job, Line, Post, Site } from '../../core/document/job'
import { laneEntrance as entrance } from './laneEntrance'
import { orchardSide } from './orchardSide'
import type { Observations } from '../../core/cause/observations'

/* An invented place: the allotment gardens of Sedgewater on the Halm flood bank. */

const site: Site = {
  name: 'Sedgewater Allotment Society',
  exposure: 'open',
  shelter: 0.7,
  gust50: 38,
  frostDepth: 0.45,
  minimumDepth: 0.6,
  targetReturnYears: 50,
  season: 'wet',
  place: 'bank',
}

const stands: Observations = { pushPivot: 'nothing-moves', probeAtGround: 0 }

/** Posts at equal bays; `changes` by number of the post, counted from 1; the ground falls by `fall` from post to post. */
function run(letter: string, count: number, bay: number, common: Partial<Post>, changes: Record<number, Partial<Post>>, fall = 0): Post[] {
  return Array.from({ length: count }, (_, i) => ({
    id: `${letter}${i + 1}`,
    station: Math.round(i * bay * 1e3) / 1e3,
    ...(fall > 0 ? { groundLevel: 0 - Math.round(i * fall * 1e3) / 1e3 } : {}),
    ...common,
    ...changes[i + 1],
  }))
}

export function demoJobs(): Job[] {
  // The list shows what was written last first.
  return [longBank(), orchard(), laneEntrance(), storeVeranda(), compostYard(), laneSide(), bankSide()]
}

const laneEntrance = () => entrance(site)
const orchard = () => orchardSide(site)

/** A storm-broken close-boarded line with several rotted posts. */
function bankSide(): Job {
  const common: Partial<Post> = {
    material: 'treated-softwood',
    section: { shape: 'rectangle', along: 0.1, across: 0.1 },
    length: 2.4,
    ageYears: 14,
    soil: 'firm-clay',
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
    posts: run('B', 20, 2.4, common, {
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
  return { format: 'vindex-job', version: 1, name: 'Bank side after the March storm', site, lines: [line] }
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
    course: [[2.05, 54.02], [2.0502, 54.02013]],
    marks: [{ id: 'downpipe', kind: 'downpipe', station: 16.2, offset: -0.3 }],
    posts: run('L', 12, 1.83, {
      material: 'treated-softwood',
      section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      length: 2.2,
      ageYears: 3,
      soil: 'medium-sand',
      footing: small,
      observations: stands,
    }, {
      3: { observations: { pushPivot: 'footing-moves', comesUpright: 'with-force', probeAtGround: 0, footingFound: 'small', onset: 'after-storm', lean: { offset: 0.05, over: 1.2, direction: 0 } } },
      4: { observations: { pushPivot: 'footing-moves', comesUpright: 'will-not', probeAtGround: 0, lean: { offset: 0.06, over: 1.2, direction: 0 } } },
      8: { observations: { pushPivot: 'in-the-soil', probeAtGround: 0, lean: { offset: -0.03, over: 1.2, direction: 0 } } },
      11: { duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass: 32, hingeSpacing: 0.9 }, observations: { pushPivot: 'footing-moves', onset: 'slowly' } },
    }, 0.035),
  }
  return { format: 'vindex-job', version: 1, name: 'Lane side, small footings', site: { ...site, shelter: 1 }, lines: [line] }
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
    posts: run('F', 120, 2, {
      material: 'oak',
      section: { shape: 'rectangle', along: 0.125, across: 0.075 },
      length: 1.8,
      ageYears: 18,
      soil: 'stiff-clay',
      footing: { kind: 'soil' },
      observations: stands,
    }, changes),
  }
  return { format: 'vindex-job', version: 1, name: 'Flood bank, the long boundary', site: { ...site, exposure: 'waterside', shelter: 1 }, lines: [line] }
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
    posts: run('C', 9, 1.8, {
      material: 'treated-softwood',
      section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      length: 2,
      ageYears: 12,
      soil: 'firm-clay',
      footing: { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.4 },
      observations: stands,
    }, {
      3: { observations: { pushPivot: 'footing-moves', comesUpright: 'with-force', probeAtGround: 0.022, tap: 'dull', footingFound: 'small', groundAround: ['heaped-soil', 'gap-beside-post'], onset: 'slowly', lean: { offset: 0.05, over: 1.2, direction: 0 } } },
      5: { observations: { pushPivot: 'in-the-soil', comesUpright: 'with-force', lean: { offset: 0.04, over: 1.2, direction: 0 } } },
      7: { observations: { sideLoad: 'stacked-goods', comesUpright: 'will-not', onset: 'slowly', lean: { offset: -0.06, over: 1.2, direction: 0 } } },
    }),
  }
  return { format: 'vindex-job', version: 1, name: 'Compost yard', site: { ...site, exposure: 'sheltered' }, lines: [line] }
}

/** Four posts that carry the roof of the store; the foot of one stands in soil. */
function storeVeranda(): Job {
  const line: Line = {
    id: 'V',
    name: 'Store veranda',
    kind: 'post-and-rail',
    height: 2.2,
    gap: 0.8,
    length: 7.2,
    remainingYears: 25,
    posts: run('V', 4, 2.4, {
      duty: 'load-bearing',
      material: 'oak',
      section: { shape: 'rectangle', along: 0.125, across: 0.125 },
      length: 2.4,
      ageYears: 15,
      soil: 'stiff-clay',
      observations: stands,
    }, {
      2: { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.024, groundAround: ['heaped-soil'], moisturePercent: 33 } },
    }),
  }
  return { format: 'vindex-job', version: 1, name: 'Store veranda', site: { ...site, exposure: 'sheltered' }, lines: [line] }
}
