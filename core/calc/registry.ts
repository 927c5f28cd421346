import { InputError } from '../errors'
import type { Tables } from '../tables/tables'
import type { Calculation } from './calculation'
import { diagnoseCalculation } from './cause'
import { dayBoundCalculation } from './days'
import {
  bags,
  handBatchCalculation,
  holeVolume,
  sectionCalculation,
  settingCalculation,
  supplyCalculation,
} from './concrete'
import {
  codeDepthCalculation,
  codeForceCalculation,
  findHoleCalculation,
  momentRotationCalculation,
  postInGround,
} from './ground'
import {
  finishLevelCalculation,
  jackCalculation,
  meshSectionCalculation,
  panelSpacingCalculation,
  pavingCutCalculation,
  platePoseCalculation,
  propForceCalculation,
  roadsideBoxCalculation,
} from './fittings'
import { boardsCalculation, gateLeafCalculation, leafToOrderCalculation } from './gates'
import { photoLeanCalculation, pullTestCalculation, targetCalculation } from './measuring'
import {
  basePlateCalculation,
  beamCalculation,
  fixingFitCalculation,
  pierCalculation,
  sleevePlayCalculation,
} from './members'
import { trendCalculation } from './trend'
import {
  gateOpeningCalculation,
  lean,
  propCalculation,
  spacingCalculation,
  stringLineCalculation,
  stringSagCalculation,
} from './setout'
import {
  cutLengthCalculation,
  cutListCalculation,
  diagonalCalculation,
  holeReadingCalculation,
  pivotCalculation,
  plumbOrMatchCalculation,
  spacerGapCalculation,
  sunkPanelCalculation,
  topLineCalculation,
  weatheringCutCalculation,
} from './strings'
import { gust50Calculation, returnPeriod, windCoefficient, windForce } from './wind'

/** Every named calculation: the shell, the route and the calculators offer the same list. */
export const calculations: readonly Calculation[] = [
  windCoefficient,
  windForce,
  returnPeriod,
  gust50Calculation,
  targetCalculation,
  codeDepthCalculation,
  codeForceCalculation,
  postInGround,
  momentRotationCalculation,
  findHoleCalculation,
  pullTestCalculation,
  sectionCalculation,
  holeVolume,
  bags,
  handBatchCalculation,
  settingCalculation,
  supplyCalculation,
  sleevePlayCalculation,
  basePlateCalculation,
  pierCalculation,
  beamCalculation,
  fixingFitCalculation,
  lean,
  stringLineCalculation,
  stringSagCalculation,
  spacingCalculation,
  gateOpeningCalculation,
  propCalculation,
  photoLeanCalculation,
  pivotCalculation,
  plumbOrMatchCalculation,
  spacerGapCalculation,
  topLineCalculation,
  sunkPanelCalculation,
  holeReadingCalculation,
  cutLengthCalculation,
  weatheringCutCalculation,
  cutListCalculation,
  diagonalCalculation,
  panelSpacingCalculation,
  boardsCalculation,
  gateLeafCalculation,
  leafToOrderCalculation,
  propForceCalculation,
  jackCalculation,
  roadsideBoxCalculation,
  platePoseCalculation,
  pavingCutCalculation,
  meshSectionCalculation,
  finishLevelCalculation,
  diagnoseCalculation,
  dayBoundCalculation,
  trendCalculation,
]

/**
 * @throws InputError when there is no such calculation or an input is wrong
 * @example calculate('code-force', { depth: 0.76, height: 0.94, width: 0.25, lateral: 23563 }, tables)
 *   // { force: 413 }
 */
export function calculate(name: string, input: unknown, tables: Tables): Record<string, unknown> {
  const found = calculations.find((each) => each.name === name)
  if (!found) throw new InputError('name', name, `one of ${calculations.map((each) => each.name).join(', ')}`)
  return found.run(input, tables)
}
