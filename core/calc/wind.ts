import { EXPOSURES } from '../wind/fence'
import { InputError } from '../errors'
import { meanCoefficient } from '../wind/coefficient'
import { windLoad } from '../wind/force'
import { gust50From, WIND_FIGURES } from '../wind/gust50'
import { gustOfReturnPeriod, returnPeriodOfGust } from '../wind/returnPeriod'
import { calculation } from './calculation'
import { choice, flag, optional, quantity } from './inputs'

const stretch = {
  from: quantity(0, 20_000, 'm'),
  to: quantity(0, 20_000, 'm'),
  length: quantity(0.3, 20_000, 'm'),
  height: quantity(0.3, 6, 'm'),
  solidity: quantity(0.02, 1),
  cornerAtStart: optional(flag(), false),
  cornerAtEnd: optional(flag(), false),
}

function requireStretch({ from, to }: { from: number; to: number }): void {
  if (to <= from) throw new InputError('to', to, `beyond \`from\`, ${from} m`)
}

export const windCoefficient = calculation({
  name: 'wind-coefficient',
  says: 'net pressure coefficient averaged over a stretch of fence',
  source:
    'EN 1991-1-4:2005 Table 7.9, its zones averaged exactly over the stretch; porosity after ASCE/SEI 7-16 Fig. 29.3-1, carried on below its own limit',
  inputs: stretch,
  outputs: { coefficient: 'number' },
  example: [{ from: 18.78, to: 21.22, length: 40, height: 1.83, solidity: 1 }, { coefficient: 1.2 }],
  run(input) {
    requireStretch(input)
    return { coefficient: meanCoefficient(input.from, input.to, input) }
  },
})

export const windForce = calculation({
  name: 'wind-force',
  says: 'wind on the stretch of fence that a post carries; `height` in is the top of the fence, out the height of the load',
  source:
    'q = 0.613 Kz Kd V², ASCE/SEI 7-16 eq. 26.10-1 and Table 26.10-1; shelter after EN 1991-1-4 §7.4.2, working values',
  inputs: {
    ...stretch,
    gap: quantity(0, 2, 'm'),
    gust: quantity(0, 120, 'm/s'),
    exposure: choice(EXPOSURES),
    shelter: optional(quantity(0.1, 1), 1),
  },
  outputs: { force: 'N', height: 'm', pressure: 'Pa, of the wind', netPressure: 'Pa, on the fence' },
  example: [
    { from: 18.78, to: 21.22, length: 40, height: 1.83, solidity: 1, gap: 0.05, gust: 40, exposure: 'sheltered' },
    { force: 2477, height: 0.94, pressure: 475.2 },
  ],
  run(input, tables) {
    requireStretch(input)
    if (input.gap >= input.height) throw new InputError('gap', input.gap, `less than the height, ${input.height} m`)
    const {
      force,
      height,
      pressure: netPressure,
      coefficient,
    } = windLoad({ ...input, exposure: tables.exposures[input.exposure].factor }, input.gust)
    return { force, height, pressure: netPressure / coefficient, netPressure }
  },
})

export const returnPeriod = calculation({
  name: 'return-period',
  says: 'return period of a gust, or the gust of a return period',
  source: 'EN 1991-1-4:2005 eq. 4.2 with K = 0.2, n = 0.5, and its exact inverse',
  inputs: {
    gust: optional(quantity(0, 200, 'm/s')),
    returnYears: optional(quantity(1.001, 1e6, 'years')),
    gust50: quantity(10, 100, 'm/s'),
  },
  outputs: { returnYears: 'years, when a gust is given', gust: 'm/s, when years are given' },
  example: [{ returnYears: 10, gust50: 38 }, { gust: 34.29 }],
  run({ gust, returnYears, gust50 }) {
    if ((gust === undefined) === (returnYears === undefined))
      throw new InputError('gust', gust, 'given, or else returnYears: one of the two')
    return gust === undefined
      ? { gust: gustOfReturnPeriod(returnYears!, gust50) }
      : { returnYears: returnPeriodOfGust(gust, gust50) }
  },
})

export const gust50Calculation = calculation({
  name: 'gust50',
  says: 'the 50-year 3-second gust from a map figure of another kind',
  source: '10-minute mean × 1.45; strength-level gusts by 0.36 + 0.1 ln 12T, ASCE/SEI 7-16 C26.5',
  inputs: { figure: choice(WIND_FIGURES.map(({ key }) => key)), speed: quantity(5, 150, 'm/s') },
  outputs: { gust50: 'm/s' },
  example: [{ figure: 'gust-700', speed: 48 }, { gust50: 37.97 }],
  run: ({ figure, speed }) => ({ gust50: gust50From(figure, speed) }),
})
