import { TAX_KEYS } from '../../cost/catalogue'
import { column, NAMED, type YardTable } from '../column'

/** How a workspace reckons; its currencies are those that the program knows the smaller unit of. */
export const reckoningTable = (currencies: readonly string[]): YardTable => ({
  key: 'reckoning',
  name: 'How we reckon',
  says: 'Currency, tax, and what is put on each line. Prices are before tax; tax is worked on the sum of each rate.',
  isKept: true,
  isSingle: true,
  columns: [
    ...NAMED,
    column('currency', 'currency', 'choice', { values: currencies, isNeeded: true, isMain: true }),
    ...TAX_KEYS.map((tax) =>
      column(`taxes.${tax}`, `${tax} tax`, 'number', { range: [0, 100], unit: '%', isNeeded: true, isMain: true }),
    ),
    column('markUp', 'mark-up', 'number', { range: [0, 500], unit: '%', isNeeded: true, isMain: true }),
    column('waste', 'waste of what is cut or poured', 'number', { range: [0, 100], unit: '%', isNeeded: true }),
    column('overhead', 'overhead', 'number', { range: [0, 500], unit: '%', isNeeded: true }),
    column('distance', 'there and back', 'number', { range: [0, 2_000], unit: 'km', isNeeded: true }),
    column('validDays', 'an offer holds', 'number', { range: [1, 365], unit: 'days', isNeeded: true }),
  ],
})
