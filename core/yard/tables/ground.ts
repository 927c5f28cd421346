import { column, NAMED, type YardRow, type YardTable } from '../column'

const KILO = 1e3
const DEGREE = Math.PI / 180
const isClay = ({ kind }: YardRow) => kind === 'clay'
const isSand = ({ kind }: YardRow) => kind === 'sand'
const holds = ({ kind }: YardRow) => kind !== 'none'

export const soils: YardTable = {
  key: 'soils',
  name: 'Soils',
  says: 'What the ground is known by, and what it holds. Figures for the named consistency; a test of yours goes first.',
  isKept: true,
  columns: [
    ...NAMED,
    column('kind', 'kind', 'choice', { values: ['clay', 'sand', 'none'], isNeeded: true }),
    column('fieldTest', 'known by', 'text', { isNeeded: true, isMain: true }),
    column('cohesion', 'undrained strength', 'number', {
      range: [1e3, 500e3],
      per: KILO,
      unit: 'kPa',
      isNeeded: isClay,
      isMain: true,
    }),
    column('depthFactor', 'depth factor', 'number', { range: [0.1, 1], isNeeded: isClay }),
    column('friction', 'friction', 'number', {
      range: [15 * DEGREE, 50 * DEGREE],
      per: DEGREE,
      unit: '°',
      isNeeded: isSand,
      isMain: true,
    }),
    column('apparentCohesion', 'holds by suction', 'number', {
      range: [0, 20e3],
      per: KILO,
      unit: 'kPa',
      isNeeded: isSand,
    }),
    column('stiffnessRate', 'stiffness with depth', 'number', {
      range: [1e5, 1e9],
      per: 1e6,
      unit: 'MPa/m',
      isNeeded: isSand,
    }),
    column('unitWeight', 'weight', 'number', { range: [8e3, 26e3], per: KILO, unit: 'kN/m³', isNeeded: holds }),
    column('saturatedUnitWeight', 'weight saturated', 'number', {
      range: [10e3, 28e3],
      per: KILO,
      unit: 'kN/m³',
      isNeeded: holds,
    }),
    column('lateral', 'code, sideways', 'number', { range: [1e3, 200e3], per: KILO, unit: 'kPa/m' }),
    column('bearing', 'bearing', 'number', { range: [1e3, 2e6], per: KILO, unit: 'kPa' }),
    column('drySeasonIgnored', 'top not counted in the dry', 'length', { range: [0, 2], isNeeded: holds }),
    column('digging', 'digging against loam', 'number', { range: [0.1, 20], isNeeded: holds }),
    column('overdig', 'hole comes out larger', 'number', { range: [0, 2], per: 0.01, unit: '%', isNeeded: holds }),
    column('advice', 'what is said of it', 'text', { isNeeded: (row) => !holds(row) }),
  ],
}

export const localRules: YardTable = {
  key: 'localRules',
  name: 'Local rules',
  says: 'What the wind map and the office say of a place. A new job takes them by name.',
  isKept: true,
  columns: [
    ...NAMED,
    column('says', 'what place it is', 'text', { isNeeded: true, isMain: true }),
    column('gust50', 'gust once in 50 years', 'number', { range: [10, 90], unit: 'm/s', isNeeded: true, isMain: true }),
    column('frostDepth', 'frost goes down', 'length', { range: [0, 3], isNeeded: true }),
    column('minimumDepth', 'least depth', 'length', { range: [0, 3], isNeeded: true }),
    column('roadside.slot.0', 'box: slot over the road, least', 'length', { range: [0.3, 2], isNeeded: true }),
    column('roadside.slot.1', 'box: slot over the road, most', 'length', { range: [0.3, 2], isNeeded: true }),
    column('roadside.setBack.0', 'box: face from the kerb, least', 'length', { range: [0, 2], isNeeded: true }),
    column('roadside.setBack.1', 'box: face from the kerb, most', 'length', { range: [0, 2], isNeeded: true }),
  ],
}
