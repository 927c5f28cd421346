import type { Job, Line, Post, Site } from '../core/document/job'

/**
 * An invented post of an allotment, a garden or a farm, with what practice would do to it: its own few facts as
 * somebody would note them, the repairs that would be accepted, and the hole's depth and bags of 20 kg within reason.
 */
export interface TrialPost {
  name: string
  site: Site
  line: Partial<Line>
  post: Partial<Post>
  expects: {
    state: 'not-looked-at' | 'nothing-wrong' | 'unsettled' | 'failed'
    /** Leading cause; none where nothing has failed. */
    cause?: string
    /** Any of these may stand first; none where nothing may be proposed. */
    repair: readonly string[]
    /** Of the hole that is proposed, m, least and most. */
    depth?: readonly [number, number]
    bags?: readonly [number, number]
  }
}

const garden: Site = { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.6 }
const street: Site = { exposure: 'sheltered', shelter: 1, gust50: 38, frostDepth: 0.3, minimumDepth: 0.45 }
const field: Site = { exposure: 'open', shelter: 1, gust50: 40, frostDepth: 0.45, minimumDepth: 0.6 }
const bank: Site = { exposure: 'waterside', shelter: 1, gust50: 42, frostDepth: 0.45, minimumDepth: 0.6 }

const boarded: Partial<Line> = { kind: 'close-boarded', height: 1.8 }
const railed: Partial<Line> = { kind: 'post-and-rail', height: 1.2, gap: 0.2 }
const block = (diameter: number, bottom: number) => ({ kind: 'concrete' as const, diameter, top: 0.05, bottom })
const fair = block(0.3, 0.6)
const lean = (offset: number) => ({ offset, over: 1.2, direction: 90 })

export const trialPosts: readonly TrialPost[] = [
  { name: 'Firm next to a rotten one', site: garden, line: boarded, post: { soil: 'firm-clay', ageYears: 12, footing: fair, observations: { pushPivot: 'nothing-moves', probeAtGround: 0.001 }, pointedAt: false }, expects: { state: 'nothing-wrong', repair: [] } },
  { name: 'Nobody has looked', site: garden, line: boarded, post: { soil: 'firm-clay', ageYears: 12 }, expects: { state: 'not-looked-at', repair: [] } },
  {
    name: 'Rotted at the ground in a fair footing',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 14, footing: fair, observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.025 } },
    expects: { state: 'failed', cause: 'ground-line-decay', repair: ['repair-spur', 'steel-pin'], depth: [0.45, 0.6], bags: [1, 2] },
  },
  {
    name: 'Rotted below ground',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 16, footing: block(0.25, 0.6), observations: { pushPivot: 'post-loose-in-concrete', probeAtGround: 0.002, probeBelow: 0.03 } },
    expects: { state: 'failed', cause: 'buried-decay', repair: ['repair-spur', 'new-post-concrete'], depth: [0.45, 0.75], bags: [1, 5] },
  },
  {
    name: 'Galleries in the break',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 12, material: 'untreated-softwood', observations: { pushPivot: 'at-ground-line', breakFace: 'galleries-and-dust', tap: 'hollow', probeAtGround: 0.02 } },
    expects: { state: 'failed', cause: 'insect-damage', repair: ['new-post-concrete'], depth: [0.55, 0.75], bags: [2, 5] },
  },
  {
    name: 'Snapped in a gale',
    site: field,
    line: { kind: 'panel', height: 1.5 },
    post: { soil: 'stiff-clay', ageYears: 5, footing: fair, observations: { breakFace: 'clean-splinters', onset: 'after-storm', probeAtGround: 0, pushPivot: 'at-ground-line' } },
    expects: { state: 'failed', cause: 'wind-snap', repair: ['new-post-concrete', 'repair-spur', 'metal-mender'], depth: [0.5, 0.9], bags: [1, 6] },
  },
  {
    name: 'Small footing, young fence',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 3, footing: block(0.2, 0.35), length: 2.4, observations: { pushPivot: 'footing-moves', comesUpright: 'with-force', footingFound: 'small', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'undersized-footing', repair: ['recast-footing', 'new-post-concrete'], depth: [0.55, 0.75], bags: [2, 6] },
  },
  {
    name: 'Small footing, post too short to keep',
    site: field,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 3, footing: block(0.2, 0.3), length: 2.1, observations: { pushPivot: 'footing-moves', footingFound: 'small', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'undersized-footing', repair: ['new-post-concrete'], depth: [0.6, 1.1], bags: [2, 7] },
  },
  {
    name: 'No footing but soil',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 4, footing: { kind: 'soil' }, length: 2.4, observations: { pushPivot: 'in-the-soil', footingFound: 'none', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'no-footing', repair: ['recast-footing', 'new-post-concrete'], depth: [0.55, 0.75], bags: [2, 5] },
  },
  {
    name: 'Thin concrete on one side',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 6, footing: block(0.2, 0.5), length: 2.4, observations: { pushPivot: 'post-loose-in-concrete', footingFound: 'one-sided', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'bad-concrete', repair: ['recast-footing', 'new-post-concrete'], depth: [0.55, 0.75], bags: [2, 6] },
  },
  {
    name: 'Soft ground by a ditch',
    site: field,
    line: { ...boarded, height: 1.5 },
    post: { soil: 'soft-clay', saturated: true, ageYears: 9, footing: fair, length: 2.1, observations: { pushPivot: 'in-the-soil', groundAround: ['saturated'], leanPattern: 'neighbours-too', onset: 'slowly', footingFound: 'adequate', lean: lean(0.05), comesUpright: 'with-force', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'soft-ground', repair: ['brace-and-resettle', 'recast-footing', 'new-post-concrete', 'new-post-stone'], depth: [0.6, 1.4], bags: [2, 10] },
  },
  {
    name: 'Compost heaped against it',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 9, footing: fair, observations: { sideLoad: 'stacked-goods', onset: 'slowly', comesUpright: 'with-force', lean: lean(0.05), probeAtGround: 0.001, pushPivot: 'nothing-moves' } },
    expects: { state: 'failed', cause: 'side-load', repair: ['brace-and-resettle'] },
  },
  {
    name: 'Soil banked behind it',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 11, footing: fair, observations: { sideLoad: 'retained-soil', comesUpright: 'with-force', onset: 'slowly', lean: lean(0.06), probeAtGround: 0.002 } },
    expects: { state: 'failed', cause: 'side-load', repair: ['brace-and-resettle'] },
  },
  {
    name: 'Gate post pulled by its leaf',
    site: garden,
    line: boarded,
    post: { duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass: 35 }, soil: 'firm-clay', ageYears: 4, footing: block(0.25, 0.5), length: 2.4, observations: { gate: 'leans-towards-gate', onset: 'after-gate-hung', probeAtGround: 0, pushPivot: 'footing-moves' } },
    expects: { state: 'failed', cause: 'gate-pull', repair: ['recast-footing', 'new-post-concrete'], depth: [0.55, 0.9], bags: [2, 8] },
  },
  {
    name: 'Gate post whose leaf nobody weighed',
    site: garden,
    line: boarded,
    post: { duty: 'gate-hinge', soil: 'stiff-clay', ageYears: 5, observations: { gate: 'leans-towards-gate', pushPivot: 'footing-moves', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'gate-pull', repair: ['recast-footing', 'new-post-concrete'], depth: [0.5, 0.9], bags: [2, 8] },
  },
  {
    name: 'Lifted by frost',
    site: { ...field, frostDepth: 0.6, minimumDepth: 0.6 },
    line: { ...boarded, height: 1.5 },
    post: { soil: 'firm-clay', ageYears: 8, footing: block(0.3, 0.5), length: 2.1, observations: { groundAround: ['lifted-collar'], onset: 'after-frost', footingFound: 'stands-proud', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'frost-heave', repair: ['new-post-concrete'], depth: [0.75, 0.9], bags: [3, 8] },
  },
  {
    name: 'Dry pockets in the concrete',
    site: garden,
    line: boarded,
    post: { soil: 'medium-sand', ageYears: 2, footing: block(0.25, 0.6), length: 2.4, observations: { footingFound: 'dry-pockets', pushPivot: 'post-loose-in-concrete', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'bad-concrete', repair: ['recast-footing', 'new-post-concrete'], depth: [0.55, 0.9], bags: [2, 7] },
  },
  {
    name: 'Tube rusted through, welded mesh',
    site: field,
    line: { kind: 'mesh', height: 1.5 },
    post: { material: 'steel', section: { shape: 'tube', diameter: 0.06, wall: 0.0032 }, soil: 'gravel', ageYears: 20, footing: fair, observations: { pushPivot: 'at-ground-line', breakFace: 'rust-flakes', comesUpright: 'easily' } },
    expects: { state: 'failed', cause: 'corroded-steel', repair: ['new-post-concrete'], depth: [0.55, 0.75], bags: [1, 6] },
  },
  { name: 'Loose plate on a slab', site: garden, line: { ...boarded, height: 1.2 }, post: { duty: 'plate-mounted', footing: { kind: 'plate' }, soil: 'firm-clay', ageYears: 6, observations: { pushPivot: 'at-plate', tap: 'rings' } }, expects: { state: 'failed', cause: 'loose-anchorage', repair: ['plate-on-slab'] } },
  { name: 'Loose panels, post firm', site: garden, line: { kind: 'panel', height: 1.8 }, post: { soil: 'firm-clay', ageYears: 10, footing: fair, observations: { pushPivot: 'panel-only', fixings: 'loose-rails', probeAtGround: 0 } }, expects: { state: 'failed', cause: 'fixing-failure', repair: ['refix-panels'] } },
  {
    name: 'Porch post set in soil',
    site: garden,
    line: { kind: 'post-and-rail', height: 2.2 },
    post: { duty: 'load-bearing', soil: 'firm-clay', ageYears: 14, observations: { groundAround: ['heaped-soil'], probeAtGround: 0.025, probeBelow: 0.03 } },
    expects: { state: 'failed', cause: 'buried-base', repair: ['make-safe'] },
  },
  {
    name: 'Rail post rotted, farm',
    site: field,
    line: railed,
    post: { soil: 'firm-clay', ageYears: 18, footing: { kind: 'soil' }, length: 1.8, observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03 } },
    expects: { state: 'failed', cause: 'ground-line-decay', repair: ['repair-spur', 'new-post-concrete'], depth: [0.45, 0.75], bags: [1, 4] },
  },
  {
    name: 'Sandy garden, rotted',
    site: garden,
    line: boarded,
    post: { soil: 'medium-sand', ageYears: 15, footing: { kind: 'soil' }, length: 2.4, observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.02 } },
    expects: { state: 'failed', cause: 'ground-line-decay', repair: ['repair-spur', 'new-post-concrete'], depth: [0.45, 0.9], bags: [1, 5] },
  },
  {
    name: 'Gravel bank, snapped',
    site: bank,
    line: { kind: 'hit-and-miss', height: 1.5 },
    post: { soil: 'gravel', ageYears: 4, footing: fair, observations: { breakFace: 'clean-splinters', onset: 'after-storm', probeAtGround: 0 } },
    expects: { state: 'failed', cause: 'wind-snap', repair: ['new-post-concrete', 'repair-spur', 'metal-mender'], depth: [0.5, 1], bags: [1, 7] },
  },
  {
    name: 'Made ground, no footing',
    site: garden,
    line: { ...boarded, height: 1.5 },
    post: { soil: 'made-ground', ageYears: 3, footing: { kind: 'soil' }, length: 2.1, observations: { pushPivot: 'in-the-soil', footingFound: 'none', probeAtGround: 0, comesUpright: 'easily' } },
    expects: { state: 'failed', cause: 'no-footing', repair: ['recast-footing', 'new-post-concrete'], depth: [0.55, 1], bags: [2, 7] },
  },
  {
    name: 'Flood bank, small footing',
    site: bank,
    line: { ...boarded, height: 1.5 },
    post: { soil: 'firm-clay', ageYears: 6, footing: block(0.2, 0.45), length: 2.1, observations: { pushPivot: 'footing-moves', footingFound: 'small', probeAtGround: 0, leanPattern: 'whole-line-one-way' } },
    expects: { state: 'failed', cause: 'undersized-footing', repair: ['recast-footing', 'new-post-concrete'], depth: [0.6, 1.1], bags: [3, 10] },
  },
  {
    name: 'Letter box by the road',
    site: street,
    line: { kind: 'single', height: 1.1 },
    post: { duty: 'roadside-box', box: { width: 0.35, height: 0.4 }, soil: 'firm-clay', ageYears: 9, footing: { kind: 'soil' }, length: 1.55, observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' } },
    expects: { state: 'failed', cause: 'ground-line-decay', repair: ['new-post-concrete', 'repair-spur'], depth: [0.45, 0.6], bags: [1, 3] },
  },
  {
    name: 'Slow lean, comes upright, sound',
    site: garden,
    line: boarded,
    post: { soil: 'firm-clay', ageYears: 12, footing: block(0.25, 0.6), observations: { sideLoad: 'climbing-growth', onset: 'slowly', lean: lean(0.045), comesUpright: 'with-force', probeAtGround: 0.001, tap: 'rings' } },
    expects: { state: 'failed', cause: 'side-load', repair: ['brace-and-resettle'] },
  },
  { name: 'A dull knock and no more', site: garden, line: boarded, post: { soil: 'firm-clay', ageYears: 10, observations: { tap: 'dull' }, pointedAt: false }, expects: { state: 'unsettled', repair: [] } },
  { name: 'Old oak, a skin of soft wood', site: field, line: railed, post: { material: 'oak', soil: 'stiff-clay', ageYears: 20, footing: { kind: 'soil' }, length: 1.9, observations: { pushPivot: 'nothing-moves', probeAtGround: 0.004 }, pointedAt: false }, expects: { state: 'nothing-wrong', repair: [] } },
]

/** The post in the middle of ten bays of its line, of which it is the one that somebody was called for. */
export function jobOf({ name, site, line, post }: TrialPost): Job {
  const bay = line.kind === 'post-and-rail' ? 1.8 : 2.4
  const isSingle = line.kind === 'single'
  const own: Post = { pointedAt: true, ...post, id: 'P', station: isSingle ? 0 : 5 * bay }
  // Where somebody was called for another one, that is marked.
  const others = Array.from({ length: 11 }, (_, i): Post => ({ id: `L${i}`, station: i * bay, pointedAt: i === 0 && post.pointedAt === false }))
  const posts = isSingle ? [own] : [...others.slice(0, 5), own, ...others.slice(6)]
  return {
    format: 'vindex-job',
    version: 1,
    name,
    site,
    lines: [{ id: 'L', ...line, ...(isSingle ? {} : { length: 10 * bay }), posts }],
  }
}
