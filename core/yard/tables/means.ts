import { SKILLS } from '../../document/vocabulary'
import { column, NAMED, type YardTable } from '../column'

/** Who works here. */
export const people: YardTable = {
  key: 'people',
  name: 'People',
  says: 'Who works here, and what each may be put to. Days are planned with them.',
  columns: [
    ...NAMED,
    column('letter', 'letter on the day', 'text', { isNeeded: true, isMain: true }),
    column('skills', 'may', 'list', { values: SKILLS, isMain: true }),
  ],
}

/** What does the work of a tool that a hole or a step wants. */
export const TOOL_JOBS = [
  'post-hole-digger',
  'auger',
  'spade',
  'mixer',
  'breaker',
  'saw',
  'drill',
  'driver',
  'level',
  'props',
] as const

/** Tools that the yard owns. */
export const tools: YardTable = {
  key: 'tools',
  name: 'Tools',
  says: 'What is owned: how deep it reaches, and how long its battery lasts.',
  columns: [
    ...NAMED,
    column('does', 'does the work of', 'choice', { values: TOOL_JOBS, isNeeded: true, isMain: true }),
    column('count', 'how many', 'number', { range: [0, 100], isNeeded: true }),
    column('reach', 'reaches down', 'length', { range: [0.1, 10], isMain: true }),
    column('battery', 'battery lasts', 'number', { range: [1, 1_000], unit: 'min' }),
    column('batteries', 'batteries', 'number', { range: [1, 50] }),
    column('kept', 'kept in', 'text'),
  ],
}

export const vehicles: YardTable = {
  key: 'vehicles',
  name: 'Vans',
  says: 'What each may carry, and the longest piece that lies flat in it.',
  columns: [
    ...NAMED,
    column('payload', 'may carry', 'number', { range: [1, 40_000], unit: 'kg', isNeeded: true, isMain: true }),
    column('bed', 'longest piece', 'length', { range: [0.3, 15], isNeeded: true, isMain: true }),
  ],
}

export const offcuts: YardTable = {
  key: 'offcuts',
  name: 'Offcuts',
  says: 'What was left of sticks and is long enough to be used: the next cut list takes them first, at no price.',
  columns: [
    ...NAMED,
    column('stockOf', 'stick of', 'text', { isNeeded: true, isMain: true }),
    column('length', 'length', 'length', { range: [0.05, 20], isNeeded: true, isMain: true }),
    column('count', 'how many', 'number', { range: [1, 1_000], isNeeded: true, isMain: true }),
    column('kept', 'kept in', 'text'),
  ],
}
