import type { Line, Post, Site } from '../core/document/job'

/*
 * Fifty posts as they are met, and what a person of the trade would say to each of the seventeen methods: open,
 * not, or not before somebody has looked. The letters stand in the order of METHODS.
 */

export const METHODS = ['refix-panels', 'brace-and-resettle', 'plate-on-slab', 'repair-spur', 'recast-footing', 'steel-pin', 'metal-mender', 'new-post-concrete', 'new-post-stone', 'new-post-keyed', 'lift-out-sleeve', 'beside-the-old', 'raise-pier', 'new-pier', 'replace-run', 'tie-in', 'make-safe'] as const

export const GARDEN: Site = { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.6 }
const field: Site = { exposure: 'open', shelter: 1, gust50: 40, frostDepth: 0.45, minimumDepth: 0.6 }
export const BOARDED: Partial<Line> = { kind: 'close-boarded', height: 1.8 }
const low: Partial<Line> = { kind: 'picket', height: 0.9 }
const railed: Partial<Line> = { kind: 'post-and-rail', height: 1.2, gap: 0.2 }
const fair = { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.6 } as const
const small = { kind: 'concrete', diameter: 0.2, top: 0.05, bottom: 0.35 } as const
const lean = (offset: number) => ({ offset, over: 1.2, direction: 90 })
const rotted = {
  pushPivot: 'at-ground-line',
  probeAtGround: 0.03,
  comesUpright: 'easily',
  footingFound: 'adequate',
} as const
const leaning = { pushPivot: 'footing-moves', comesUpright: 'with-force', lean: lean(0.03), probeAtGround: 0 } as const
const at = { soil: 'firm-clay', ageYears: 12 } as const
const carries = { area: 3, from: 'roof' } as const
const licensed = { name: 'Ada Brandt' }
const porch: Partial<Line> = { kind: 'post-and-rail', height: 2.2, gap: 0.8 }

export interface Situation {
  post: Partial<Post>
  line?: Partial<Line>
  site?: Site
  /** The other posts. */
  others?: Partial<Post>
  /** Which of the run it is; the third of five when absent. */
  which?: number
}

/** + open, - not, ? look first; then what is proposed, where anything is. */
export const SITUATIONS: readonly [name: string, situation: Situation, verdicts: string, proposed?: string][] = [
  ['rotted in a fair footing', { post: { ...at, footing: fair, observations: rotted } }, '---+-+++++-+----+', 'steel-pin'],
  ['rotted, footing never dug for', { post: { ...at, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 } } }, '---+--?+++------+', 'new-post-concrete'],
  ['rotted, low picket fence, wide post', { post: { ...at, footing: fair, section: { shape: 'rectangle', along: 0.125, across: 0.125 }, observations: rotted }, line: low }, '+--+-+++++-+----+', 'steel-pin'],
  ['rotted, low open rails', { post: { ...at, footing: fair, observations: rotted, repair: { parts: { pin: 'conduit-29' } } }, line: { kind: 'post-and-rail', height: 0.9, gap: 0.2 } }, '+--+-+++++-+----+', 'steel-pin'],
  ['thin conduit chosen for a tall solid panel', { post: { ...at, footing: fair, observations: rotted, repair: { parts: { pin: 'conduit-29' } } }, site: field }, '-------+++-+----+', 'new-post-concrete'],
  ['rotted up to the fixings', { post: { ...at, footing: fair, observations: { ...rotted, probeAbove: 0.01 } } }, '-------+++-+----+', 'new-post-concrete'],
  ['rotted, both faces to stay clear', { post: { ...at, footing: fair, clearFaces: 'both', observations: rotted } }, '-----+++++-+----+', 'steel-pin'],
  ['rotted below ground', { post: { ...at, footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 }, observations: { pushPivot: 'post-loose-in-concrete', probeAtGround: 0.002, probeBelow: 0.03 } } }, '---+---+++-+----+', 'new-post-concrete'],
  ['snapped sound wood', { post: { ...at, footing: fair, observations: { breakFace: 'clean-splinters', onset: 'after-storm', probeAtGround: 0 } } }, '---+-+++++-+----+', 'metal-mender'],
  ['hollowed by insects', { post: { ...at, footing: fair, observations: { breakFace: 'galleries-and-dust', probeAtGround: 0.02, probeAbove: 0.01 } } }, '-------+++-+----+', 'new-post-concrete'],
  ['small footing, sound post', { post: { ...at, length: 2.4, footing: small, observations: leaning } }, '++-++--+++-+----+', 'recast-footing'],
  ['small footing, post too short to keep', { post: { ...at, length: 2.1, footing: small, observations: leaning } }, '---+---+++-+----+', 'new-post-concrete'],
  ['small footing, no room to dig', { post: { ...at, length: 2.4, roomToDig: false, footing: small, observations: leaning } }, '++-+---+++-+----+', 'new-post-concrete'],
  ['no footing but soil', { post: { ...at, length: 2.4, footing: { kind: 'soil' }, observations: { ...leaning, pushPivot: 'in-the-soil', footingFound: 'none' } } }, '---++--+++------+', 'recast-footing'],
  ['nothing round it', { post: { ...at, length: 2.4, footing: { kind: 'none' }, observations: { ...leaning, pushPivot: 'in-the-soil', footingFound: 'none' } } }, '---++--+++------+', 'recast-footing'],
  ['slow lean, comes upright', { post: { ...at, footing: fair, observations: { pushPivot: 'nothing-moves', comesUpright: 'with-force', lean: lean(0.03), onset: 'slowly', probeAtGround: 0 } } }, '++-+++++++-+----+'],
  ['slow lean in stiff clay', { post: { ...at, soil: 'stiff-clay', footing: fair, observations: { pushPivot: 'nothing-moves', comesUpright: 'with-force', lean: lean(0.03), onset: 'slowly', probeAtGround: 0 } } }, '+--+++++++-+----+'],
  ['slow lean hard against paving', { post: { ...at, hardAgainst: 'paving', footing: fair, observations: { comesUpright: 'with-force', lean: lean(0.03), probeAtGround: 0 } } }, '+--+++++++-+----+', 'recast-footing'],
  ['will not come upright', { post: { ...at, footing: fair, observations: { comesUpright: 'will-not', lean: lean(0.03), probeAtGround: 0 } } }, '+--+++++++-+----+', 'recast-footing'],
  ['cracked footing', { post: { ...at, length: 2.4, footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.5 }, observations: { pushPivot: 'post-loose-in-concrete', footingFound: 'cracked', probeAtGround: 0 } } }, '+--++--+++-+----+', 'recast-footing'],
  ['heavy wet clay, rotted', { post: { ...at, soil: 'stiff-clay', saturated: true, observations: { ...rotted, footingFound: 'small' } } }, '---+---+++------+', 'repair-spur'],
  ['loose sand, rotted', { post: { ...at, soil: 'loose-sand', observations: { ...rotted, footingFound: 'small' } } }, '-------+--------+', 'new-post-concrete'],
  ['made ground, rotted', { post: { ...at, soil: 'made-ground', observations: rotted } }, '---+--?++-------+', 'new-post-concrete'],
  ['gravel, rotted', { post: { ...at, soil: 'gravel', footing: fair, observations: rotted }, site: field }, '-------+++-+----+', 'new-post-concrete'],
  ['peat', { post: { ...at, soil: 'peat', observations: rotted } }, '----------------+', 'make-safe'],
  ['rock', { post: { ...at, soil: 'rock', observations: rotted } }, '----------------+', 'make-safe'],
  ['gate hinge, rotted', { post: { ...at, duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass: 32, hingeSpacing: 0.9 }, footing: fair, observations: rotted } }, '---+--++-+------+', 'new-post-concrete'],
  ['heavy gate, rotted', { post: { ...at, duty: 'gate-hinge', gate: { leafWidth: 2.4, leafMass: 120, hingeSpacing: 1 }, footing: fair, observations: rotted } }, '-------+--------+', 'new-post-concrete'],
  ['gate latch, rotted', { post: { ...at, duty: 'gate-latch', footing: fair, observations: rotted } }, '---+--++-+------+', 'metal-mender'],
  ['end post beside a firm one, rotted', { post: { ...at, observations: rotted }, others: { ...at, footing: fair, observations: { pushPivot: 'nothing-moves', probeAtGround: 0 } }, which: 4 }, '---+--?+++-----++', 'new-post-concrete'],
  ['end post beside one nobody pushed', { post: { ...at, observations: rotted }, others: at, which: 4 }, '---+--?+++-----?+', 'new-post-concrete'],
  ['end post beside one that moves', { post: { ...at, observations: rotted }, others: { ...at, observations: { pushPivot: 'at-ground-line' } }, which: 4 }, '---+--?+++----+-+', 'new-post-concrete'],
  ['steel tube rusted through', { post: { ...at, material: 'steel', section: { shape: 'tube', diameter: 0.06, wall: 0.003 }, observations: { pushPivot: 'at-ground-line' } }, line: { kind: 'mesh', height: 1.5 }, site: field }, '+------+++------+', 'new-post-concrete'],
  ['vinyl, loose in its concrete', { post: { ...at, material: 'vinyl', section: { shape: 'hollow', along: 0.1, across: 0.1, wall: 0.004 }, footing: small, observations: { pushPivot: 'footing-moves' } }, line: { kind: 'vinyl', height: 1.5 } }, '+---+--+++------+', 'recast-footing'],
  ['loose plate on a sound slab', { post: { ...at, duties: ['line', 'plate-mounted'], footing: { kind: 'plate' }, slab: { thickness: 0.15, sound: true, edge: 0.3 }, observations: { pushPivot: 'at-plate', probeAtGround: 0 } }, line: { height: 1.2 } }, '+-+----+--------+', 'plate-on-slab'],
  ['plate on a thin slab', { post: { ...at, duties: ['line', 'plate-mounted'], footing: { kind: 'plate' }, slab: { thickness: 0.08 }, observations: { pushPivot: 'at-plate' } }, line: { height: 1.2 } }, '+------+--------+', 'make-safe'],
  ['plate on a cracked slab', { post: { ...at, duties: ['line', 'plate-mounted'], footing: { kind: 'plate' }, slab: { thickness: 0.15, sound: false }, observations: { pushPivot: 'at-plate' } }, line: { height: 1.2 } }, '+------+--------+', 'make-safe'],
  ['plate at the very edge of its slab', { post: { ...at, duties: ['line', 'plate-mounted'], footing: { kind: 'plate' }, slab: { thickness: 0.15, sound: true, edge: 0.04 }, observations: { pushPivot: 'at-plate' } }, line: { height: 1.2 } }, '+------+--------+', 'make-safe'],
  ['loose panels, post firm', { post: { ...at, footing: fair, observations: { pushPivot: 'panel-only', fixings: 'loose-rails', probeAtGround: 0 } } }, '+--+++++++-+----+', 'refix-panels'],
  ['has to come out again', { post: { ...at, removable: true, footing: fair, observations: rotted }, line: { height: 1.2 } }, '---+-+++++++----+', 'lift-out-sleeve'],
  ['sleeve that holds water', { post: { ...at, removable: true, observations: rotted, repair: { sleeve: { drains: false } } }, line: { height: 1.2 } }, '---+--?+++------+', 'repair-spur'],
  ['sleeve pushed into poured concrete', { post: { ...at, removable: true, observations: rotted, repair: { setOrder: 'fill-first' } }, line: { height: 1.2 } }, '---+--?+++------+', 'repair-spur'],
  ['sleeve with too much play', { post: { ...at, removable: true, observations: rotted, repair: { sleeve: { clearance: 0.006, insertion: 0.4 } } }, line: { height: 1.2 } }, '---+--?+++------+', 'repair-spur'],
  ['huge old block, rails', { post: { ...at, footing: { kind: 'concrete', diameter: 0.7, top: 0, bottom: 0.8 }, observations: rotted }, line: railed }, '+--+-++++--+----+', 'steel-pin'],
  ['huge old block, panels of set width', { post: { ...at, footing: { kind: 'concrete', diameter: 0.7, top: 0, bottom: 0.8 }, observations: rotted }, line: { kind: 'panel', height: 1.8 } }, '---+-++++-------+', 'steel-pin'],
  ['most of the run has gone', { post: { ...at, observations: rotted }, others: { ...at, observations: rotted } }, '---+--?+++----+-+', 'new-post-concrete'],
  ['two years left in the fence', { post: { ...at, observations: rotted }, line: { kind: 'close-boarded', height: 1.8, remainingYears: 2 } }, '---+--?+++----+-+', 'new-post-concrete'],
  ['porch post, nobody named', { post: { ...at, duty: 'load-bearing', carries, footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.8 }, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.02, groundAround: ['heaped-soil'] } }, line: porch }, '----------------+', 'make-safe'],
  [
    'porch post, a licensed person decides',
    { post: { ...at, duty: 'load-bearing', carries, footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.8 }, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.02, groundAround: ['heaped-soil'] }, repair: { licensed } }, line: porch },
    '+-----------++--+',
    'raise-pier',
  ],
  ['porch post on a pier that moves', { post: { ...at, duty: 'load-bearing', carries, footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.5 }, observations: { pushPivot: 'footing-moves' }, repair: { licensed } }, line: porch }, '+------------+--+', 'new-pier'],
  ['letter box by the road', { post: { ...at, section: { shape: 'rectangle', along: 0.1, across: 0.1 }, observations: rotted }, line: { kind: 'single', height: 1.1 } }, '------?+--------+', 'new-post-concrete'],
]
