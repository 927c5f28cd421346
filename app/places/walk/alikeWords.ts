import { LOOK_PARTS } from '../look/questions'

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
  'observations.probeAtGround': 'Soft wood at the ground',
  'observations.probeAbove': 'Soft wood above',
  'observations.probeBelow': 'Soft wood below',
  'observations.moisturePercent': 'Moisture',
}

/** What a thing that posts share is called. @example thingName('observations.pushPivot') // 'Push it. Where does it turn?' */
export function thingName(key: string): string {
  const question = LOOK_PARTS.flatMap(({ questions }) => questions).find(
    (each) => `observations.${each.key}` === key,
  )?.question
  return NAMES[key] ?? question?.replace(/[.?]+$/, '') ?? key.replace('observations.', '')
}
