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
  inputs: stretch,
  outputs: { coefficient: 'number' },
  run(input) {
    requireStretch(input)
    return { coefficient: meanCoefficient(input.from, input.to, input) }
  },
})

export const windForce = calculation({
  name: 'wind-force',
  says: 'wind on the stretch of fence that a post carries; `height` in is the top of the fence, out the height of the load',
  inputs: {
    ...stretch,
    gap: quantity(0, 2, 'm'),
    gust: quantity(0, 120, 'm/s'),
    exposure: choice(EXPOSURES),
    shelter: optional(quantity(0.1, 1), 1),
  },
  outputs: { force: 'N', height: 'm', pressure: 'Pa, of the wind', netPressure: 'Pa, on the fence' },
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
  inputs: {
    gust: optional(quantity(0, 200, 'm/s')),
    returnYears: optional(quantity(1.001, 1e6, 'years')),
    gust50: quantity(10, 100, 'm/s'),
  },
  outputs: { returnYears: 'years, when a gust is given', gust: 'm/s, when years are given' },
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
  inputs: { figure: choice(WIND_FIGURES.map(({ key }) => key)), speed: quantity(5, 150, 'm/s') },
  outputs: { gust50: 'm/s' },
  run: ({ figure, speed }) => ({ gust50: gust50From(figure, speed) }),
})
