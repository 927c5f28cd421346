import { describe, expect, it } from 'vitest'
import { experienceOfLine, type LineHistory } from './experience'

const of = (history: LineHistory) => experienceOfLine(history, 0.4, 22.7, 38)

describe('what a line’s own history says of the wind', () => {
  it('agrees with the worked figures', () => {
    const stood = of({ posts: 10, ageYears: 16, gone: 0 })
    expect(stood.median).toBeCloseTo(0.257, 2)
    expect(stood.low).toBeCloseTo(0.157, 2)
    expect(stood.high).toBeCloseTo(0.4, 2)
    expect(of({ posts: 20, ageYears: 13, gone: 10 }).median).toBeCloseTo(0.397, 2)
  })

  it('the more have gone, the more the wind counts; the longer they stood, the less', () => {
    const medians = [0, 2, 5, 10, 20].map((gone) => of({ posts: 20, ageYears: 12, gone }).median)
    expect(medians).toEqual([...medians].sort((a, b) => a - b))
    const years = [1, 5, 15, 40].map((ageYears) => of({ posts: 10, ageYears, gone: 0 }).median)
    expect(years).toEqual([...years].sort((a, b) => b - a))
  })

  it('says little of little: one post in its first year hardly moves it', () => {
    const { median, low, high } = of({ posts: 1, ageYears: 0.5, gone: 0 })
    expect(median).toBeGreaterThan(0.33)
    expect([low < median, median < high]).toEqual([true, true])
  })
})
