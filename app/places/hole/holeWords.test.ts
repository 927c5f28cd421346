import { describe, expect, it } from 'vitest'
import { bagWords, hourWords, morePhrase } from './holeWords'

describe('more or less of bags and minutes', () => {
  it.each([
    [0.62, 12, '0.6 bag more, 10 min more'],
    [-1.4, 1, '1.4 bags less'],
    [0.04, 2.4, 'no more work'],
    [0.05, 2.5, '0.1 bag more, 5 min more'],
    [undefined, -30, '30 min less'],
    [2, 0, '2 bags more'],
  ])('%j bags and %d minutes: %s', (bags, minutes, words) => {
    expect(morePhrase(bags, minutes)).toBe(words)
  })
})

it.each([
  [0.6, '0.6 bag'],
  [1, '1 bag'],
  [1.1, '1.1 bags'],
  [2.04, '2 bags'],
])('%d is %s', (bags, words) => {
  expect(bagWords(bags)).toBe(words)
})

it.each([
  [67.9, '3 days'],
  [48, '2 days'],
  [47.9, '48 h'],
  [5.2, '6 h'],
  [null, 'it warms up'],
])('%j hours are %s', (hours, words) => {
  expect(hourWords(hours)).toBe(words)
})
