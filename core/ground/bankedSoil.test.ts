import { expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { row } from '../tables/tables'
import { bankedSoil } from './bankedSoil'

it('soil heaped against a fence presses with half its weight, growing with its height', () => {
  const clay = row(tables.soils, 'firm-clay')
  const { pressure } = bankedSoil(0.4, clay)
  expect(pressure).toBeCloseTo(0.25 * (clay.kind === 'none' ? NaN : clay.unitWeight) * 0.4, 9)
  expect(bankedSoil(0.8, clay).pressure).toBeCloseTo(2 * pressure, 9)
  expect(bankedSoil(0.4, row(tables.soils, 'peat')).pressure).toBeCloseTo(1800, 9)
})
