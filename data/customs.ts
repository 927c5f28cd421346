import { METRIC_CUSTOMS, type DiggingCustoms } from '../core/ground/customs'
import type { Mix } from '../core/concrete/bags'
import type { Defaults, Tables } from '../core/tables/tables'
import { FOOT, INCH } from '../core/units/constants'
import type { LengthSystem } from '../core/units/length'

/** Where people build in feet and inches: the same trade with other tools, sticks and bags. Working values. */
interface Customs {
  digging: DiggingCustoms
  /** What a newcomer's job is taken for there. */
  defaults: Partial<Defaults>
  /** Mixes by the bags of that market, commonest first; the others follow. */
  mixes: readonly (Pick<Mix, 'key'> & { name?: string })[]
}

const metric: Customs = { digging: METRIC_CUSTOMS, defaults: {}, mixes: [] }

const feetAndInches: Customs = {
  digging: {
    depthStep: INCH,
    toolWidths: [6, 8, 10, 12, 14, 16, 18, 20, 24, 30, 36, 48, 60, 72].map((inches) => inches * INCH),
    always: { depth: 2 * FOOT, words: '2 ft' },
    trade: { depth: 2.5 * FOOT, words: '2 ft 6 in' },
    stockLengths: [5, 6, 7, 8, 9, 10, 12, 14, 16].map((feet) => feet * FOOT),
    belowFrost: '6 in',
  },
  defaults: {
    height: 6 * FOOT,
    gap: 2 * INCH,
    postSize: 3.5 * INCH,
    embedment: 2 * FOOT,
    leafWidth: 3 * FOOT,
    box: { width: 14 * INCH, height: 16 * INCH },
    frostDepth: 18 * INCH,
    minimumDepth: 2 * FOOT,
    fillTop: 2 * INCH,
    mix: 'fast-set-22',
    carryingMix: 'general-27',
  },
  mixes: [
    { key: 'fast-set-22', name: '50 lb fast-setting mix' },
    { key: 'general-27', name: '60 lb general mix' },
    { key: 'high-36', name: '80 lb high strength mix' },
    { key: 'post-mix-20', name: '44 lb fast post mix' },
    { key: 'general-20', name: '44 lb general mix' },
  ],
}

const CUSTOMS: Record<LengthSystem, Customs> = { metric, 'feet-inches': feetAndInches }

/** The tables as they are where people read these units. */
export function inUnits(tables: Tables, units: LengthSystem): Tables {
  const { digging, defaults, mixes } = CUSTOMS[units]
  const first = mixes.flatMap(({ key, name }) => tables.mixes.filter((mix) => mix.key === key).map((mix) => (name ? { ...mix, name } : mix)))
  const others = tables.mixes.filter(({ key }) => !first.some((mix) => mix.key === key))
  const own: Tables = { ...tables, units, digging, defaults: { ...tables.defaults, ...defaults } }
  return units === 'metric' ? own : { ...inInches(own), mixes: [...first, ...others] }
}

/** Whatever the rows say in millimetres or metres, said in inches and feet. */
function inInches<T>(rows: T): T {
  if (typeof rows === 'string') return lengthsInInches(rows) as T
  if (Array.isArray(rows)) return rows.map(inInches) as T
  if (typeof rows !== 'object' || rows === null) return rows
  return Object.fromEntries(Object.entries(rows).map(([key, value]) => [key, inInches(value as unknown)])) as T
}

/**
 * To the quarter inch, as a rule of thumb is said.
 *
 * @example lengthsInInches('Check 50 mm of cover.') // 'Check 2 in of cover.'
 * @example lengthsInInches('under 1 m of it') // 'under 3 ft of it'
 */
export const lengthsInInches = (text: string): string => text.replace(/(\d+(?:\.\d+)?) (mm|m)\b/g, (_all, figure: string, unit: string) => (unit === 'm' ? `${Math.round(Number(figure) / FOOT)} ft` : `${quarters(Number(figure) / 1e3 / INCH)} in`))

function quarters(inches: number): string {
  const count = Math.max(1, Math.round(inches * 4))
  const rest = ['', '1⁄4', '1⁄2', '3⁄4'][count % 4]!
  return [count >= 4 ? String(Math.floor(count / 4)) : '', rest].filter(Boolean).join(' ')
}
