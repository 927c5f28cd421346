import { describe, expect, it } from 'vitest'
import { exact } from '~~/core/money/exact'
import { differenceWords, figureOf, quantityWords } from './afterWords'
import { optionMark } from './marks'

describe('planned against used', () => {
  it.each([
    [{ off: 0.25, used: exact(5) }, '25 % more'],
    [{ off: -0.1, used: exact(5) }, '10 % less'],
    [{ off: 0.004, used: exact(5) }, 'as planned'],
    [{ off: -0.006, used: exact(5) }, '1 % less'],
    [{ used: exact(5) }, 'not planned'],
    [{ used: exact(0) }, ''],
    [{ off: 0.5 }, ''],
  ])('%#: %s', (line, words) => {
    expect(differenceWords(line as never)).toBe(words)
  })
  it.each([
    [2, 'bag', '2 bags'],
    [1, 'bag', '1 bag'],
    [0.5, 'visit', '0.5 visits'],
    [4, 'each', '4'],
    [3.456, 'm', '3.46 m'],
    [12.345, 'kg', '12.3 kg'],
  ])('%d of %s: %s', (value, unit, words) => {
    expect(quantityWords(value, unit)).toBe(words)
  })
  it('is as exact as its size asks', () => {
    expect([9.999, 10.04, 3.5].map(figureOf)).toEqual(['10', '10', '3.5'])
  })
})

it('options are marked by letters, and begin anew after the last', () => {
  expect([0, 1, 25, 26].map(optionMark)).toEqual(['a', 'b', 'z', 'a'])
})
