import { expect, it } from 'vitest'
import { tables } from '~~/tests/support/builders'
import { placeOnPost } from './fixingPlace'

const post = { section: { shape: 'rectangle', along: 0.1, across: 0.1 }, material: 'treated-softwood' } as const
const inland = { exposure: 'sheltered' } as const

it('goes through what the method is made with', () => {
  const through = (kind: string, key: string) => placeOnPost(post, inland, [{ kind, key }], tables)
  expect(through('spur', 'spur-75')).toEqual({ name: 'spur', part: 0.075, wood: 0.1, isHard: false, isHarsh: true })
  const { key, section } = tables.parts.lists.rail.rows[0]!
  expect(through('rail', key)).toMatchObject({ name: 'rail', part: Math.min(section.along, section.across) })
  expect(through('mender', 'any')).toMatchObject({ name: 'plate', part: 0.005 })
})

it('is hard in oak, and harsh by the water or in treated wood', () => {
  const at = (material: 'oak' | 'cedar', exposure: 'sheltered' | 'waterside') =>
    placeOnPost({ ...post, material }, { exposure }, [], tables)
  expect(at('oak', 'sheltered')).toMatchObject({ isHard: true, isHarsh: false })
  expect(at('cedar', 'waterside')).toMatchObject({ isHard: false, isHarsh: true })
})
