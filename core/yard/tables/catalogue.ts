import { COATINGS, CATALOGUE_GROUPS, CATALOGUE_UNITS, TAX_KEYS } from '../../cost/catalogue'
import { column, NAMED, type YardTable } from '../column'

const MOST_MINOR = 1e12

/** Everything that is bought, hired and paid for. */
export const catalogue: YardTable = {
  key: 'catalogue',
  name: 'Prices',
  says: 'What is bought, hired and paid for. A price that changes here never changes an offer that was sent.',
  columns: [
    ...NAMED,
    column('group', 'belongs to', 'choice', { values: CATALOGUE_GROUPS, isNeeded: true }),
    column('price', 'price of a pack', 'money', { range: [0, MOST_MINOR], isNeeded: true, isMain: true }),
    column('unit', 'counted in', 'choice', { values: CATALOGUE_UNITS, isNeeded: true }),
    column('pack', 'in a pack', 'number', { range: [0.001, 1e6], isNeeded: true }),
    column('have', 'lying there', 'number', { range: [0, 1e6], isMain: true }),
    column('onVan', 'on the van', 'number', { range: [0, 1e6] }),
    column('least', 'least to lie there', 'number', { range: [0, 1e6] }),
    column('kept', 'kept in', 'text'),
    column('mass', 'mass of one', 'number', { range: [0, 1e5], unit: 'kg' }),
    column('length', 'length', 'length', { range: [0.05, 20] }),
    column('coating', 'coating', 'choice', { values: COATINGS }),
    column('stockOf', 'stick of', 'text'),
    column('tax', 'tax', 'choice', { values: TAX_KEYS, isNeeded: true }),
    column('deposit', 'deposit', 'money', { range: [0, MOST_MINOR] }),
  ],
}
