import { lazy, mixed } from 'yup'
import { needed, neededChoice, record, typed } from '../schema/fields'
import type { Section } from '../timber/section'

/* The section of a post: its sizes depend on its shape. */

const size = () => needed(0.02, 1, 'm')
const wall = () => needed(0.0005, 0.2, 'm')
export const sectionShapes = {
  rectangle: record({ along: size(), across: size() }),
  round: record({ diameter: size() }),
  tube: record({ diameter: size(), wall: wall() }),
  hollow: record({ along: size(), across: size(), wall: wall() }),
}
const shapeless = record({ shape: neededChoice(Object.keys(sectionShapes)) })
const ofShape = (value: unknown) => {
  const shape = (value as { shape?: keyof typeof sectionShapes } | null | undefined)?.shape
  return shape !== undefined && Object.hasOwn(sectionShapes, shape) ? sectionShapes[shape] : shapeless
}
/** A post's section: its sizes depend on its shape. */
export const neededSectionSchema = typed<Section>(lazy(ofShape))
export const sectionSchema = typed<Section | undefined>(
  lazy((value: unknown) => (value === undefined ? mixed().notRequired() : ofShape(value))),
)
