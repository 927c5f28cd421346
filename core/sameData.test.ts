import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sameData } from './sameData'

describe('plain data that says the same', () => {
  it.each<[string, unknown, unknown, boolean]>([
    ['keys in another order', { shape: 'round', diameter: 0.1 }, { diameter: 0.1, shape: 'round' }, true],
    ['deep inside', { a: [{ b: 1, c: 2 }] }, { a: [{ c: 2, b: 1 }] }, true],
    ['a list in another order', [1, 2], [2, 1], false],
    ['a longer list', [1], [1, 2], false],
    ['an undefined key and an absent one', { a: 1, b: undefined }, { a: 1 }, true],
    ['null is a value', { a: null }, {}, false],
    ['another value', { a: 1 }, { a: 2 }, false],
    ['the same count of other keys', { a: undefined, b: 1 }, { a: 1, b: undefined }, false],
    ['a list and a record', [], {}, false],
    ['text and number', '1', 1, false],
    ['minus nought', 0, -0, true],
    ['no number', NaN, NaN, true],
    ['null and nothing', null, undefined, false],
    ['null and a record', null, {}, false],
  ])('%s', (_name, a, b, expected) => {
    expect(sameData(a, b)).toBe(expected)
    expect(sameData(b, a)).toBe(expected)
  })

  it('is what a trip through JSON keeps, whatever the order of the keys', () => {
    const reversed = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(reversed)
        : value && typeof value === 'object'
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([key, each]) => [key, reversed(each)]),
            )
          : value
    fc.assert(fc.property(fc.jsonValue(), (value) => sameData(value, reversed(JSON.parse(JSON.stringify(value))))))
  })
})
