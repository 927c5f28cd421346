import { row, type Tables } from '../tables/tables'
import type { Section } from '../timber/section'
import { sectionSize } from '../timber/section'
import type { Measures } from '../units/quantity'
import type { Metres } from '../units/types'
import type { Assumption } from './resolve'

/** What was assumed, as a customer reads it: its name, and how its value is said. */
type Say = (value: unknown, says: Measures, tables: Tables) => string

const length: Say = (value, { length: show }) => show(value as Metres)
const plain: Say = (value) => String(value)
const words: Say = (value) => String(value).replaceAll('-', ' ')

const SAID: Readonly<Record<string, [name: string, say: Say]>> = {
  'site.exposure': ['How the place lies', words],
  'site.shelter': [
    'Shelter upwind',
    (value) => (value === 1 ? 'none' : `${Math.round((value as number) * 100)} in 100 of the wind`),
  ],
  'site.gust50': ['Strongest gust in fifty years', (value, { gust }) => gust(value as number)],
  'site.frostDepth': ['Frost goes down to', length],
  'site.minimumDepth': ['Least depth by the local rules', length],
  'site.targetReturnYears': ['It shall stand the gust of', (value) => `${String(value)} years`],
  'site.season': ['Counted for the season', words],
  kind: ['Kind of fence', words],
  height: ['Height of the fence', length],
  gap: ['Gap under the fence', length],
  length: ['Length', length],
  material: ['The post is of', words],
  section: [
    'Size of the post',
    (value, { length: show }) => {
      const { along, across } = sectionSize(value as Section)
      return `${show(along)} × ${show(across)}`
    },
  ],
  ageYears: ['Age of the post', (value) => `${String(value)} years`],
  soil: ['The ground is', (value, _says, tables) => row(tables.soils, value as string).name.toLowerCase()],
  footing: [
    'Footing of the post',
    (value) => (value === 'unknown' ? 'not measured' : words(value, undefined as never, undefined as never)),
  ],
  'gate.leafWidth': ['Width of the leaf', length],
  'gate.leafMass': ['Weight of the leaf', (value, { mass }) => mass(value as number)],
  box: [
    'Size of the box',
    (value, { length: show }) => {
      const { width, height } = value as { width: Metres; height: Metres }
      return `${show(width)} × ${show(height)}`
    },
  ],
}

/**
 * An assumption in words, without a key or a stray decimal.
 *
 * @example assumptionWords({ key: 'site.frostDepth', value: 0.45, … }, measuresIn('metric'), tables) // 'Frost goes down to: 0.45 m'
 */
export function assumptionWords({ key, value }: Assumption, says: Measures, tables: Tables): string {
  const [name, say] = SAID[key.replace(/^line \S+ /, '')] ?? [key, plain]
  return `${name}: ${say(value, says, tables)}`
}
