import { LENGTH_SYSTEMS } from '../../units/length'
import { column, NAMED, type YardColumn, type YardRow, type YardTable } from '../column'

const MEGA = 1e6
const SQUARE_MILLIMETRE = 1e-6
const KILO = 1e3

const size = (path: string, name: string, most = 1): YardColumn =>
  column(path, name, 'length', { range: [1e-4, most], isSmall: true, isNeeded: true })
const long = (path: string, name: string): YardColumn =>
  column(path, name, 'length', { range: [0.01, 6], isNeeded: true })
const yields = column('yield', 'steel yields at', 'number', {
  range: [1e8, 1.2e9],
  per: MEGA,
  unit: 'MPa',
  isNeeded: true,
})
const bends = column('momentCapacity', 'may be bent by', 'number', {
  range: [10, 1e5],
  unit: 'N m',
  isNeeded: true,
  isMain: true,
})
const force = (path: string, name: string): YardColumn =>
  column(path, name, 'number', { range: [100, 1e6], per: KILO, unit: 'kN', isNeeded: true })
const isBolt = ({ kind }: YardRow) => kind === 'bolt'
const isScrew = ({ kind }: YardRow) => kind === 'screw'
const fixing: readonly YardColumn[] = [
  column('kind', 'kind', 'choice', { values: ['bolt', 'screw'], isNeeded: true }),
  { ...size('diameter', 'diameter', 0.1), isMain: true },
  { ...size('washer', 'washer', 0.3), isNeeded: isBolt },
  column('stressArea', 'steel in tension', 'number', {
    range: [1e-6, 5e-3],
    per: SQUARE_MILLIMETRE,
    unit: 'mm²',
    isNeeded: isBolt,
  }),
  { ...yields, isNeeded: isBolt },
  { ...size('thread', 'thread in the wood', 0.5), isNeeded: isScrew },
]
const stick = (isNeeded: boolean): readonly YardColumn[] => [
  { ...size('section.along', 'along the line', 0.6), isNeeded, isMain: true },
  { ...size('section.across', 'across the line', 0.6), isNeeded, isMain: true },
]
const section: readonly YardColumn[] = [
  column('section.shape', 'shape', 'choice', { values: ['rectangle', 'round', 'tube', 'hollow'] }),
  ...stick(false),
  { ...size('section.diameter', 'section diameter', 0.6), isNeeded: false },
  { ...size('section.wall', 'section wall', 0.05), isNeeded: false },
]

/** What the program reckons with of each kind of part: one row here for each kind. */
const OF_A_KIND: Readonly<Record<string, { name: string; columns: readonly YardColumn[] }>> = {
  spur: {
    name: 'Spurs',
    columns: [
      size('size', 'square of'),
      long('length', 'length'),
      bends,
      column('mass', 'mass', 'number', { range: [0.1, 500], unit: 'kg', isNeeded: true }),
      long('lowerFixing', 'lower fixing above ground'),
      long('upperFixing', 'upper fixing above ground'),
      column('isPair', 'a pair', 'flag'),
      { ...size('hole', 'hole for a fixing', 0.06), isNeeded: false },
    ],
  },
  fixing: { name: 'Bolts and screws', columns: fixing },
  pin: {
    name: 'Pins',
    columns: [
      ...section,
      { ...size('diameter', 'diameter', 0.2), isMain: true },
      yields,
      long('insertion', 'up into the post'),
    ],
  },
  post: { name: 'New posts', columns: section },
  'rail-fixing': { name: 'Rail fixings', columns: fixing },
  anchor: {
    name: 'Anchors',
    columns: [{ ...size('depth', 'deep in the slab'), isMain: true }, force('tension', 'steel in tension')],
  },
  mender: {
    name: 'Menders',
    columns: [
      bends,
      long('lowerBolt', 'lower bolt above the concrete'),
      long('upperBolt', 'upper bolt above the concrete'),
      size('bolt', 'bolt', 0.05),
    ],
  },
  sleeve: {
    name: 'Sleeves',
    columns: [
      size('wall', 'wall', 0.05),
      { ...long('insertion', 'post in it'), isMain: true },
      size('clearance', 'clear round the post', 0.05),
      yields,
    ],
  },
  rail: { name: 'Rails', columns: stick(true) },
  prop: { name: 'Props', columns: stick(true) },
  'stand-off': {
    name: 'Stand-off bases',
    columns: [
      { ...force('compression', 'pressed'), isMain: true },
      force('uplift', 'lifted'),
      force('lateral', 'sideways'),
    ],
  },
  dowel: { name: 'Dowels', columns: [{ ...size('diameter', 'diameter', 0.1), isMain: true }, yields] },
  stake: {
    name: 'Stakes',
    columns: [size('diameter', 'diameter', 0.1), { ...long('driven', 'driven'), isMain: true }],
  },
}

export const PART_TABLE = 'parts-'

export const partTables: readonly YardTable[] = Object.entries(OF_A_KIND).map(([kind, { name, columns }]) => ({
  key: `${PART_TABLE}${kind}`,
  name,
  says: 'Working values: the figure of whoever makes it takes their place.',
  isKept: true,
  columns: [...NAMED, ...columns, column('soldIn', 'sold in', 'choice', { values: LENGTH_SYSTEMS })],
}))
