/* Words of the job document that no single trade owns. */

export const JOB_FORMAT = 'vindex-job'
export const JOB_VERSION = 1

export const DUTIES = [
  'line',
  'end',
  'corner',
  'gate-hinge',
  'gate-latch',
  'roadside-box',
  'load-bearing',
  'plate-mounted',
] as const

export const FOOTING_KINDS = ['none', 'soil', 'stone', 'concrete', 'plate', 'sleeve', 'unknown'] as const

export const MARK_KINDS = ['service', 'root', 'downpipe', 'wall', 'tree'] as const
export const SERVICES = ['electricity', 'gas', 'water', 'drain', 'telecom', 'unknown'] as const

/** Faces of a post that must stay clear of a spur. */
export const CLEAR_FACES = ['none', 'one', 'both'] as const
/** What a post is to become that has not failed. */
export const UPGRADES = ['gate', 'stronger'] as const
/** What stands hard against a footing and keeps it from being moved. */
export const HARD_THINGS = ['paving', 'brick'] as const
/** What rests on a post. */
export const CARRIED = ['deck', 'roof', 'pergola', 'stairs'] as const
/** What comes into the hole first: the post, or its filling. */
export const SET_ORDERS = ['post-first', 'fill-first'] as const
export const COATINGS = ['bare', 'galvanised', 'stainless'] as const

export const HOLE_SHAPES = ['round', 'square', 'tapered', 'belled'] as const
/** What is met while digging, on which side of the hole, and what was decided on it. */
export const MET_KINDS = [
  'root',
  'boulder',
  'service',
  'water',
  'old-footing',
  'plinth',
  'made-ground',
  'crater',
  'tool-reach',
] as const
export const MET_SIDES = ['left', 'right', 'front', 'back', 'all-round'] as const
export const MET_DECISIONS = [
  'round',
  'through',
  'wider',
  'bell',
  'key',
  'stone-and-key',
  'moved',
  'socket',
  'other-method',
  'left-short',
  'stopped',
] as const
