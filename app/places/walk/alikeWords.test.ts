import { expect, it } from 'vitest'
import { OBSERVATION_KEYS } from '~~/core/cause/observations'
import { SHARED_FACTS } from '~~/core/edit/grow'
import { changeWords, givenWords, thingName } from './alikeWords'

it('everything that posts can share has a name of its own', () => {
  const keys = [...SHARED_FACTS, ...OBSERVATION_KEYS.map((key) => `observations.${key}`), 'repair', 'hole', 'mix']
  const names = keys.map(thingName)
  for (const name of names) expect(name).toMatch(/^[A-Z][a-z]+( [a-z]+)*$/)
  expect(new Set(names).size).toBe(keys.length)
})

it.each([
  [{ gets: ['soil', 'observations.tap'], keeps: [] }, 'gets soil, sound when tapped'],
  [{ gets: [], keeps: ['footing'] }, 'keeps its own footing'],
  [{ gets: ['soil'], keeps: ['footing', 'hole'] }, 'gets soil; keeps its own footing, its hole'],
  [{ gets: [], keeps: [] }, ''],
])('says what changes: %j', (change, words) => {
  expect(changeWords(change)).toBe(words)
})

it('counts whom it was given to', () => {
  expect([1, 2].map(givenWords)).toEqual([
    'Given to 1 post. Undo takes it back from all of them.',
    'Given to 2 posts. Undo takes it back from all of them.',
  ])
})
