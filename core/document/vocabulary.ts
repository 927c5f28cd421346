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
/** How a post is set: plumb, or as its neighbours lean. */
export const STANDS = ['plumb', 'match'] as const
/** On which face of the posts the strings run, for whoever stands before the line with its start on the left. */
export const STRING_SIDES = ['near', 'far'] as const
/** Cut to length before it is set, or set long and trimmed in place. */
export const CUT_ORDERS = ['first', 'in-place'] as const
/** What is made to fit the other: the opening to the leaf, or the leaf to the opening. */
export const HUNG_BY = ['leaf', 'opening'] as const
/** How a wet post was checked, on which face, and why one moved that was let go of. */
export const CHECKED_HOW = ['level', 'eye', 'stream'] as const
export const FACES = ['along', 'across'] as const
export const MOVED_WHY = ['thin-back', 'too-wet', 'string-pushed', 'none'] as const
/** The state in which a wet post was left for the night. */
export const OVERNIGHT = ['propped', 'covered', 'barred', 'signed'] as const
/** What a person may be put to on a day; to lift takes two. */
export const SKILLS = ['dig', 'mix', 'saw', 'lift'] as const
/** What a day is planned with, of which there are so many. */
export const TOOLS = ['props', 'level', 'mixer', 'breaker', 'auger'] as const
/** A piece beside what is left of a rail, or a new one. */
export const RAIL_MENDINGS = ['splice', 'new'] as const
/** What an entry of the record is, when a picture was taken, and why somebody comes back. */
export const ENTRY_KINDS = [
  'observation',
  'choice',
  'met',
  'tick',
  'as-built',
  'photograph',
  'minutes',
  'materials',
  'correction',
  'sign-off',
] as const
export const STAGES = ['before', 'open-hole', 'after'] as const
export const VISIT_WHYS = ['gust', 'months-3', 'year-1', 'yearly', 'return'] as const
export const STANDING_SHAPES = ['square', 'round'] as const
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
