import type { CatalogueRow, CostSettings } from '../core/cost/catalogue'
import { FOOT } from '../core/units/constants'
import { parts } from './parts'

/*
 * The yard's list of a newcomer: prices are invented, in minor units before tax, and a workspace puts its own in their
 * place. Masses are working values.
 */

type Short = readonly [key: string, name: string, price: number, mass: number]
const rows = (common: Omit<CatalogueRow, 'key' | 'name' | 'price' | 'mass'>, all: readonly Short[]): CatalogueRow[] => all.map(([key, name, price, mass]) => ({ key, name, price, mass, ...common }))

const STORE = 'store'
const RACK = 'timber rack'
const BINS = 'fixings bins'
const BAY = 'bagged goods'
const each = { unit: 'each', pack: 1, tax: 'standard' } as const

const mixes = rows({ group: 'mix', unit: 'bag', pack: 1, tax: 'standard', kept: BAY, least: 10 }, [
  ['mix/post-mix-20', '20 kg fast post mix', 640, 20],
  ['mix/fast-set-22', '22.7 kg fast-setting mix', 720, 22.7],
  ['mix/general-20', '20 kg general mix', 520, 20],
  ['mix/general-27', '27.2 kg general mix', 610, 27.2],
  ['mix/high-36', '36.3 kg high strength mix', 890, 36.3],
  ['mix/cement', '25 kg cement', 680, 25],
  ['mix/ballast', '25 kg all-in ballast', 390, 25],
])
const bulk: CatalogueRow[] = [
  { key: 'mix/mixer-truck', name: 'delivered concrete', group: 'mix', unit: 'm³', pack: 1, price: 17_000, tax: 'standard', mass: 2_400 },
  { key: 'stone/gravel', name: 'gravel, bag of 20 kg', group: 'stone', unit: 'kg', pack: 20, price: 410, tax: 'standard', mass: 1, kept: BAY, least: 40 },
  { key: 'stone/graded', name: 'graded stone with dust, bag of 20 kg', group: 'stone', unit: 'kg', pack: 20, price: 440, tax: 'standard', mass: 1, kept: BAY, least: 40 },
  { key: 'preservative', name: 'end-grain preservative, tin of 1 L', group: 'preservative', unit: 'L', pack: 1, price: 1_890, tax: 'standard', mass: 1, kept: STORE, least: 1 },
]

const stick = (stockOf: string, name: string, length: number) => ({
  ...each,
  key: `${stockOf}/${length}`,
  name: `${name}, ${length} m`,
  stockOf,
  length,
})

/** Section, mass of a metre and price of one, and the lengths that it is sold in. */
const STICKS = [
  ['post-75', '75 × 75 post', 3.1, 480, [1.8, 2.1, 2.4, 2.7, 3]],
  ['post-100', '100 × 100 post', 5.5, 760, [1.8, 2.1, 2.4, 2.7, 3, 3.6]],
  ['post-125', '125 × 125 post', 8.6, 1_240, [2.1, 2.4, 2.7, 3, 3.6]],
  ['post-150', '150 × 150 post', 12.4, 1_790, [2.4, 3, 3.6]],
  ['post-200', '200 × 200 post', 22, 3_200, [2.4, 3, 3.6]],
] as const
/** The same by the foot, as they are sold there. */
const FEET_STICKS = [
  ['post-4x4', '4 × 4 post', 4.4, 700],
  ['post-5x5', '5 × 5 post', 7, 1_100],
  ['post-6x6', '6 × 6 post', 10.4, 1_620],
  ['post-8x8', '8 × 8 post', 19.3, 2_900],
] as const
const SOLD_FEET = [6, 7, 8, 9, 10, 12]
const post = (key: string, [name, lengthName]: readonly [string, string], length: number, [mass, price]: readonly [number, number]) => ({
  ...stick(`post/${key}`, name, length),
  name: `${name}, ${lengthName}`,
  group: 'post' as const,
  price: Math.round(price * length),
  mass: Math.round(mass * length * 10) / 10,
  kept: RACK,
  least: 2,
})
const posts: CatalogueRow[] = [
  ...STICKS.flatMap(([key, name, mass, price, lengths]) => lengths.map((length) => post(key, [name, `${length} m`], length, [mass, price]))),
  ...FEET_STICKS.flatMap(([key, name, mass, price]) => SOLD_FEET.map((feet) => post(key, [name, `${feet} ft`], Math.round(feet * FOOT * 1e4) / 1e4, [mass, price]))),
]

/** Rails, pipes and bars: mass of a metre and price of one, and the lengths that they are sold in. */
const LONG = [
  ['rail/rail-38x88', '38 × 88 rail', 1.7, 310, [2.4, 3, 3.6, 4.8]],
  ['rail/rail-47x100', '47 × 100 rail', 2.4, 420, [2.4, 3, 3.6, 4.8]],
  ['rail/rail-2x4', '2 × 4 rail', 1.7, 310, [2.44, 3.05, 3.66, 4.88]],
  ['board/feather-edge', '125 mm feather edge board', 1.3, 260, [1.2, 1.5, 1.8, 2.4]],
  ['pin/conduit-29', '29.5 mm conduit', 1, 890, [1, 3]],
  ['pin/pipe-33', '33.4 mm pipe', 2.5, 1_560, [1, 3]],
  ['pin/pipe-48', '48.3 mm pipe', 4.1, 2_240, [1, 3]],
  ['pin/bar-20', '20 mm bar', 2.5, 1_120, [1, 2]],
  ['pin/bar-25', '25 mm bar', 3.9, 1_640, [1, 2]],
] as const
/** Tube forms by their width, mm; cut to the length of the pier. */
const TUBES = [200, 250, 300, 350, 400, 450, 500, 600].map((width) => [`form/tube-${width}`, `${width} mm tube form`, width / 100, width * 5, [1.2, 3]] as const)
const long = [...LONG, ...TUBES].flatMap(([stockOf, name, mass, price, lengths]) =>
  lengths.map(
    (length): CatalogueRow => ({
      ...stick(stockOf, name, length),
      group: 'timber',
      price: Math.round(price * length),
      mass: Math.round(mass * length * 10) / 10,
      kept: RACK,
    }),
  ),
)

/** Price and mass of one, by kind and key of a part; what is missing is asked for by name, without a price. */
const MADE: readonly (readonly [kind: string, group: 'part' | 'fixing', kept: string, of: readonly (readonly [key: string, price: number, mass: number, pack?: number])[]])[] = [
  [
    'spur',
    'part',
    STORE,
    [
      ['spur-75', 1_450, 14],
      ['spur-100', 2_390, 29],
      ['spur-75-pair', 2_900, 28],
      ['spur-100-pair', 4_780, 58],
      ['spur-3in', 1_450, 14],
      ['spur-4in', 2_390, 30],
      ['spur-3in-pair', 2_900, 28],
      ['spur-4in-pair', 4_780, 60],
    ],
  ],
  [
    'fixing',
    'fixing',
    BINS,
    [
      ['bolt-12', 2_350, 0.25, 10],
      ['screw-10', 1_180, 0.08, 10],
      ['bolt-half-inch', 2_350, 0.25, 10],
      ['screw-3-8', 1_180, 0.08, 10],
    ],
  ],
  [
    'rail-fixing',
    'fixing',
    BINS,
    [
      ['screw-5x80', 1_490, 0.008, 100],
      ['screw-6x100', 1_990, 0.014, 100],
      ['screw-8x120', 2_690, 0.03, 50],
      ['screw-no10', 1_490, 0.008, 100],
      ['screw-quarter', 1_990, 0.014, 100],
      ['screw-5-16', 2_690, 0.03, 50],
    ],
  ],
  [
    'anchor',
    'fixing',
    BINS,
    [
      ['anchor-10x70', 2_100, 0.09, 10],
      ['anchor-12x90', 2_900, 0.14, 10],
    ],
  ],
  [
    'mender',
    'part',
    STORE,
    [
      ['mender-light', 1_890, 3],
      ['mender-heavy', 2_990, 5],
    ],
  ],
  [
    'sleeve',
    'part',
    STORE,
    [
      ['sleeve-450', 3_490, 7],
      ['sleeve-600', 4_290, 9],
    ],
  ],
  [
    'dowel',
    'part',
    STORE,
    [
      ['dowel-12', 240, 0.3],
      ['dowel-16', 390, 0.6],
    ],
  ],
  ['stake', 'part', STORE, [['stake-25', 1_150, 3.5]]],
  ['stand-off', 'part', STORE, parts.lists['stand-off'].rows.map(({ key }) => [key, 2_690, 2.2] as const)],
  ['prop', 'part', RACK, parts.lists.prop.rows.map(({ key }) => [key, 640, 4] as const)],
]
const made = MADE.flatMap(([kind, group, kept, of]) =>
  of.map(
    ([key, price, mass, pack = 1]): CatalogueRow => ({
      key: `${kind}/${key}`,
      name: parts.lists[kind]!.rows.find((part) => part.key === key)!.name,
      group,
      unit: 'each',
      pack,
      price,
      tax: 'standard',
      mass,
      kept,
    }),
  ),
)

const nails: CatalogueRow = {
  key: 'fixing/nail-65',
  name: '65 mm galvanised nail',
  group: 'fixing',
  unit: 'each',
  pack: 250,
  price: 1_250,
  tax: 'standard',
  mass: 0.006,
  kept: BINS,
}

/** A day of it, half of one, a weekend; and what is left as a deposit. */
const HIRED = [
  ['mixer', [4_200, 2_600, 6_300], 10_000],
  ['breaker', [5_600, 3_500, 8_400], 15_000],
  ['auger', [6_900, 4_300, 10_300], 15_000],
] as const
const SPANS = [
  ['', 'day', 'a day'],
  ['/half-day', 'half-day', 'half a day'],
  ['/weekend', 'weekend', 'a weekend'],
] as const
const hired = (tool: string, prices: readonly number[], deposit: number): CatalogueRow[] =>
  SPANS.map(([more, unit, says], i) => ({
    key: `hire/${tool}${more}`,
    name: `${tool}, ${says}`,
    group: 'hire',
    unit,
    pack: 1,
    price: prices[i]!,
    tax: 'standard',
    deposit,
  }))

const services: CatalogueRow[] = [
  { key: 'labour/general', name: 'work at the fence', group: 'labour', unit: 'h', pack: 1, price: 3_800, tax: 'standard' },
  { key: 'labour/dig', name: 'digging and breaking out', group: 'labour', unit: 'h', pack: 1, price: 3_800, tax: 'standard' },
  { key: 'labour/mix', name: 'concrete', group: 'labour', unit: 'h', pack: 1, price: 3_800, tax: 'standard' },
  { key: 'labour/saw', name: 'carpentry', group: 'labour', unit: 'h', pack: 1, price: 4_400, tax: 'standard' },
  { key: 'travel/km', name: 'travel', group: 'travel', unit: 'km', pack: 1, price: 55, tax: 'standard' },
  { key: 'travel/call-out', name: 'call-out', group: 'travel', unit: 'visit', pack: 1, price: 3_500, tax: 'standard' },
  ...HIRED.flatMap(([key, prices, deposit]) => hired(key, prices, deposit)),
  { key: 'disposal/spoil', name: 'spoil taken away', group: 'disposal', unit: 'kg', pack: 1, price: 6, tax: 'standard' },
  { key: 'disposal/concrete', name: 'old concrete taken away', group: 'disposal', unit: 'kg', pack: 1, price: 9, tax: 'standard' },
]

export const catalogue: readonly CatalogueRow[] = [...mixes, ...bulk, ...posts, ...long, ...made, nails, ...services]

/** Working values of a newcomer: a workspace sets its own. */
export const costSettings: CostSettings = {
  currency: 'EUR',
  taxes: { standard: 20, reduced: 10, none: 0 },
  markUp: 15,
  waste: 5,
  overhead: 10,
  distance: 24,
}
