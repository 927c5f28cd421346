import { lazy, mixed, type InferType } from 'yup'
import { DIGGING_TOOLS } from '../concrete/overdig'
import { LONGEST } from '../limits'
import { choice, flag, name, part, quantity, record, tableKey, text, time, typed } from '../schema/fields'
import type { Tables } from '../tables/tables'
import { MATERIALS } from '../timber/materials'
import { sectionSchema } from './sectionSchema'
import { COATINGS, HOLE_SHAPES, SET_ORDERS } from './vocabulary'

/* What is chosen for a post: the way, its hole, its mix, its parts. */

export const holeSchema = record({
  shape: choice(HOLE_SHAPES),
  diameter: quantity(0.1, 2, 'm'),
  depth: quantity(0.2, 4, 'm').test('room', 'deeper than its stone bed and its topping together', function (depth) {
    const { stoneBed = 0, fillTop = 0.05 } = this.parent as { stoneBed?: number; fillTop?: number }
    return depth === undefined || depth - stoneBed > Math.max(0.05, fillTop)
  }),
  stoneBed: quantity(0, 1, 'm'),
  fillTop: quantity(-0.2, 1, 'm'),
  /** Of a tapered hole, whose `diameter` is that of its top. */
  bottomDiameter: quantity(0.1, 2, 'm'),
  bellDiameter: quantity(0.1, 2, 'm'),
  bellHeight: quantity(0.05, 1, 'm'),
  /** Sloped up to the post, shedding water. */
  crown: flag(),
  /** Of what stands in it from the middle of the hole, to the right positive. */
  shift: quantity(-0.5, 0.5, 'm'),
  /** Wedged into the concrete, share of its volume. */
  stones: quantity(0, 0.4),
  /** A board across the push near the surface, on both faces. */
  key: flag(),
})

const partKey = (kind: string) => tableKey(kind, ({ parts }: Tables) => parts.lists[kind]?.rows ?? [])
/** Parts by their kind: which kinds there are, the tables say. */
const partsSchema = typed<Record<string, string> | undefined>(
  lazy((value: unknown) => {
    if (value === undefined) return mixed().notRequired()
    const kinds = typeof value === 'object' && value !== null ? Object.keys(value) : []
    return record(Object.fromEntries(kinds.map((kind) => [kind, partKey(kind).required(`the key of a ${kind}`)])))
  }),
)
/** What was set of the hole of each method, by its key: comparing stays true after one was changed. */
const holesSchema = typed<Record<string, InferType<typeof holeSchema>> | undefined>(
  lazy((value: unknown) => {
    if (value === undefined) return mixed().notRequired()
    const keys = typeof value === 'object' && value !== null ? Object.keys(value) : []
    return record(Object.fromEntries(keys.map((key) => [key, holeSchema.required()])))
  }),
)
export const licensedSchema = record({ name: name(LONGEST.person), note: text(LONGEST.note), at: time() })
export const repairSchema = record({
  method: tableKey('method', ({ parts }: Tables) => parts.methods),
  mix: tableKey('mix', ({ mixes }: Tables) => mixes),
  filling: tableKey('way of filling', ({ fillings }: Tables) => fillings),
  // As older files have them; `parts` stands before them.
  spur: partKey('spur'),
  fixing: partKey('fixing'),
  pin: partKey('pin'),
  parts: partsSchema,
  // Of the method in hand, as older files have it; `holes` stands before it.
  hole: holeSchema.optional(),
  holes: holesSchema,
  /** The new post, where it is not one of those that are sold. */
  post: part({ section: sectionSchema, length: quantity(0.3, 12, 'm'), material: choice(MATERIALS) }),
  /** What really went in: bags, water in all, and how far the concrete's face lies below the ground. */
  poured: part({ bags: quantity(0, 500), water: quantity(0, 5, 'm³'), face: quantity(-0.3, 4, 'm') }),
  sleeve: part({ clearance: quantity(0, 0.05, 'm'), insertion: quantity(0.1, 2, 'm'), drains: flag() }),
  /** What the hole is dug with. */
  tool: choice(DIGGING_TOOLS),
  setOrder: choice(SET_ORDERS),
  coating: choice(COATINGS),
  /** The licensed person who decides on a load-bearing post. */
  licensed: licensedSchema.optional(),
})
