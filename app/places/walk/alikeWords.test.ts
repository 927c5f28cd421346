import { expect, it } from 'vitest'
import { OBSERVATION_KEYS } from '~~/core/cause/observations'
import { SHARED_FACTS } from '~~/core/edit/grow'
import { thingName } from './alikeWords'

it('everything that posts can share has a name of its own', () => {
  const keys = [...SHARED_FACTS, ...OBSERVATION_KEYS.map((key) => `observations.${key}`), 'repair', 'hole', 'mix']
  const names = keys.map(thingName)
  for (const name of names) expect(name).toMatch(/^[A-Z][a-z]+( [a-z]+)*$/)
  expect(new Set(names).size).toBe(keys.length)
})
