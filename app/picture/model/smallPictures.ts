/*
 * The small drawings that are tapped in Look: a post, its ground and what is to be seen of it. Each is a list of
 * parts in a field of 80 by 72, the ground line at 40.
 */

export type Ink =
  | 'soil'
  | 'footing'
  | 'post'
  | 'decay'
  | 'steel'
  | 'panel'
  | 'water'
  | 'line'
  | 'bold'
  | 'dashed'
  | 'dark'

export interface Part {
  ink: Ink
  d: string
  /** Degrees about a point. */
  turn?: readonly [degrees: number, x: number, y: number]
}

const GROUND = 40
const rect = (x: number, y: number, width: number, height: number) => `M${x} ${y}h${width}v${height}h${-width}z`
const dot = (x: number, y: number, r: number) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`

const soil: Part = { ink: 'soil', d: rect(0, GROUND, 80, 32) }
const ground: Part = { ink: 'bold', d: `M0 ${GROUND}h80` }
const part = (ink: Ink, d: string, turn?: Part['turn']): Part => (turn ? { ink, d, turn } : { ink, d })
const post = (turn?: Part['turn'], x = 36) => part('post', rect(x, 6, 8, 56), turn)
const footing = (turn?: Part['turn']) => part('footing', rect(29, 43, 22, 22), turn)
/** Soil first, the ground line last but for what lies over it. */
const scene = (under: Part[], over: Part[] = []): Part[] => [soil, ...under, ground, ...over]
const leaning = [14, 40, 58] as const
/** A post cut off above the picture, seen close. */
const closePost = (top: number) => part('post', rect(26, top, 28, 72 - top))

const arcs = (count: number) =>
  Array.from({ length: count }, (_, i) =>
    part('line', `M${52 + 6 * i} ${14 - 3 * i}a${8 + 5 * i} ${8 + 5 * i} 0 0 1 0 ${16 + 6 * i}`),
  )
const hammer = [part('steel', rect(14, 16, 14, 9)), part('line', 'M21 25l-8 18')]
/** Pushed back upright from the right, at a height. */
const push = (y: number, ink: Ink) => part(ink, `M72 ${y}H50m7 -5l-7 5l7 5`)
const drops = part('water', 'M12 52q4 -4 8 0t8 0t8 0t8 0t8 0t8 0t8 0v3q-4 4 -8 0t-8 0t-8 0t-8 0t-8 0t-8 0t-8 0z')
const threePosts = (turns: (Part['turn'] | undefined)[]) =>
  scene([14, 40, 66].map((x, i) => part('post', rect(x - 3, 12, 6, 44), turns[i] && [turns[i][0], x, 54])))
const fence = (panelTurn?: Part['turn'], drop = 0) => [
  part('panel', rect(44, 12 + drop, 32, 24), panelTurn),
  part('line', `M44 ${18 + drop}h32m0 10h-32`, panelTurn),
]
const tube = part('steel', rect(32, 6, 16, 56))

/** A thumb pushed into a cut face of soil, so deep. */
const thumb = (depth: number) => [
  part('soil', rect(30, 0, 50, 72)),
  part('bold', 'M30 0v72'),
  part('post', `M0 30h${22 + depth}q8 0 8 6t-8 6H0z`),
]
/** A bar driven down into soil, so deep, by hand or hammer. */
const bar = (depth: number, hammered: boolean) =>
  scene(
    [part('steel', rect(38, 6, 4, 34 + depth))],
    hammered ? [part('steel', rect(28, 0, 24, 8))] : [part('post', `${rect(34, 8, 12, 5)}${rect(34, 15, 12, 5)}`)],
  )
const stones = (ink: Ink) => [
  part(
    ink,
    [
      [14, 50, 5],
      [30, 58, 6],
      [48, 50, 5],
      [64, 60, 7],
      [22, 66, 4],
      [56, 66, 4],
    ]
      .map(([x, y, r]) => dot(x!, y!, r!))
      .join(''),
  ),
]

const BY_QUESTION: Record<string, Record<string, Part[]>> = {
  comesUpright: {
    easily: scene([part('dashed', rect(36, 6, 8, 34), leaning), part('post', rect(36, 6, 8, 56))], [push(14, 'line')]),
    'with-force': scene([part('dashed', rect(36, 6, 8, 34), leaning), post()], [push(12, 'bold'), push(24, 'bold')]),
    'will-not': scene([footing(leaning), post(leaning)], [part('bold', 'M60 12l12 12m0 -12l-12 12')]),
  },
  tap: {
    rings: [...scene([post()]), ...hammer, ...arcs(3)],
    dull: [...scene([post()]), ...hammer, ...arcs(1)],
    hollow: [
      ...scene([post(), part('decay', rect(38.5, 10, 3, 48))]),
      ...hammer,
      part('dashed', 'M54 10a14 14 0 0 1 0 26'),
    ],
  },
  breakFace: {
    none: [soil, closePost(6), ground],
    'brown-and-crumbly': [
      soil,
      part('decay', 'M26 72V40l5 -6l4 5l5 -7l5 6l4 -4l5 6v32z'),
      part('post', rect(26, 52, 28, 20)),
      ground,
      part('decay', `${dot(20, 36, 2)}${dot(60, 37, 2.4)}${dot(15, 38, 1.4)}`),
    ],
    'clean-splinters': [soil, part('post', 'M26 72V30l4 12l3 -28l4 24l4 -32l4 30l4 -20l5 18v38z'), ground],
    'galleries-and-dust': [
      soil,
      closePost(10),
      ground,
      part(
        'dark',
        [
          ...[
            [32, 20],
            [46, 16],
            [39, 28],
            [33, 34],
            [48, 30],
          ].map(([x, y]) => dot(x!, y!, 2.4)),
        ].join(''),
      ),
      part('decay', 'M16 40q6 -8 12 0z'),
    ],
    'rust-flakes': [
      soil,
      tube,
      ground,
      part('decay', 'M32 30l6 -4l4 5l6 -3v14h-16z'),
      part('line', 'M24 38l4 -4m26 2l5 -5m-2 8l5 -1'),
    ],
  },
  groundAround: {
    'lifted-collar': scene(
      [footing()],
      [part('footing', 'M22 40q18 -14 36 0z'), post(), part('line', 'M18 36v-9m-3 4l3 -4l3 4M62 36v-9m-3 4l3 -4l3 4')],
    ),
    'gap-beside-post': scene([footing(), part('dark', rect(44, 40, 5, 18)), post()]),
    saturated: scene([drops, part('water', 'M10 64q4 -4 8 0t8 0t8 0t8 0t8 0t8 0t8 0v3h-56z'), post()]),
    'heaped-soil': scene([post()], [part('soil', 'M14 40q24 -30 46 0z'), part('line', 'M14 40q24 -30 46 0')]),
    'water-holding-top': scene([part('footing', 'M22 38h36v27h-36z'), post(), part('water', 'M24 38q16 10 32 0z')]),
    'cracked-surface': scene(
      [footing(), post()],
      [part('line', 'M4 40l6 8l-3 6l6 8M24 40l-3 7l4 6M58 40l4 8l-4 6l5 9M74 40l-3 8l4 5')],
    ),
    root: scene([post(), part('decay', 'M0 50q20 -6 36 4t44 2v5q-28 6 -44 -3t-36 -2z')]),
    nothing: scene([post()]),
  },
  footingFound: {
    'not-dug': scene([post()], [part('line', 'M62 8v22m-6 0h12l-1 12q-5 6 -10 0z')]),
    none: scene([post()]),
    small: scene([part('footing', rect(32, 43, 16, 10)), post()]),
    adequate: scene([part('footing', rect(22, 43, 36, 26)), post()]),
    'one-sided': scene([part('footing', rect(35, 43, 24, 22)), post()]),
    cracked: scene([
      part('footing', rect(24, 43, 32, 24)),
      post(),
      part('bold', 'M50 43l-4 8l6 5l-4 11M28 67l4 -8l-4 -6'),
    ]),
    'dry-pockets': scene([
      part('footing', rect(24, 43, 32, 24)),
      post(),
      part('soil', `${dot(29, 52, 3)}${dot(50, 60, 4)}${dot(48, 48, 2.4)}${dot(30, 62, 2.6)}`),
    ]),
    'stands-proud': scene([part('footing', rect(26, 28, 28, 34)), post()]),
  },
  leanPattern: {
    'this-post-only': threePosts([undefined, leaning, undefined]),
    'neighbours-too': threePosts([[8, 0, 0], leaning, [8, 0, 0]]),
    'whole-line-one-way': threePosts([leaning, leaning, leaning]),
  },
  onset: {
    'after-storm': scene([post([8, 40, 56])], [part('bold', 'M4 12h16q6 0 6 -5M4 20h22M4 28h14q6 0 6 5')]),
    slowly: scene([post()], [part('line', `${dot(62, 20, 12)}M62 12v8l6 4`)]),
    'after-frost': scene([post()], [part('line', 'M62 8v24M52 14l20 12M72 14l-20 12')]),
    'after-impact': scene([post([8, 40, 56])], [part('dark', dot(18, 30, 9)), part('line', 'M4 24h6M2 30h6M4 36h6')]),
    'after-gate-hung': scene(
      [post()],
      [
        part('panel', rect(46, 10, 30, 26)),
        part('line', 'M46 36l30 -26'),
        part('dark', `${dot(45, 14, 2.4)}${dot(45, 32, 2.4)}`),
      ],
    ),
    unknown: scene([post()], [part('bold', 'M56 14q0 -7 7 -7t7 7q0 5 -7 8v5M63 33v1')]),
  },
  gate: {
    none: scene([post()], fence()),
    'hung-here': scene(
      [post()],
      [
        part('panel', rect(46, 10, 30, 26)),
        part('line', 'M46 36l30 -26'),
        part('dark', `${dot(45, 14, 2.4)}${dot(45, 32, 2.4)}`),
      ],
    ),
    'leans-towards-gate': scene(
      [post([9, 40, 56])],
      [part('panel', rect(49, 12, 28, 25), [6, 49, 24]), part('line', 'M49 37l28 -25', [6, 49, 24])],
    ),
  },
  sideLoad: {
    none: scene([post()]),
    'retained-soil': scene(
      [post([6, 40, 56])],
      [part('soil', 'M0 40V16q20 0 38 4v20z'), part('line', 'M0 16q20 0 38 4')],
    ),
    'stacked-goods': scene(
      [post([6, 40, 56])],
      [
        part('panel', `${rect(6, 28, 14, 12)}${rect(20, 28, 14, 12)}${rect(12, 16, 14, 12)}`),
        part('line', `${rect(6, 28, 14, 12)}${rect(20, 28, 14, 12)}${rect(12, 16, 14, 12)}`),
      ],
    ),
    'climbing-growth': scene(
      [post()],
      [
        part('bold', 'M30 40q20 -8 14 -16t-12 -8t10 -10'),
        part('dark', `${dot(30, 30, 4)}${dot(49, 26, 4)}${dot(30, 16, 4)}${dot(48, 10, 4)}`),
      ],
    ),
  },
  fixings: {
    sound: scene([post()], [...fence(), part('dark', `${dot(47, 18, 1.8)}${dot(47, 28, 1.8)}`)]),
    'loose-rails': scene([post()], fence([7, 76, 24])),
    'torn-out': scene(
      [post()],
      [part('panel', rect(52, 13, 26, 23), [10, 66, 30]), part('line', 'M45 16l4 -2M45 22l5 2M45 30l4 3')],
    ),
    'panel-sunk': scene(
      [post()],
      [...fence(undefined, 6), part('line', 'M48 8h28'), part('line', 'M62 8v6m-2.5 -2.5l2.5 2.5l2.5 -2.5')],
    ),
  },
  soil: {
    'soft-clay': thumb(30),
    'firm-clay': thumb(18),
    'stiff-clay': thumb(6),
    'hard-clay': [...thumb(-2), part('line', 'M34 26l8 -4M34 46l9 4')],
    'loose-sand': bar(26, false),
    'medium-sand': bar(20, true),
    'dense-sand': bar(7, true),
    gravel: scene(stones('footing'), [part('bold', 'M40 6v30M26 14q14 -14 28 0')]),
    'made-ground': scene([
      part('decay', rect(0, 40, 80, 12)),
      part('steel', 'M18 58l8 -3l3 7l-8 3zM50 60l9 0l0 6l-9 0z'),
    ]),
    peat: scene(
      [part('decay', rect(0, 40, 80, 32)), part('line', 'M8 48h16M30 56h20M56 48h14M14 64h18M52 64h18')],
      [part('line', 'M30 36q10 10 20 0')],
    ),
    'deep-fill': scene([
      part('steel', 'M10 46l10 -2l2 8l-10 2zM44 52l12 -2l1 8l-11 2zM22 62l10 2l-2 6l-10 -2zM60 64h10v6h-10z'),
      part('bold', 'M74 44v26'),
    ]),
    rock: scene(
      [part('footing', 'M0 44l22 -2l20 4l18 -3l20 2v27h-80z'), part('line', 'M22 42l6 30M42 46l-4 12l8 14M60 43l4 29')],
      [part('steel', rect(38, 8, 4, 32))],
    ),
  },
  mark: {
    service: scene(
      [part('steel', 'M40 44l10 10l-10 10l-10 -10z'), part('line', 'M0 54h28M52 54h28')],
      [part('dashed', 'M40 40V10')],
    ),
    root: scene([part('decay', 'M0 50q20 -6 36 4t44 2v6q-28 6 -44 -3t-36 -2z')]),
    downpipe: scene(
      [],
      [part('panel', rect(0, 4, 30, 36)), part('steel', rect(32, 4, 7, 40)), part('line', 'M28 12h14M28 28h14')],
    ),
    wall: scene(
      [],
      [
        part('footing', rect(8, 10, 64, 30)),
        part('line', 'M8 20h64M8 30h64M24 10v10M52 10v10M16 20v10M40 20v10M62 20v10M24 30v10M52 30v10'),
      ],
    ),
    tree: scene(
      [part('decay', 'M36 40l-14 14M44 40l14 14')],
      [part('decay', rect(36, 18, 8, 24)), part('soil', dot(40, 14, 13)), part('line', dot(40, 14, 13))],
    ),
  },
  wrap: {
    none: scene([post()]),
    tight: scene([post(), part('dark', rect(35, 32, 10, 18))]),
    gaping: scene([post(), part('dark', 'M30 30l5 20h10l5 -20l-6 4h-8z'), part('water', 'M33 36h3v10h-2z')]),
  },
}

/** The picture of one answer; undefined where the answer is words alone. */
export const smallPicture = (question: string, answer: string): Part[] | undefined => BY_QUESTION[question]?.[answer]
