import { column, NAMED, type YardRow, type YardTable } from '../column'

const LITRE = 1e-3
const MEGA = 1e6
const inBags = ({ supply }: YardRow) => supply === 'bag'
const byHand = ({ supply }: YardRow) => supply === 'batch'

export const mixes: YardTable = {
  key: 'mixes',
  name: 'Mixes',
  says: 'What the label says: yield, water, and the minutes until it stiffens and is hard at 20 °C.',
  isKept: true,
  columns: [
    ...NAMED,
    column('supply', 'comes as', 'choice', { values: ['bag', 'batch', 'lorry'], isNeeded: true }),
    column('mass', 'mass of a bag', 'number', { range: [1, 2_000], unit: 'kg', isNeeded: inBags }),
    column('yields', 'a bag yields', 'number', {
      range: [5e-4, 1],
      per: LITRE,
      unit: 'L',
      isNeeded: inBags,
      isMain: true,
    }),
    column('waterMixed', 'water mixed', 'number', {
      range: [1e-4, 0.5],
      per: LITRE,
      unit: 'L',
      isNeeded: inBags,
      isMain: true,
    }),
    column('waterOnTop', 'water on top', 'number', { range: [1e-4, 0.5], per: LITRE, unit: 'L' }),
    column('cementShare', 'cement in it', 'number', { range: [0.05, 0.6], per: 0.01, unit: '%', isNeeded: inBags }),
    column('ratio', 'ballast to one of cement', 'number', { range: [2, 12], isNeeded: byHand }),
    column('waterCement', 'water to cement', 'number', { range: [0.3, 1], isNeeded: byHand }),
    column('moisture', 'water in the ballast', 'number', { range: [0, 0.2], per: 0.01, unit: '%', isNeeded: byHand }),
    column('stiffens', 'stiffens after', 'number', { range: [1, 1_000], unit: 'min', isNeeded: true, isMain: true }),
    column('hard', 'hard after', 'number', { range: [2, 5_000], unit: 'min', isNeeded: true }),
    column('strength', 'strength', 'number', {
      range: [5e6, 80e6],
      per: MEGA,
      unit: 'MPa',
      isNeeded: (row) => !byHand(row),
    }),
  ],
}
