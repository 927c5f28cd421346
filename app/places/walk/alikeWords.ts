const NAMES: Readonly<Record<string, string>> = {
  material: 'Material',
  section: 'Section',
  length: 'Whole length',
  ageYears: 'Age',
  make: 'Make',
  soil: 'Soil',
  saturated: 'Water in the ground',
  footing: 'Footing',
  repair: 'Repair',
  hole: 'Its hole',
  mix: 'Mix and filling',
  'observations.lean': 'Lean',
  'observations.pushPivot': 'Where it turns',
  'observations.comesUpright': 'Comes back by hand',
  'observations.leanPattern': 'Which posts lean',
  'observations.tap': 'Sound when tapped',
  'observations.breakFace': 'The break',
  'observations.wrap': 'Wrap of the foot',
  'observations.groundAround': 'Round the foot',
  'observations.footingFound': 'Footing as dug',
  'observations.onset': 'When it began',
  'observations.gate': 'Gate on it',
  'observations.sideLoad': 'What pushes on it',
  'observations.fixings': 'Rails and fixings',
  'observations.probeAtGround': 'Soft wood at the ground',
  'observations.probeAbove': 'Soft wood above',
  'observations.probeBelow': 'Soft wood below',
  'observations.moisturePercent': 'Moisture',
}

/** What a thing that posts share is called. @example thingName('observations.pushPivot') // 'Where it turns' */
export const thingName = (key: string): string => NAMES[key] ?? key.replace('observations.', '')

/** What a post gets and what it keeps. @example changeWords({ gets: ['soil'], keeps: ['footing'] }) // 'gets soil; keeps its own footing' */
export const changeWords = ({ gets, keeps }: { gets: readonly string[]; keeps: readonly string[] }): string =>
  [
    gets.length > 0 ? `gets ${gets.map(thingName).join(', ').toLowerCase()}` : '',
    keeps.length > 0 ? `keeps its own ${keeps.map(thingName).join(', ').toLowerCase()}` : '',
  ]
    .filter(Boolean)
    .join('; ')

/** @example givenWords(1) // 'Given to 1 post. Undo takes it back from all of them.' */
export const givenWords = (posts: number): string =>
  `Given to ${posts} ${posts === 1 ? 'post' : 'posts'}. Undo takes it back from all of them.`
