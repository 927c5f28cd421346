import { LEVEL_ERROR, leanTrend } from '../setout/leanTrend'
import { calculation } from './calculation'
import { group, listOf, optional, quantity } from './inputs'

export const trendCalculation = calculation({
  name: 'trend',
  says: 'how the lean of a post goes on over its visits, with the 90 % interval, and whether it leans again',
  source: 'least squares; interval by Student’s t',
  inputs: {
    readings: listOf(group({ years: quantity(0, 200, 'years'), lean: quantity(-2, 2) }), 1_000),
    error: optional(quantity(0, 1), LEVEL_ERROR),
  },
  outputs: {
    slope: 'm per m a year',
    standardError: 'm per m a year',
    low: 'of the 90 % interval',
    high: 'of the 90 % interval',
    again: 'it leans again',
    out: 'it is out of plumb',
  },
  example: [
    {
      readings: [
        { years: 0, lean: 0.0008 },
        { years: 0.25, lean: 0.0021 },
        { years: 0.5, lean: 0.0034 },
        { years: 0.75, lean: 0.0051 },
      ],
    },
    { slope: 0.00568, standardError: 0.00149, low: 0.00133, high: 0.01003, again: true, out: false },
  ],
  // Of one reading nothing can be said of how it goes on.
  run({ readings, error }) {
    const found = leanTrend(readings, error)
    return found ? { ...found } : { slope: null, standardError: null, low: null, high: null, again: false, out: false }
  },
})
