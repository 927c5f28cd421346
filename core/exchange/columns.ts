import {
  CARRIED,
  CLEAR_FACES,
  DUTIES,
  FOOTING_KINDS,
  HARD_THINGS,
  RAIL_MENDINGS,
  UPGRADES,
} from '../document/vocabulary'
import { MATERIALS } from '../timber/materials'
import { PICKED, SEEN_TOGETHER } from '../cause/observations'

/* What a table of posts may hold: one row here for each key of a post. */

export type ColumnKind = 'text' | 'length' | 'number' | 'choice' | 'flag' | 'list'

export interface Column {
  /** Dotted path in the post; `line` is the line that it stands in. */
  path: string
  kind: ColumnKind
  /** Other headings under which people keep it, in small letters without blanks or signs. */
  alsoCalled: readonly string[]
  values?: readonly string[]
}

const column = (
  path: string,
  kind: ColumnKind,
  alsoCalled: readonly string[] = [],
  values?: readonly string[],
): Column => ({
  path,
  kind,
  alsoCalled,
  ...(values ? { values } : {}),
})

const lean = (i: number) =>
  (['offset', 'over', 'direction'] as const).map((part) =>
    column(`observations.lean.${i}.${part}`, part === 'direction' ? 'number' : 'length', [`lean${i + 1}${part}`]),
  )

export const COLUMNS: readonly Column[] = [
  column('line', 'text', ['run', 'side', 'fence', 'lineid']),
  column('id', 'text', ['post', 'postid', 'name', 'no', 'number', 'postno', 'postnumber']),
  column('station', 'length', [
    'tape',
    'reading',
    'distance',
    'chainage',
    'position',
    'at',
    'running',
    'offsetalong',
    'x',
  ]),
  column('groundLevel', 'length', ['level', 'ground', 'elevation', 'reducedlevel']),
  column('carriesString', 'flag', ['string']),
  column('duty', 'choice', ['kind', 'type', 'role'], DUTIES),
  column('duties', 'list', ['besides', 'otherduties'], DUTIES),
  column('make', 'text', ['builtby', 'builder']),
  column('material', 'choice', ['madeof', 'timber', 'wood'], MATERIALS),
  column('section.shape', 'choice', ['shape'], ['rectangle', 'round', 'tube', 'hollow']),
  column('section.along', 'length', ['along', 'width', 'size', 'postsize']),
  column('section.across', 'length', ['across', 'thickness', 'deep']),
  column('section.diameter', 'length', ['diameter', 'postdiameter']),
  column('section.wall', 'length', ['wall', 'wallthickness']),
  column('length', 'length', ['postlength', 'wholelength', 'overalllength']),
  column('ageYears', 'number', ['age', 'years']),
  column('soil', 'text', ['groundtype', 'soiltype']),
  column('saturated', 'flag', ['wet', 'waterlogged']),
  column('footing.kind', 'choice', ['footing', 'base'], FOOTING_KINDS),
  column('footing.diameter', 'length', ['footingdiameter', 'footingwidth']),
  column('footing.top', 'length', ['footingtop']),
  column('footing.bottom', 'length', ['footingbottom', 'footingdepth']),
  column('gate.leafWidth', 'length', ['leafwidth', 'gatewidth', 'leaf']),
  column('gate.leafMass', 'number', ['leafmass', 'gatemass', 'leafweight']),
  column('gate.hingeSpacing', 'length', ['hingespacing']),
  column('box.width', 'length', ['boxwidth']),
  column('box.height', 'length', ['boxheight']),
  column('pointedAt', 'flag', ['calledfor', 'reported']),
  column('carries.area', 'number', ['carriesarea']),
  column('carries.from', 'choice', ['carriesfrom'], CARRIED),
  column('carries.dead', 'number', ['deadload']),
  column('carries.live', 'number', ['liveload']),
  column('slab.thickness', 'length', ['slabthickness']),
  column('slab.sound', 'flag', ['slabsound']),
  column('slab.edge', 'length', ['slabedge']),
  column('slab.strength', 'number', ['slabstrength']),
  column('removable', 'flag', ['comesout']),
  column('clearFaces', 'choice', ['facesclear'], CLEAR_FACES),
  column('hardAgainst', 'choice', ['hardagainst'], HARD_THINGS),
  column('roomToDig', 'flag', ['room']),
  column('upgrade', 'choice', [], UPGRADES),
  column('corrosive', 'flag', ['salt']),
  column('cladding.railEnds', 'number', ['rottenrailends']),
  column('cladding.torn', 'length', ['tornoff']),
  column('cladding.salvaged', 'number', ['boardsthatserve']),
  column('cladding.broken', 'number', ['brokenboards']),
  column('cladding.mend', 'choice', ['railmending'], RAIL_MENDINGS),
  column('steadyLoad.pressure', 'number', ['sidepressure']),
  column('steadyLoad.height', 'length', ['sidepressureheight']),
  ...lean(0),
  ...lean(1),
  column('observations.probeAtGround', 'length', ['softatground', 'probe']),
  column('observations.probeBelow', 'length', ['softbelow']),
  column('observations.probeAbove', 'length', ['softabove']),
  column('observations.moisturePercent', 'number', ['moisture']),
  ...Object.entries(PICKED).map(([key, values]) => column(`observations.${key}`, 'choice', [], values)),
  ...Object.entries(SEEN_TOGETHER).map(([key, values]) => column(`observations.${key}`, 'list', [], values)),
]

/** Units that a heading may carry, and how many metres one of them has. */
export const HEADING_UNITS: Record<string, number> = { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, in: 0.0254 }

export interface Heading {
  column?: Column
  /** Metres for a bare number below it, where the heading says so. */
  unit?: number
}

/**
 * Guesses what a heading means: by our own name for it, or by one that people use.
 *
 * @example guessHeading('Tape (ft)') // the column of `station`, 0.3048
 */
export function guessHeading(heading: string): Heading {
  const [, words = '', unit] = UNIT_AT_END.exec(heading.trim())!
  const name = plain(words)
  const found =
    COLUMNS.find(({ path }) => plain(path) === name) ??
    COLUMNS.find(({ path }) => plain(path.split('.').at(-1)!) === name) ??
    COLUMNS.find(({ alsoCalled }) => alsoCalled.includes(name))
  return { ...(found ? { column: found } : {}), ...(unit ? { unit: HEADING_UNITS[unit.toLowerCase()]! } : {}) }
}

const UNIT_AT_END = /^(.*?)(?:[\s_]*[([]?\b(m|cm|mm|ft|in)\b[)\]]?)?$/i
const plain = (words: string) => words.toLowerCase().replace(/[^a-z0-9]/g, '')
