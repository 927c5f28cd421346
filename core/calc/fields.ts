import type { HoleShape } from '../concrete/volume'
import type { NoFigureSoil, Soil } from '../ground/soil'
import { InputError } from '../errors'
import { row, type Tables } from '../tables/tables'
import type { Section } from '../timber/section'
import { flag, keyOf, optional, quantity, shaped, type Field } from './calculation'

/* Inputs that several calculations share. */

const size = () => quantity(0.01, 1, 'm')
const wall = () => quantity(0.0005, 0.2, 'm')

export const sectionShapes = {
  rectangle: { along: size(), across: size() },
  round: { diameter: size() },
  tube: { diameter: size(), wall: wall() },
  hollow: { along: size(), across: size(), wall: wall() },
}

export const section: Field<Section> = shaped<Section>(sectionShapes)

const zones = {
  depth: quantity(0.05, 5, 'm'),
  stoneBed: optional(quantity(0, 2, 'm'), 0),
  fillTop: optional(quantity(-0.5, 2, 'm'), 0),
  crown: optional(flag(), false),
}
const width = () => quantity(0.05, 3, 'm')

export const hole: Field<HoleShape> = shaped<HoleShape>({
  round: { diameter: width(), ...zones },
  square: { side: width(), ...zones },
  tapered: { topDiameter: width(), bottomDiameter: width(), ...zones },
  belled: { diameter: width(), bellDiameter: width(), bellHeight: quantity(0, 5, 'm'), ...zones },
})

export const soilKey = keyOf('key of a soil', (tables) => tables.soils)

/** @throws InputError when no figure is given for this soil */
export function soilWithFigures(key: string, tables: Tables): Soil {
  const soil = row<Soil | NoFigureSoil>(tables.soils, key)
  if (soil.kind !== 'none') return soil
  const known = tables.soils.filter((each) => each.kind !== 'none').map((each) => each.key)
  throw new InputError('soil', key, `one of ${known.join(', ')}. ${soil.advice}`)
}
