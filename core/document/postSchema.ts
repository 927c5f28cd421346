import { LIMITS, LONGEST } from '../limits'
import {
  choice,
  flag,
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededKey,
  part,
  quantity,
  record,
  tableKey,
  text,
} from '../schema/fields'
import type { Tables } from '../tables/tables'
import { MATERIALS } from '../timber/materials'
import { observationsSchema, readingSchema, judgementSchema } from './observationsSchema'
import { photographSchema } from './photographSchema'
import { metSchema } from './recordSchema'
import { repairSchema } from './repairSchema'
import { sectionSchema } from './sectionSchema'
import {
  foundSchema,
  gateSchema,
  jackSchema,
  meshSchema,
  pavingSchema,
  plateSchema,
  proppedSchema,
  roadsideSchema,
  standsSchema,
} from './setOutSchema'
import { CARRIED, CLEAR_FACES, RAIL_MENDINGS, DUTIES, FOOTING_KINDS, HARD_THINGS, UPGRADES } from './vocabulary'

/* A post as it stands, the ground it stands in, and all that is known of it. */

export const footingSchema = record({
  kind: neededChoice(FOOTING_KINDS),
  diameter: quantity(0.05, 3, 'm'),
  top: quantity(0, 3, 'm'),
  bottom: quantity(0.05, 5, 'm').test('below-top', 'deeper than its top', function (bottom) {
    return bottom === undefined || bottom > ((this.parent as { top?: number }).top ?? 0)
  }),
})

export const carriesSchema = record({
  area: needed(0.1, 200, 'm²'),
  from: neededChoice(CARRIED),
  dead: quantity(0, 20_000, 'Pa'),
  live: quantity(0, 20_000, 'Pa'),
})

export const slabSchema = record({
  thickness: quantity(0.02, 1, 'm'),
  sound: flag(),
  /** From the nearest anchor to its edge. */
  edge: quantity(0.01, 10, 'm'),
  strength: quantity(5e6, 100e6, 'Pa'),
})

/** As they were met from the ground down. */
export const layersSchema = listOfAtMost(
  LIMITS.layers,
  'layers',
  record({
    bottom: needed(0.05, 5, 'm'),
    soil: neededKey('soil', ({ soils }: Tables) => soils),
    saturated: flag(),
  }),
).test('downwards', 'each deeper than the one above', (layers: unknown) => {
  const given = (layers ?? []) as readonly { bottom?: number }[]
  return given.every(({ bottom = 0 }, i) => i === 0 || bottom > (given[i - 1]?.bottom ?? 0))
})

/** A known force on the post, square to its line, and how far it moved at a height. */
export const pullSchema = record({
  force: needed(1, 5_000, 'N'),
  height: needed(0.05, 4, 'm'),
  at: needed(0, 4, 'm'),
  movement: needed(0, 1, 'm'),
  /** What stayed when it was let go: shown, not weighed. */
  residual: quantity(0, 1, 'm'),
  /** Held for a minute on wet ground: only then may it say that the ground is stronger. */
  held: flag(),
  /** Water stood in the ground that day. */
  saturated: flag(),
})

export const postSchema = record({
  id: name(LONGEST.lineOrPost),
  station: needed(0, 20_000, 'm'),
  groundLevel: quantity(-50, 50, 'm'),
  duty: choice(DUTIES),
  /** Beside the first. */
  duties: listOfAtMost(DUTIES.length, 'duties', neededChoice(DUTIES)),
  /** A word that posts share which were built by the same hand at the same time. */
  make: text(LONGEST.name),
  material: choice(MATERIALS),
  section: sectionSchema,
  length: quantity(0.3, 12, 'm'),
  ageYears: quantity(0, 200, 'years'),
  soil: tableKey('soil', ({ soils }: Tables) => soils),
  saturated: flag(),
  /** Stands before `soil` where it is given. */
  layers: layersSchema,
  pulls: listOfAtMost(LIMITS.pulls, 'pulls', pullSchema),
  met: listOfAtMost(LIMITS.met, 'things', metSchema),
  footing: footingSchema.optional(),
  gate: gateSchema.optional(),
  /** What a single post carries: a letter box, a sign. */
  box: part({ width: needed(0.05, 3, 'm'), height: needed(0.05, 3, 'm') }),
  /** What rests on a load-bearing post: its share of the floor or roof, and by how much it weighs, Pa. */
  carries: carriesSchema.optional(),
  /** What a plate stands on. */
  slab: slabSchema.optional(),
  /** Has to come out again. */
  removable: flag(),
  clearFaces: choice(CLEAR_FACES),
  hardAgainst: choice(HARD_THINGS),
  roomToDig: flag(),
  /** Ground or air that eats steel: salt, cinders, manure. */
  corrosive: flag(),
  steadyLoad: part({ pressure: needed(0, 20_000, 'Pa'), height: needed(0.05, 4, 'm') }),
  /** Of the rails and boards at it: rotten or torn ends, how much of one is torn off, boards that serve again or not. */
  cladding: part({
    railEnds: quantity(0, 12),
    torn: quantity(0, 3, 'm'),
    salvaged: quantity(0, 200),
    broken: quantity(0, 200),
    mend: choice(RAIL_MENDINGS),
  }),
  observations: observationsSchema,
  /** Nothing has failed, and it is to become more than it is. */
  upgrade: choice(UPGRADES),
  /** The post that somebody was called for. */
  pointedAt: flag(),
  /** The string is pulled straight from one of these to the next. */
  carriesString: flag(),
  found: foundSchema,
  /** Plumb, or as its neighbours lean. */
  stands: standsSchema,
  plate: plateSchema,
  roadside: roadsideSchema,
  paving: pavingSchema,
  mesh: meshSchema,
  propped: proppedSchema,
  jack: jackSchema,
  conditions: listOfAtMost(LIMITS.conditions, 'conditions', text(LONGEST.key).defined()),
  judgement: judgementSchema.optional(),
  readings: listOfAtMost(LIMITS.readings, 'readings', readingSchema),
  photographs: listOfAtMost(LIMITS.photographs, 'photographs', photographSchema),
  repair: repairSchema.optional(),
})
