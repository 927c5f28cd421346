import { InputError } from '../errors'
import { evenBoards, lappedBoards } from '../setout/boards'
import { gateLeaf, leafFor } from '../setout/gateLeaf'
import { calculation } from './calculation'
import { flag, listOf, optional, quantity } from './inputs'

/* What fills a bay: boards, and leaves of gates. */

export const boardsCalculation = calculation({
  name: 'boards',
  says: 'boards over a bay: how many with which gap, or from the start of one to the start of the next where they lap',
  source: 'n = round((L − g)/(w + g)), gap (L − n w)/(n + 1)',
  inputs: {
    bay: quantity(0.05, 50, 'm'),
    width: quantity(0.01, 2, 'm'),
    gap: optional(quantity(0, 1, 'm')),
    count: optional(quantity(2, 5_000)),
    overlapping: optional(flag()),
  },
  outputs: { count: 'boards', gap: 'm', cover: 'm, overlapping' },
  example: [
    { bay: 2.3, width: 0.1, gap: 0.01 },
    { count: 21, gap: 0.2 / 22 },
  ],
  run({ bay, width, gap, count, overlapping }) {
    if (overlapping) {
      if (count === undefined) throw new InputError('count', count, 'given where boards overlap')
      return { ...lappedBoards(bay, width, count) }
    }
    if (gap === undefined) throw new InputError('gap', gap, 'given, or else count with overlapping true')
    return { ...evenBoards(bay, width, gap) }
  },
})

export const gateLeafCalculation = calculation({
  name: 'gate-leaf',
  says: 'a leaf in its swing: clearance, hinges, diagonal, and the packing that lifts it again',
  source: 'plane geometry; clearance and hinges are working values',
  inputs: {
    width: quantity(0.3, 6, 'm'),
    height: quantity(0.3, 4, 'm'),
    rise: optional(quantity(-1, 1, 'm per m'), 0),
    sag: optional(quantity(0, 0.5, 'm')),
    hingeSpacing: optional(quantity(0.1, 4, 'm')),
  },
  outputs: { clearance: 'm', hinges: 'm over its bottom, [lower, upper]', diagonal: 'm', packing: 'm, with sag' },
  example: [
    { width: 1.2, height: 1.8, rise: 0.04, sag: 0.024, hingeSpacing: 1.2 },
    { clearance: 0.098, hinges: [0.3, 1.5], diagonal: Math.hypot(1.2, 1.8), packing: 0.024 },
  ],
  run: ({ width, height: tall, rise, sag, hingeSpacing }) => ({
    ...gateLeaf({ width, height: tall, rise: rise ?? 0, sag, hingeSpacing }),
  }),
})

const hardware = () => optional(quantity(0, 0.3, 'm'), 0)
export const leafToOrderCalculation = calculation({
  name: 'leaf-to-order',
  says: 'width of a leaf for an opening that is there, least and most',
  source: 'narrowest opening less the gaps at most; widest less gaps and 10 mm of latch at least, a working value',
  inputs: {
    openings: listOf(quantity(0.3, 12, 'm'), 6),
    leaves: optional(quantity(1, 2), 1),
    hingeGap: hardware(),
    latchGap: hardware(),
    meetingGap: hardware(),
  },
  outputs: { least: 'm', most: 'm' },
  example: [
    { openings: [1.14, 1.135], hingeGap: 0.02, latchGap: 0.015 },
    { least: 1.095, most: 1.1 },
  ],
  run({ openings, leaves, hingeGap = 0, latchGap = 0, meetingGap = 0 }) {
    if (openings.length === 0) throw new InputError('openings', openings, 'one reading at least')
    return { ...leafFor(openings, { leaves: leaves === 2 ? 2 : 1, hingeGap, latchGap, meetingGap }) }
  },
})
