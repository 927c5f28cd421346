import { calculate } from '../calc/registry'
import { drawsFrom, type Draws } from '../numeric/draws'
import { row, type Tables } from '../tables/tables'

/* Short drills with the clock: a figure in the head, and what it is by the formula. */

export const DRILLS = ['bags', 'gate-opening', 'hole-reading', 'water', 'working-time'] as const
export type DrillKey = (typeof DRILLS)[number]

export interface Drill {
  key: DrillKey
  /** What is asked, with its measures where `{0}`, `{1}` … stand. */
  asks: string
  measures: readonly { value: number; unit: 'm' | 'mm' | 'L' | '°C' | 'count' }[]
  /** What is answered in: lengths are the reader's, as everywhere. */
  unit: 'm' | 'bags' | 'L' | 'min'
  answer: number
  /** So far off is right. */
  within: number
  /** How it is worked out in the head. */
  how: string
}

export const DRILL_NAMES: Readonly<Record<DrillKey, string>> = {
  bags: 'Bags in the head',
  'gate-opening': 'Gate openings',
  'hole-reading': 'Hole readings',
  water: 'Water',
  'working-time': 'Working time',
}

/** A drill of a kind. The same seed asks the same. */
export const drillOf = (key: DrillKey, seed: number, tables: Tables): Drill => MAKERS[key](drawsFrom(seed), tables)

type Maker = (draws: Draws, tables: Tables) => Drill
const figure = (name: string, input: unknown, of: string, tables: Tables): number =>
  calculate(name, input, tables)[of] as number

const POST = { shape: 'rectangle', along: 0.1, across: 0.1 } as const

const MAKERS: Readonly<Record<DrillKey, Maker>> = {
  bags({ one }, tables) {
    const [diameter, depth] = [one([0.2, 0.25, 0.3, 0.35]), one([0.5, 0.6, 0.7, 0.75, 0.9])]
    const hole = { shape: 'round', diameter, depth, fillTop: 0.05 }
    const concrete = figure('hole-volume', { hole, post: POST }, 'concrete', tables)
    const mix = row(tables.mixes, tables.defaults.mix)
    const answer = figure(
      'bags',
      { concrete, mix: mix.key, filling: tables.defaults.filling, hole, post: POST },
      'count',
      tables,
    )
    return {
      key: 'bags',
      asks: `A round hole {0} wide and {1} deep, filled to {2} under the ground round a post of 100 × 100. How many bags, of ${mix.name}?`,
      measures: [
        { value: diameter, unit: 'm' },
        { value: depth, unit: 'm' },
        { value: 0.05, unit: 'm' },
      ],
      unit: 'bags',
      answer,
      within: 0,
      how: 'Width squared × 0.8 × depth is the hole; take off the post, and share it by what a bag makes. Whole bags, up.',
    }
  },
  'gate-opening'({ one }, tables) {
    const leaf = one([0.9, 1, 1.1, 1.2, 1.5])
    const leaves = one([1, 2])
    const [hingeGap, latchGap, meetingGap] = [one([0.01, 0.015, 0.02]), one([0.01, 0.015]), one([0.01, 0.015])]
    const input = {
      leaves: Array.from({ length: leaves }, () => leaf),
      hingeGap,
      ...(leaves === 1 ? { latchGap } : { meetingGap }),
      post: 0.1,
    }
    return {
      key: 'gate-opening',
      asks:
        leaves === 1
          ? 'One leaf {0} wide, a gap of {1} at the hinges and {2} at the latch. How wide is the opening?'
          : 'Two leaves, each {0} wide, a gap of {1} at each hinge post and {2} where they meet. How wide is the opening?',
      measures: [
        { value: leaf, unit: 'm' },
        { value: hingeGap, unit: 'mm' },
        { value: leaves === 1 ? latchGap : meetingGap, unit: 'mm' },
      ],
      unit: 'm',
      answer: figure('gate-opening', input, 'opening', tables),
      within: 0.0015,
      how: 'Leaves and gaps, laid end to end.',
    }
  },
  'hole-reading'({ one }, tables) {
    const [string, depth] = [one([1.75, 1.8, 1.85, 1.9]), one([0.6, 0.65, 0.7, 0.75, 0.8])]
    return {
      key: 'hole-reading',
      asks: 'The string runs {0} over the ground, the hole shall be {1} deep. What does the tape show from the string to the bottom?',
      measures: [
        { value: string, unit: 'm' },
        { value: depth, unit: 'm' },
      ],
      unit: 'm',
      answer: figure('hole-reading', { string, depth, measured: string + depth }, 'wanted', tables),
      within: 0.0015,
      how: 'The string over the ground and the depth under it, added.',
    }
  },
  water({ one }, tables) {
    const mix = row(tables.mixes, tables.defaults.mix)
    const bags = one([2, 3, 4, 5, 6])
    const hole = { shape: 'round', diameter: 0.25, depth: 0.6 }
    const one1 = figure(
      'bags',
      { concrete: 0.01, mix: mix.key, filling: tables.defaults.filling, hole, post: POST },
      'water',
      tables,
    )
    return {
      key: 'water',
      asks: `{0} bags, of ${mix.name}. How much water by the label?`,
      measures: [{ value: bags, unit: 'count' }],
      unit: 'L',
      answer: one1 * bags * 1e3,
      within: one1 * bags * 1e3 * 0.05,
      how: `${(one1 * 1e3).toFixed(1)} L to a bag, by the label: more makes it run, and takes its strength.`,
    }
  },
  'working-time'({ one }, tables) {
    const temperature = one([5, 8, 12, 20, 25, 30])
    const mix = row(tables.mixes, tables.defaults.mix)
    const answer = figure('setting', { mix: mix.key, temperature, hours: 1 }, 'workingMinutes', tables)
    return {
      key: 'working-time',
      asks: `It is {0}, and ${mix.name} has just been wetted. How many minutes can it be worked?`,
      measures: [{ value: temperature, unit: '°C' }],
      unit: 'min',
      answer,
      within: Math.max(1, answer * 0.2),
      how: 'By the label at 20 °C; two thirds longer at 12, more than three times as long at 5, two thirds of it at 30.',
    }
  },
}

/** Right, or how far off. */
export const judged = ({ answer, within }: Drill, said: number): { isRight: boolean; off: number } => ({
  isRight: Math.abs(said - answer) <= within + 1e-9,
  off: said - answer,
})
