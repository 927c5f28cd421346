import type { Answer } from '~/controls/AnswerTiles.vue'

/* Short words of the trade for the keys of the job document. */

const answers = (words: Record<string, string>): Answer[] =>
  Object.entries(words).map(([value, text]) => ({ value, words: text }))

export const PUSH_PIVOT = answers({
  'at-ground-line': 'at the ground line',
  'in-the-soil': 'down in the soil',
  'footing-moves': 'footing and all',
  'post-loose-in-concrete': 'loose in its concrete',
  'at-plate': 'at its plate',
  'panel-only': 'only the panel',
  'nothing-moves': 'nothing moves',
})
export const COMES_UPRIGHT = answers({ easily: 'easily', 'with-force': 'with force', 'will-not': 'will not' })
export const BREAK_FACE = answers({
  none: 'no break',
  'brown-and-crumbly': 'brown, crumbly',
  'clean-splinters': 'clean splinters',
  'galleries-and-dust': 'galleries, dust',
  'rust-flakes': 'rust flakes',
})
export const FOOTING_FOUND = answers({
  'not-dug': 'not dug',
  none: 'none',
  small: 'small',
  adequate: 'large enough',
  'one-sided': 'thin on one side',
  cracked: 'cracked',
  'dry-pockets': 'dry pockets',
  'stands-proud': 'stands proud',
})
export const ONSET = answers({
  'after-storm': 'in a storm',
  slowly: 'slowly',
  'after-frost': 'after frost',
  'after-impact': 'something hit it',
  'after-gate-hung': 'since the gate',
  unknown: 'nobody knows',
})

export const TAP = answers({ rings: 'rings', dull: 'dull', hollow: 'hollow' })
export const GROUND_AROUND = answers({
  'lifted-collar': 'lifted collar',
  'gap-beside-post': 'gap beside the post',
  saturated: 'soaking wet',
  'heaped-soil': 'soil heaped on it',
  'water-holding-top': 'dish that holds water',
  'cracked-surface': 'cracked ground',
  root: 'a root',
  nothing: 'nothing of these',
})
export const LEAN_PATTERN = answers({
  'this-post-only': 'this post only',
  'neighbours-too': 'neighbours too',
  'whole-line-one-way': 'the whole line, one way',
})
export const GATE = answers({
  none: 'no gate',
  'hung-here': 'a leaf hangs here',
  'leans-towards-gate': 'it leans to the gate',
})
export const SIDE_LOAD = answers({
  none: 'nothing',
  'retained-soil': 'banked soil',
  'stacked-goods': 'stacked goods',
  'climbing-growth': 'climbing growth',
})
export const FIXINGS = answers({
  sound: 'sound',
  'loose-rails': 'rails loose',
  'torn-out': 'torn out',
  'panel-sunk': 'panel sunk',
})
export const WRAP = answers({ none: 'no wrap', tight: 'tight wrap', gaping: 'gaping wrap' })

export const MARKS = answers({
  service: 'buried service',
  root: 'root',
  downpipe: 'downpipe',
  wall: 'wall',
  tree: 'tree',
})

const items = (words: Record<string, string>) => Object.entries(words).map(([value, title]) => ({ value, title }))

export const MATERIAL_ITEMS = items({
  'treated-softwood': 'Treated softwood',
  'untreated-softwood': 'Untreated softwood',
  cedar: 'Cedar',
  oak: 'Oak',
  steel: 'Steel',
  vinyl: 'Vinyl',
  concrete: 'Concrete',
})
export const DUTY_ITEMS = items({
  line: 'Line post',
  end: 'End post',
  corner: 'Corner post',
  'gate-hinge': 'Gate, hinge side',
  'gate-latch': 'Gate, latch side',
  'roadside-box': 'Roadside box',
  'load-bearing': 'Carries a load',
  'plate-mounted': 'On a plate',
})
export const FOOTING_ITEMS = items({
  unknown: 'Not known',
  none: 'None',
  soil: 'Tamped soil',
  stone: 'Stone',
  concrete: 'Concrete',
  plate: 'Plate on a slab',
  sleeve: 'Ground sleeve',
})
export const CLEAR_FACES_ITEMS = items({
  none: 'None',
  one: 'One face',
  both: 'Both faces',
})
export const HARD_ITEMS = [
  { value: null, title: 'Nothing' },
  { value: 'paving', title: 'Paving' },
  { value: 'brick', title: 'Brickwork' },
]
export const EXPOSURE_ITEMS = items({
  sheltered: 'Sheltered: houses, trees',
  open: 'Open country',
  waterside: 'Waterside',
})

export const KIND_ITEMS = items({
  'close-boarded': 'Close-boarded',
  panel: 'Panels',
  'hit-and-miss': 'Hit and miss',
  picket: 'Picket',
  'post-and-rail': 'Post and rail',
  single: 'Single post: box or sign',
  mesh: 'Mesh',
  vinyl: 'Vinyl',
})
export const SHELTER_ITEMS = [
  { value: 1, title: 'None' },
  { value: 0.7, title: 'Houses, dense growth' },
  { value: 0.4, title: 'A wall as high, near by' },
]
export const SEASON_ITEMS = items({
  wet: 'Wet: top not counted',
  dry: 'Dry',
})
export const SERVICE_ITEMS = items({
  unknown: 'Not known',
  electricity: 'Electricity',
  gas: 'Gas',
  water: 'Water',
  drain: 'Drain',
  telecom: 'Telecom',
})

export const STATE_WORDS = {
  sound: 'sound',
  doubtful: 'doubtful',
  failed: 'failed',
  unseen: 'not looked at yet',
} as const

/** How strongly a reading speaks, from its decibans. */
export function strengthWords(decibans: number): string {
  const size = Math.abs(decibans)
  const word = size >= 10 ? 'strong' : size >= 4 ? 'clear' : size >= 1.5 ? 'slight' : 'hardly'
  return `${word} ${decibans >= 0 ? 'for' : 'against'}`
}

/** @example inHundred(0.914) // '91 in 100' */
export function inHundred(probability: number): string {
  const hundredths = Math.round(probability * 100)
  if (hundredths === 0 && probability > 0) return 'under 1 in 100'
  return `${Math.min(99, hundredths)} in 100`
}

/** @example anyOf(['stiff clay', 'hard clay']) // 'stiff clay or hard clay' */
export const anyOf = (items: readonly string[]): string =>
  new Intl.ListFormat('en-GB', { type: 'disjunction' }).format(items)

/** Stands on every sheet. */
export const ESTIMATES = 'Figures are planning estimates; local codes and licensed practice decide.'
