import fc from 'fast-check'
import { expect, it } from 'vitest'
import { postKey, readPostKey } from './postKey'

it.each([
  [{ line: 'B', post: 'B4' }, '', 'B/B4'],
  [{ line: 'B', post: 'B4' }, 'other/', 'other/B/B4'],
  [{ line: 'East/West', post: '1/2' }, '', 'East%2FWest/1%2F2'],
])('%j has a key of its own', (address, prefix, key) => {
  expect(postKey(address, prefix)).toBe(key)
  expect(readPostKey(key)).toEqual(address)
})

it('tells every two posts apart, whatever they are called', () => {
  const name = fc.string({ unit: fc.constantFrom('A', '/', '%', '2', 'F', '5'), minLength: 1, maxLength: 6 })
  fc.assert(
    fc.property(name, name, (line, post) => {
      expect(readPostKey(postKey({ line, post }))).toEqual({ line, post })
    }),
    { numRuns: 2_000 },
  )
})
