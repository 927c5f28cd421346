import { InputError } from '../errors'
import { LIMITS } from '../limits'
import { cutLength, diagonal, weatheringCut } from '../setout/cut'
import { cutList, KERF } from '../setout/cutList'
import { plumbOrMatch } from '../setout/match'
import { pivotHeight } from '../setout/pivot'
import { holeReading } from '../setout/readings'
import { AGREEMENTS, spacerGap, USUAL_SPACER } from '../setout/stringGap'
import { USUAL_CHANGE } from '../setout/topline/follow'
import {
  followTops,
  levelTops,
  steppedTops,
  straightTops,
  sunkPanel,
  TOP_LINES,
  USUAL_STEP,
  type LevelAt,
} from '../setout/topline/topLine'
import { calculation } from './calculation'
import { choice, group, listOf, optional, quantity } from './inputs'

/* Along the string: what is wanted at a post, what was found, and what is cut for it. */

const station = () => quantity(0, 20_000, 'm')
const height = () => quantity(0.05, 12, 'm')

const offsetAt = () => group({ height: quantity(-2, 12, 'm'), offset: quantity(-2, 2, 'm') })
export const pivotCalculation = calculation({
  name: 'pivot',
  says: 'height about which a leaning post has turned, from two offsets to a plumb line',
  source: 'the straight line through both offsets meets the plumb line',
  inputs: { low: offsetAt(), high: offsetAt() },
  outputs: { height: 'm over the ground, negative below it' },
  example: [{ low: { height: 0.5, offset: 0.05 }, high: { height: 1.5, offset: 0.1 } }, { height: -0.5 }],
  run: ({ low, high }) => ({ height: pivotHeight(low, high) }),
})

const leaning = () => optional(group({ station: station(), slope: quantity(-1, 1, 'm per m') }))
export const plumbOrMatchCalculation = calculation({
  name: 'plumb-or-match',
  says: 'where the top of a post goes: plumb, or as its measured neighbours lean',
  source: 'leans of the nearest measured posts, straight between their stations; asked over 15 mm, a working value',
  inputs: { before: leaning(), after: leaning(), station: station(), height: height() },
  outputs: { plumb: 'm', match: 'm', difference: 'm', advice: 'plumb | ask' },
  example: [
    { before: { station: 2.4, slope: 0.02 }, after: { station: 7.2, slope: 0 }, station: 4.8, height: 1.8 },
    { plumb: 0, match: 0.018, difference: 0.018, advice: 'ask' },
  ],
  run: ({ before, after, station: at, height: top }) => ({ ...plumbOrMatch({ before, after }, at, top) }),
})

const thickness = () => quantity(0.02, 1, 'm')
export const spacerGapCalculation = calculation({
  name: 'spacer-gap',
  says: 'gap to read between the string and a post thicker or thinner than those that carry it',
  source: 'plane geometry',
  inputs: {
    spacer: optional(quantity(0, 0.3, 'm'), USUAL_SPACER),
    reference: thickness(),
    own: thickness(),
    agree: choice(AGREEMENTS),
  },
  outputs: { gap: 'm' },
  example: [{ reference: 0.1, own: 0.075, agree: 'centres' }, { gap: 0.0245 }],
  run: ({ spacer, reference, own, agree }) => ({ gap: spacerGap(spacer ?? USUAL_SPACER, reference, own, agree) }),
})

const list = (minimum: number, maximum: number) => listOf(quantity(minimum, maximum, 'm'), LIMITS.posts)
export const topLineCalculation = calculation({
  name: 'top-line',
  says: 'tops of posts over the datum of their ground levels: level, straight, following the ground, or stepped',
  source:
    'level and straight: geometry; following: least squares with bounded changes of slope; stepped: whole steps over the bottoms',
  inputs: {
    mode: choice(TOP_LINES),
    levels: list(-50, 50),
    stations: optional(list(0, 20_000)),
    height: optional(height()),
    first: optional(height()),
    last: optional(height()),
    change: optional(quantity(0, 1, 'm per m'), USUAL_CHANGE),
    panel: optional(height()),
    gap: optional(quantity(0, 1, 'm')),
    step: optional(quantity(0.001, 1, 'm'), USUAL_STEP),
  },
  outputs: { tops: 'm', steps: 'm, from bay to bay; stepped', clearances: 'm, the larger of each bay; stepped' },
  example: [
    { mode: 'stepped', levels: [0, 0.11, 0.11], panel: 1.8, gap: 0.05 },
    { tops: [1.96, 1.96], steps: [0], clearances: [0.16, 0.05] },
  ],
  run(input) {
    const { mode, levels } = input
    const need = <K extends keyof typeof input>(key: K) => {
      const value = input[key]
      if (value === undefined) throw new InputError(key, value, `given for ${mode}`)
      return value as NonNullable<(typeof input)[K]>
    }
    if (levels.length === 0) throw new InputError('levels', levels, 'one post at least')
    switch (mode) {
      case 'level':
        return { tops: levelTops(levels, need('height')) }
      case 'straight':
        return { tops: straightTops(need('stations'), levels, need('first'), need('last')) }
      case 'follow':
        return { tops: followTops(need('stations'), levels, need('height'), input.change) }
      case 'stepped':
        return { ...steppedTops(levels, need('panel'), need('gap'), input.step) }
    }
  },
})

const ends = () => listOf(group({ station: station(), level: quantity(-50, 50, 'm') }), 2)
function pair(key: string, given: readonly LevelAt[]): readonly [LevelAt, LevelAt] {
  const [one, other] = given
  if (!one || !other) throw new InputError(key, given, 'two places')
  return [one, other]
}
export const sunkPanelCalculation = calculation({
  name: 'sunk-panel',
  says: 'how far each end of a sunk panel is lifted to meet the line again',
  source: 'the panel’s ends brought to the straight line through its neighbours',
  inputs: { line: ends(), panel: ends() },
  outputs: { lifts: 'm, [start, end], up positive' },
  example: [
    {
      line: [
        { station: 0, level: 1.8 },
        { station: 6, level: 1.8 },
      ],
      panel: [
        { station: 2.4, level: 1.77 },
        { station: 4.8, level: 1.79 },
      ],
    },
    { lifts: [0.03, 0.01] },
  ],
  run: ({ line, panel }) => ({ lifts: sunkPanel(pair('line', line), pair('panel', panel)) }),
})

export const holeReadingCalculation = calculation({
  name: 'hole-reading',
  says: 'what the tape shows from the string to the bottom of a hole, before the stone goes in',
  source: 'string + depth; within 5 mm right, to 25 mm rammed: working values',
  inputs: { string: quantity(0, 12, 'm'), depth: quantity(0, 5, 'm'), measured: quantity(0, 17, 'm') },
  outputs: { wanted: 'm', move: 'm, down positive', action: 'dig | tamp | right | pack' },
  example: [
    { string: 1.9, depth: 0.75, measured: 2.62 },
    { wanted: 2.65, move: 0.03, action: 'dig' },
  ],
  run: ({ string, depth, measured }) => ({ ...holeReading(string, depth, measured) }),
})

export const cutLengthCalculation = calculation({
  name: 'cut-length',
  says: 'length of a post from foot to top, and what to buy for it',
  source: 'string, top detail and set depth added; the shortest stick that does',
  inputs: {
    string: quantity(0, 12, 'm'),
    topDetail: optional(quantity(-2, 2, 'm'), 0),
    setDepth: quantity(-2, 5, 'm'),
    stock: optional(listOf(quantity(0.1, 20, 'm'), 100), []),
  },
  outputs: { length: 'm', buy: 'm, or null', offcut: 'm, or null' },
  example: [
    { string: 1.85, topDetail: 0.05, setDepth: 0.6, stock: [2.1, 2.7, 3] },
    { length: 2.4, buy: 2.7, offcut: 0.3 },
  ],
  run: ({ string, topDetail, setDepth, stock }) => ({ ...cutLength(string, topDetail ?? 0, setDepth, stock) }),
})

export const weatheringCutCalculation = calculation({
  name: 'weathering-cut',
  says: 'a post top cut sloping: what the long side has over the short one',
  source: 'plane geometry',
  inputs: { width: thickness(), angle: quantity(0, 1.4, 'rad'), short: quantity(0, 12, 'm') },
  outputs: { rise: 'm', long: 'm', cut: 'm' },
  example: [
    { width: 0.1, angle: Math.PI / 6, short: 2.4 },
    { rise: 0.1 / Math.sqrt(3), long: 2.4 + 0.1 / Math.sqrt(3), cut: 0.2 / Math.sqrt(3) },
  ],
  run: ({ width, angle, short }) => ({ ...weatheringCut(width, angle, short) }),
})

export const diagonalCalculation = calculation({
  name: 'diagonal',
  says: 'diagonal of a square corner, and the angle that it has where its diagonal was measured',
  source: 'Pythagoras; the angle by the law of cosines',
  inputs: { a: quantity(0.01, 500, 'm'), b: quantity(0.01, 500, 'm'), measured: optional(quantity(0, 1_000, 'm')) },
  outputs: { diagonal: 'm', angle: 'rad, with measured' },
  example: [
    { a: 3, b: 4, measured: 5 },
    { diagonal: 5, angle: Math.PI / 2 },
  ],
  run: ({ a, b, measured }) => ({ ...diagonal(a, b, measured) }),
})

export const cutListCalculation = calculation({
  name: 'cut-list',
  says: 'pieces cut from stock: least cost, then least left over that is too short to keep',
  source: 'bounded search over every filling, exact while no more than 4 096 states are left over',
  inputs: {
    pieces: listOf(group({ length: quantity(0.01, 20, 'm'), count: quantity(0, 1_000) }), 100),
    stock: listOf(
      group({ length: quantity(0.05, 20, 'm'), price: quantity(0, 1e9), count: optional(quantity(0, 1_000)) }),
      50,
    ),
    kerf: optional(quantity(0, 0.02, 'm'), KERF),
  },
  outputs: {
    bars: '[{ stock, pieces, offcut }], m',
    price: 'minor units',
    exact: 'true where no other cutting is cheaper',
  },
  example: [
    {
      pieces: [
        { length: 2, count: 2 },
        { length: 1.1, count: 1 },
      ],
      stock: [
        { length: 4.8, price: 960 },
        { length: 3.6, price: 720 },
      ],
    },
    {
      bars: [
        { stock: 3.6, pieces: [2, 1.1], offcut: 0.494 },
        { stock: 3.6, pieces: [2], offcut: 1.597 },
      ],
      price: 1440,
      exact: true,
    },
  ],
  run({ pieces, stock, kerf }) {
    const whole = (key: string, value: number) => {
      if (!Number.isInteger(value)) throw new InputError(key, value, 'a whole number')
    }
    pieces.forEach(({ count }, i) => whole(`pieces[${i}].count`, count))
    stock.forEach(({ price, count }, i) => {
      whole(`stock[${i}].price`, price)
      if (count !== undefined) whole(`stock[${i}].count`, count)
    })
    return { ...cutList(pieces, stock, kerf) }
  },
})
